import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { emptyBench } from '../../core/records/emptyBench'
import { insert, remove, update, type Change, type Entry } from '../../core/records/entry'
import { noTables, type RecordOf, type Tables } from '../../core/records/tables'
import { seededRandom } from '../../core/planning/random'
import { memoryCells, memoryPlace, type Cells, type MemoryPlace } from '../storage/cells'
import { Ledger } from './ledger'
import { UNDO_DEPTH } from './recent'
import { BenchStorage } from './storage'

const glue = {
  id: 'a1',
  name: 'Tin contact',
  family: 'contact-solvent',
  aliases: [],
  packSize: 250,
  packUnit: 'ml' as const,
  packPrice: 9,
  label: {},
  note: '',
}
const stock = (id: string, left: number): RecordOf<'stock'> => ({
  id,
  adhesive: 'a1',
  batch: `batch of ${id}`,
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left,
})
const start: Tables = { ...noTables(), bench: [emptyBench('b1', 'Test bench', 0)], adhesive: [glue] }

function tools(announce = () => {}) {
  let count = 0
  const tag = Math.random().toString(36).slice(2, 8)
  return { now: () => 1000, newId: () => `${tag}${count++}`, announce }
}

async function opened(place: MemoryPlace, cells: Cells = memoryCells(place)) {
  const ledger = new Ledger(new BenchStorage(cells), tools())
  await ledger.open()
  return ledger
}

async function fresh(): Promise<MemoryPlace> {
  const place = memoryPlace()
  await new Ledger(new BenchStorage(memoryCells(place)), tools()).start(start)
  return place
}
/** Writes that count down to a failure; the transaction they belong to fails with them. */
function failing(place: MemoryPlace, fails: () => string | null): Cells {
  const cells = memoryCells(place)
  const guard = async () => {
    const reason = fails()
    if (reason) throw new Error(reason)
  }
  return {
    ...cells,
    run: (mode, work) =>
      cells.run(mode, (turn) =>
        work({
          ...turn,
          add: async (key, value) => (await guard(), turn.add(key, value)),
          put: async (key, value) => (await guard(), turn.put(key, value)),
          remove: async (key) => (await guard(), turn.remove(key)),
        }),
      ),
  }
}
const entry = (seq: number, changes: Change[]): [string, Entry] => [
  `entry:${String(seq).padStart(9, '0')}`,
  { id: `e${seq}`, at: seq, label: `entry ${seq}`, kind: 'edit', of: null, changes },
]

describe('the ledger', () => {
  it('finds every entry again after a restart', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    await ledger.commit('Add a pack', [insert('stock', stock('s1', 1))])
    await ledger.commit('Use some', [update('stock', stock('s1', 1), { left: 0.5 })])
    const again = await opened(place)
    expect(again.records.get('stock', 's1')).toEqual(stock('s1', 0.5))
    expect(again.records.of('stock', 'a1')).toHaveLength(1)
    expect(again.history().map((entry) => entry.label)).toEqual(['Use some', 'Add a pack'])
  })

  it('has every change ever made at hand, folded ones and those from before a restart too', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    const many = 2 * UNDO_DEPTH + 50
    for (let n = 0; n < many; n++) await ledger.commit(`pack ${n}`, [insert('stock', stock(`s${n}`, 1))])
    await ledger.fold()
    const again = await opened(place)
    await again.commit('the last', [insert('stock', stock('last', 1))])
    expect(again.history().length).toBeLessThan(many)
    const whole = await again.wholeHistory()
    expect(whole.map(({ label }) => label)).toEqual([
      'the last',
      ...Array.from({ length: many }, (_, n) => `pack ${many - 1 - n}`),
    ])
  })

  it('undoes and redoes by new entries, after a restart too, and an edit clears what could be redone', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    await ledger.commit('two', [update('stock', stock('s1', 1), { left: 0.5 })])
    expect((await ledger.undo())?.label).toBe('two')
    expect(ledger.records.get('stock', 's1')?.left).toBe(1)
    const again = await opened(place)
    expect(again.canUndo?.label).toBe('one')
    expect((await again.redo())?.label).toBe('two')
    expect(again.records.get('stock', 's1')?.left).toBe(0.5)
    await again.undo()
    await again.undo()
    expect(again.records.count('stock')).toBe(0)
    expect(await again.undo()).toBeNull()
    await again.commit('three', [insert('stock', stock('s2', 1))])
    expect(again.canRedo).toBeNull()
  })

  it('takes an edit back around what another tab changed of the same record since', async () => {
    const place = await fresh()
    const [mine, other] = [await opened(place), await opened(place)]
    await mine.commit('a pack', [insert('stock', stock('s1', 1))])
    await mine.commit('half used', [update('stock', stock('s1', 1), { left: 0.5 })])
    await other.catchUp()
    await other.commit('batch noted', [update('stock', stock('s1', 0.5), { batch: 'B7' })])
    expect((await mine.undo())?.label).toBe('half used')
    expect(mine.records.get('stock', 's1')).toMatchObject({ left: 1, batch: 'B7' })
    expect((await opened(place)).records.get('stock', 's1')).toMatchObject({ left: 1, batch: 'B7' })
  })

  it('names what changed the same field since, and takes nothing back', async () => {
    const place = await fresh()
    const [mine, other] = [await opened(place), await opened(place)]
    await mine.commit('a pack', [insert('stock', stock('s1', 1))])
    await mine.commit('half used', [update('stock', stock('s1', 1), { left: 0.5 })])
    await other.catchUp()
    await other.commit('nearly empty', [update('stock', stock('s1', 0.5), { left: 0.1 })])
    await expect(mine.undo()).rejects.toMatchObject({
      code: 'changed-since',
      facts: { what: 'half used', by: 'nearly empty' },
    })
    expect((await opened(place)).records.get('stock', 's1')?.left).toBe(0.1)
    // It stands on the list like any other now, and goes first.
    expect((await mine.undo())?.label).toBe('nearly empty')
    expect((await mine.undo())?.label).toBe('half used')
    expect(mine.records.get('stock', 's1')?.left).toBe(1)
  })

  it('stores what a page has wrapped in proxies, and the stored one does not change with the page', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    const wrapped = reactive({ ...stock('s1', 1) })
    await ledger.commit('one', [insert('stock', wrapped)])
    expect(ledger.save.failure).toBeNull()
    wrapped.left = 0.3
    expect(ledger.records.get('stock', 's1')?.left).toBe(1)
    expect((await opened(place)).records.get('stock', 's1')).toEqual(stock('s1', 1))
  })

  it('refuses a record that does not fit, and one that was changed elsewhere, and writes nothing', async () => {
    const ledger = await opened(await fresh())
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    await expect(ledger.commit('bad', [update('stock', stock('s1', 1), { left: 7 })])).rejects.toMatchObject({
      code: 'wrong-shape',
      path: 'stock s1 left',
    })
    await expect(ledger.commit('old', [update('stock', stock('s1', 0.2), { left: 0.3 })])).rejects.toMatchObject({
      code: 'conflict',
    })
    expect(ledger.records.get('stock', 's1')?.left).toBe(1)
    expect(ledger.history()).toHaveLength(1)
  })

  it('is followed by another tab, and two tabs never take the same place', async () => {
    const place = await fresh()
    const [one, two] = [await opened(place), await opened(place)]
    await Promise.all(
      [...Array(20).keys()].map((i) => (i % 2 ? one : two).commit(`add ${i}`, [insert('stock', stock(`s${i}`, 1))])),
    )
    await Promise.all([one.catchUp(), two.catchUp(), one.catchUp(), one.catchUp()])
    expect(one.records.count('stock')).toBe(20)
    expect(two.records.all('stock').map(({ id }) => id)).toEqual(one.records.all('stock').map(({ id }) => id))
    expect((await opened(place)).records.count('stock')).toBe(20)
    const keys = [...place.cells.keys()].filter((key) => key.startsWith('entry')).sort()
    expect(keys.map((key) => Number(key.slice(6)))).toEqual([...Array(20).keys()].map((i) => i + 1))
  })

  it('catches up as often as it is told to at once, and counts no entry twice', async () => {
    const place = await fresh()
    const [one, two] = [await opened(place), await opened(place)]
    await one.commit('a', [insert('stock', stock('s1', 1))])
    await Promise.all(Array.from({ length: 8 }, () => two.catchUp()))
    await two.commit('b', [insert('stock', stock('s2', 1))])
    await one.commit('c', [insert('stock', stock('s3', 1))])
    expect((await opened(place)).records.all('stock').map(({ id }) => id)).toEqual(['s1', 's2', 's3'])
  })

  it('keeps what could not be stored, says so at once, and stores it later in order', async () => {
    const place = await fresh()
    let full = false
    const ledger = await opened(
      place,
      failing(place, () => (full ? 'quota exceeded' : null)),
    )
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    full = true
    await ledger.commit('two', [insert('stock', stock('s2', 1))])
    await ledger.commit('three', [update('stock', stock('s2', 1), { left: 0.1 })])
    expect(ledger.save).toMatchObject({ stored: 1, waiting: 2, failure: 'quota exceeded' })
    expect(ledger.records.get('stock', 's2')?.left).toBe(0.1)
    full = false
    expect(await ledger.retry()).toBe(true)
    expect(ledger.save).toMatchObject({ stored: 3, waiting: 0, failure: null })
    expect((await opened(place)).records.get('stock', 's2')?.left).toBe(0.1)
  })

  it('puts what waited in memory behind what another tab stored; what no longer fits is named', async () => {
    const place = await fresh()
    let full = false
    const one = await opened(
      place,
      failing(place, () => (full ? 'quota exceeded' : null)),
    )
    const two = await opened(place)
    await one.commit('made', [insert('stock', stock('s1', 1))])
    full = true
    await one.commit('own edit', [update('stock', stock('s1', 1), { left: 0.9 })])
    await one.commit('another', [insert('stock', stock('s2', 1))])
    await two.catchUp()
    await two.commit('their edit', [update('stock', stock('s1', 1), { left: 0.2 })])
    full = false
    await one.retry()
    expect(one.save.stranded.map(({ label }) => label)).toEqual(['own edit'])
    expect(one.save).toMatchObject({ waiting: 0, failure: null })
    const again = await opened(place)
    expect(again.records.get('stock', 's1')?.left).toBe(0.2)
    expect(again.records.get('stock', 's2')?.left).toBe(1)
    expect(one.records.tables()).toEqual(again.records.tables())
    one.letGo()
    expect(one.save.stranded).toEqual([])
  })

  it('survives a crash at any write, folding included (seeded fuzz)', async () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seededRandom(seed)
      const place = await fresh()
      let writesLeft = Math.floor(random() * 60)
      let ledger = await opened(
        place,
        failing(place, () => (writesLeft-- <= 0 ? 'killed' : null)),
      )
      let shown = new Map<string, number>()
      for (let i = 0; i < 60; i++) {
        const known = [...shown.keys()]
        const pick = known[Math.floor(random() * known.length)]
        const changes: Change[] =
          pick === undefined || random() < 0.5
            ? [insert('stock', stock(`s${i}`, 1))]
            : random() < 0.3
              ? [remove('stock', stock(pick, shown.get(pick)!))]
              : [update('stock', stock(pick, shown.get(pick)!), { left: Math.round(random() * 100) / 100 })]
        await ledger.commit(`step ${i}`, changes)
        if (ledger.save.failure) break
        shown = new Map(ledger.records.all('stock').map((row) => [row.id, row.left]))
        if (random() < 0.1) await ledger.fold()
      }
      // A new start on what was stored: exactly what the screen had shown as saved.
      ledger = await opened(place)
      expect(new Map(ledger.records.all('stock').map((row) => [row.id, row.left])), `seed ${seed}`).toEqual(shown)
    }
  })
})

describe('a bench that is gone or broken', () => {
  it('is said on the tab that still shows it, and what is done there stays in memory', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    place.gone = true
    await ledger.commit('two', [insert('stock', stock('s2', 1))])
    expect(ledger.save).toMatchObject({ stored: 1, waiting: 1, gone: true })
    expect(ledger.save.failure).toMatch(/no longer kept here/)
    expect(ledger.records.count('stock')).toBe(2)
  })

  it('does not write into another bench that took its place', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    place.cells.clear()
    await new Ledger(new BenchStorage(memoryCells(place)), tools()).start(start)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    expect(ledger.save).toMatchObject({ gone: true, waiting: 1, stored: 0 })
    expect((await opened(place)).records.count('stock')).toBe(0)
  })

  it('is not opened without its head, nor with an empty table in place of a missing one', async () => {
    const place = await fresh()
    place.cells.delete('table:adhesive:1')
    await expect(opened(place)).rejects.toMatchObject({ code: 'bench-damaged' })
    place.cells.delete('head')
    await expect(opened(place)).rejects.toMatchObject({ code: 'bench-damaged' })
    place.cells.clear()
    await expect(opened(place)).rejects.toMatchObject({ code: 'bench-gone' })
  })

  it('is opened where its tables are rows, as before, and not where the text of one is cut off', async () => {
    const place = await fresh()
    const key = 'table:adhesive:1'
    const text = place.cells.get(key) as string
    place.cells.set(key, JSON.parse(text))
    const old = (await opened(place)).records.all('adhesive')
    expect(old.length).toBeGreaterThan(0)
    place.cells.set(key, text)
    expect((await opened(place)).records.all('adhesive')).toEqual(old)
    place.cells.set(key, text.slice(0, -20))
    await expect(opened(place)).rejects.toMatchObject({ code: 'bench-damaged' })
  })

  it('fails loudly when the entry before its own is missing', async () => {
    const place = await fresh()
    const ledger = await opened(place)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    place.cells.delete('entry:000000001')
    await ledger.commit('two', [insert('stock', stock('s2', 1))])
    expect(ledger.save.failure).toMatch(/entry 1 is missing/)
    expect(ledger.save.waiting).toBe(1)
  })

  it('brings back what stands behind a hole of an older version, as far as it fits, and says so once', async () => {
    const place = await fresh()
    for (const [key, value] of [
      entry(1, [insert('stock', stock('s1', 1))]),
      entry(2, [update('stock', stock('s1', 1), { left: 0.5 })]),
      // 3 is missing
      entry(4, [insert('stock', stock('s4', 1))]),
      entry(5, [update('stock', stock('s1', 1), { left: 0.8 })]),
      entry(6, [insert('stock', { ...stock('s6', 1), adhesive: 'nowhere' })]),
    ])
      place.cells.set(key, value)
    const ledger = await opened(place)
    expect(ledger.mended).toEqual({ broughtBack: ['entry 4'], aside: ['entry 5', 'entry 6'] })
    expect(ledger.records.all('stock').map(({ id, left }) => [id, left])).toEqual([
      ['s1', 0.5],
      ['s4', 1],
    ])
    await ledger.commit('new', [insert('stock', stock('s7', 1))])
    const again = await opened(place)
    expect(again.mended).toBeNull()
    expect(again.records.tables()).toEqual(ledger.records.tables())
    expect(place.cells.has('aside:000000005')).toBe(true)
  })

  it('does not let an old edit behind a filled hole come back over a newer one', async () => {
    const place = await fresh()
    for (const [key, value] of [
      entry(1, [insert('stock', stock('s1', 1))]),
      // written later, into the hole; what stands behind it expects the first state
      entry(2, [update('stock', stock('s1', 1), { left: 0.2 })]),
      entry(3, [update('stock', stock('s1', 1), { left: 0.9 })]),
    ])
      place.cells.set(key, value)
    const ledger = await opened(place)
    expect(ledger.records.get('stock', 's1')?.left).toBe(0.2)
    expect(ledger.mended?.aside).toEqual(['entry 3'])
  })
})

describe('the same press twice', () => {
  it('is one entry, in one tab and in two', async () => {
    const place = await fresh()
    const [one, two] = [await opened(place), await opened(place)]
    const add = (ledger: Ledger, id: string) =>
      ledger.commit('Add a pack', [insert('stock', { ...stock(id, 1), batch: 'x' })])
    const entries = await Promise.all([add(one, 'p'), add(one, 'q'), add(two, 'r')])
    expect(new Set(entries.map(({ id }) => id)).size).toBe(1)
    await Promise.all([one.catchUp(), two.catchUp()])
    expect(one.records.count('stock')).toBe(1)
    expect(two.records.count('stock')).toBe(1)
    // A moment later in the other tab, before anyone could have seen it: still the same press.
    await add(two, 't')
    expect(two.records.count('stock')).toBe(1)
    // Pressed again after it was seen: meant.
    await add(one, 's')
    expect((await opened(place)).records.count('stock')).toBe(2)
  })

  it('takes one edit back when undo is pressed twice at once', async () => {
    const ledger = await opened(await fresh())
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    await ledger.commit('two', [insert('stock', stock('s2', 1))])
    await Promise.all([ledger.undo(), ledger.undo()])
    expect(ledger.records.count('stock')).toBe(1)
  })

  it('is refused where only one may stand, whatever the label says', async () => {
    const place = await fresh()
    const [one, two] = [await opened(place), await opened(place)]
    const named = (id: string) => insert('adhesive', { ...glue, id, name: ' tin contact' })
    await expect(one.commit('Put on the shelf', [named('a2')])).rejects.toMatchObject({ code: 'taken' })
    await expect(two.commit('pack', [insert('stock', { ...stock('s', 1), adhesive: 'zz' })])).rejects.toMatchObject({
      code: 'points-nowhere',
    })
    await two.commit('pack', [insert('stock', stock('s', 1))])
    await expect(one.commit('away', [remove('adhesive', glue)])).rejects.toMatchObject({ code: 'still-used' })
    await one.commit('away with its pack', [remove('stock', stock('s', 1)), remove('adhesive', glue)])
    expect(one.records.count('adhesive')).toBe(0)
  })
})
