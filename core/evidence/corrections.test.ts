import { describe, expect, it } from 'vitest'
import { typicalPairStrength } from '../knowledge/strengths'
import { borrow } from './borrow'
import { correctionOf } from './corrections'
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
})
