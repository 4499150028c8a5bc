import { describe, expect, it } from 'vitest'
import { exposureKinds, exposureRows } from '../knowledge/exposures'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief } from '../records/openBrief'
import type { Arm, Exposure, Round } from '../records/round'
import type { Procedure, Step } from '../records/procedure'
import { couponsOf, roundCode } from './coupons'
import { differences, differenceWords, varied } from './difference'
import { limitLocked, limitOf, withLimit } from './limits'
import { otherParts, recipe } from './mix'
import { needsOf, PULL_MIN, type NeedOf } from './needs'
import { assumedWords, limitFor } from './limitFor'
import { anotherArm, newArm, PROOF_FACTOR, sidesOf, usualExposure, usualSize } from './newArm'
import { handsOnMinutes, HOLD_BY_HAND_S } from './steps'
import { usualSteps } from './draft/usual'
import { toolsFor } from './tools'

const brief = { ...openBrief(), weightKg: 1, widthMm: 20, lengthMm: 12 }
const heat: Exposure = { kind: 'heat', amount: 50, hours: 2 }
const procedure = (letter: string, family: string, patch: Partial<Procedure> = {}): Procedure => ({
  id: `p${letter}`,
  joint: 'j',
  letter,
  name: familyOf(family).name,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: usualSteps(familyOf(family), null, null),
  ...patch,
})
const needOf = (one: Procedure, patch: Partial<NeedOf> = {}): NeedOf => ({
  procedure: one,
  family: familyOf(one.family),
  product: null,
  left: null,
  ...patch,
})

describe('an arm', () => {
  it('takes its test’s usual sizes, and the thinner side’s thickness where the test asks for one', () => {
    const sided = (a: number | null, b: number | null) => ({
      ...brief,
      a: { ...brief.a, thicknessMm: a },
      b: { ...brief.b, thicknessMm: b },
    })
    expect(usualSize(brief, 'bend')).toEqual({ thicknessMm: 5 })
    expect(usualSize(sided(3, 8), 'bend')).toEqual({ thicknessMm: 3 })
    expect(usualSize(sided(null, 8), 'bend')).toEqual({ thicknessMm: 8 })
    expect(usualSize(sided(3, 8), 'lap-shear')).toEqual({ widthMm: 25, overlapMm: 12 })
  })
  it('has a limit from the brief, of light handling where no load is said, twice the load for a proof', () => {
    // 9.80665 N over 240 mm²: 0.040861 MPa.
    expect(newArm(brief, 'a1', 'lap-shear', 7)).toMatchObject({
      id: 'a1',
      exposure: null,
      passLimit: 0.0409,
      passSetAt: 7,
      lateChanges: [],
    })
    expect(newArm(brief, 'a1', 'proof', 7)).toMatchObject({ passLimit: PROOF_FACTOR, passSetAt: 7 })
    // 100 g walked about, 2 N over 240 mm²; a trim on a spot, 0.4 N.
    const unsaid = { ...brief, weightKg: null }
    expect(newArm(unsaid, 'a1', 'lap-shear', 7)).toMatchObject({ passLimit: 0.00833, passSetAt: 7 })
    expect(limitFor(unsaid, 'lap-shear', {})).toEqual({ limit: 0.00833, assumed: { n: 2, open: 'load' } })
    expect(limitFor(brief, 'lap-shear', {})).toEqual({ limit: 0.0409, assumed: null })
    // The weight is said and the size is not: the coupon's stands in, under light handling at least.
    const open = { ...brief, widthMm: null }
    const strip = { widthMm: 25 }
    expect(limitFor(open, 't-peel', strip)).toEqual({ limit: 0.392, assumed: { n: 9.80665, open: 'size' } })
    expect(limitFor({ ...open, weightKg: 0.04 }, 't-peel', strip)).toEqual({
      limit: 0.1,
      assumed: { n: 2.5, open: 'handling' },
    })
    expect(limitFor({ ...open, weightKg: 0 }, 't-peel', strip)?.assumed).toEqual({ n: 2.5, open: 'load' })
    expect(assumedWords({ n: 2.5, open: 'handling' }, 'N')).toMatch(/asks more of a peel than the said load/)
    // Of a said load and size too, light handling is the least that a peel stands: what the Shortlist asks of a glue.
    const strap = { ...brief, a: { ...brief.a, material: 'fabric-cotton' }, b: { ...brief.b, material: 'webbing' } }
    const worn = { ...strap, widthMm: 25, lengthMm: 60, weightKg: 0.1, skin: true }
    expect(limitFor(worn, 't-peel', strip)).toEqual({ limit: 0.5, assumed: { n: 12.5, open: 'handling' } })
    expect(limitFor({ ...worn, weightKg: 5 }, 't-peel', strip)).toEqual({ limit: 1.96, assumed: null })
    expect(assumedWords({ n: 2, open: 'load' }, 'N')).toMatch(/^No load was said\. Light handling is taken, 2\.00 N:/)
    expect(assumedWords({ n: 9.80665, open: 'size' }, 'kgf')).toMatch(/size was not said.* under 1\.00 kgf:/)
    // A twist with its diameter known and no lever said: the coupon's arm stands in.
    const rod = { ...brief, widthMm: 8, leverMm: null }
    expect(limitFor(rod, 'torsion-round', { diameterMm: 8, armMm: 50 })?.assumed?.open).toBe('lever')
    expect(limitFor({ ...rod, widthMm: null }, 'torsion-round', { diameterMm: 8, armMm: 50 })?.assumed?.open).toBe(
      'size',
    )
    expect(assumedWords({ n: 9.80665, open: 'lever' }, 'N')).toMatch(/lever was not said\. The coupon’s arm .*9\.81 N:/)
    expect(newArm({ ...unsaid, geometry: 'point' }, 'a1', 'lap-shear', 7).passLimit).toBe(0.00167)
    expect(newArm(unsaid, 'a1', 'bend', 7)).toMatchObject({ passLimit: null, passSetAt: null })
    expect(newArm(brief, 'a1', 'lap-shear', 7, heat).exposure).toEqual(heat)
  })
  it('beside others gets an id of its own, and size and limit of the same test', () => {
    const first = { ...newArm(brief, 'a4', 'lap-shear', 0), size: { widthMm: 12, overlapMm: 5 }, passLimit: 3 }
    const odd = { ...newArm(brief, 'x', 'drop', 0) }
    expect(anotherArm([], brief, 'drop', 9, null).id).toBe('a1')
    const again = anotherArm([odd, first], brief, 'lap-shear', 9, heat)
    expect(again).toMatchObject({ id: 'a5', size: first.size, passLimit: 3, passSetAt: 9, exposure: heat })
    expect(anotherArm([{ ...first, passLimit: null }], brief, 'lap-shear', 9, heat).passSetAt).toBeNull()
    expect(anotherArm([first], brief, 'tension', 9, null)).toMatchObject({ id: 'a5', size: { areaMm2: 400 } })
  })
  it('knows which sides bend, and what a joint usually meets', () => {
    expect(sidesOf(materialClassOf('foam-eva'), materialClassOf('metal'))).toEqual({ aBends: true, bBends: false })
    expect(sidesOf(null, null)).toEqual({ aBends: null, bBends: null })
    expect(usualExposure('heat', { ...brief, heatC: 65 })).toEqual({ kind: 'heat', amount: 65, hours: 2 })
    expect(usualExposure('cold', { ...brief, coldC: -30 })).toEqual({ kind: 'cold', amount: -30, hours: 12 })
    expect(exposureKinds.map((kind) => usualExposure(kind, brief).amount)).toEqual([50, -15, 3, 24, 14, 500, 4])
  })
})

describe('a pass limit', () => {
  const arm = newArm(brief, 'a1', 'lap-shear', 1)
  it('is the maker’s, else the brief’s', () => {
    expect(limitOf({ test: 'lap-shear', passLimit: 2 }, brief)).toBe(2)
    expect(limitOf({ test: 'lap-shear', passLimit: null }, brief)).toBeCloseTo(9.80665 / 240, 9)
    expect(limitOf({ test: 'drop', passLimit: null }, brief)).toBeNull()
  })
  it('is locked by the first pull of its own arm', () => {
    const coupons = [
      { id: 'c1', arm: 'a1' },
      { id: 'c2', arm: 'a2' },
    ]
    expect(limitLocked(arm, coupons, [])).toBe(false)
    expect(limitLocked(arm, coupons, [{ coupon: 'c2' }])).toBe(false)
    expect(limitLocked(arm, coupons, [{ coupon: 'c2' }, { coupon: 'c1' }])).toBe(true)
  })
  it('keeps a change once it is locked, with what it was', () => {
    expect(withLimit(arm, 3, false, 8)).toEqual({ ...arm, passLimit: 3, passSetAt: 8 })
    expect(withLimit(arm, null, false, 8)).toMatchObject({ passLimit: null, passSetAt: null, lateChanges: [] })
    const late = withLimit(arm, 3, true, 8)
    expect(late.lateChanges).toEqual([{ at: 8, from: arm.passLimit, to: 3 }])
    expect(withLimit(late, null, true, 9).lateChanges).toEqual([
      { at: 8, from: arm.passLimit, to: 3 },
      { at: 9, from: 3, to: null },
    ])
  })
})

describe('the coupons of a round', () => {
  const arms = [newArm(brief, 'a1', 'lap-shear', 0), newArm(brief, 'a2', 'lap-shear', 0, heat)]
  const round = (patch: Partial<Round> = {}): Round => ({
    id: 'r',
    joint: 'j',
    number: 1,
    arms,
    procedures: ['pA', 'pB', 'pC'],
    blocks: 3,
    seed: 5,
    order: 'shuffled',
    control: null,
    hunch: null,
    weights: null,
    plannedAt: 0,
    ...patch,
  })
  const three = [procedure('A', 'pva-white'), procedure('B', 'ca-gel'), procedure('C', 'epoxy-fast')]
  const of = (patch: Partial<Round> = {}) => couponsOf('H2', round(patch), three, (label) => `id ${label}`)
  const pulls = (patch: Partial<Round>) => [...of(patch)].sort((x, y) => x.pullAt - y.pullAt)
  it('are one of each in every block of every arm, the arms in turn, numbered as they are glued', () => {
    const coupons = of()
    expect(coupons).toHaveLength(18)
    expect(coupons.map(({ glueAt }) => glueAt)).toEqual([...Array(18).keys()])
    expect([...coupons.map(({ pullAt }) => pullAt)].sort((x, y) => x - y)).toEqual([...Array(18).keys()])
    for (const id of ['pA', 'pB', 'pC']) {
      const own = coupons.filter((one) => one.procedure === id)
      expect(own.map(({ block }) => block)).toEqual([1, 2, 3, 4, 5, 6])
      expect(own.map(({ arm }) => arm)).toEqual(['a1', 'a2', 'a1', 'a2', 'a1', 'a2'])
    }
    // A block is done before the next begins.
    expect(coupons.map(({ block }) => block)).toEqual([...coupons.map(({ block }) => block)].sort((x, y) => x - y))
    expect(coupons[0]).toMatchObject({
      id: `id ${coupons[0]!.label}`,
      round: 'r',
      size: {},
      stamps: [],
      deviations: [],
    })
    expect(new Set(coupons.map(({ label }) => label)).size).toBe(18)
    expect(coupons.every(({ label }) => /^H2-[ABC][1-6]$/.test(label))).toBe(true)
  })
  it('bear the number of a later round', () => {
    expect(roundCode('H2', 1)).toBe('H2')
    expect(of({ number: 3 })[0]!.label).toMatch(/^H2\.3-/)
  })
  it('are pulled as they were glued, kind by kind, when that is wished', () => {
    const written = of({ order: 'as-written' })
    expect(written.map(({ procedure: id }) => id).join(' ')).toBe(
      [...Array(6).fill('pA'), ...Array(6).fill('pB'), ...Array(6).fill('pC')].join(' '),
    )
    expect(written.slice(0, 6).map(({ block }) => block)).toEqual([1, 2, 3, 4, 5, 6])
    expect(written.map(({ pullAt }) => pullAt)).toEqual([...Array(18).keys()])
  })
  it('are pulled from the least to the most trusted: the hunch first, the control last of all', () => {
    const hunch = { order: ['pC', 'pA', 'pB'], at: 0 }
    const ids = pulls({ order: 'least-trusted-first', hunch, control: 'pA' }).map(({ procedure: id }) => id)
    expect(ids).toEqual([...Array(6).fill('pB'), ...Array(6).fill('pC'), ...Array(6).fill('pA')])
    expect(pulls({ order: 'shuffled' }).map(({ procedure: id }) => id)).not.toEqual(ids)
  })
  it('come out the same from the same seed, and otherwise from another', () => {
    expect(of()).toEqual(of())
    expect(of({ seed: 6 }).map(({ label }) => label)).not.toEqual(of().map(({ label }) => label))
  })
})

describe('what should lie at hand', () => {
  const tools = (arms: Pick<Arm, 'test' | 'exposure'>[], ...list: Procedure[]) =>
    toolsFor(
      arms,
      list.map((one) => needOf(one)),
    )
  const dry = (test: Arm['test']) => [{ test, exposure: null }]
  const always = ['masking tape and a pen', 'ruler', 'knife or saw', 'goggles']
  const step = (kind: Step['kind'], text: string): Step => ({ id: kind, kind, text, minS: 0, maxS: null })
  it('is little for a bare look, and goggles always', () => {
    expect(tools(dry('looks'))).toEqual(always)
    expect(tools(dry('bend'))).toContain('jars or dowels of known radius')
    expect(tools(dry('lap-shear'))).toContain('scale or gauge, a hook, a vice')
    expect(tools(dry('drop'))).not.toContain('scale or gauge, a hook, a vice')
    // One that is weighed among others is enough.
    expect(tools([...dry('drop'), ...dry('lap-shear')])).toContain('scale or gauge, a hook, a vice')
  })
  it('follows from the words of the steps', () => {
    const with_ = (...steps: Step[]) =>
      tools(dry('looks'), procedure('A', 'silicone', { steps })).filter((one) => !always.includes(one))
    expect(with_(step('prepare-a', 'Scuff with 120 grit'))).toEqual(['sandpaper, 120 grit'])
    expect(with_(step('prepare-a', 'Sand it matt'))).toEqual(['sandpaper, 120 grit'])
    expect(with_(step('prepare-a', 'Put it on a thousand pins'))).toEqual([])
    expect(with_(step('prepare-b', 'Wipe with isopropanol'))).toEqual(['isopropanol and cloths'])
    expect(with_(step('clamp', 'Clamp lightly'))).toEqual(['clamps with flat pads'])
    expect(with_(step('clamp', 'Leave under a weight'))).toEqual(['flat weights'])
    expect(with_(step('hold', 'Clamp it or put a weight on it'))).toEqual([])
  })
  it('and from the kinds of glue and what coupons go through', () => {
    const bare = (family: string) =>
      tools(dry('looks'), procedure('A', family, { steps: [] })).filter((one) => !always.includes(one))
    expect(bare('epoxy-fast')).toEqual(['cups, sticks, a small scale'])
    expect(bare('hotmelt-low')).toEqual(['glue gun on its stand'])
    expect(bare('web-iron-on')).toEqual(['iron and baking paper'])
    expect(bare('uv-acrylic')).toEqual(['lamp and rated glasses'])
    expect(bare('pva-white')).toEqual(['brush or spreader'])
    expect(bare('rubber-cement')).toEqual(['brush or spreader'])
    expect(bare('tape-double')).toEqual([])
    for (const kind of exposureKinds) {
      const { tool } = exposureRows[kind]
      const got = tools([{ test: 'looks', exposure: { kind, amount: 1, hours: 1 } }]).filter(
        (one) => !always.includes(one),
      )
      expect(got).toEqual(tool ? [tool] : [])
    }
  })
})

describe('a difference', () => {
  const base = procedure('A', 'contact-solvent')
  it('is said of helpers, coats, amount and mix, in either direction', () => {
    const of = (patch: Partial<Procedure>) => differences({ ...base, ...patch }, base)
    expect(of({})).toEqual([])
    expect(of({ helpers: ['primer'] })).toEqual(['with polyolefin primer'])
    expect(differences(base, { ...base, helpers: ['primer'] })).toEqual(['without polyolefin primer'])
    expect(differences({ ...base, helpers: ['primer'] }, { ...base, helpers: ['primer'] })).toEqual([])
    expect(of({ coats: 2 })).toEqual(['2 coats instead of 1'])
    expect(differences(base, { ...base, coats: 3 })).toEqual(['1 coat instead of 3'])
    expect(of({ spreadGm2: 90 })).toEqual(['90 g/m² instead of the usual'])
    expect(differences({ ...base, spreadGm2: 90 }, { ...base, spreadGm2: 70 })).toEqual(['90 g/m² instead of 70'])
    expect(of({ dilution: { glue: 3, water: 1 } })).toEqual(['diluted 3:1 with water'])
    const blend = {
      parts: [
        { name: 'one', parts: 2 },
        { name: 'two', parts: 1 },
      ],
      batch: '',
    }
    expect(of({ blend })).toEqual(['blended 2 one to 1 two'])
    expect(differences(base, { ...base, blend })).toEqual(['undiluted'])
    expect(of({ adhesive: 'x' })).toEqual(['another glue'])
  })
  it('is said of steps: their times, their words, what is left out, their order', () => {
    const steps = (put: (one: Step) => Step | null) => ({ ...base, steps: base.steps.flatMap((one) => put(one) ?? []) })
    const longer = steps((one) => (one.kind === 'wait' ? { ...one, minS: one.minS + 600 } : one))
    expect(differences(longer, base)).toEqual(['wait 20 min instead of 10 min'])
    expect(
      differences(
        steps((one) => (one.kind === 'apply' ? { ...one, text: 'Two THIN coats' } : one)),
        base,
      ),
    ).toEqual(['apply: two THIN coats'])
    expect(
      differences(
        steps((one) => (one.kind === 'wait' ? null : one)),
        base,
      ),
    ).toEqual(['without “wait”'])
    expect(
      differences(
        base,
        steps((one) => (one.kind === 'wait' ? null : one)),
      )[0],
    ).toMatch(/^wait: /)
    const turned = { ...base, steps: [...base.steps].reverse() }
    expect(differences(turned, base)).toEqual(['its steps in another order'])
    // The second of two like steps is compared with the second.
    const coat = (minS: number): Step => ({ id: 'c', kind: 'coat', text: 'again', minS, maxS: null })
    const two = (first: number, second: number) => ({ ...base, steps: [...base.steps, coat(first), coat(second)] })
    expect(differences(two(60, 120), two(60, 60))).toEqual(['another coat 2 min instead of 60 s'])
  })
  it('between two glues speaks of the glue and the faces alone', () => {
    const other = procedure('B', 'epoxy-slow', { spreadGm2: 300 })
    expect(differences(other, base)).toEqual(['another glue'])
    const prepared = {
      ...other,
      steps: other.steps.map((one) => (one.kind === 'prepare-a' ? { ...one, text: 'Sand' } : one)),
    }
    expect(differences(prepared, base)).toEqual(['another glue', 'prepare A: sand'])
  })
  it('is one sentence, and none between twins; a copy shares nothing', () => {
    expect(differenceWords({ ...base, coats: 2 }, base)).toBe('same as A, but 2 coats instead of 1')
    expect(differenceWords(base, base)).toBeNull()
    const copy = varied(base, 'new', 'D')
    expect(copy).toMatchObject({ id: 'new', letter: 'D', name: `${base.name}, varied` })
    expect(copy.steps).toEqual(base.steps)
    expect(copy.steps[0]).not.toBe(base.steps[0])
    expect(copy.helpers).not.toBe(base.helpers)
  })
})

describe('what a round needs', () => {
  const lap = [{ test: 'lap-shear' as const, size: { widthMm: 25, overlapMm: 12 } }]
  it('adds up glue, packs to buy and hands, pair by pair', () => {
    const one = procedure('A', 'pva-white', { spreadGm2: 200, steps: [] })
    const few = needsOf([needOf(one)], lap, 4)
    // 3 cm² × 200 g/m² × 5 pieces with the spare × 1.1.
    expect(few.glues[0]!.grams).toBeCloseTo(0.33, 9)
    expect(few.glues[0]!.coupons).toBe(5)
    expect(few.handsOnMinutes).toBeCloseTo(PULL_MIN * 4, 9)
    const both = needsOf([needOf(one), needOf({ ...one, id: 'pB', letter: 'B' })], lap, 4)
    expect(both.glues).toHaveLength(1)
    expect(both.glues[0]).toMatchObject({ letters: ['A', 'B'], coupons: 10 })
    expect(both.glues[0]!.grams).toBeCloseTo(0.66, 9)
    const twoArms = needsOf([needOf(one)], [...lap, ...lap], 4)
    expect(twoArms.glues[0]!.coupons).toBe(10)
    expect(twoArms.handsOnMinutes).toBeCloseTo(PULL_MIN * 8, 9)
    const stepped = needsOf([needOf({ ...one, steps: usualSteps(familyOf('pva-white'), null, null) })], lap, 4)
    expect(stepped.handsOnMinutes).toBeCloseTo(5 * handsOnMinutes(usualSteps(familyOf('pva-white'), null, null)) + 8, 9)
  })
  it('says its sum with faces, coats and share', () => {
    const sum = (patch: Partial<Procedure>, family = 'epoxy-slow') =>
      needsOf([needOf(procedure('A', family, { spreadGm2: 200, ...patch }))], lap, 4).glues[0]!.sum[0]
    expect(sum({})).toMatch(/^A: \(3 cm²\) × 200 g\/m² × 5 pieces × 1\.1 = /)
    expect(sum({ coats: 2 })).toMatch(/× 2 coats × 5 pieces/)
    expect(sum({}, 'contact-solvent')).toMatch(/\(3 cm²\) × 2 faces × 200/)
    expect(sum({ dilution: { glue: 3, water: 1 } })).toMatch(/× 0\.75 of it glue = /)
  })
  it('charge each part of a blend as itself, and say which part has no price', () => {
    const parts = [
      { name: 'one', parts: 3 },
      { name: 'Wood glue', parts: 2 },
      { name: 'A stranger', parts: 1 },
    ]
    const one = procedure('A', 'pva-white', { blend: { parts, batch: '' } })
    const known = (name: string) =>
      name === 'Wood glue' ? { family: familyOf('pva-wood'), product: null, left: null } : null
    const others = otherParts(one, known)
    expect(others.map(({ share }) => share)).toEqual([2 / 6, 1 / 6])
    const lap = [{ test: 'lap-shear' as const, size: { widthMm: 25, overlapMm: 12 } }]
    const plain = needsOf([needOf(procedure('A', 'pva-white'))], lap, 4)
    const needs = needsOf([needOf(one, { others })], lap, 4)
    // In all as many grams as without the blend: 3 cm² × 150 g/m² × 5 pieces × 1.1 = 0.2475 g.
    expect(plain.glues[0]!.grams).toBeCloseTo(0.2475, 6)
    expect(needs.glues.map(({ name, grams }) => [name, Number((grams / 0.2475).toFixed(6))])).toEqual([
      [familyOf('pva-white').name, 0.5],
      [familyOf('pva-wood').name, 0.333333],
      ['A stranger', 0.166667],
    ])
    expect(needs.glues[2]).toMatchObject({ cost: null, buy: null, packs: 0 })
    expect(needs.unpriced).toEqual(['A stranger'])
    const wood = familyOf('pva-wood')
    expect(needs.glues[1]!.cost).toBeCloseTo(
      (needs.glues[1]!.grams / (wood.packSize * wood.densityGml)) * wood.packPrice,
      9,
    )
    expect(needs.cost).toBeCloseTo(needs.glues[0]!.cost! + needs.glues[1]!.cost!, 9)
  })
  it('mixes a recipe by weight', () => {
    const base = procedure('A', 'pva-white')
    expect(recipe({ ...base, dilution: { glue: 3, water: 1 } }, 8)).toEqual([
      { name: base.name, grams: 6 },
      { name: 'water', grams: 2 },
    ])
    expect(recipe(base, 8)).toEqual([])
  })
})

describe('the usual steps', () => {
  const of = (id: string, patch = {}) => usualSteps({ ...familyOf(id), ...patch }, null, null)
  const kinds = (id: string, patch = {}) =>
    of(id, patch)
      .map(({ kind }) => kind)
      .join(' ')
  it('hold by hand for two minutes at most; what is longer is clamped, weighted or propped', () => {
    expect(kinds('silicone', { holdS: HOLD_BY_HAND_S, clamp: 'hold' })).toMatch(/close hold cure$/)
    expect(kinds('silicone', { holdS: HOLD_BY_HAND_S + 1, clamp: 'hold' })).toMatch(/close clamp cure$/)
    expect(kinds('epoxy-slow', { holdS: 60, clamp: 'clamp' })).toMatch(/close hold clamp cure$/)
    const step = (id: string, patch: object, kind: string) => of(id, patch).find((one) => one.kind === kind)!
    expect(step('epoxy-slow', { holdS: 60, handlingS: 600, clamp: 'press' }, 'clamp').minS).toBe(540)
    expect(step('epoxy-slow', { holdS: 900, handlingS: 600, clamp: 'press' }, 'clamp').minS).toBe(900)
    expect(step('epoxy-slow', { clamp: 'press' }, 'clamp').text).toMatch(/weight/)
    expect(step('epoxy-slow', { clamp: 'clamp' }, 'clamp').text).toMatch(/^Clamp/)
  })
  it('wait only where the family waits, and say how a film, a bead or a spray goes on', () => {
    expect(kinds('pva-white')).not.toContain('wait')
    expect(kinds('contact-solvent')).toContain('wait')
    const apply = (id: string) => of(id).find(({ kind }) => kind === 'apply')!
    expect(apply('hotmelt-low').text).toMatch(/bead/)
    expect(apply('spray-contact').text).toMatch(/both faces/)
    expect(apply('pva-white').text).toBe('Spread a thin even film on side A')
    expect(apply('contact-solvent')).toMatchObject({ text: 'Spread a thin even film on both faces', maxS: null })
    expect(apply('pva-white').maxS).toBe(familyOf('pva-white').openS)
    const close = (id: string) => of(id).find(({ kind }) => kind === 'close')!.text
    expect(close('contact-water')).toBe(close('contact-solvent'))
    expect(close('pva-white')).not.toBe(close('contact-water'))
    expect(of('pva-white').map(({ id }) => id)).toEqual(of('pva-white').map((_, i) => `s${i + 1}`))
  })
  it('count hands as long as they hold, ten minutes at most', () => {
    const hold = (minS: number): Step => ({ id: 'h', kind: 'hold', text: '', minS, maxS: null })
    expect(handsOnMinutes([hold(60)])).toBe(1)
    expect(handsOnMinutes([hold(6000)])).toBe(10)
    expect(handsOnMinutes([{ ...hold(6000), kind: 'cure' }])).toBe(0)
    expect(handsOnMinutes([hold(60), { ...hold(60), kind: 'clamp' }])).toBe(1.5)
  })
})
