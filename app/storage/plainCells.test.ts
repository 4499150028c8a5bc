// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { emptyBench } from '../../core/records/emptyBench'
import { insert } from '../../core/records/entry'
import { noTables } from '../../core/records/tables'
import { BenchStorage } from '../bench/storage'
import { Ledger } from '../bench/ledger'
import { browserCells } from './browserCells'
import { CellsGone } from './cells'
import { databaseNames, dropDatabase } from './databases'

beforeEach(() => localStorage.clear())
const tables = { ...noTables(), bench: [emptyBench('b', 'Bench', 1)] }
let ids = 0
const opened = async (name: string, create = false) => {
  const ledger = new Ledger(new BenchStorage(browserCells(name, 'ledger', create)), {
    now: () => 1,
    newId: () => `n${++ids}`,
    announce: () => {},
  })
  if (create) await ledger.start(tables)
  await ledger.open()
  return ledger
}
const build = (id: string) => insert('build', { id, name: `Build ${id}`, inServiceBy: null, budget: null, what: '' })

describe('a browser without databases', () => {
  it('keeps a bench by the package’s plain calls, tab beside tab, and a missing one stays missing', async () => {
    await expect(opened('nowhere')).rejects.toMatchObject({ code: 'bench-gone' })
    const one = await opened('bench', true)
    const two = await opened('bench')
    await Promise.all(['x', 'y', 'z'].map((id, i) => (i % 2 ? two : one).commit(id, [build(id)])))
    await one.fold()
    await two.commit('w', [build('w')])
    const again = await opened('bench')
    expect(
      again.records
        .all('build')
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['w', 'x', 'y', 'z'])
    expect(await databaseNames()).toEqual(['bench'])
    await dropDatabase('bench')
    expect(await databaseNames()).toEqual([])
    await expect(browserCells('bench', 'ledger', false).run('read', (turn) => turn.get('head'))).rejects.toBeInstanceOf(
      CellsGone,
    )
  })

  it('keeps a bench whole where a fold ends in the middle', async () => {
    for (let last = 0; last < 6; last++) {
      localStorage.clear()
      const ledger = await opened(`cut ${last}`, true)
      await ledger.commit('x', [build('x')])
      await ledger.fold()
      await ledger.commit('y', [build('y')])
      let left = last
      const ends = (['setItem', 'removeItem'] as const).map((name) => {
        const original = Storage.prototype[name] as (...of: string[]) => void
        return vi.spyOn(Storage.prototype, name).mockImplementation(function (this: Storage, ...of: string[]) {
          if (--left < 0) throw new DOMException('the end', 'AbortError')
          original.apply(this, of)
        })
      })
      await ledger.fold()
      ends.forEach((spy) => spy.mockRestore())
      const again = await opened(`cut ${last}`)
      expect(again.records.all('build').map(({ id }) => id)).toEqual(['x', 'y'])
    }
  })
})
