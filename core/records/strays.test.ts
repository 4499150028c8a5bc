import { describe, expect, it } from 'vitest'
import { materialClasses } from '../knowledge/materials'
import { strayOf, type Lookup } from './strays'
import { noTables, type RecordOf, type TableName, type Tables } from './tables'

/** Two joints with a round each, as bare as what is asked of them. */
function bench(): Tables {
  const procedure = (id: string, joint: string) => ({ id, joint, steps: [] })
  const round = (id: string, joint: string, procedures: string[]) => ({
    id,
    joint,
    procedures,
    arms: [{ id: 'dry' }, { id: 'wet' }],
    control: null,
    hunch: null,
  })
  return {
    ...noTables(),
    procedure: [procedure('p1', 'j1'), procedure('p2', 'j1'), procedure('q1', 'j2')],
    round: [round('r1', 'j1', ['p1', 'p2']), round('r2', 'j2', ['q1'])],
    reading: [
      { id: 'x1', coupon: 'c1' },
      { id: 'x2', coupon: 'c2' },
    ],
  } as unknown as Tables
}
const among = (tables: Tables): Lookup => ({
  get: (table, id) => (tables[table].find((one) => one.id === id) as never) ?? null,
})
/** The field at fault of a record with some of it changed; null where none is. */
function faultOf<T extends TableName>(table: T, record: object): [string, string] | null {
  const stray = strayOf(table, record as RecordOf<T>, among(bench()))
  return stray && [stray.field, stray.why]
}
const round = (changed: object) => faultOf('round', { ...bench().round[0]!, ...changed })

describe('what a record names in another one', () => {
  it('is there in a bench as it should be', () => {
    const whole = bench()
    for (const one of whole.round) expect(strayOf('round', one, among(whole))).toBeNull()
    expect(round({ control: 'p2', hunch: { order: ['p2', 'p1'] } })).toBeNull()
    expect(round({ timetable: { notBefore: [{ procedure: 'p1', at: 1 }] } })).toBeNull()
    expect(strayOf('build', { id: 'b' } as never, among(whole))).toBeNull()
  })

  it('is an arm and a procedure of its round, for a coupon', () => {
    const coupon = { id: 'c1', round: 'r1', arm: 'wet', procedure: 'p2' }
    expect(faultOf('coupon', coupon)).toBeNull()
    expect(faultOf('coupon', { ...coupon, arm: 'hot' })).toEqual(['arm', 'its round has no arm “hot”'])
    expect(faultOf('coupon', { ...coupon, procedure: 'q1' })?.[0]).toBe('procedure')
    // A round that is not there is another check's.
    expect(faultOf('coupon', { ...coupon, round: 'r9', arm: 'hot' })).toBeNull()
  })

  it('is a round of the same joint, for a decision', () => {
    const decision = { id: 'd', joint: 'j1', round: 'r1', arm: 'dry', procedure: 'p1' }
    expect(faultOf('decision', decision)).toBeNull()
    expect(faultOf('decision', { ...decision, joint: 'j2' })?.[0]).toBe('round')
    expect(faultOf('decision', { ...decision, arm: 'hot' })?.[0]).toBe('arm')
    expect(faultOf('decision', { ...decision, procedure: 'q1' })?.[0]).toBe('procedure')
    expect(faultOf('decision', { ...decision, round: 'r9' })).toBeNull()
  })

  it('is an earlier pull of the same coupon, for a reading that was set aside by it', () => {
    expect(faultOf('reading', { id: 'x3', coupon: 'c1' })).toBeNull()
    expect(faultOf('reading', { id: 'x3', coupon: 'c1', because: 'x1' })).toBeNull()
    expect(faultOf('reading', { id: 'x3', coupon: 'c1', because: 'x2' })?.[0]).toBe('because')
    expect(faultOf('reading', { id: 'x3', coupon: 'c1', because: 'x9' })?.[0]).toBe('because')
  })

  it('is a class of the tables, for a material, and steps that stand there once, for a procedure', () => {
    expect(faultOf('material', { classId: materialClasses[0]!.id })).toBeNull()
    expect(faultOf('material', { classId: 'moon-rock' })).toEqual([
      'classId',
      '“moon-rock” is no material class of the tables',
    ])
    expect(faultOf('procedure', { steps: [{ id: 's1' }, { id: 's2' }] })).toBeNull()
    expect(faultOf('procedure', { steps: [{ id: 's1' }, { id: 's2' }, { id: 's1' }] })?.[1]).toMatch(/“s1”.*twice/)
  })

  it('is of the joint, and stands there once, for all that a round names', () => {
    expect(round({ procedures: ['p1', 'p1'] })?.[1]).toMatch(/“p1” stands there twice/)
    expect(round({ arms: [{ id: 'dry' }, { id: 'dry' }] })?.[1]).toMatch(/“dry” stands there twice/)
    expect(round({ procedures: ['p1', 'q1'] })).toEqual(['procedures', 'not all its procedures are there'])
    expect(round({ procedures: ['p1', 'p9'] })?.[0]).toBe('procedures')
    expect(round({ control: 'q1' })?.[0]).toBe('control')
    expect(round({ hunch: { order: ['p1', 'p1'] } })?.[0]).toBe('hunch')
    expect(round({ hunch: { order: ['p1', 'q1'] } })?.[0]).toBe('hunch')
    expect(round({ timetable: { notBefore: [{ procedure: 'p1' }, { procedure: 'q1' }] } })?.[0]).toBe('timetable')
  })
})
