import { describe, expect, it } from 'vitest'
import { typicalPairStrength } from '../knowledge/strengths'
import { borrow } from './borrow'
import { correctionOf, lentStrengths, tableStrength } from './corrections'
import type { PairEvidence } from './pairEvidence'

const table = typicalPairStrength('wood', 'metal', 'epoxy-slow')!.strength.observedMPa
const about = (typical: number, sd = 0.125) => ({ typical, posterior: { mean: Math.log(typical), sd } })
const pulled = (patch: Partial<PairEvidence> = {}): PairEvidence => ({
  family: 'epoxy-slow',
  adhesive: null,
  sides: [
    { material: 'wood', state: null },
    { material: 'metal', state: null },
  ],
  test: 'lap-shear',
  exposure: null,
  owner: null,
  joint: 'j',
  round: 'r',
  procedure: 'p',
  arm: 'a1',
  between: null,
  weakJoint: null,
  points: [],
  pulls: 4,
  valid: 4,
  ...about(2 * table),
  atLeast: false,
  unit: 'MPa',
  limit: null,
  from: [],
  ...patch,
})

describe('what own pulls make of the tables', () => {
  it('is the solve of the model with the scatter of the pulls', () => {
    const one = correctionOf([pulled()], 'metal', 'wood', 'epoxy-slow')!
    const cell = { pair: 'metal|wood', family: 'epoxy-slow', table: Math.log(table) }
    const [same] = borrow([{ ...cell, mean: Math.log(2 * table), sd: 0.125 }], [cell])
    expect(one.factor).toBeCloseTo(same!.correction, 9)
    expect(one).toMatchObject({ tested: true, pulls: 4 })
    expect(one.factor).toBeGreaterThan(1.9)
  })

  it('reaches other pairs and families, less, and says that it is borrowed', () => {
    const own = correctionOf([pulled()], 'metal', 'wood', 'epoxy-slow')!.factor
    const other = correctionOf([pulled()], 'glass', 'card', 'pva-white')!
    expect(other.tested).toBe(false)
    expect(other.factor).toBeGreaterThan(1.05)
    expect(other.factor).toBeLessThan(own)
    expect(correctionOf([pulled(about(table / 2))], 'glass', 'card', 'pva-white')!.factor).toBeLessThan(1)
  })

  it('counts neither grades nor bounds below the table, and a bound above it for little', () => {
    const of = (patch: Partial<PairEvidence>) => correctionOf([pulled(patch)], 'metal', 'wood', 'epoxy-slow')
    expect(of({ unit: 'cycles' })).toBeNull()
    expect(of({ typical: null, posterior: null })).toBeNull()
    expect(of({ atLeast: true, typical: table })).toBeNull()
    const bound = of({ atLeast: true, ...about(2 * table, 0.7) })!.factor
    expect(bound).toBeGreaterThan(1)
    expect(bound).toBeLessThan(of({})!.factor)
    expect(correctionOf([], 'metal', 'wood', 'epoxy-slow')).toBeNull()
  })

  it('counts neither pulls after an exposure, nor another maker’s as tested here', () => {
    const of = (patch: Partial<PairEvidence>) => correctionOf([pulled(patch)], 'metal', 'wood', 'epoxy-slow')
    expect(of({ exposure: { kind: 'wash', amount: 3, hours: 6 } })).toBeNull()
    expect(of({})!.tested).toBe(true)
    expect(of({ owner: 'm2' })!.tested).toBe(false)
    expect(of({ owner: 'm2' })!.factor).toBeLessThan(of({})!.factor)
  })

  it('lends strengths with an interval to what was not pulled, in the unit asked for', () => {
    const ask = { a: 'wood', b: 'card', family: 'epoxy-slow', unit: 'MPa' as const }
    const [lent] = lentStrengths([pulled()], [ask])
    const row = tableStrength('wood', 'card', 'epoxy-slow', 'MPa')!
    expect(lent).toMatchObject({ a: 'wood', b: 'card', unit: 'MPa', table: row })
    const [same] = borrow(
      [{ pair: 'metal|wood', family: 'epoxy-slow', table: Math.log(table), mean: Math.log(2 * table), sd: 0.125 }],
      [{ pair: 'card|wood', family: 'epoxy-slow', table: Math.log(row) }],
    )
    expect(lent!.median).toBeCloseTo(same!.median, 9)
    expect(lent!.low90).toBeCloseTo(same!.low90, 9)
    // What was pulled is not borrowed, another maker's pull of it is; without pulls there is nothing to lend.
    const own = { a: 'metal', b: 'wood', family: 'epoxy-slow', unit: 'MPa' as const }
    expect(lentStrengths([pulled()], [own])).toEqual([])
    expect(lentStrengths([pulled({ owner: 'm2' })], [own])).toHaveLength(1)
    expect(lentStrengths([], [ask])).toEqual([])
    expect(lentStrengths([pulled()], [{ ...ask, family: 'no such glue' }])).toEqual([])
  })
})
