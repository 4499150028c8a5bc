import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { usualSteps } from '../planning/draft/usual'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import type { Reading } from '../records/reading'
import type { Arm, Exposure } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Analysis, ProcedureSummary, RatioSummary } from '../statistics/analyse'
import { doubtful } from './doubtful'
import { headline, passVerdict, SURE } from './headline'
import { forecastResult } from './forecasts'
import { guessRecord, openedHunch } from './hunch'
import { jointCost } from './jointCost'
import { knownOf } from './known'
import { marginOf } from './real/margin'
import { metExposures } from './met'
import { exposuresNamed } from './real/surroundings'

const coupon = (id: string, arm = 'a1', procedure = 'p'): Coupon =>
  ({ id, label: `H1-${id}`, arm, procedure, size: {}, stamps: [], deviations: [] }) as unknown as Coupon
const reading = (of: string, patch: Partial<Reading> = {}): Reading =>
  ({
    id: `r-${of}`,
    coupon: of,
    at: 0,
    raw: { way: 'gauge', value: 1, unit: 'N' },
    outcome: { end: 'held' },
    size: {},
    early: null,
    note: '',
    setAside: null,
    corrected: [],
    ...patch,
  }) as Reading
const wet = { outcome: { end: 'wet' as const, places: null } }
const early = { early: { curedS: 1, fullS: 2 } }

describe('pulls that say less than they seem to', () => {
  const coupons = ['1', '2', '3', '4'].map((id) => coupon(id))
  it('are named in the order of the coupons, each under what is wrong with it', () => {
    const readings = [reading('3', wet), reading('1', early), reading('2'), reading('4', { ...wet, ...early })]
    expect(doubtful(coupons, readings)).toEqual({ early: ['H1-1', 'H1-4'], wet: ['H1-3', 'H1-4'] })
  })
  it('but not when they are set aside, nor without a coupon', () => {
    const readings = [reading('1', { ...early, setAside: 'slipped' }), reading('9', wet)]
    expect(doubtful(coupons, readings)).toEqual({ early: [], wet: [] })
    expect(doubtful([], [reading('1', wet)])).toEqual({ early: [], wet: [] })
  })
})

const summary = (procedure: string, median: number, patch: Partial<ProcedureSummary> = {}): ProcedureSummary => ({
  procedure,
  n: 4,
  exact: 4,
  censored: 0,
  atMost: 0,
  typical: { median, low90: median / 2, high90: median * 2 },
  weakJoint: { median: median / 2, low95: median / 4 },
  pBest: 0.5,
  pMeets: null,
  open: null,
  ...patch,
})

describe('a hunch', () => {
  const hunch = { hunch: { order: ['b', 'x', 'a'], at: 0 } }
  const found = [summary('a', 1), summary('b', 3), summary('c', 2)]
  it('stays sealed until all is pulled, and where there is none', () => {
    expect(openedHunch(hunch, false, found)).toBeNull()
    expect(openedHunch({ hunch: null }, true, found)).toBeNull()
  })
  it('is laid beside what came out, strongest first, without those that say nothing', () => {
    const before = [...found]
    expect(openedHunch(hunch, true, found)).toEqual({ expected: ['b', 'a'], found: ['b', 'c', 'a'], right: false })
    expect(found).toEqual(before)
    const two = [summary('a', 1), summary('b', 3)]
    expect(openedHunch(hunch, true, two)).toEqual({ expected: ['b', 'a'], found: ['b', 'a'], right: true })
    // The first is right and the second is not: that is not right.
    const three = { hunch: { order: ['b', 'a', 'c'], at: 0 } }
    expect(openedHunch(three, true, found)!.right).toBe(false)
  })
})

describe('how well a maker guesses', () => {
  const decision = (expected: string[], found: string[]) => ({ known: { hunch: { expected, found } } }) as never
  it('counts first places and pairs in their order over all rounds with a hunch', () => {
    // b a c against a b c: the first is wrong, and two of three pairs are right; then all right.
    const two = [decision(['b', 'a', 'c'], ['a', 'b', 'c']), decision(['x', 'y'], ['x', 'y'])]
    expect(guessRecord(two)).toEqual({ rounds: 2, firstRight: 1, pairs: 4, pairsRight: 3 })
    // What came out of a procedure that was not expected counts for nothing.
    expect(guessRecord([decision(['x', 'y'], ['z', 'x', 'y'])])).toMatchObject({ firstRight: 1, pairsRight: 1 })
    expect(guessRecord([decision(['x'], ['x', 'y']), { known: {} } as never])).toBeNull()
  })
})

describe('a forecast held against the result', () => {
  const of = (known: object) => forecastResult({ procedure: 'a', known } as never)
  const forecasts = [{ procedure: 'a', chance: 0.8, db: 6 }]
  it('is what the chosen one was given, and whether its weak joint held what was required', () => {
    expect(of({ forecasts, required: 2, weakLow: 2 })).toEqual({ chance: 0.8, held: 'held' })
    expect(of({ forecasts, required: 2, weakLow: 1.9 })).toEqual({ chance: 0.8, held: 'unclear' })
    expect(of({ forecasts, weakLow: 1.9 })).toEqual({ chance: 0.8, held: null })
    expect(of({ forecasts: [], required: 2, weakLow: 2 })).toBeNull()
    expect(of({ required: 2, weakLow: 2 })).toBeNull()
  })
})

describe('what was known at a decision', () => {
  it('is the typical strength and the weak joint, unless an end of them is open', () => {
    const factor = { id: 'heat', words: '50 °C', share: 0.6, basis: 'typical', from: 'tables', met: false } as const
    const margin = { times: 3, holdsN: 30, requiredN: 10, factors: [factor] }
    expect(knownOf(summary('a', 8), 5, 'MPa', margin)).toEqual({
      pulls: 5,
      typical: 8,
      weakLow: 2,
      weakMedian: 4,
      unit: 'MPa',
      margin: 3,
      holdsN: 30,
      requiredN: 10,
      factors: [{ words: '50 °C', share: 0.6, basis: 'typical' }],
    })
    expect(knownOf(summary('a', 8, { open: 'above' }), 5, 'MPa', margin)).toMatchObject({ typical: null, weakLow: 2 })
    expect(knownOf(summary('a', 8, { open: 'below' }), 5, 'MPa', null)).toMatchObject({
      typical: null,
      weakLow: null,
      margin: null,
    })
    expect(knownOf(null, 0, 'N/mm', null)).toEqual({
      pulls: 0,
      typical: null,
      weakLow: null,
      weakMedian: null,
      unit: 'N/mm',
      margin: null,
      holdsN: null,
      requiredN: null,
      factors: [],
    })
  })
})

describe('exposures that were met', () => {
  const heat: Exposure = { kind: 'heat', amount: 50, hours: 2 }
  const wash: Exposure = { kind: 'wash', amount: 3, hours: 6 }
  const arms = [
    { id: 'a1', exposure: null },
    { id: 'a2', exposure: heat },
    { id: 'a3', exposure: wash },
  ] as Arm[]
  const coupons = [coupon('1', 'a1'), coupon('2', 'a2'), coupon('3', 'a3', 'other'), coupon('4', 'a3')]
  it('are those of arms in which a coupon of the procedure was pulled', () => {
    expect(metExposures({ arms }, coupons, [reading('1'), reading('2'), reading('3')], 'p')).toEqual([heat])
    expect(metExposures({ arms }, coupons, [reading('3')], 'other')).toEqual([wash])
    expect(metExposures({ arms }, coupons, [reading('2'), reading('4')], 'p')).toEqual([heat, wash])
    expect(metExposures({ arms }, coupons, [reading('1')], 'p')).toEqual([])
  })
  it('by a pull that counts: not one that was wet, went wrong or was set aside', () => {
    const not = [wet, { outcome: { end: 'fault' as const, reason: 'slipped' } }, { setAside: 'wrong one' }]
    for (const patch of not) expect(metExposures({ arms }, coupons, [reading('2', patch)], 'p')).toEqual([])
    // A second pull of the same coupon, in place of one that is set aside, counts.
    const second = [reading('2', { setAside: 'wrong one' }), reading('2', { id: 'again', at: 1 })]
    expect(metExposures({ arms }, coupons, second, 'p')).toEqual([heat])
  })
})

describe('surroundings that a joint is asked to bear', () => {
  const named = (patch: Partial<Brief>, met: Exposure[] = []) => exposuresNamed({ ...openBrief(), ...patch }, met)
  it('are heat above 30 °C, cold below 5 °C, water and years', () => {
    expect(named({})).toEqual([])
    expect(named({ heatC: 30, coldC: 5, water: 'no', life: 'archival' })).toEqual([])
    expect(named({ heatC: 31, coldC: 4, water: 'soak', life: 'years' })).toEqual([
      '31 °C',
      '4 °C cold',
      'soaking',
      'years',
    ])
  })
  it('are answered by as much of the same, and by nothing else', () => {
    const cold = { kind: 'cold' as const, amount: -15, hours: 12 }
    expect(named({ coldC: -15 }, [cold])).toEqual([])
    expect(named({ coldC: -16 }, [cold])).toEqual(['−16 °C cold'])
    expect(named({ coldC: -15 }, [{ kind: 'heat', amount: -20, hours: 1 }])).toEqual(['−15 °C cold'])
    expect(named({ heatC: 50 }, [{ kind: 'cold', amount: 60, hours: 1 }])).toEqual(['50 °C'])
    for (const [water, kind, left] of [
      ['splash', 'wash', 0],
      ['wash', 'wash', 0],
      ['soak', 'wash', 1],
      ['soak', 'soak', 0],
      ['wash', 'soak', 0],
      ['wash', 'sun', 1],
    ] as const)
      expect(named({ water }, [{ kind, amount: 3, hours: 6 }]), `${water} by ${kind}`).toHaveLength(left)
    expect(named({ life: 'years' }, [{ kind: 'wait', amount: 52, hours: 8736 }])).toEqual(['years'])
  })
})

describe('a margin', () => {
  const brief = { ...openBrief(), weightKg: 1, widthMm: 20, lengthMm: 36 }
  it('caps a rigid lap at three tested overlaps, to the millimetre', () => {
    const at = (lengthMm: number) =>
      marginOf({ ...brief, lengthMm }, 'lap-shear', 1, { overlapMm: 12 }, familyOf('epoxy-slow'))!
    expect(at(36)).toMatchObject({ capped: false })
    expect(at(36).bondedSize).toBeCloseTo(720, 9)
    expect(at(37)).toMatchObject({ capped: true })
    expect(at(37).bondedSize).toBeCloseTo(720, 9)
  })
  it('caps nothing for a flexible glue, a straight pull, or where no overlap was tested', () => {
    const long = { ...brief, lengthMm: 100 }
    expect(marginOf(long, 'lap-shear', 1, { overlapMm: 12 }, familyOf('contact-solvent'))!.capped).toBe(false)
    expect(marginOf(long, 'tension', 1, { overlapMm: 12 }, familyOf('epoxy-slow'))!.capped).toBe(false)
    expect(marginOf(long, 'lap-shear', 1, {}, familyOf('epoxy-slow'))!.bondedSize).toBeCloseTo(2000, 9)
  })
  it('is none without a load, a size or a test that weighs one', () => {
    const glue = familyOf('epoxy-slow')
    expect(marginOf({ ...brief, weightKg: null }, 'lap-shear', 1, {}, glue)).toBeNull()
    expect(marginOf({ ...brief, weightKg: 0 }, 'lap-shear', 1, {}, glue)).toBeNull()
    expect(marginOf({ ...brief, widthMm: null }, 't-peel', 1, {}, glue)).toBeNull()
    expect(marginOf({ ...brief, lengthMm: null }, 'lap-shear', 1, {}, glue)).toBeNull()
    expect(marginOf({ ...brief, lengthMm: null }, 't-peel', 1, {}, glue)!.dryN).toBeCloseTo(20, 9)
    expect(marginOf(brief, 'drop', 1, {}, glue)).toBeNull()
  })
})

describe('the headline', () => {
  const ratio = (of: string, to: string, toldApart: boolean): RatioSummary => ({
    of,
    to,
    median: 2,
    low90: 1,
    high90: 4,
    pGreater: 0.9,
    toldApart,
  })
  const of = (bests: Record<string, number>, ratios: RatioSummary[]): Analysis => ({
    scatter: null,
    procedures: Object.entries(bests).map(([procedure, pBest]) => summary(procedure, 1, { pBest })),
    ratios,
  })
  it('goes by the chance to be best, whatever the order they come in, and leaves that order alone', () => {
    const analysis = of({ a: 0.1, b: 0.7, c: 0.2 }, [
      ratio('a', 'b', true),
      ratio('b', 'c', true),
      ratio('a', 'c', false),
    ])
    expect(headline(analysis)).toEqual({ leader: 'b', pBest: 0.7, tied: [], state: 'clear' })
    expect(analysis.procedures.map(({ procedure }) => procedure)).toEqual(['a', 'b', 'c'])
  })
  it('is ahead from six in ten, and open below', () => {
    const ties = [ratio('a', 'b', false), ratio('a', 'c', true), ratio('b', 'c', true)]
    expect(headline(of({ a: 0.6, b: 0.3, c: 0.1 }, ties))).toMatchObject({ leader: 'a', tied: ['b'], state: 'ahead' })
    expect(headline(of({ a: 0.59, b: 0.31, c: 0.1 }, ties))).toMatchObject({ tied: ['b'], state: 'open' })
  })
  it('is told apart only by its own comparisons, from either side', () => {
    // b and c are told apart from each other, which says nothing of a.
    const others = [ratio('b', 'c', true), ratio('b', 'a', false), ratio('c', 'a', false)]
    expect(headline(of({ a: 0.8, b: 0.1, c: 0.1 }, others))!.tied).toEqual(['b', 'c'])
    const turned = [ratio('b', 'a', true), ratio('c', 'a', true)]
    expect(headline(of({ a: 0.8, b: 0.1, c: 0.1 }, turned))).toMatchObject({ tied: [], state: 'clear' })
  })
  it('says holds and fails at nine chances in ten', () => {
    expect(SURE).toBe(0.9)
    const at = (pMeets: number | null) => passVerdict(summary('a', 1, { pMeets }))
    expect([0.9, 0.89, 0.11, 0.09, null].map(at)).toEqual(['holds', 'careful', 'careful', 'fails', 'unknown'])
  })
})

describe('the cost of one real joint', () => {
  const family = familyOf('contact-solvent')
  const procedure = {
    family: family.id,
    coats: 1,
    spreadGm2: null,
    steps: usualSteps(family, null, null),
  } as unknown as Procedure
  const brief = { ...openBrief(), widthMm: 200, lengthMm: 50 }
  const pack = { packSize: 100, packUnit: 'g' as const, packPrice: 10 }
  it('is open while a size is', () => {
    expect(jointCost({ ...brief, widthMm: null }, procedure, family, pack, 0)).toBeNull()
    expect(jointCost({ ...brief, lengthMm: null }, procedure, family, pack, 0)).toBeNull()
  })
  it('counts both faces, a tenth of waste, the shelf’s pack, the maker’s time and every joint', () => {
    // 100 cm² × 2 faces × spread g/m², a tenth more.
    const glueG = 0.01 * 2 * family.spreadGm2 * 1.1
    const one = jointCost(brief, procedure, family, pack, 0)!
    expect(one.glueG).toBeCloseTo(glueG, 9)
    expect(one.perJoint).toBeCloseTo((glueG / 100) * 10, 9)
    expect(one.total).toBeCloseTo(one.perJoint, 9)
    expect(jointCost({ ...brief, count: 12 }, procedure, family, pack, 0)!.total).toBeCloseTo(12 * one.perJoint, 9)
    expect(jointCost(brief, procedure, family, pack, 60)!.workCost).toBeGreaterThan(3)
    expect(jointCost(brief, { ...procedure, coats: 2 }, family, pack, 0)!.glueG).toBeCloseTo(2 * glueG, 9)
    expect(jointCost(brief, { ...procedure, spreadGm2: 50 }, family, pack, 0)!.glueG).toBeCloseTo(
      0.01 * 2 * 50 * 1.1,
      9,
    )
  })
  it('charges each part of a blend as itself, on as many faces as the blend is laid on', () => {
    const parts = [
      { name: 'own', parts: 3 },
      { name: 'other', parts: 1 },
    ]
    const blended = { ...procedure, blend: { parts, batch: '' } }
    const other = familyOf('pva-white')
    const known = { family: other, product: null, left: null }
    const one = jointCost(brief, blended, family, pack, 60, [{ name: 'other', share: 0.25, known }])!
    const plain = jointCost(brief, procedure, family, pack, 60)!
    expect(one.glueG).toBeCloseTo(plain.glueG, 9)
    const otherPrice = ((plain.glueG / 4) * other.packPrice) / (other.packSize * other.densityGml)
    expect(one.glueCost).toBeCloseTo(plain.glueCost * 0.75 + otherPrice, 9)
    expect(one.workCost).toBe(plain.workCost)
    expect(one.packs).toBe(2)
    expect(one.unpriced).toEqual([])
    const without = jointCost(brief, blended, family, pack, 60, [{ name: 'other', share: 0.25, known: null }])!
    expect(without.glueCost).toBeCloseTo(plain.glueCost * 0.75, 9)
    expect(without.unpriced).toEqual(['other'])
  })
  it('takes the tables’ pack where none stands on the shelf', () => {
    const table = jointCost(brief, procedure, family, null, 0)!
    const grams = family.packSize * (family.packUnit === 'ml' ? family.densityGml : 1)
    expect(table.perJoint).toBeCloseTo((table.glueG / grams) * family.packPrice, 9)
    // Of a product whose pack is not known too, and of one whose price alone is known.
    const unknown = { packSize: null, packUnit: 'ml' as const, packPrice: null }
    expect(jointCost(brief, procedure, family, unknown, 0)).toEqual(table)
    const priced = jointCost(brief, procedure, family, { ...unknown, packPrice: 2 * family.packPrice }, 0)!
    expect(priced.perJoint).toBeCloseTo(2 * table.perJoint, 9)
  })
})
