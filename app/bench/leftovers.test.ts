import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { emptyBench } from '../../core/records/emptyBench'
import { noTables } from '../../core/records/tables'
import { browserCells } from '../storage/browserCells'
import { databaseNames } from '../storage/databases'
import { SILENT_MS } from '../storage/instances'
import { clearLeftovers } from './leftovers'
import { addBench, changeIndex, listBenches, removeBench, unlistedBenches } from './library'
import { keepPhoto, photoOf, PHOTOS } from './photos'

const tables = { ...noTables(), bench: [emptyBench('new', 'Bench', 1)] }
const LATER = Date.now() + 3_600_000
const half = async (id: string, at: number) => {
  await changeIndex((index) => void index.adding.push({ id, at }))
  await browserCells(`paste-bench-${id}`, 'ledger', true).run('write', (turn) => turn.put('table:joint:1', []))
  await keepPhoto(id, 'p', new Blob(['x']), at)
}

describe('what an end cut off', () => {
  it('is cleared away: half a bench, what a removal left; never a bench that stands', async () => {
    const kept = await addBench(tables, [{ id: 'p1', blob: new Blob(['pixels']) }])
    await half('cut', 1)
    const gone = await addBench(tables)
    await removeBench(gone)
    // The removal was cut off before its databases went.
    await browserCells(`paste-bench-${gone}`, 'ledger', true).run('write', (turn) => turn.put('head', {}))
    await keepPhoto(gone, 'p', new Blob(['x']), 1)
    expect(await clearLeftovers(LATER)).toBe(4)
    expect((await databaseNames()).sort()).toEqual(
      [`paste-bench-${kept}`, 'paste-bench-index', `${PHOTOS}${kept}`].sort(),
    )
    expect((await listBenches()).map(({ id }) => id)).toEqual([kept])
    expect(await photoOf(kept, 'p1')).not.toBeNull()
    expect(await clearLeftovers(LATER)).toBe(0)
  })

  it('is left alone while it may be under way, and a bench on no list is not taken for it', async () => {
    await half('fresh', LATER - 1000)
    await browserCells('paste-bench-lost', 'ledger', true).run('write', (turn) => turn.put('head', {}))
    expect(await clearLeftovers(LATER)).toBe(0)
    const names = await databaseNames()
    expect(names).toContain('paste-bench-fresh')
    expect(names).toContain('paste-bench-lost')
    expect(await unlistedBenches()).toEqual(['lost'])
    expect(await clearLeftovers(LATER + 3_600_000)).toBe(2)
  })

  it('a bench that finds no room leaves nothing behind', async () => {
    const before = (await databaseNames()).sort()
    const original = IDBObjectStore.prototype.put
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
      this: IDBObjectStore,
      value,
      key,
    ) {
      if (String(key) === 'head') throw new DOMException('full', 'QuotaExceededError')
      return original.call(this, value, key)
    })
    await expect(addBench(tables)).rejects.toThrow('full')
    put.mockRestore()
    expect((await databaseNames()).sort()).toEqual(before)
    await clearLeftovers(LATER)
    expect((await databaseNames()).sort()).toEqual(before)
  })
})

describe('a database that hangs', () => {
  it('is noticed within five seconds, when it is opened and when it is asked, and works again afterwards', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const never = vi
      .spyOn(indexedDB, 'open')
      .mockImplementation(() => new (IDBOpenDBRequest as new () => IDBOpenDBRequest)())
    const cells = browserCells('hangs', 'ledger', true)
    const refused = expect(cells.run('read', (turn) => turn.get('head'))).rejects.toMatchObject({
      code: 'storage-silent',
      facts: { seconds: 5 },
    })
    await vi.advanceTimersByTimeAsync(SILENT_MS + 10)
    await refused
    never.mockRestore()
    vi.useRealTimers()
    await cells.run('write', (turn) => turn.put('a', 1))

    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const stuck = expect(cells.run('write', () => new Promise(() => {}))).rejects.toMatchObject({
      code: 'storage-silent',
    })
    await vi.advanceTimersByTimeAsync(SILENT_MS + 10)
    vi.useRealTimers()
    await stuck
    expect(await cells.run('read', (turn) => turn.get('a'))).toBe(1)
  })
})
