import { adviceRemembered } from '../../bench/advice'
import { modelReadings } from '../../../core/evidence/modelReadings'
import { formulaOf, testKinds } from '../../../core/knowledge/testKinds'
import { couponsOf, MOST_COUPONS } from '../../../core/planning/coupons'
import { draftRound as wholeRound } from '../../../core/planning/draftRound'
import type { FairnessSetting, PlanDraft } from '../../../core/planning/fairness'
import { limitLocked, withLimit } from '../../../core/planning/limits'
import { digitsOf } from '../../../core/quantities/figure'
import { insert, remove, update, type Change } from '../../../core/records/entry'
import type { Arm, Round } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { packDaysLeft, packInUse } from '../../../core/situation/packs'
import type { ModelReading } from '../../../core/statistics/data'
import { newId } from '../../bench/ids'
import { familyTimes, type JointView } from '../../bench/jointView'
import { settingOf } from '../../bench/setting'
import type { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'

type Store = ReturnType<typeof useBench>

/**
 * A round that holds no coupons yet is a draft: every change of it is kept, and can be taken back. Planned is what has
 * them.
 */
export const isPlanned = (view: JointView): boolean => view.round !== null && view.draft === null

/** The plan as it stands: the kept draft, or a whole one from the brief, the picked glues and the gauge. */
export function draftRound(
  view: JointView,
  setting: FairnessSetting,
  minutesOf: (draft: PlanDraft) => number,
  now: number,
): Round {
  if (view.draft) return view.draft
  const { arms, blocks, order, control } = wholeRound(view.procedures, { ...setting, now }, minutesOf)
  return {
    id: '',
    joint: view.joint.id,
    number: (view.round?.number ?? 0) + 1,
    arms,
    procedures: [],
    blocks,
    seed: 0,
    order,
    control,
    hunch: null,
    weights: null,
    plannedAt: now,
  }
}

export const asPlan = (round: Round, procedures: readonly Procedure[]): PlanDraft => ({
  arms: round.arms,
  procedures: [...procedures],
  blocks: round.blocks,
  order: round.order,
  control: round.control,
})

const kept = (round: Round, patch: Partial<Round>): Change =>
  round.id ? update('round', round, patch) : insert('round', { ...round, ...patch, id: newId() })

/** The draft as it stands in the records this moment: a page may be a moment behind them. */
function freshDraft(bench: Store, view: JointView, shown: Round): Round {
  const rounds = bench.of('round', view.joint.id).sort((x, y) => x.number - y.number)
  const last = rounds.at(-1)
  // A fresh draft has no record yet; an older round with coupons is another one.
  return last && last.number >= shown.number ? last : shown
}

let turn: Promise<unknown> = Promise.resolve()
/** Changes of a draft follow one another, each on what the one before left: fast hands lose nothing. */
export function editDraft(
  bench: Store,
  view: JointView,
  shown: Round,
  make: (round: Round) => Partial<Round>,
  what: string,
  /** what stood in the field when the typing began, put back into the round: so a change made elsewhere shows */
  opened: (round: Round) => Partial<Round> = () => ({}),
): Promise<boolean> {
  const next = turn.then(() => {
    const round = freshDraft(bench, view, shown)
    const label = `${view.joint.code} plan: ${what}`
    if (!round.id) return bench.write(label, [kept(round, make(round))])
    return bench.edit(label, [editOf('round', { ...round, ...opened(round) }, make(round))])
  })
  turn = next.catch(() => {})
  return next
}

/** Writes what a press on a fault changes: in the plan, and in the procedures. One entry. */
export function mendDraft(
  bench: Store,
  view: JointView,
  round: Round,
  after: PlanDraft,
  what: string,
): Promise<boolean> {
  const { arms, blocks, order, control } = after
  const procedures = after.procedures.flatMap((one) => {
    const before = view.procedures.find(({ id }) => id === one.id)
    return before && before !== one ? [update('procedure', before, one)] : []
  })
  const left = view.procedures.filter(({ id }) => !after.procedures.some((one) => one.id === id))
  return bench.write(`${view.joint.code} plan: ${what}`, [
    kept(round, { arms, blocks, order, control }),
    ...procedures,
    ...left.map((one) => remove('procedure', one)),
  ])
}

/** Turns the draft into coupons: randomised blocks, labels, pull order, the seed kept. One entry. */
export async function planCoupons(bench: Store, view: JointView, draft: Round, now: number): Promise<boolean> {
  const seed = crypto.getRandomValues(new Uint16Array(1))[0]!
  const round: Round = {
    ...draft,
    id: draft.id || newId(),
    seed,
    procedures: view.procedures.map(({ id }) => id),
    plannedAt: now,
  }
  const coupons = couponsOf(view.joint.code, round, view.procedures, newId)
  if (coupons.length > MOST_COUPONS) return false
  return bench.write(
    `${view.joint.code}: plan ${coupons.length} coupons`,
    [
      draft.id ? update('round', draft, round) : insert('round', round),
      ...coupons.map((coupon) => insert('coupon', coupon)),
    ],
    true,
  )
}

/** Another round of the same tests, with new coupons: nothing of the last one is touched. */
export function planAnother(bench: Store, view: JointView, now: number): Promise<boolean> {
  const last = view.round!
  const arms = last.arms.map((arm) => ({ ...arm, passSetAt: arm.passLimit === null ? null : now, lateChanges: [] }))
  const next: Round = {
    ...last,
    id: newId(),
    number: last.number + 1,
    arms,
    procedures: [],
    hunch: null,
    weights: last.weights && { ...last.weights, changedLate: null },
    plannedAt: now,
  }
  return bench.write(`${view.joint.code}: plan round ${next.number}`, [insert('round', next)], true)
}

/** A plan nobody has glued yet may be taken apart again; the draft stays. */
export const canUnplan = (view: JointView): boolean =>
  view.coupons.length > 0 &&
  [...view.coupons, ...view.leftOut].every(({ stamps }) => stamps.length === 0) &&
  view.readings.length + view.earlier.length === 0

export const unplan = (bench: Store, view: JointView): Promise<boolean> =>
  bench.write(
    `${view.joint.code}: plan the round anew`,
    [...view.coupons, ...view.leftOut].map((coupon) => remove('coupon', coupon)),
    true,
  )

/** Whether the limit of an arm is locked: nothing has been pulled in a plan that has no coupons yet. */
export const isLocked = (view: JointView, arm: Arm): boolean =>
  isPlanned(view) && limitLocked(arm, view.coupons, view.readings)

/** Sets a limit; after the first pull it is kept as a late change, which the result shows. */
export function setLimit(
  bench: Store,
  view: JointView,
  shown: Round,
  arm: Arm,
  passLimit: number | null,
  now: number,
  opened: number | null = arm.passLimit,
): Promise<boolean> {
  const { unit } = testKinds[arm.test]
  const late = isLocked(view, arm)
  const changed = (one: Arm) => withLimit(one, passLimit, late, now)
  const what =
    'pass limit ' +
    `${passLimit === null ? 'taken away' : `${digitsOf(passLimit)} ${unit}`}${late ? ', after the first pull' : ''}`
  const inArm = (put: (one: Arm) => Arm) => (round: Round) => ({
    arms: round.arms.map((one) => (one.id === arm.id ? put(one) : one)),
  })
  const before = inArm((one) => ({ ...one, passLimit: opened }))
  return editDraft(bench, view, shown, inArm(changed), what, before)
}

/** From so many pulls on a round's own scatter says more than the usual one. */
export const ENOUGH_FOR_SCATTER = 6

/** The dry pulls of the round's first arm that is pulled, as the model takes them. */
export function dryReadings(view: JointView): ModelReading[] {
  const arm = view.round?.arms.find(({ exposure, test }) => exposure === null && formulaOf(test) !== null)
  if (!arm) return []
  return modelReadings(
    arm,
    view.coupons.filter((coupon) => coupon.arm === arm.id),
    view.readings,
  )
}

/** What the fairness check takes into account beside the plan. */
export function fairnessSetting(bench: Store, view: JointView, now: number): FairnessSetting {
  const around = settingOf(bench, view.joint.brief, now, [])
  return {
    brief: view.joint.brief,
    a: view.a?.cls.id ?? null,
    b: view.b?.cls.id ?? null,
    gauge: bench.bench!.gauge,
    familyOf: (procedure) => familyTimes(bench, procedure),
    packDaysLeft: (procedure) => {
      const pack = procedure.adhesive === null ? null : packInUse(bench.of('stock', procedure.adhesive), now)
      return pack && packDaysLeft(pack, familyTimes(bench, procedure).shelfOpenedDays, now)
    },
    now,
    advice: (procedure) => adviceRemembered(procedure, around),
  }
}
