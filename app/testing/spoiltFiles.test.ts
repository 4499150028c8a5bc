// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { buildDemoBench } from '../../demo/bench'
import { CodedError } from '../../core/errors'
import { readBenchFile, writeBenchFile } from '../../core/formats/benchFile'
import { seededRandom } from '../../core/planning/random'
import type { Tables } from '../../core/records/tables'
import { mountAt } from './mountAt'

vi.mock('plotly.js-cartesian-dist-min', async () => (await import('./noWorker')).noCharts())
vi.mock('../workers/client', async () => (await import('./noWorker')).workerHere())

const FILES = 500
const bad: unknown[] = [null, '', 'oops', -1, 0, 1e308, 1e-320, 3.7, true, [], {}, '2026-99-99', 'constructor', '__proto__', -0.5, 1e21, 'NaN', ['x'], { a: 1 }, '\u0000'] // prettier-ignore

type Spot = (string | number)[]
/** Every place in the file that holds a single value. */
function spots(value: unknown, path: Spot = []): Spot[] {
  if (typeof value !== 'object' || value === null) return [path]
  return Object.entries(value).flatMap(([key, one]) => spots(one, [...path, Array.isArray(value) ? Number(key) : key]))
}
function spoilt(tables: Tables, path: Spot, value: unknown): string {
  const file = JSON.parse(writeBenchFile(tables, 1)) as Record<string, unknown>
  let at: Record<string | number, unknown> = file
  for (const key of path.slice(0, -1)) at = at[key] as typeof at
  at[path.at(-1)!] = value
  return JSON.stringify(file)
}

const stations = ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose']
const NOW = Date.parse('2026-11-24T18:00:00')

async function openEveryPage(tables: Tables, joint: string): Promise<{ errors: unknown[]; text: string }> {
  const { go, errors, wrapper } = await mountAt(tables, '/')
  let text = wrapper.text()
  const paths = ['/shelf', '/history', '/', ...stations.map((one) => `/joint/${joint}/${one}`), `/joint/${joint}/card`, `/joint/${joint}/print`] // prettier-ignore
  for (const path of paths) {
    await go(path)
    await flushPromises()
    text += wrapper.text()
  }
  wrapper.unmount()
  document.body.innerHTML = ''
  return { errors, text }
}

describe('bench files with one wrong value each', () => {
  afterEach(() => vi.useRealTimers())

  it(`${FILES} of them are refused with the place named, or taken so that every page opens`, async () => {
    vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
    const whole = buildDemoBench(NOW)
    const random = seededRandom(2026)
    const places = spots(JSON.parse(writeBenchFile(whole, 1)))
    let refused = 0
    let taken = 0
    for (let n = 0; n < FILES; n++) {
      const path = places[Math.floor(random() * places.length)]!
      const value = bad[Math.floor(random() * bad.length)]
      const why = `${path.join('.')} = ${JSON.stringify(value)}`
      let read
      try {
        read = readBenchFile(spoilt(whole, path, value))
      } catch (error) {
        expect(error, why).toBeInstanceOf(CodedError)
        expect(
          (error as CodedError).path || (error as CodedError).facts['field'] || path[0] === 'format',
          why,
        ).toBeTruthy()
        refused++
        continue
      }
      taken++
      const total = (tables: Tables) => Object.values(tables).reduce((sum, rows) => sum + rows.length, 0)
      if (total(read.tables) < total(whole)) expect(read.aside.length, why).toBeGreaterThan(0)
      // The joint on which the wrong value stood, where it can be told; else each in turn.
      const joints = read.tables.joint.map(({ id }) => id)
      const { errors, text } = await openEveryPage(read.tables, joints[n % joints.length]!)
      expect(errors, why).toEqual([])
      expect(text, why).not.toMatch(/cannot be shown|NaN|undefined|Infinity|\d(\.\d+)?e[+-]?\d/)
      // And what was taken is a file that is taken back whole.
      expect(readBenchFile(writeBenchFile(read.tables, 1)).aside, why).toEqual([])
    }
    expect(refused + taken).toBe(FILES)
    expect(taken).toBeGreaterThan(FILES / 3)
  }, 1_800_000)
})
