import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { emptyBench } from '../../core/records/bench'
import { insert, remove, update, type Change } from '../../core/records/entry'
import { noTables, type RecordOf, type Tables } from '../../core/records/tables'
import { seededRandom } from '../../core/planning/random'
import { Ledger } from './ledger'
import { memoryStorage, type BenchStorage } from './storage'

const stock = (id: string, left: number): RecordOf<'stock'> => ({
  id,
  adhesive: 'a1',
  batch: '',
  boughtOn: null,
  openedOn: null,
  expiresOn: null,
  left,
})
const start: Tables = { ...noTables(), bench: [emptyBench('b1', 'Test bench', 0)] }

function tools(announce = () => {}) {
  let count = 0
  const tag = Math.random().toString(36).slice(2, 8)
  let turn: Promise<unknown> = Promise.resolve()
  return {
    now: () => 1000,
    newId: () => `${tag}${count++}`,
    exclusive: <T>(work: () => Promise<T>): Promise<T> => {
      const result = turn.then(work)
      turn = result.catch(() => {})
      return result
    },
    announce,
  }
}

async function opened(cells: Map<string, unknown>, storage: BenchStorage = memoryStorage(cells), shared = tools()) {
  const ledger = new Ledger(storage, shared)
  await ledger.open()
  return ledger
}

async function fresh() {
  const cells = new Map<string, unknown>()
  await new Ledger(memoryStorage(cells), tools()).start(start)
  return cells
}

describe('the ledger', () => {
  it('finds every entry again after a restart', async () => {
    const cells = await fresh()
    const ledger = await opened(cells)
    await ledger.commit('Add a pack', [insert('stock', stock('s1', 1))])
    await ledger.commit('Use some', [update('stock', stock('s1', 1), { left: 0.5 })])
    const again = await opened(cells)
    expect(again.records.get('stock', 's1')).toEqual(stock('s1', 0.5))
    expect(again.records.of('stock', 'a1')).toHaveLength(1)
    expect(again.history().map((entry) => entry.label)).toEqual(['Use some', 'Add a pack'])
  })

  it('undoes and redoes by new entries, after a restart too, and an edit clears what could be redone', async () => {
    const cells = await fresh()
    const ledger = await opened(cells)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    await ledger.commit('two', [update('stock', stock('s1', 1), { left: 0.5 })])
    expect((await ledger.undo())?.label).toBe('two')
    expect(ledger.records.get('stock', 's1')?.left).toBe(1)
    const again = await opened(cells)
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

  it('stores what a page has wrapped in proxies, and the stored one does not change with the page', async () => {
    const cells = await fresh()
    const ledger = await opened(cells)
    const wrapped = reactive({ ...stock('s1', 1) })
    await ledger.commit('one', [insert('stock', wrapped)])
    expect(ledger.save.failure).toBeNull()
    wrapped.left = 0.3
    expect(ledger.records.get('stock', 's1')?.left).toBe(1)
    expect((await opened(cells)).records.get('stock', 's1')).toEqual(stock('s1', 1))
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
    const cells = await fresh()
    const shared = tools()
    const [one, two] = [
      await opened(cells, memoryStorage(cells), shared),
      await opened(cells, memoryStorage(cells), shared),
    ]
    await Promise.all(
      [...Array(20).keys()].map((i) => (i % 2 ? one : two).commit(`add ${i}`, [insert('stock', stock(`s${i}`, 1))])),
    )
    await one.catchUp()
    await two.catchUp()
    expect(one.records.count('stock')).toBe(20)
    expect(two.records.tables()).toEqual(one.records.tables())
    expect((await opened(cells)).records.count('stock')).toBe(20)
  })

  it('keeps what could not be stored, says so at once, and stores it later in order', async () => {
    const cells = await fresh()
    const storage = memoryStorage(cells)
    let full = false
    const limited: BenchStorage = {
      ...storage,
      writeEntry: (seq, entry) => (full ? Promise.reject(new Error('quota exceeded')) : storage.writeEntry(seq, entry)),
    }
    const ledger = await opened(cells, limited)
    await ledger.commit('one', [insert('stock', stock('s1', 1))])
    full = true
    await ledger.commit('two', [insert('stock', stock('s2', 1))])
    await ledger.commit('three', [update('stock', stock('s2', 1), { left: 0.1 })])
    expect(ledger.save).toEqual({ stored: 1, waiting: 2, failure: 'quota exceeded' })
    expect(ledger.records.get('stock', 's2')?.left).toBe(0.1)
    full = false
    expect(await ledger.retry()).toBe(true)
    expect(ledger.save).toEqual({ stored: 3, waiting: 0, failure: null })
    expect((await opened(cells)).records.get('stock', 's2')?.left).toBe(0.1)
  })

  it('survives a crash at any write, folding included (seeded fuzz)', async () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seededRandom(seed)
      const cells = await fresh()
      const storage = memoryStorage(cells)
      let writesLeft = Infinity
      const spend = async () => {
        if (writesLeft-- <= 0) throw new Error('killed')
      }
      const dying: BenchStorage = {
        ...storage,
        writeEntry: async (seq, entry) => (await spend(), storage.writeEntry(seq, entry)),
        writeTable: async (table, generation, rows) => (await spend(), storage.writeTable(table, generation, rows)),
        writeHead: async (head) => (await spend(), storage.writeHead(head)),
        dropTable: async (table, generation) => (await spend(), storage.dropTable(table, generation)),
      }
      let ledger = await opened(cells, dying)
      let shown = new Map<string, number>()
      const kill = Math.floor(random() * 60)
      writesLeft = kill
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
        if (random() < 0.1) await ledger.fold().catch(() => {})
      }
      // A new start on what was stored: exactly what the screen had shown as saved.
      ledger = await opened(cells)
      expect(new Map(ledger.records.all('stock').map((row) => [row.id, row.left])), `seed ${seed}`).toEqual(shown)
    }
  })
})
