import { describe, expect, it } from 'vitest'
import { tableNames, type Tables } from '../tables'
import { SECOND_READING, settleTwice } from './settle'

type Row = Record<string, unknown>
const given = (rows: Partial<Record<keyof Tables, Row[]>>): Tables =>
  ({ ...Object.fromEntries(tableNames.map((name) => [name, []])), ...rows }) as unknown as Tables
const named = (tables: Tables, table: keyof Tables, field: string) =>
  Object.fromEntries((tables[table] as unknown as Row[]).map((row) => [row['id'], row[field]]))

describe('what two copies called alike', () => {
  it('keeps its name where it was made first, however late it was changed', () => {
    const tables = given({
      joint: [
        { id: 'late', code: 'H4', build: 'b', createdAt: 20 },
        { id: 'first', code: 'H4', build: 'b', createdAt: 10, decidedAt: 90, closedAt: 90 },
        { id: 'high', code: 'H9', build: 'b', createdAt: 5 },
        { id: 'elsewhere', code: 'H20', build: 'c', createdAt: 5 },
      ],
    })
    expect(settleTwice(tables)).toEqual([{ table: 'joint', id: 'late', field: 'code', was: 'H4', is: 'H10' }])
    expect(named(tables, 'joint', 'code')).toEqual({ first: 'H4', late: 'H10', high: 'H9', elsewhere: 'H20' })
  })
  it('of one age keeps it by its id, so that both copies come to the same', () => {
    for (const order of [
      ['p', 'q'],
      ['q', 'p'],
    ]) {
      const tables = given({ procedure: order.map((id) => ({ id, joint: 'j', letter: 'A', createdAt: 1 })) })
      settleTwice(tables)
      expect(named(tables, 'procedure', 'letter')).toEqual({ p: 'A', q: 'B' })
    }
  })
  it('of three gives each the next that is free: letters, numbers, labels', () => {
    const three = (more: Row) => ['x1', 'x2', 'x3'].map((id, i) => ({ id, createdAt: i, ...more }))
    const tables = given({
      procedure: [...three({ joint: 'j', letter: 'A' }), { id: 'b', joint: 'j', letter: 'B', createdAt: 9 }],
      round: three({ joint: 'j', number: 1 }),
      coupon: [...three({ round: 'r', label: 'H2-A3' }), { id: 'c', round: 'r', label: 'H2-A1', createdAt: 9 }],
    })
    settleTwice(tables)
    expect(named(tables, 'procedure', 'letter')).toEqual({ x1: 'A', x2: 'C', x3: 'D', b: 'B' })
    expect(named(tables, 'round', 'number')).toEqual({ x1: 1, x2: 2, x3: 3 })
    expect(named(tables, 'coupon', 'label')).toEqual({ x1: 'H2-A3', x2: 'H2-A2', x3: 'H2-A4', c: 'H2-A1' })
  })
  it('of readings sets the second aside; other ways and readings set aside stand beside it', () => {
    const reading = (id: string, at: number, more: Row = {}) => ({
      ...{ id, at, coupon: 'c', setAside: null, direction: null, again: false },
      ...more,
    })
    const tables = given({
      reading: [
        reading('b', 2),
        reading('a', 1),
        reading('way', 3, { direction: 'shear' }),
        reading('off', 0, { setAside: 'slipped' }),
      ],
    })
    expect(settleTwice(tables)).toEqual([
      { table: 'reading', id: 'b', field: 'setAside', was: null, is: SECOND_READING },
    ])
  })
  it('says so where no letter is left', () => {
    const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ', 'A']
    const tables = given({
      procedure: letters.map((letter, i) => ({ id: `p${i}`, joint: 'j', letter, createdAt: i })),
    })
    expect(() => settleTwice(tables)).toThrow(expect.objectContaining({ code: 'none-left' }))
  })
})
