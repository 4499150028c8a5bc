// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { noTables } from '../../core/records/tables'
import { emptyBench } from '../../core/records/emptyBench'
import { layDown, storedBenches } from '../bench/__tests__/storedBenches'
import { dropDatabase } from '../storage/databases'
import { mountAt } from './mountAt'
import { pathOf, reading, stations } from './pages'

vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())
afterEach(() => vi.useRealTimers())

/** Pages that belong to no joint. */
const others = [...new Set(Object.values(reading).flat())].filter((page) => !stations.includes(page))

// One a version, and the newest; all of them with STORED=all.
const walked = storedBenches.filter(
  ({ version }, i) =>
    process.env['STORED'] === 'all' ||
    i === storedBenches.length - 1 ||
    storedBenches.findIndex((one) => one.version === version) === i,
)

it.each(walked)('every page of the bench $name is shown', async (stored) => {
  vi.useFakeTimers({ now: Date.parse('2026-11-24T18:30:00Z'), toFake: ['Date'] })
  for (const name of Object.keys(stored.databases)) await dropDatabase(name)
  await layDown(stored)
  const { go, errors, wrapper, bench } = await mountAt({ ...noTables(), bench: [emptyBench('e', 'Empty', 0)] }, '/')
  await bench.open(stored.id)
  const joints = bench.all('joint').map(({ id }) => id)
  expect(joints.length).toBeGreaterThan(2)
  const paths = [
    ...[...others, 'history', 'files', 'benches', 'merge', 'happened'].map((page) => pathOf(page, '')),
    ...joints.flatMap((joint) => stations.map((page) => pathOf(page, joint))),
  ]
  for (const path of paths) {
    await go(path)
    await flushPromises()
    expect(wrapper.text(), path).not.toMatch(/cannot be shown|\bNaN\b|undefined|\[object/)
    expect(wrapper.text().length, path).toBeGreaterThan(40)
  }
  expect(errors).toEqual([])
  wrapper.unmount()
})
