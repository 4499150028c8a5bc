// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, expect, it, vi } from 'vitest'
import { update } from '../../core/records/entry'
import { buildDemoBench } from '../../demo/bench'
import { clearPhotosOnce } from './clearPhotos'
import { keepPhoto, photoPlaces } from './photos'
import { useBench } from './store'

afterEach(() => vi.useRealTimers())
const NOW = Date.parse('2026-11-24T18:00:00')
const EIGHT_DAYS = 8 * 86_400_000

it('only photos go that no record names and no undo brings back; the history says so', async () => {
  vi.useFakeTimers({ now: NOW, toFake: ['Date'] })
  setActivePinia(createPinia())
  const tables = buildDemoBench(NOW)
  const photo = (id: string) => ({ id, at: NOW, width: 2, height: 2 })
  // A round of another maker's: its coupons are not among one's own.
  const [mine, theirs] = [tables.coupon[0]!, tables.coupon.at(-1)!]
  const round = tables.round.find(({ id }) => id === theirs.round)!
  const build = { ...tables.build[0]!, id: 'their-build', owner: 'them' }
  tables.maker = [{ id: 'them', name: 'Them', gauge: { name: '', limitN: 9, resolutionN: 1 }, at: 1 }]
  tables.build.push(build)
  tables.joint.find(({ id }) => id === round.joint)!.build = build.id
  mine.photos = [photo('mine'), photo('undoable')]
  theirs.photos = [photo('theirs')]
  const bench = useBench()
  await bench.openInMemory(null, tables)
  expect(bench.all('coupon').some(({ id }) => id === theirs.id)).toBe(false)
  const id = bench.id!
  for (const one of ['mine', 'undoable', 'theirs', 'lost 1', 'lost 2']) await keepPhoto(id, one, new Blob(['x']), NOW)
  const now = bench.get('coupon', mine.id)!
  await bench.write('A photo taken away', [update('coupon', now, { photos: [photo('mine')] })])
  vi.setSystemTime(NOW + EIGHT_DAYS)
  await clearPhotosOnce(bench)
  expect([...(await photoPlaces(id)).keys()].sort()).toEqual(['mine', 'theirs', 'undoable'])
  expect(bench.history()[0]).toMatchObject({ label: expect.stringMatching(/^2 photos/) as string, changes: [] })
  // The note is nothing to take back: Undo is about the edit before it.
  expect(bench.undoable?.label).toBe('A photo taken away')
  await bench.undo()
  expect(bench.get('coupon', mine.id)!.photos).toHaveLength(2)
})
