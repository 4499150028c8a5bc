import { digitsOf } from '../../../core/quantities/figure'
import { requiredStrength } from '../../../core/choice/requirement'
import { armOfPlace } from '../../../core/planning/arms'
import type { FairnessSetting, PlanDraft } from '../../../core/planning/fairness'
import { couponLabel, glueOrder, pullOrder, pullOrderByTrust, trustOf } from '../../../core/planning/order'
import { insert, remove, update, type Change } from '../../../core/records/entry'
import type { Arm, Coupon, Exposure, ExposureKind, Procedure, Round } from '../../../core/records/round'
import type { Brief } from '../../../core/records/joint'
import type { CouponSize } from '../../../core/readings/strength'
import { countingReadings } from '../../../core/readings/counting'
import { interpret } from '../../../core/readings/interpret'
import type { ModelReading } from '../../../core/statistics/data'
import { testKinds, testsFor, type TestId } from '../../../core/readings/tests'
import { packAge, packInUse } from '../../../core/screening/shortlist'
import { newId } from '../../bench/ids'
import { familyTimes, type JointView } from '../../bench/jointView'
import { editOf, type useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

/** A test's usual sizes, with the thickness of the thinner side where the test asks for one. */
export function usualSize(brief: Brief, test: TestId): CouponSize {
  const size: CouponSize = { ...testKinds[test].sizes }
  const thickness = [brief.a.thicknessMm, brief.b.thicknessMm].filter((value) => value !== null)
  if (size.thicknessMm && thickness.length) size.thicknessMm = Math.min(...thickness)
  return size
}

/** Whether each side of the joint bends, which decides how it can be peeled. */
export const sidesOf = ({ a, b }: Pick<JointView, 'a' | 'b'>) => ({
  aBends: a?.cls.flexible ?? null,
  bBends: b?.cls.flexible ?? null,
})

export const PROOF_FACTOR = 2

/** An arm with its usual size and, where the brief gives one, its pass limit. */
export function newArm(brief: Brief, id: string, test: TestId, now: number, exposure: Exposure | null = null): Arm {
  const limit = requiredStrength(brief, test)
  // A proof load is the required load itself, times a factor: twice it is the usual one.
  const passLimit = test === 'proof' ? PROOF_FACTOR : limit === null ? null : Number(limit.toPrecision(3))
  return {
    id,
    test,
    exposure,
    size: usualSize(brief, test),
    passLimit,
    passSetAt: passLimit === null ? null : now,
    lateChanges: [],
  }
}

/** What a coupon goes through, as the brief has it: its heat, its cold, its water. */
export const usualExposure = (kind: ExposureKind, brief: Brief): Exposure =>
  ({
    heat: { kind, amount: brief.heatC ?? 50, hours: 2 },
    cold: { kind, amount: brief.coldC ?? -15, hours: 12 },
    wash: { kind, amount: 3, hours: 6 },
    soak: { kind, amount: 24, hours: 24 },
    sun: { kind, amount: 14, hours: 336 },
    flex: { kind, amount: 500, hours: 1 },
    wait: { kind, amount: 4, hours: 672 },
  })[kind]

/**
 * A round that holds no coupons yet is a draft: every change of it is kept, and can be taken back. Planned is what has
 * them.
 */
export const isPlanned = (view: JointView): boolean => view.round !== null && view.draft === null

/** The plan as it stands: the kept draft, or a first one from the brief's loads. */
export function draftRound(view: JointView, now: number): Round {
  if (view.draft) return view.draft
  const { brief } = view.joint
  const arm = newArm(brief, 'a1', testsFor(brief.loads ?? [], sidesOf(view))[0]!, now)
  const control = view.procedures.find(({ adhesive, anyway }) => adhesive !== null && !anyway)?.id ?? null
  return {
    id: '',
    joint: view.joint.id,
    number: (view.round?.number ?? 0) + 1,
    arms: [arm],
    procedures: [],
    blocks: 4,
    seed: 0,
    order: 'shuffled',
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
  return bench.write(`${view.joint.code} plan: ${what}`, [kept(round, { arms, blocks, order, control }), ...procedures])
}

/** Labels of a later round carry its number, so that no two strips of tape say the same: "H2.2-B3". */
const codeOf = (view: JointView, number: number) => (number === 1 ? view.joint.code : `${view.joint.code}.${number}`)

export function couponsOf(view: JointView, round: Round): Coupon[] {
  const letters = view.procedures.map(({ letter }) => letter)
  const places = glueOrder(letters, round.blocks * round.arms.length, round.seed)
  // As written: one kind after the other, which the fairness check warns of.
  const order =
    round.order === 'as-written'
      ? [...places].sort((x, y) => x.letter.localeCompare(y.letter) || x.block - y.block)
      : places
  const procedureOf = (letter: string) => view.procedures.find((procedure) => procedure.letter === letter)!.id
  const trust = (i: number) => trustOf(procedureOf(order[i]!.letter), round.control, round.hunch?.order ?? null)
  const pulls =
    round.order === 'as-written'
      ? [...order.keys()]
      : round.order === 'least-trusted-first'
        ? pullOrderByTrust([...order.keys()], trust, round.seed)
        : pullOrder([...order.keys()], round.seed)
  const code = codeOf(view, round.number)
  return order.map(({ letter, block }, i) => ({
    id: newId(),
    round: round.id,
    arm: armOfPlace(round.arms, block).id,
    procedure: procedureOf(letter),
    block,
    label: couponLabel(code, letter, block),
    glueAt: i,
    pullAt: pulls.indexOf(i),
    size: {},
    stamps: [],
    deviations: [],
  }))
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
  const coupons = couponsOf(view, round)
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
  view.coupons.length > 0 && view.coupons.every((coupon) => coupon.stamps.length === 0) && view.readings.length === 0

export const unplan = (bench: Store, view: JointView): Promise<boolean> =>
  bench.write(
    `${view.joint.code}: plan the round anew`,
    view.coupons.map((coupon) => remove('coupon', coupon)),
    true,
  )

/** The pass limits may move until the first pull of their arm; then they are locked. */
export const limitLocked = (view: JointView, arm: Arm): boolean => {
  if (!isPlanned(view)) return false
  const ids = new Set(view.coupons.filter((coupon) => coupon.arm === arm.id).map(({ id }) => id))
  return view.readings.some(({ coupon }) => ids.has(coupon))
}

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
  const late = limitLocked(view, arm)
  const changed = (one: Arm): Arm => ({
    ...one,
    passLimit,
    passSetAt: passLimit === null ? null : now,
    lateChanges: late ? [...one.lateChanges, { at: now, from: one.passLimit, to: passLimit }] : one.lateChanges,
  })
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

/** The dry pulls of the round's first arm, as the model takes them. */
export function modelReadings(view: JointView): ModelReading[] {
  const arm = view.round?.arms.find(({ exposure, test }) => exposure === null && testKinds[test].force !== null)
  if (!arm) return []
  const coupons = new Map(
    view.coupons.filter((coupon) => coupon.arm === arm.id).map((coupon) => [coupon.id, coupon.procedure]),
  )
  return countingReadings(view.readings).flatMap((reading): ModelReading[] => {
    const procedure = coupons.get(reading.coupon)
    if (!procedure) return []
    const { datum } = interpret(reading, arm.test)
    return datum.kind === 'leftOut' ? [] : [{ procedure, ...datum }]
  })
}

const DAY = 86_400_000
/** What the fairness check takes into account beside the plan. */
export function fairnessSetting(bench: Store, view: JointView, now: number): FairnessSetting {
  return {
    brief: view.joint.brief,
    a: view.a?.cls.id ?? null,
    b: view.b?.cls.id ?? null,
    gauge: bench.bench!.gauge,
    familyOf: (procedure) => familyTimes(bench, procedure),
    packDaysLeft: (procedure) => {
      const pack = procedure.adhesive === null ? null : packInUse(bench.of('stock', procedure.adhesive), now)
      if (!pack) return null
      const expires =
        pack.expiresOn === null ? Infinity : Math.floor((Date.parse(`${pack.expiresOn}T23:59:59Z`) - now) / DAY)
      const { daysOpen } = packAge(pack, now)
      const keeps = daysOpen === null ? Infinity : familyTimes(bench, procedure).shelfOpenedDays - daysOpen
      const left = Math.min(expires, keeps)
      return Number.isFinite(left) ? left : null
    },
    now,
  }
}
