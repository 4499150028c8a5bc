import { describe, expect, it } from 'vitest'
import type { Joint } from '../records/joint'
import { openBrief } from '../records/openBrief'
import type { Reading } from '../records/reading'
import type { Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { gatheredEvidence, onThisPair, ownEvidence, sayingOf, type EvidenceTables } from './pairEvidence'

const side = (material: string, state: 'sanded' | null = null) => ({ material, thicknessMm: null, state, traits: null })
const joint = (id: string, a: string, b: string): Joint => ({
  id,
  build: 'bu',
  code: 'H1',
  name: id,
  createdAt: 0,
  brief: { ...openBrief(), a: side(a, 'sanded'), b: side(b) },
})
const procedure: Procedure = {
  id: 'pA',
  joint: 'j',
  letter: 'A',
  name: 'x',
  family: 'ca-gel',
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
}
const round: Round = {
  id: 'r',
  joint: 'j',
  number: 1,
  arms: [
    {
      id: 'a1',
      test: 'lap-shear',
      exposure: null,
      size: { widthMm: 25, overlapMm: 12 },
      passLimit: 0.2,
      passSetAt: 0,
      lateChanges: [],
    },
  ],
  procedures: ['pA'],
  blocks: 3,
  seed: 1,
  order: 'shuffled',
  control: null,
  hunch: null,
  weights: null,
  plannedAt: 0,
}
const coupon = (n: number): Coupon => ({
  id: `c${n}`,
  round: 'r',
  arm: 'a1',
  procedure: 'pA',
  block: n,
  label: `H1-A${n}`,
  glueAt: n,
  pullAt: n,
  size: {},
  stamps: [],
  deviations: [],
})
const torn = { tornA: 100, offA: 0, glue: 0, offB: 0, tornB: 0 }
const glue = { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 }
const reading = (n: number, newton: number, places = glue, more: Partial<Reading> = {}): Reading => ({
  id: `x${n}`,
  coupon: `c${n}`,
  at: 0,
  raw: { way: 'gauge', value: newton, unit: 'N', tareKg: 0 },
  outcome: { end: 'broke', places },
  size: { widthMm: 25, overlapMm: 12 },
  early: null,
  note: '',
  setAside: null,
  corrected: [],
  ...more,
})
const tables = (readings: Reading[]): EvidenceTables => ({
  joint: [joint('j', 'own-foam', 'card')],
  procedure: [procedure],
  round: [round],
  coupon: [coupon(1), coupon(2), coupon(3)],
  reading: readings,
})
const classOf = (id: string) => (id === 'own-foam' ? 'foam-eva' : id)

describe('own evidence, pair by pair', () => {
  it('sums up the pulls of one glue on one pair, own materials standing for their class', () => {
    // 90, 120 and 150 N on 300 mm²: 0.3, 0.4, 0.5 MPa, geometric middle near 0.39.
    const [one] = ownEvidence(tables([reading(1, 90), reading(2, 120), reading(3, 150)]), classOf)
    expect(one).toMatchObject({
      family: 'ca-gel',
      pulls: 3,
      valid: 3,
      unit: 'MPa',
      limit: 0.2,
      from: ['H1-A1', 'H1-A2', 'H1-A3'],
      sides: [
        { material: 'foam-eva', state: 'sanded' },
        { material: 'card', state: null },
      ],
    })
    expect(one!.typical! / Math.cbrt(0.3 * 0.4 * 0.5)).toBeCloseTo(1, 1)
    expect(sayingOf(one!, openBrief())).toEqual({ says: 'holds', limit: 0.2 })
  })
  it('gives the posterior of ln strength: about the mean of the logs, and tighter than the single pulls', () => {
    const [one] = ownEvidence(tables([reading(1, 90), reading(2, 120), reading(3, 150)]), classOf)
    const { mean, sd } = one!.posterior!
    expect(mean).toBeCloseTo((Math.log(0.3) + Math.log(0.4) + Math.log(0.5)) / 3, 1)
    // Three pulls of scatter near 0.26 say it to about 0.26/√3, a little more for the scatter that is not known.
    expect(sd).toBeGreaterThan(0.26 / Math.sqrt(3) - 0.03)
    expect(sd).toBeLessThan(0.25)
    const [bound] = ownEvidence(tables([reading(1, 90, torn), reading(2, 120, torn)]), classOf)
    expect(bound!.posterior!.sd).toBeGreaterThan(2 * sd)
  })
  it('says “at least” where the part always tore, and leaves wet and set-aside pulls out', () => {
    const [one] = ownEvidence(tables([reading(1, 90, torn), reading(2, 120, torn), reading(3, 150, torn)]), classOf)
    expect(one).toMatchObject({ atLeast: true, valid: 3 })
    expect(one!.typical).toBeGreaterThan(0.2)
    const wet = { end: 'wet', places: null } as const
    const [less] = ownEvidence(
      tables([reading(1, 90), reading(2, 20, glue, { outcome: wet }), reading(3, 5, glue, { setAside: 'slipped' })]),
      classOf,
    )
    expect(less).toMatchObject({ pulls: 3, valid: 1 })
    expect(sayingOf(less!, openBrief()).says).toBe('unclear')
  })
  it('says nothing of a glue with no pull, nor of a joint whose material is open', () => {
    expect(ownEvidence(tables([]), classOf)).toEqual([])
    const open = { ...tables([reading(1, 90)]), joint: [{ ...joint('j', 'x', 'y'), brief: openBrief() }] }
    expect(ownEvidence(open, classOf)).toEqual([])
  })
  it('is found for the same pair with its sides the other way round, and knows whether the faces were alike', () => {
    const all = ownEvidence(tables([reading(1, 90)]), classOf)
    const found = (a: ReturnType<typeof side>, b: ReturnType<typeof side>) =>
      onThisPair(all, { ...openBrief(), a, b }, classOf).map(({ exactly }) => exactly)
    expect(found(side('card'), side('foam-eva', 'sanded'))).toEqual([true])
    expect(found(side('foam-eva'), side('card'))).toEqual([false])
    expect(found(side('foam-eva'), side('wood'))).toEqual([])
    expect(onThisPair(all, openBrief(), classOf)).toEqual([])
  })
  it('judges by what this joint needs before the limit that the coupons were planned with', () => {
    const [one] = ownEvidence(tables([reading(1, 90), reading(2, 120), reading(3, 150)]), classOf)
    // 20 kg × 9.80665 ÷ 200 mm² = 0.98 MPa
    expect(sayingOf(one!, { ...openBrief(), weightKg: 20, widthMm: 20, lengthMm: 10 }).says).toBe('fails')
  })

  it('keeps what was heated and what another maker pulled apart, with when and from which pack each was glued', () => {
    const heated = {
      ...round,
      arms: [...round.arms, { ...round.arms[0]!, id: 'a2', exposure: { kind: 'heat' as const, amount: 50, hours: 4 } }],
    }
    const stamped = { ...coupon(1), stamps: [{ step: 's', at: 7, stock: 'k1' }] }
    const all = gatheredEvidence(
      {
        ...tables([reading(1, 90), reading(2, 120, glue, { owner: 'm2', at: 9 }), reading(3, 30)]),
        round: [heated],
        coupon: [stamped, coupon(2), { ...coupon(3), arm: 'a2' }],
      },
      classOf,
    )
    expect(all.map(({ owner, exposure, from }) => [owner, exposure?.kind ?? null, from])).toEqual([
      [null, null, ['H1-A1']],
      ['m2', null, ['H1-A2']],
      [null, 'heat', ['H1-A3']],
    ])
    expect(all[0]!.points).toEqual([
      { coupon: 'c1', label: 'H1-A1', at: 7, stock: 'k1', ln: expect.closeTo(Math.log(0.3), 9) as number },
    ])
    expect(all[1]!.points[0]).toMatchObject({ at: 9, stock: null })
    expect(
      ownEvidence({ ...tables([reading(3, 30)]), round: [heated], coupon: [{ ...coupon(3), arm: 'a2' }] }, classOf),
    ).toEqual([])
    // Neither settles a shortlist by itself.
    expect(onThisPair(all, { ...openBrief(), a: side('foam-eva', 'sanded'), b: side('card') }, classOf)).toHaveLength(1)
  })
  it('says what 19 in 20 hold with its lower bound, below the typical strength', () => {
    const [one] = ownEvidence(tables([reading(1, 90), reading(2, 120), reading(3, 150)]), classOf)
    expect(one!.weakJoint!.low95).toBeLessThan(one!.weakJoint!.median)
    expect(one!.weakJoint!.median).toBeLessThan(one!.typical!)
    expect(one!.between!.low90).toBeLessThan(one!.typical!)
    expect(one!.between!.high90).toBeGreaterThan(one!.typical!)
  })
})
