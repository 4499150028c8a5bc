// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { insert } from '../../core/records/entry'
import { addBench, addEmptyBench, listBenches } from '../bench/library'
import { browserCells } from '../storage/browserCells'
import { dropDatabase } from '../storage/databases'
import { useBench } from '../bench/store'
import { buildDemoBench } from '../../demo/bench'
import { clockWords, openSomeBench } from './startBench'

afterEach(() => vi.useRealTimers())
const fresh = () => {
  setActivePinia(createPinia())
  return useBench()
}
const NOON = Date.UTC(2026, 10, 27, 12)

describe('opening a bench', () => {
  it('says that the clock was set back, and loses nothing', async () => {
    vi.useFakeTimers({ now: NOON, toFake: ['Date'] })
    const id = await addEmptyBench('Heron')
    const bench = fresh()
    await bench.open(id)
    const build = { id: 'b', name: 'Heron', inServiceBy: null, budget: null, what: '' }
    expect(await bench.write('The build: Heron', [insert('build', build)])).toBe(true)
    vi.setSystemTime(Date.UTC(2025, 10, 27, 12))
    const later = fresh()
    await openSomeBench(later)
    expect(later.notice?.text).toMatch(/says 27 November 2025; your last change here was on 27 November 2026/)
    expect(later.get('build', 'b')?.name).toBe('Heron')
    expect(
      await later.write('Renamed', [{ table: 'build', id: 'b', before: build, after: { ...build, name: 'Crane' } }]),
    ).toBe(true)
    vi.setSystemTime(NOON + 1000)
    const again = fresh()
    await openSomeBench(again)
    expect(again.get('build', 'b')?.name).toBe('Crane')
  })

  it('is silent about a clock that is right, or only some hours off', () => {
    expect(clockWords(NOON, NOON + 1000)).toBeNull()
    expect(clockWords(NOON, NOON - 23 * 3_600_000)).toBeNull()
    expect(clockWords(NOON, NOON - 25 * 3_600_000)).toMatch(/26 November 2026/)
  })

  it('goes on with another bench where one was thrown away by the browser, and says so', async () => {
    for (const { id } of await listBenches()) await dropDatabase(`paste-bench-${id}`)
    const kept = await addBench(buildDemoBench(NOON))
    const lost = await addEmptyBench('Lost')
    await dropDatabase(`paste-bench-${lost}`)
    localStorage.setItem('paste-bench-open', lost)
    sessionStorage.setItem('paste-bench-open', lost)
    const bench = fresh()
    await openSomeBench(bench)
    expect(bench.id).toBe(kept)
    expect(bench.notice).toMatchObject({
      tone: 'bad',
      text: expect.stringMatching(/“Lost” could not be opened/) as string,
    })
  })

  it('goes on with another bench where one is of a newer build, says so, and leaves it as it is', async () => {
    for (const { id } of await listBenches()) await dropDatabase(`paste-bench-${id}`)
    const kept = await addBench(buildDemoBench(NOON))
    const newer = await addEmptyBench('Newer')
    const cells = browserCells(`paste-bench-${newer}`, 'ledger', false)
    const head = await cells.run('write', async (turn) => {
      const now = { ...((await turn.get('head')) as object), version: 99 }
      await turn.put('head', now)
      return now
    })
    sessionStorage.setItem('paste-bench-open', newer)
    const bench = fresh()
    await openSomeBench(bench)
    expect(bench.id).toBe(kept)
    expect(bench.notice?.text).toMatch(/“Newer” was not opened: .*newer build.*left untouched/)
    expect(await cells.run('read', (turn) => turn.get('head'))).toEqual(head)
    expect((await listBenches()).map(({ id }) => id)).toContain(newer)
  })
})
