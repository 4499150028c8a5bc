import { draftCoupon } from '../coupons/draft'
import { formulaOf, testKinds, type TestId } from '../knowledge/testKinds'
import type { ExposureKind } from '../knowledge/exposures'
import { materialClassOf } from '../knowledge/materials'
import type { Brief } from '../records/joint'
import type { Arm } from '../records/round'
import type { Procedure } from '../records/procedure'
import { bestTrusted } from './control'
import { wishOf } from './couponFaults'
import { ENOUGH_BLOCKS, fairness } from './fairness'
import type { FairnessSetting, PlanDraft } from './fault'
import { newArm, proofArm, resized, usualExposure } from './newArm'
import { fullCureS } from './steps'
import { testsOf } from './testsOf'

/** Coupons of each that a round begins with, and the hands-on minutes that an evening has. */
const BLOCKS = 4
const EVENING_MIN = 240
/** No draft needs more turns than this to be mended. */
const TURNS = 12

/** What a joint that is used goes through, from what its brief says of heat, cold, water and sun. */
export function exposuresOf(brief: Brief): ExposureKind[] {
  const kinds: ExposureKind[] = []
  if (brief.heatC !== null && brief.heatC >= 40) kinds.push('heat')
  if (brief.coldC !== null && brief.coldC <= 0) kinds.push('cold')
  if (brief.water === 'wash') kinds.push('wash')
  if (brief.water === 'soak') kinds.push('soak')
  if (brief.sun === true) kinds.push('sun')
  return kinds
}

/**
 * A whole round from the brief and the picked glues: tests for each said load, dry and after the exposures that the
 * brief names, at the hour at which it is needed too where a glue is not done by then; coupons that copy the joint and
 * can be read; limits; a control; as many of each as an evening holds. What the fairness check finds in it is mended.
 * @param minutesOf hands-on minutes of a plan
 * @param now ms, when the limits were set
 */
export function draftRound(
  procedures: readonly Procedure[],
  setting: FairnessSetting,
  minutesOf: (draft: PlanDraft) => number,
): PlanDraft {
  const { brief, now } = setting
  const cls = (id: string | null) => (id === null ? null : materialClassOf(id))
  const dry = testsOf(brief, cls(setting.a), cls(setting.b)).map((test, i) => newArm(brief, `a${i + 1}`, test, now))
  const main = dry.find(({ test }) => formulaOf(test) !== null)
  const more: Arm[] = []
  const add = (patch: Partial<Arm>) => main && more.push({ ...main, id: `a${dry.length + more.length + 1}`, ...patch })
  if (brief.readyH !== null && procedures.some(({ steps }) => fullCureS(steps) > brief.readyH! * 3600))
    add({ ageS: brief.readyH * 3600 })
  for (const kind of exposuresOf(brief)) add({ exposure: usualExposure(kind, brief) })
  let draft: PlanDraft = {
    arms: [...dry, ...more],
    procedures: [...procedures],
    blocks: BLOCKS,
    order: 'shuffled',
    control: bestTrusted(procedures, setting.advice)?.id ?? null,
  }
  draft = sized(draft, setting)
  draft = mended(draft, setting)
  return minutesOf(draft) > EVENING_MIN ? { ...draft, blocks: ENOUGH_BLOCKS } : draft
}

/** Each test's coupon at a size that copies the joint and can be read; one size for all arms of a test. */
function sized(draft: PlanDraft, setting: FairnessSetting): PlanDraft {
  const made = new Map<TestId, Partial<Arm>>()
  const arms = draft.arms.map((arm) => {
    if (!made.has(arm.test)) made.set(arm.test, couponOf(arm, draft, setting))
    const { size = arm.size, ...rest } = made.get(arm.test)!
    return { ...resized(arm, size, setting.brief), ...rest }
  })
  return { ...draft, arms }
}

function couponOf(arm: Arm, draft: PlanDraft, setting: FairnessSetting): Partial<Arm> {
  const wish = testKinds[arm.test].foretold ? wishOf(arm, draft, setting) : null
  if (!wish) return {}
  const { size, read, taped } = draftCoupon(wish)
  return { size, ...(read.way !== 'gauge' && { read }), ...(taped && { taped }) }
}

/** A draft with every fault mended that a press could mend; a load that nothing reads is held as a proof load. */
function mended(start: PlanDraft, setting: FairnessSetting): PlanDraft {
  let draft = start
  for (let turn = 0; turn < TURNS; turn++) {
    // Procedures are the maker's: what is unlike in them is said, and not changed behind their back.
    const fault = fairness(draft, setting).find(
      (one) => !one.note && (one.mend === null ? one.id.startsWith('reads-') : true) && ofTheRound(one.id),
    )
    if (!fault) break
    draft = fault.mend ? fault.mend.apply(draft) : asProof(draft, fault.about)
  }
  return draft
}
const ofTheRound = (id: string) => id !== 'ruled-out' && (!id.startsWith('unequal-') || id === 'unequal-area')

const asProof = (draft: PlanDraft, armId: string): PlanDraft => {
  const unread = draft.arms.find(({ id }) => id === armId)!.test
  return { ...draft, arms: draft.arms.map((arm) => (arm.test === unread ? proofArm(arm) : arm)) }
}
