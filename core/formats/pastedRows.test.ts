import { describe, expect, it } from 'vitest'
import { MOST_ROWS, pastedEnd, pastedTable, widest } from './pastedRows'
import { pastTests } from './pastTests'

describe('rows out of a spreadsheet', () => {
  it('are told apart by their headings, in any order, with the unit of the readings', () => {
    const table = pastedTable([
      ['Note', 'Load (kgf)', 'Piece', 'Where'],
      ['', '1.5', 'H2-A1', 'A'],
      ['', '', '', ''],
      ['strings', '2', 'H2-B1', 'glue'],
    ])
    expect(table.mapping).toEqual({ coupon: 2, reading: 1, where: 3, note: 0 })
    expect(table.unit).toBe('kgf')
    expect(table.rows.map(({ line }) => line)).toEqual([2, 4])
  })

  it('without headings stand in the usual order, as far as there are columns', () => {
    const table = pastedTable([['H2-A1', '14 N', 'A']])
    expect(table).toMatchObject({ headings: null, mapping: { coupon: 0, reading: 1, where: 2, note: null } })
    expect(table.rows).toEqual([{ line: 1, cells: ['H2-A1', '14 N', 'A'] }])
    expect(pastedTable([]).rows).toEqual([])
  })

  it('follow the maker where they say otherwise', () => {
    const mapping = { coupon: 1, reading: 0, where: null, note: null }
    expect(pastedTable([['5', 'H2-A1']], mapping).mapping).toEqual(mapping)
  })

  it.each([
    ['A', { end: 'broke', place: 'offA' }],
    ['at b', { end: 'broke', place: 'offB' }],
    ['torn A', { end: 'broke', place: 'tornA' }],
    ['TB', { end: 'broke', place: 'tornB' }],
    ['in the glue', { end: 'broke', place: 'glue' }],
    ['held', { end: 'held' }],
    ['still wet', { end: 'wet' }],
    ['fell off', { end: 'handling' }],
    ['fault: grip slipped', { end: 'fault', reason: 'grip slipped' }],
    ['somewhere', null],
    ['', null],
  ])('reads %j', (text, want) => expect(pastedEnd(text)).toEqual(want))
})

describe('150,000 rows without a heading', () => {
  const rows = Array.from({ length: 150_000 }, (_, i) => [`H2-A${i}`, '14 N', 'A'])
  it('neither overflow nor are looked at beyond what a page can bear', () => {
    expect(pastedTable(rows).rows).toHaveLength(150_000)
    expect(widest(rows)).toBe(3)
    const mapping = { a: 0, b: 0, glue: 0, load: 1, width: 2, overlap: 2, where: null, day: null, note: null }
    const settings = { mapping, test: 'lap-shear', unit: 'N', name: 'Past' } as const
    const read = pastTests(
      rows.map((cells, i) => ({ line: i + 1, cells })),
      settings,
      0,
    )
    expect(read.bad).toHaveLength(MOST_ROWS + 1)
    expect(read.bad.at(-1)).toEqual({
      line: MOST_ROWS + 1,
      why: 'and what follows it: up to 20000 rows are taken at a time',
    })
  })
})
