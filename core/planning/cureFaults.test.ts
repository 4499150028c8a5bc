import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { openBrief } from '../records/openBrief'
import type { Procedure } from '../records/procedure'
import { screen } from '../screening/screen'
import { situationOf, type Around } from '../situation/situation'
import { plainProcedure } from './__tests__/plain'
import { cureOfTheRoom, demandLeftOut, ruledOut } from './cureFaults'
import { draftSteps } from './draft/draft'
import type { FairnessSetting, PlanDraft } from './fault'

const situated = (around: Around = {}) =>
  situationOf(openBrief(), materialClassOf('wood'), materialClassOf('metal'), familyOf('epoxy-slow'), around)
const procedure = (steps: Procedure['steps'], letter = 'A') => plainProcedure(letter, 'epoxy-slow', { steps })
const drafted = (s = situated()) => draftSteps(s, screen(s).reasons)
const curing = (minS: number, of = drafted()) => of.map((step) => (step.kind === 'cure' ? { ...step, minS } : step))
const planOf = (...procedures: Procedure[]): PlanDraft => ({
  arms: [],
  procedures,
  blocks: 4,
  order: 'shuffled',
  control: null,
})
const setting = (s: ReturnType<typeof situated> | null): FairnessSetting => ({
  brief: openBrief(),
  a: 'wood',
  b: 'metal',
  gauge: { limitN: 490, resolutionN: 0.5 },
  familyOf: ({ family }) => familyOf(family),
  packDaysLeft: () => null,
  now: 0,
  advice: () => s && { situation: s, screening: screen(s) },
})

describe('a cure that is not the room’s', () => {
  const full = situated().family.fullS
  const found = (minS: number, s: ReturnType<typeof situated> | null = situated()) =>
    cureOfTheRoom(planOf(procedure(curing(minS))), setting(s))

  it('is let be within a tenth, either way', () => {
    for (const share of [0.9, 0.95, 1, 1.05, 1.1]) expect(found(Math.round(full * share)), `${share}`).toEqual([])
    for (const share of [0.89, 1.11]) expect(found(Math.round(full * share)), `${share}`).toHaveLength(1)
  })

  it('is a fault while it is unripe, and a choice once it is riper', () => {
    const [unripe] = found(full / 2)
    expect(unripe).toMatchObject({ id: 'another-cure', about: 'A' })
    expect(unripe!.text).toMatch(/^A is given 24 h to cure, .* takes 2 days: it would be pulled before it is done/)
    expect(unripe!.note).toBeUndefined()
    const [riper] = found(full * 2)
    expect(riper!.text).toMatch(/riper than the joint needs/)
    expect(riper!.note).toBe(true)
  })

  it('is mended to what it takes, the other steps as they are', () => {
    const plan = planOf(procedure(curing(60)), procedure(curing(60), 'B'))
    const [first] = cureOfTheRoom(plan, setting(situated()))
    const { procedures } = first!.mend!.apply(plan)
    expect(procedures[0]!.steps).toEqual(curing(full))
    expect(procedures[1]).toEqual(plan.procedures[1])
  })

  it('counts the room: what is ripe at 20 °C is unripe at 8 °C', () => {
    const cold = situated({ room: { tempC: 8, rh: 50 } })
    expect(found(full, cold)[0]!.text).toMatch(/before it is done/)
  })

  it('says nothing where nothing is known', () => {
    expect(found(60, null)).toEqual([])
    expect(cureOfTheRoom(planOf(procedure(curing(60))), { ...setting(null), advice: undefined })).toEqual([])
    expect(cureOfTheRoom(planOf(procedure([])), setting(situated()))).toEqual([])
  })
})

describe('what the advice asks for and no step does', () => {
  const cold = situated({ room: { tempC: 8, rh: 50 } })
  const all = drafted(cold)

  it('is nothing in the drafted steps', () => expect(demandLeftOut(planOf(procedure(all)), setting(cold))).toEqual([]))

  it('is put back in its place, with an id of its own', () => {
    const bare = procedure(all.filter(({ kind }) => kind !== 'ready'))
    const [fault] = demandLeftOut(planOf(bare), setting(cold))
    expect(fault).toMatchObject({ id: 'demand-left-out', about: 'A', note: true })
    expect(fault!.text).toMatch(/^A leaves out what its glue asks for here \(.+\): /)
    const after = fault!.mend!.apply(planOf(bare)).procedures[0]!
    expect(after.steps.map(({ kind }) => kind)).toEqual(all.map(({ kind }) => kind))
    expect(new Set(after.steps.map(({ id }) => id)).size).toBe(after.steps.length)
    expect(demandLeftOut(planOf(after), setting(cold))).toEqual([])
  })

  it('is said in the maker’s own step of that kind, whose times stay', () => {
    const own = all.map((step) =>
      step.kind === 'ready' ? { ...step, id: 'mine', text: 'Tidy up', why: [], minS: 77 } : step,
    )
    const [fault] = demandLeftOut(planOf(procedure(own)), setting(cold))
    const after = fault!.mend!.apply(planOf(procedure(own))).procedures[0]!.steps
    expect(after).toHaveLength(own.length)
    expect(after.find(({ kind }) => kind === 'ready')).toMatchObject({ id: 'mine', minS: 77 })
    expect(after.find(({ kind }) => kind === 'ready')!.text).toMatch(/Warm parts/)
  })

  it('is nobody’s business where nothing is advised', () =>
    expect(demandLeftOut(planOf(procedure([])), setting(null))).toEqual([]))
})

describe('a glue that cannot set here, or may harm', () => {
  const of = (family: string, a: string, b: string, patch = {}) => {
    const s = situationOf({ ...openBrief(), ...patch }, materialClassOf(a), materialClassOf(b), familyOf(family))
    const plan = planOf(plainProcedure('A', family), plainProcedure('B', 'epoxy-slow'))
    const only: FairnessSetting = {
      ...setting(s),
      advice: (one) => (one.letter === 'A' ? { situation: s, screening: screen(s) } : null),
    }
    return { plan, found: ruledOut(plan, only) }
  }
  it('is named on Plan, and left out by a press', () => {
    // No light finds its way between wood and metal.
    const { plan, found } = of('uv-acrylic', 'wood', 'metal')
    expect(found).toMatchObject([
      { id: 'ruled-out', about: 'A', text: expect.stringMatching(/^A does not set here: No side/) },
    ])
    const left = found[0]!.mend!.apply({ ...plan, control: plan.procedures[0]!.id })
    expect(left.procedures.map(({ letter }) => letter)).toEqual(['B'])
    expect(left.control).toBeNull()
    expect(of('uv-acrylic', 'glass', 'metal').found).toEqual([])
    const harmed = of('ca-gel', 'wood', 'metal', { users: ['sensitised'] }).found
    expect(harmed[0]!.text).toMatch(/^A is ruled out here, and no test lifts that/)
  })
  it('leaves the only one of a plan to its maker', () => {
    const s = situationOf(openBrief(), materialClassOf('wood'), materialClassOf('metal'), familyOf('uv-acrylic'))
    expect(ruledOut(planOf(plainProcedure('A', 'uv-acrylic')), setting(s))[0]!.mend).toBeNull()
  })
})
