import { describe, expect, it } from 'vitest'
import { readBenchFile, writeBenchFile } from '../../../core/formats/benchFile'
import { seededRandom } from '../../../core/planning/random'
import { emptyBench } from '../../../core/records/emptyBench'
import { insert, update, type Entry } from '../../../core/records/entry'
import { noTables, type RecordOf, type Tables } from '../../../core/records/tables'
import { memoryCells, memoryPlace, type MemoryPlace } from '../../storage/cells'
import { Ledger } from '../ledger'
import { BenchStorage } from '../storage'

/**
 * Two or three tabs on one bench, with bursts of writes, random delays before every answer of the storage, news that
 * comes late or never, folds, and in some runs a removal or a reset in the middle. What a tab showed as saved must be
 * there after a restart, once, in order.
 */
const RUNS = 2000

const start: Tables = {
  ...noTables(),
  bench: [emptyBench('b1', 'Bench', 0)],
  adhesive: [
    {
      id: 'a1',
      name: 'Tin contact',
      family: 'contact-solvent',
      aliases: [],
      packSize: 250,
      packUnit: 'ml',
      packPrice: 9,
      label: {},
      note: '',
    },
  ],
}
const stock = (id: string, left: number, batch = id): RecordOf<'stock'> => ({
  id,
  adhesive: 'a1',
  batch,
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left,
})

interface Tab {
  ledger: Ledger
  saved: Entry[]
}

async function run(seed: number) {
  const random = seededRandom(seed)
  const pick = (n: number) => Math.floor(random() * n)
  const slow = random() < 0.5 ? 3 : 12
  const delay = async () => {
    for (let i = pick(slow); i > 0; i--) await Promise.resolve()
  }
  const place: MemoryPlace = memoryPlace()
  let ids = 0
  const tools = (announce: () => void) => ({ now: () => ++ids, newId: () => `n${++ids}`, announce })
  await new Ledger(
    new BenchStorage(memoryCells(place)),
    tools(() => {}),
  ).start(start)

  const deaf = random() < 0.25
  const tabs: Tab[] = []
  for (let i = 2 + pick(2); i > 0; i--) {
    const me = tabs.length
    const announce = () =>
      tabs.forEach((other, at) => {
        // Without a channel, news comes only with the tab's own next write; with one, sometimes twice.
        if (at === me || deaf) return
        for (let n = pick(3); n > 0; n--) void delay().then(() => other.ledger.catchUp())
      })
    const ledger = new Ledger(new BenchStorage(memoryCells(place, delay)), tools(announce))
    await ledger.open()
    tabs.push({ ledger, saved: [] })
  }

  const commit = async (tab: Tab, label: string, changes: Entry['changes']) => {
    try {
      const entry = await tab.ledger.commit(label, changes)
      if (tab.ledger.save.waiting === 0 && tab.ledger.save.failure === null) tab.saved.push(entry)
    } catch {
      // Refused, and said so: nothing was written.
    }
  }
  const end = random() < 0.15 ? (random() < 0.5 ? 'removed' : 'reset') : null
  const endAt = pick(12)
  const work: Promise<unknown>[] = []
  for (let step = 0; step < 12; step++) {
    if (end && step === endAt) {
      await Promise.all(work.splice(0))
      place.gone = end === 'removed'
      if (end === 'reset') {
        place.cells = new Map()
        await new Ledger(
          new BenchStorage(memoryCells(place)),
          tools(() => {}),
        ).start(start)
      }
      tabs.forEach((tab) => (tab.saved = []))
    }
    const tab = tabs[pick(tabs.length)]!
    const rows = tab.ledger.records.all('stock')
    const row = rows[pick(rows.length)]
    const dice = random()
    if (dice < 0.1) work.push(tab.ledger.fold())
    else if (dice < 0.2) work.push(tab.ledger.undo().catch(() => {}))
    else if (dice < 0.6 && row)
      work.push(commit(tab, `use ${row.id} ${step}`, [update('stock', row, { left: pick(1000) / 1000 })]))
    else
      // A burst: several presses before the first is stored; the same press twice among them.
      for (let n = 1 + pick(4); n > 0; n--) {
        const batch = `x${pick(6)}`
        work.push(commit(tab, `add ${batch}`, [insert('stock', stock(`s${++ids}`, 1, batch))]))
      }
    if (random() < 0.4) await work[pick(work.length)]
    if (random() < 0.3) await delay()
  }
  await Promise.all(work)
  for (let i = 0; i < 5; i++) await delay()
  return { place, tabs, end }
}

const log = (place: MemoryPlace) =>
  [...place.cells.entries()]
    .filter(([key]) => key.startsWith('entry'))
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, entry]) => ({ seq: Number(key.slice(6)), entry: entry as Entry }))

describe('tabs on one bench', () => {
  it(`lose nothing that was shown as saved, in ${RUNS} simulated runs`, async () => {
    let saves = 0
    for (let seed = 1; seed <= RUNS; seed++) {
      const { place, tabs, end } = await run(seed)
      const why = `seed ${seed}`
      if (end === 'removed') {
        for (const { ledger, saved } of tabs) {
          await ledger.commit('after', [insert('stock', stock('late', 1))]).catch(() => {})
          expect(ledger.save.gone, why).toBe(true)
          expect(saved, why).toEqual([])
        }
        continue
      }
      if (end === 'reset') {
        expect(log(place), why).toEqual([])
        for (const { ledger } of tabs) {
          await ledger.catchUp()
          expect(ledger.save.gone, why).toBe(true)
        }
        continue
      }
      const entries = log(place)
      expect(
        entries.map(({ seq }) => seq),
        why,
      ).toEqual(entries.map((_, i) => i + 1))
      const at = new Map<string, number>()
      for (const { seq, entry } of entries) {
        expect(at.has(entry.id), `${why}: ${entry.id} twice`).toBe(false)
        at.set(entry.id, seq)
      }
      for (const { saved } of tabs) {
        const places = saved.map(({ id }) => at.get(id) ?? -1)
        expect(places, why).not.toContain(-1)
        saves += places.length
      }
      const again = new Ledger(new BenchStorage(memoryCells(place)), { now: () => 0, newId: () => 'z', announce() {} })
      await again.open()
      expect(again.mended, why).toBeNull()
      // What stands is what the log says, applied from the first entry on.
      const expected = new Map<string, unknown>()
      for (const { entry } of entries)
        for (const { table, id, after } of entry.changes)
          if (table === 'stock') {
            if (after) expected.set(id, after)
            else expected.delete(id)
          }
      expect(new Map(again.records.all('stock').map((row) => [row.id, row])), why).toEqual(expected)
      for (const { ledger } of tabs) {
        await ledger.catchUp()
        expect(new Map(ledger.records.all('stock').map((row) => [row.id, row])), why).toEqual(expected)
      }
      const file = readBenchFile(writeBenchFile(again.records.tables(), 1))
      expect(file.aside, why).toEqual([])
      expect(file.tables, why).toEqual(again.records.tables())
    }
    expect(saves).toBeGreaterThan(RUNS * 5)
  }, 300_000)
})
