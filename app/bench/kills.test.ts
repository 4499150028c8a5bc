import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it } from 'vitest'
import { insert, update } from '../../core/records/entry'
import { emptyBench } from '../../core/records/emptyBench'
import { noTables, type RecordOf } from '../../core/records/tables'
import { seededRandom } from '../../core/planning/random'
import { databaseNames } from '../storage/databases'
import { Ledger } from './ledger'
import { clearLeftovers } from './leftovers'
import { addBench, benchStorage, listBenches, removeBench } from './library'
import { keepPhoto, photoOf, PHOTOS } from './photos'

// A thousand with KILLS=1000.
const KILLS = Number(process.env['KILLS'] ?? 240)
const LONG_AFTER = Date.now() + 365 * 86_400_000

/** From the n-th request to the databases on nothing is answered any more, as when the browser is killed. */
const methods = [
  [IDBObjectStore.prototype, 'put'],
  [IDBObjectStore.prototype, 'add'],
  [IDBObjectStore.prototype, 'delete'],
  [IDBObjectStore.prototype, 'get'],
  [IDBFactory.prototype, 'open'],
  [IDBFactory.prototype, 'deleteDatabase'],
] as const
const originals = methods.map(([of, name]) => (of as unknown as Record<string, unknown>)[name])
function killAfter(requests: number): () => boolean {
  let left = requests
  methods.forEach(([of, name], i) => {
    ;(of as unknown as Record<string, unknown>)[name] = function (this: unknown, ...args: unknown[]) {
      if (--left < 0) throw new DOMException('killed', 'AbortError')
      return (originals[i] as (...all: unknown[]) => unknown).apply(this, args)
    }
  })
  return () => left < 0
}
const restart = () =>
  methods.forEach(([of, name], i) => ((of as unknown as Record<string, unknown>)[name] = originals[i]))
afterEach(restart)

const glue: RecordOf<'adhesive'> = {
  id: 'a1',
  name: 'Tin contact',
  family: 'contact-solvent',
  aliases: [],
  packSize: 250,
  packUnit: 'ml',
  packPrice: 9,
  label: {},
  note: '',
}
const pack = (id: string, left: number): RecordOf<'stock'> => ({
  id,
  adhesive: 'a1',
  batch: '',
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left,
})
const tables = { ...noTables(), bench: [emptyBench('new', 'Bench', 1)], adhesive: [glue] }
const photos = [1, 2, 3].map((n) => ({ id: `p${n}`, blob: new Blob([`pixels ${n}`]) }))

/** A bench opened anew, as after a start. */
async function opened(id: string) {
  let count = 0
  const storage = benchStorage(id)
  const tag = Math.random().toString(36).slice(2)
  const ledger = new Ledger(storage, { now: () => 1, newId: () => `${tag}${count++}`, announce: () => {} })
  await ledger.open()
  return { ledger, close: () => storage.close() }
}

type Work = (bench: string, shown: Set<string>) => Promise<void>
/** What is being done when it ends; `shown` gets what the screen has said is saved. */
const works: Record<string, Work> = {
  async writes(bench, shown) {
    const { ledger } = await opened(bench)
    for (let n = 0; n < 6; n++) {
      await ledger.commit(`pack ${n}`, [insert('stock', pack(`s${n}`, 1))])
      if (ledger.save.failure) return
      shown.add(`s${n}`)
    }
  },
  async 'a fold'(bench, shown) {
    const { ledger } = await opened(bench)
    for (let n = 0; n < 3; n++) {
      await ledger.commit(`pack ${n}`, [insert('stock', pack(`s${n}`, 1))])
      if (ledger.save.failure) return
      shown.add(`s${n}`)
    }
    await ledger.fold()
    await ledger.commit('used', [update('stock', pack('s0', 1), { left: 0.5 })])
  },
  async 'a merge, one entry of many records'(bench, shown) {
    const { ledger } = await opened(bench)
    const ids = Array.from({ length: 30 }, (_, n) => `m${n}`)
    await ledger.commit(
      'put together',
      ids.map((id) => insert('stock', pack(id, 1))),
    )
    if (!ledger.save.failure) ids.forEach((id) => shown.add(id))
  },
  async 'an import with photos'() {
    await addBench(tables, photos)
  },
  async photos(bench, shown) {
    for (const { id, blob } of photos) {
      await keepPhoto(bench, id, blob, 1)
      shown.add(`photo ${id}`)
    }
  },
  async 'a removal'() {
    const other = await addBench(tables, photos)
    await removeBench(other)
  },
}

/** Requests that each takes, about: the end comes before one of them. */
const requests: Record<string, number> = {
  writes: 22,
  'a fold': 16,
  'a merge, one entry of many records': 5,
  'an import with photos': 16,
  photos: 5,
  'a removal': 18,
}

describe('the end of everything at any moment', () => {
  it.each(Object.entries(works))(
    `%s: nothing is lost that was shown as saved, nothing is left over`,
    async (name, work) => {
      const random = seededRandom(11)
      let killed = 0
      for (let n = 0; n < KILLS / 6; n++) {
        const bench = await addBench(tables)
        const shown = new Set<string>()
        const dead = killAfter(Math.floor(random() * requests[name]!))
        await work(bench, shown).catch(() => {})
        if (dead()) killed++
        restart()

        await clearLeftovers(LONG_AFTER)
        const listed = (await listBenches()).map(({ id }) => id)
        expect(listed).toContain(bench)
        const names = (await databaseNames()).filter((name) => name !== 'paste-bench-index')
        const stray = names.filter((name) => !listed.some((id) => name === `paste-bench-${id}` || name === PHOTOS + id))
        expect(stray).toEqual([])
        for (const id of listed) {
          const { ledger, close } = await opened(id)
          const { records } = ledger
          expect(records.get('adhesive', 'a1')).toEqual(glue)
          // An entry is there as a whole or not at all.
          expect([0, 30]).toContain(records.all('stock').filter((one) => one.id.startsWith('m')).length)
          if (id === bench)
            for (const one of shown) {
              if (one.startsWith('photo ')) expect(await photoOf(bench, one.slice(6)), one).not.toBeNull()
              else expect(records.get('stock', one), one).not.toBeNull()
            }
          close()
        }
        for (const id of listed) await removeBench(id)
      }
      expect(killed).toBeGreaterThan(KILLS / 20)
    },
    600_000,
  )
})
