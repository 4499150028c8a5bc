import { describe, expect, it } from 'vitest'
import { plainSetting } from './__tests__/plain'
import { couponDepthMm } from '../coupons/depth'
import { canBend } from './testsOf'
import { readsAtAll } from '../coupons/reading'
import { materialClasses, materialClassOf } from '../knowledge/materials'
import { formulaOf, testKinds } from '../knowledge/testKinds'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { armSchema } from '../records/round'
import type { Procedure } from '../records/procedure'
import { pick, randomBrief } from '../screening/__tests__/randomBrief'
import { shortAnswer } from '../screening/shortAnswer'
import { judged, shortlist, type Setting } from '../screening/shortlist'
import { familyOf } from '../knowledge/families'
import { expectedLoad } from './couponFaults'
import { draftRound, exposuresOf } from './draftRound'
import { draftSteps } from './draft/draft'
import { fairness } from './fairness'
import type { FairnessSetting, PlanDraft } from './fault'
import { needsOf } from './needs'
import { seededRandom } from './random'

const settingOf = (brief: Brief, a: string, b: string) =>
  plainSetting(materialClassOf(a), materialClassOf(b), { brief })

function procedureOf(letter: string, family: string, setting: Setting): Procedure {
  const { situation, screening } = judged(familyOf(family), null, setting)
  const steps = draftSteps(situation, screening.reasons)
  return {
    id: letter,
    joint: 'j',
    letter,
    name: family,
    family,
    adhesive: null,
    helpers: [],
    anyway: false,
    coats: steps.some(({ kind }) => kind === 'coat') ? 2 : 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps,
  }
}

const fairnessSetting = (setting: Setting): FairnessSetting => ({
  brief: setting.brief,
  a: setting.a!.id,
  b: setting.b!.id,
  gauge: { limitN: 490, resolutionN: 0.5 },
  familyOf: ({ family }) => familyOf(family),
  packDaysLeft: () => null,
  now: 1000,
  advice: ({ family }) => judged(familyOf(family), null, setting),
})
const minutesOf = (draft: PlanDraft) =>
  needsOf(
    draft.procedures.map((procedure) => ({ procedure, family: familyOf(procedure.family), product: null, left: null })),
    draft.arms,
    draft.blocks,
  ).handsOnMinutes
const drafted = (setting: Setting, families: readonly string[]) =>
  draftRound(
    families.map((family, i) => procedureOf('ABC'[i]!, family, setting)),
    fairnessSetting(setting),
    minutesOf,
  )
const briefOf = (patch: Partial<Brief>): Brief => ({ ...openBrief(), ...patch })

const bendable = ({ a, b }: FairnessSetting) => [a, b].every((id) => canBend(id === null ? null : materialClassOf(id)))

describe('200 random briefs with the three picks of the short answer', () => {
  const random = seededRandom(200)
  const rounds: { draft: PlanDraft; fair: FairnessSetting; name: string }[] = []
  for (let i = 0; rounds.length < 200; i++) {
    const brief = randomBrief(random)
    const [a, b] = [pick(random, materialClasses).id, pick(random, materialClasses).id]
    const setting = settingOf(brief, a, b)
    const { three } = shortAnswer(shortlist(setting), () => [])
    if (three.length < 3) continue
    const draft = drafted(
      setting,
      three.map(({ candidate }) => candidate.family.id),
    )
    rounds.push({ draft, fair: fairnessSetting(setting), name: `${a} on ${b}, brief ${i}` })
  }
  it('are never unfair by the app’s own findings', () => {
    for (const { draft, fair, name } of rounds) {
      const found = fairness(draft, fair).filter(({ note }) => !note)
      expect(found.map(({ id, text }) => `${name}: ${id} ${text}`)).toEqual([])
    }
  })
  it('have a test for each said load, each arm’s load read by its way, and every arm a limit', () => {
    for (const { draft, fair, name } of rounds) {
      expect(new Set(draft.arms.map(({ id }) => id)).size, name).toBe(draft.arms.length)
      for (const arm of draft.arms) {
        expect(armSchema.safeParse(arm).success, name).toBe(true)
        if (formulaOf(arm.test)) expect(arm.passLimit, `${name} ${arm.test}`).toBeGreaterThan(0)
        const [from, to] = readsAtAll(arm.read ?? { way: 'gauge' }, fair.gauge)
        for (const { family } of draft.procedures) {
          const load = expectedLoad(arm, fair, family)
          if (load) expect(load[0] >= from && load[1] <= to, `${name} ${arm.test} ${family}`).toBe(true)
        }
      }
      const answered = (load: string) =>
        draft.arms.some(({ test }) => test === 'proof' || testKinds[test].loads.includes(load as never))
      for (const load of fair.brief.loads ?? [])
        expect(
          answered(load) ||
            (load === 'peel' && answered('cleavage')) ||
            // An edge has no face to be peeled: it is snapped open, or pulled apart.
            (fair.brief.geometry === 'butt-edge' &&
              (load === 'peel' || load === 'cleavage') &&
              (answered('bend') || answered('tension'))) ||
            // What cannot bend is snapped, or what is soft is peeled off it.
            (load === 'flex' && !bendable(fair) && (answered('bend') || answered('peel'))),
          `${name} ${load}`,
        ).toBe(true)
    }
  })
  it('have three of each at least, and no more than an evening’s where four are more', () => {
    for (const { draft, name } of rounds) {
      expect(draft.blocks, name).toBeGreaterThanOrEqual(3)
      if (draft.blocks > 3) expect(minutesOf(draft), name).toBeLessThanOrEqual(240)
      expect(draft.order).toBe('shuffled')
      expect(draft.procedures.some(({ id }) => id === draft.control)).toBe(true)
    }
  })
})

describe('a round drafted from its brief', () => {
  const foam = { ...openBrief().a, material: 'foam-eva', thicknessMm: 10 }
  const stacked = (patch: Partial<Brief>) =>
    settingOf(
      briefOf({ a: foam, b: foam, geometry: 'face-large', loads: ['tension'], ...patch }),
      'foam-eva',
      'foam-eva',
    )

  it('goes through the heat, cold and water that the brief names, with the first test', () => {
    const setting = stacked({ heatC: 60, coldC: -10, water: 'wash', loads: ['tension', 'shear'] })
    expect(exposuresOf(setting.brief)).toEqual(['heat', 'cold', 'wash'])
    const { arms } = drafted(setting, ['contact-solvent', 'contact-water', 'hotmelt-low'])
    expect(arms.map(({ test, exposure }) => `${test} ${exposure?.kind ?? 'dry'}`)).toEqual([
      'tension dry',
      'lap-shear dry',
      'tension heat',
      'tension cold',
      'tension wash',
    ])
    expect(arms[2]!.size).toEqual(arms[0]!.size)
  })
  it('is pulled at the hour that the brief needs too, where a glue is not done by then', () => {
    const ages = (readyH: number) =>
      drafted(stacked({ readyH }), ['contact-solvent', 'hotmelt-low', 'pu-clear']).arms.map(({ ageS }) => ageS ?? null)
    expect(ages(24)).toEqual([null, 86_400])
    expect(ages(24 * 30)).toEqual([null])
  })
  it('is as deep as the joint where a glue cures from the rim, shallow or deep', () => {
    const deepOf = (widthMm: number) => {
      const setting = stacked({ widthMm, lengthMm: 400 })
      const draft = drafted(setting, ['silicone', 'contact-solvent', 'hotmelt-low'])
      return { draft, mm: couponDepthMm(draft.arms[0]!.test, draft.arms[0]!.size, draft.arms[0]!.taped) }
    }
    // 15 mm wide: 7.5 mm deep. 100 mm wide: silicone is laid in beads of 31 mm, done in a week, 15.5 mm deep.
    expect(Math.abs(deepOf(30).mm / 15 - 1)).toBeLessThanOrEqual(0.1)
    expect(Math.abs(deepOf(100).mm / 15.5 - 1)).toBeLessThanOrEqual(0.1)
    expect(deepOf(100).draft.procedures[0]!.steps.find(({ kind }) => kind === 'apply')!.text).toContain('31 mm')
  })
  it('says what a coupon that lies less deep, or deeper, would do; a press makes it as deep', () => {
    const setting = stacked({ widthMm: 30, lengthMm: 400 })
    const fair = fairnessSetting(setting)
    const draft = drafted(setting, ['silicone', 'contact-solvent', 'hotmelt-low'])
    const as = (mm: number) => {
      const [first, ...rest] = draft.arms
      const size = { areaMm2: mm * mm }
      return { ...draft, arms: [{ ...first!, size, taped: false }, ...rest] }
    }
    const fault = (mm: number) => fairness(as(mm), fair).find(({ id }) => id === 'not-as-deep')
    // The joint is 15 mm deep; a square coupon half its side.
    expect(fault(30)).toBeUndefined()
    expect(fault(12)!.text).toMatch(
      /, A: the coupon lies 6\.00 mm deep .* the joint 15\.0 mm .*acquit a glue that stays wet/,
    )
    expect(fault(60)!.text).toMatch(/lies 30\.0 mm deep .* would condemn a glue/)
    const { mend, note, about } = fault(12)!
    expect(about).toBe(draft.arms[0]!.id)
    expect(mend === null).toBe(note === true)
    expect(/Glue one full-size piece beside it/.test(fault(12)!.text)).toBe(mend === null)
    if (mend) {
      expect(mend.words).toBe('Make it as deep: bonded area 225 mm², three edges taped shut')
      expect(fairness(mend.apply(as(12)), fair).map(({ id }) => id)).not.toContain('not-as-deep')
    }
  })
  it('takes the best trusted as the control, never one that is tested anyway', () => {
    const setting = stacked({})
    const list = ['silicone', 'contact-solvent'].map((family, i) => procedureOf('AB'[i]!, family, setting))
    const control = (procedures: Procedure[]) => draftRound(procedures, fairnessSetting(setting), minutesOf).control
    expect(control(list)).toBe('B')
    expect(control(list.map((one) => ({ ...one, anyway: one.letter === 'B' })))).not.toBe('B')
  })
  it('says what a cure that was changed would do, and what was left out', () => {
    const setting = stacked({})
    const fair = fairnessSetting(setting)
    const draft = drafted(setting, ['contact-solvent', 'contact-water', 'hotmelt-low'])
    const [first, ...rest] = draft.procedures
    const withSteps = (steps: Procedure['steps']) => ({ ...draft, procedures: [{ ...first!, steps }, ...rest] })
    const unripe = withSteps(first!.steps.map((step) => (step.kind === 'cure' ? { ...step, minS: 3600 } : step)))
    const found = fairness(unripe, fair).find(({ id }) => id === 'another-cure')!
    expect(found).toMatchObject({ about: 'A', text: expect.stringContaining('pulled before it is done') as string })
    expect(fairness(found.mend!.apply(unripe), fair).map(({ id }) => id)).not.toContain('another-cure')
    const bare = withSteps(first!.steps.filter(({ kind }) => kind !== 'wait').map((step) => ({ ...step, why: [] })))
    const prepared = { ...setting, brief: { ...setting.brief, a: { ...foam, state: 'old-glue' as const } } }
    const left = fairness(bare, fairnessSetting(prepared)).find(({ id }) => id === 'demand-left-out')!
    expect(left.text).toContain('prepare A')
    const mended = left.mend!.apply(bare)
    expect(mended.procedures[0]!.steps[0]!.text).toMatch(/^Side A, closed-cell EVA foam sheet: scrape it bare/)
    const still = fairness(mended, fairnessSetting(prepared)).filter(({ id }) => id === 'demand-left-out')
    expect(still.map(({ about }) => about)).not.toContain('A')
  })
})

describe('the first test of a drafted round', () => {
  const first = (a: string, b: string) =>
    drafted(settingOf(briefOf({ loads: ['peel'] }), a, b), ['pva-white', 'epoxy-fast']).arms[0]!.test
  it('goes by what the two sides are', () => {
    const found = {
      rigid: first('wood', 'wood'),
      mixed: first('wood', 'fabric-cotton'),
      soft: first('fabric-cotton', 'fabric-cotton'),
    }
    expect(found).toEqual({ rigid: 'cleavage', mixed: 'peel-90', soft: 't-peel' })
  })
})
