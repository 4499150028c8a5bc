import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { readBenchData } from '../../../core/formats/benchFile'
import { update } from '../../../core/records/entry'
import { tableNames } from '../../../core/records/tables'
import { BENCH_VERSION } from '../../../core/records/version'
import { versions } from '../../../core/records/versions'
import { dropDatabase } from '../../storage/databases'
import { Ledger } from '../ledger'
import { benchStorage } from '../library'
import { cellsOf, layDown, storedBenches } from './storedBenches'

let ids = 0
const opened = async (id: string) => {
  const storage = benchStorage(id)
  const ledger = new Ledger(storage, { now: () => 5, newId: () => `new-${++ids}`, announce: () => {} })
  await ledger.open()
  return { ledger, close: () => storage.close() }
}
/** The bench laid down afresh, whatever stood there. */
async function fresh(bench: (typeof storedBenches)[number]): Promise<string> {
  for (const name of Object.keys(bench.databases)) await dropDatabase(name)
  await layDown(bench)
  return `paste-bench-${bench.id}`
}

describe('every version that ever landed', () => {
  it('has a bench that its own build laid down', () => {
    const laid = new Set(storedBenches.map(({ version }) => version))
    const wanted = Array.from({ length: BENCH_VERSION - 1 }, (_, i) => i + 2)
    expect([...laid].sort(), 'npm run lay-down adds the one of this build').toEqual(wanted)
  })

  it('is the last one that a record came to', () => {
    const all = Object.values(versions).flatMap(({ since, to = {} }) => [since, ...Object.keys(to).map(Number)])
    // Version 4 let a size and a price be unknown, 7 brought tests of edges and what a coupon went through: nothing of
    // a record changed.
    expect(new Set([...all, 4, 7])).toEqual(new Set(Array.from({ length: BENCH_VERSION }, (_, i) => i + 1)))
  })
})

describe.each(storedBenches)('the bench $name, laid down by $laidDownBy', (bench) => {
  const { id, version } = bench
  const migrated = readBenchData(structuredClone(bench.file))

  it('opens, is today’s, takes a write and keeps it, and exports what its file migrates to', async () => {
    const name = await fresh(bench)
    const { ledger, close } = await opened(id)
    expect(ledger.records.tables()).toEqual(migrated.tables)
    expect(migrated.aside).toEqual([])
    // Nothing of the older state is left over.
    const cells = new Map(await cellsOf(name))
    expect([...cells.keys()].filter((key) => key.startsWith('earlier:'))).toEqual([])
    expect(cells.get('head')).toMatchObject({ version: BENCH_VERSION })
    expect(cells.get('head')).not.toHaveProperty('unproved')
    const tables = [...cells.keys()].filter((key) => key.startsWith('table:')).map((key) => key.split(':')[1])
    expect(new Set(tables).size).toBe(tables.length)

    const joint = ledger.records.all('joint')[0]!
    await ledger.commit('Renamed', [update('joint', joint, { name: 'Written today' })])
    expect(ledger.save.failure).toBeNull()
    // What that build wrote before can be taken back too.
    await ledger.undo()
    await ledger.undo()
    await ledger.redo()
    close()
    const again = await opened(id)
    expect(again.ledger.records.tables()).toEqual(migrated.tables)
    expect(again.ledger.mended).toBeNull()
    again.close()
  })

  it('stands as one of the two, whole, wherever bringing it up to date ends', async () => {
    for (let last = 0; last < 60; last++) {
      const name = await fresh(bench)
      const before = await cellsOf(name)
      const { put } = IDBObjectStore.prototype
      let left = last
      const ends = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...of) {
        if (--left < 0) throw new DOMException('the end', 'AbortError')
        return put.apply(this, of)
      })
      const whole = await opened(id).then(
        ({ close }) => (close(), true),
        () => false,
      )
      ends.mockRestore()
      if (whole && left >= 0) break
      expect([before.length, 'unproved'], `${last} writes`).toContainEqual(
        (new Map(await cellsOf(name)).get('head') as { unproved?: true }).unproved ? 'unproved' : before.length,
      )
      const again = await opened(id)
      expect(again.ledger.records.tables()).toEqual(migrated.tables)
      again.close()
    }
  })

  it.runIf(version < 3)('is put back as it was where what was rewritten cannot be read', async () => {
    const name = await fresh(bench)
    const before = await cellsOf(name)
    const { put } = IDBObjectStore.prototype
    const bad = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
      this: IDBObjectStore,
      value,
      key,
    ) {
      const spoilt = String(key).startsWith('table:round') ? '[{"id":"half' : (value as unknown)
      return put.call(this, spoilt, key)
    })
    await expect(opened(id)).rejects.toMatchObject({ code: 'bench-damaged' })
    bad.mockRestore()
    expect(await cellsOf(name)).toEqual(before)
  })
})

describe('a bench of a newer build', () => {
  it('is refused in words and left untouched, also where a tab of this build has it open', async () => {
    const bench = storedBenches.at(-1)!
    const name = await fresh(bench)
    const { ledger, close } = await opened(bench.id)
    const head = new Map(await cellsOf(name)).get('head') as object
    const open = indexedDB.open(name)
    await new Promise<void>((done) => {
      open.onsuccess = () => {
        const transaction = open.result.transaction('ledger', 'readwrite')
        transaction.objectStore('ledger').put({ ...head, version: BENCH_VERSION + 1 }, 'head')
        transaction.oncomplete = () => (open.result.close(), done())
      }
    })
    const before = await cellsOf(name)
    await ledger.commit('Late', [update('joint', ledger.records.all('joint')[0]!, { name: 'Late' })])
    expect(ledger.save).toMatchObject({ waiting: 1, failure: expect.stringMatching(/newer build/) as string })
    await expect(opened(bench.id)).rejects.toMatchObject({
      code: 'newer-bench',
      facts: { got: BENCH_VERSION + 1, known: BENCH_VERSION },
    })
    expect(await cellsOf(name)).toEqual(before)
    close()
  })
})

it('a table that is not there is not made by bringing a bench up to date', async () => {
  const bench = storedBenches.find(({ version }) => version === 2)!
  await fresh(bench)
  const { ledger, close } = await opened(bench.id)
  expect(tableNames.every((name) => Array.isArray(ledger.records.all(name)))).toBe(true)
  close()
})
