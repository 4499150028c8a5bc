import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { openBrief } from '../records/openBrief'
import type { Arm } from '../records/round'
import type { Procedure, Step } from '../records/procedure'
import { usualSteps } from './draft/usual'
import { plainArm as arm, plainProcedure } from './__tests__/plain'
import { fairness, type FairnessSetting, type PlanDraft } from './fairness'

const procedure = (letter: string, patch: Partial<Procedure> = {}) =>
  plainProcedure(letter, 'epoxy-slow', { name: `glue ${letter}`, ...patch })
/** The step of a kind changed; null: without it. */
const having = (one: Procedure, kind: Step['kind'], patch: Partial<Step> | null): Procedure => ({
  ...one,
  steps: one.steps.flatMap((step) => (step.kind !== kind ? [step] : patch ? [{ ...step, ...patch }] : [])),
})
const sanded = (letter: string) => having(procedure(letter), 'prepare-a', { text: 'Sand with 120 grit' })
const degreased = (letter: string) => having(procedure(letter), 'prepare-a', { text: 'Wipe with alcohol' })
const fair: PlanDraft = {
  arms: [arm('a1')],
  procedures: [sanded('A'), degreased('B')],
  blocks: 4,
  order: 'shuffled',
  control: 'pA',
}
const setting: FairnessSetting = {
  brief: openBrief(),
  a: null,
  b: null,
  gauge: { limitN: 490, resolutionN: 0.5 },
  familyOf: ({ family }) => familyOf(family),
  packDaysLeft: () => null,
  now: 7,
}
const faults = (draft: Partial<PlanDraft>, more: Partial<FairnessSetting> = {}) =>
  fairness({ ...fair, ...draft }, { ...setting, ...more })
const ids = (...of: Parameters<typeof faults>) => faults(...of).map(({ id }) => id)
const pairOf = (x: Procedure, y: Procedure) => ({ procedures: [x, y] })
const mended = (draft: Partial<PlanDraft>, id: string) => {
  const found = faults(draft).find((fault) => fault.id === id)!
  return { ...found, after: found.mend!.apply({ ...fair, ...draft }) }
}

describe('procedures of one glue that ought to differ in one thing', () => {
  it('are fair while only their preparation differs', () => expect(ids({})).toEqual([]))

  it('differ in the amount as well: by coats, or by what is spread', () => {
    for (const patch of [{ coats: 2 }, { spreadGm2: 200 }]) {
      const draft = pairOf(sanded('A'), { ...degreased('B'), ...patch })
      expect(ids(draft)).toEqual(['unequal-amount'])
      const { about, text, after, mend } = mended(draft, 'unequal-amount')
      expect([about, mend!.words]).toEqual(['A and B', 'Give B the amount of A'])
      expect(text).toMatch(/^A and B differ in preparation and in the amount/)
      expect(after.procedures[1]).toMatchObject({ coats: 1, spreadGm2: null })
      expect(after.procedures[0]).toEqual(sanded('A'))
      // Where it is the one thing that is compared, it may differ.
      expect(ids(pairOf(sanded('A'), { ...sanded('B'), ...patch }))).toEqual([])
    }
  })

  it('differ in a helper, and in the amount', () => {
    const draft = pairOf(sanded('A'), { ...sanded('B'), helpers: ['activator'], coats: 2 })
    expect(ids(draft)).toEqual(['unequal-amount'])
  })

  it('differ in their wait, and in the amount', () => {
    const contact = (letter: string) =>
      procedure(letter, { family: 'contact-solvent', steps: usualSteps(familyOf('contact-solvent'), null, null) })
    const later = having(contact('B'), 'wait', { minS: 1800 })
    expect(ids(pairOf(contact('A'), later))).toEqual([])
    expect(ids(pairOf(contact('A'), { ...later, coats: 3 }))).toEqual(['unequal-amount'])
  })

  it('of two glues, or two products of a family, differ as they may', () => {
    const other = { ...degreased('B'), coats: 2 }
    expect(ids(pairOf(sanded('A'), { ...other, family: 'epoxy-fast' }))).toEqual([])
    expect(ids(pairOf(sanded('A'), { ...other, adhesive: 'twin' }))).toEqual([])
    expect(ids(pairOf({ ...sanded('A'), adhesive: 'twin' }, { ...other, adhesive: 'twin' }))).toEqual([
      'unequal-amount',
    ])
  })

  it('each pair is looked at once', () => {
    const procedures = [sanded('A'), { ...degreased('B'), coats: 2 }, { ...degreased('C'), coats: 2 }]
    const found = faults({ procedures }).filter(({ id }) => id === 'unequal-amount')
    expect(found.map(({ about }) => about)).toEqual(['A and B', 'A and C'])
  })

  it('differ in their clamp: longer, without one, or with one of its own', () => {
    const kind = 'clamp'
    const clamp = sanded('A').steps.find((step) => step.kind === kind)!
    const longer = pairOf(sanded('A'), having(degreased('B'), kind, { minS: clamp.minS + 60, text: 'Tightly' }))
    expect(ids(longer)).toEqual(['unequal-pressure'])
    const { after, about, mend } = mended(longer, 'unequal-pressure')
    expect([about, mend!.words]).toEqual(['A and B', 'Hold and clamp B like A'])
    const its = after.procedures[1]!.steps
    expect(its).toHaveLength(sanded('A').steps.length)
    expect(its.find((step) => step.kind === kind)).toMatchObject({ minS: clamp.minS, text: clamp.text })
    // The other steps stay as they are.
    expect(its.find((step) => step.kind === 'prepare-a')!.text).toBe('Wipe with alcohol')

    const without = pairOf(sanded('A'), having(degreased('B'), kind, null))
    expect(ids(without)).toEqual(['unequal-pressure'])
    const kinds = mended(without, 'unequal-pressure').after.procedures[1]!.steps.map((step) => step.kind)
    expect(kinds.slice(-2)).toEqual([kind, 'cure'])
    expect(kinds.filter((one) => one === kind)).toHaveLength(1)
    const ids2 = mended(without, 'unequal-pressure').after.procedures[1]!.steps.map(({ id }) => id)
    expect(new Set(ids2).size).toBe(ids2.length)

    const alone = pairOf(having(sanded('A'), kind, null), degreased('B'))
    const left = mended(alone, 'unequal-pressure').after.procedures[1]!.steps.map((step) => step.kind)
    expect(left).not.toContain(kind)
    expect(left).toContain('cure')
    // Same preparation: the clamp is what is compared.
    expect(ids(pairOf(sanded('A'), having(sanded('B'), kind, null)))).toEqual([])
  })

  it('cure for different times: both as long as the longer, whichever that is', () => {
    for (const [x, y] of [
      [86_400, 3600],
      [3600, 86_400],
    ] as const) {
      const draft = pairOf(having(sanded('A'), 'cure', { minS: x }), having(degreased('B'), 'cure', { minS: y }))
      expect(ids(draft)).toEqual(['unequal-age'])
      const { after, about } = mended(draft, 'unequal-age')
      expect(about).toBe('A and B')
      for (const { steps } of after.procedures) expect(steps.at(-1)).toMatchObject({ kind: 'cure', minS: 86_400 })
      expect(after.procedures.map(({ letter }) => letter)).toEqual(['A', 'B'])
    }
    const same = pairOf(having(sanded('A'), 'cure', { minS: 60 }), having(sanded('B'), 'cure', { minS: 90 }))
    expect(ids(same)).toEqual([])
  })
})

describe('the plan as a whole', () => {
  it('wants a control that is among its glues, where there are two', () => {
    expect(ids({ control: null })).toEqual(['no-control'])
    expect(ids({ control: 'gone' })).toEqual(['no-control'])
    expect(ids({ control: 'pB' })).toEqual([])
    expect(ids({ control: null, procedures: [sanded('A')] })).toEqual([])
    const { mend, after } = mended({ control: null }, 'no-control')
    expect(mend!.words).toBe('Take A, glue A, as the control')
    expect(after.control).toBe('pA')
    const nameless = mended({ control: null, procedures: [{ ...sanded('A'), name: '' }, degreased('B')] }, 'no-control')
    expect(nameless.mend!.words).toBe(`Take A, ${familyOf('epoxy-slow').name}, as the control`)
    // What is tested anyway is trusted by nobody.
    const anyway = [sanded('A'), degreased('B')].map((one) => ({ ...one, anyway: true }))
    expect(faults({ control: null, procedures: anyway })[0]!.mend).toBeNull()
  })

  it('wants three of each', () => {
    expect(ids({ blocks: 3 })).toEqual([])
    expect(faults({ blocks: 1 })[0]!.text).toMatch(/^One piece of each/)
    expect(faults({ blocks: 2 })[0]!.text).toMatch(/^Two pieces of each/)
    expect(mended({ blocks: 2 }, 'fewer-than-three').after.blocks).toBe(3)
  })

  it('wants them shuffled, or the least trusted first', () => {
    expect(mended({ order: 'as-written' }, 'order-not-shuffled').after.order).toBe('shuffled')
    expect(ids({ order: 'least-trusted-first' })).toEqual([])
  })

  it('wants a limit where there is a strength: of light handling, 2 N on 25 × 12 mm, where no load was said', () => {
    const open = { arms: [arm('a1'), arm('a2', { passLimit: null })] }
    const { about, mend, after } = mended(open, 'no-pass-limit')
    expect([about, mend!.words]).toEqual(['a2', 'Set it, 0.00667 MPa'])
    expect(after.arms.map(({ passLimit, passSetAt }) => [passLimit, passSetAt])).toEqual([
      [0.1, 0],
      [0.00667, 7],
    ])
    // A trim on a spot: 0.4 N.
    const spot = faults(open, { brief: { ...openBrief(), geometry: 'point' } })
    expect(spot.find(({ id }) => id === 'no-pass-limit')!.mend!.words).toBe('Set it, 0.00133 MPa')
    expect(ids({ arms: [arm('a1', { test: 'drop', passLimit: null, size: {} })] })).toEqual([])
  })

  it('wants one size for the arms of one test; what is not said is no difference', () => {
    const small = { widthMm: 20, overlapMm: 12 }
    const draft = {
      arms: [arm('a1'), arm('a2', { test: 't-peel', size: { widthMm: 20 } }), arm('a3', { size: small })],
    }
    const { about, text, after } = mended(draft, 'unequal-area')
    expect(about).toBe('a3')
    expect(text).toMatch(/^lap shear has another size than lap shear/)
    expect(after.arms.map(({ size }) => size)).toEqual([arm('a1').size, { widthMm: 20 }, arm('a1').size])
    const unsaid = { widthMm: 25, overlapMm: 12, lengthMm: undefined } as Arm['size']
    expect(ids({ arms: [arm('a1'), arm('a2', { size: unsaid })] })).toEqual([])
  })

  it('tells a pack near its date: thirty days and fewer', () => {
    const left = (days: number | null) =>
      faults({}, { packDaysLeft: ({ letter }) => (letter === 'B' ? days : null) }).map(({ about, text, mend }) => {
        expect(mend).toBeNull()
        return `${about}: ${text.slice(0, 60)}`
      })
    expect(left(null)).toEqual([])
    expect(left(31)).toEqual([])
    expect(left(30)[0]).toMatch(/^B: The pack for B, glue B, has 30 days left/)
    expect(left(0)[0]).toMatch(/has 0 days left/)
    expect(left(-1)[0]).toMatch(/is past its time/)
  })
})
