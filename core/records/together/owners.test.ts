import { describe, expect, it } from 'vitest'
import { noTables, type Tables } from '../tables'
import { ownCount } from './owners'

/** Two builds, of which one came with another maker's bench, and what belongs to them. */
const tables = {
  ...noTables(),
  build: [{ id: 'b1' }, { id: 'b2', owner: 'them' }],
  joint: [
    { id: 'j1', build: 'b1' },
    { id: 'j2', build: 'b1' },
    { id: 'j3', build: 'b2' },
  ],
  round: [
    { id: 'r1', joint: 'j1' },
    { id: 'r3', joint: 'j3' },
  ],
  coupon: [
    { id: 'c1', round: 'r1' },
    { id: 'c3', round: 'r3' },
  ],
  reading: [
    { id: 'x1', coupon: 'c1' },
    { id: 'x2', coupon: 'c1', owner: 'them' },
    { id: 'x3', coupon: 'c3', owner: 'them' },
  ],
  adhesive: [{ id: 'g1' }, { id: 'g2', owner: 'them' }],
} as unknown as Tables

describe('how much of a bench is the maker’s own', () => {
  it('leaves out what bears another maker, and what belongs to such a thing', () => {
    expect(ownCount(tables, 'build')).toBe(1)
    expect(ownCount(tables, 'joint')).toBe(2)
    expect(ownCount(tables, 'round')).toBe(1)
    expect(ownCount(tables, 'coupon')).toBe(1)
    expect(ownCount(tables, 'adhesive')).toBe(1)
    expect(ownCount(tables, 'decision')).toBe(0)
  })
  it('counts a reading by who read it, whosever the piece is', () => {
    expect(ownCount(tables, 'reading')).toBe(1)
  })
})
