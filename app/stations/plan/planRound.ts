import { requiredStrength } from '../../../core/choice/requirement'
import { couponLabel, glueOrder, pullOrder } from '../../../core/planning/order'
import { insert, remove, update, type Change } from '../../../core/records/entry'
import type { Coupon, Round } from '../../../core/records/round'
import { testKinds, testsFor, type TestId } from '../../../core/readings/tests'
import type { CouponSize } from '../../../core/readings/strength'
import { newId } from '../../bench/ids'
import type { JointView } from '../../bench/jointView'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

/** What is planned before there are coupons. */
export interface Draft {
  test: TestId
  size: CouponSize
  blocks: number
  passLimit: number | null
  order: Round['order']
}

export function firstDraft(view: JointView): Draft {
  const test = testsFor(view.joint.brief.loads ?? [])[0]!
  const limit = requiredStrength(view.joint.brief, test)
  return {
    test,
    size: usualSize(view, test),
    blocks: 4,
    passLimit: limit === null ? null : Number(limit.toPrecision(3)),
    order: 'shuffled',
  }
}

/** A test's usual sizes, with the thickness of the thinner side where the test asks for one. */
export function usualSize(view: JointView, test: TestId): CouponSize {
  const size: CouponSize = { ...testKinds[test].sizes }
  const { a, b } = view.joint.brief
  const thickness = [a.thicknessMm, b.thicknessMm].filter((value) => value !== null)
  if (size.thicknessMm && thickness.length) size.thicknessMm = Math.min(...thickness)
  return size
}

/** Labels of a later round carry its number, so that no two strips of tape say the same: "H2.2-B3". */
const codeOf = (view: JointView, number: number) => (number === 1 ? view.joint.code : `${view.joint.code}.${number}`)

/** Cuts the plan into a round: coupons in randomised blocks, labels, pull order, the seed kept. One entry. */
export async function makeRound(bench: Store, view: JointView, draft: Draft, now: number): Promise<boolean> {
  const seed = crypto.getRandomValues(new Uint16Array(1))[0]!
  const number = (view.round?.number ?? 0) + 1
  const round: Round = {
    id: newId(), joint: view.joint.id, number, test: draft.test, size: draft.size, procedures: view.procedures.map(({ id }) => id), blocks: draft.blocks, seed,
    order: draft.order, passLimit: draft.passLimit, passSetAt: draft.passLimit === null ? null : now, plannedAt: now,
  } // prettier-ignore
  const coupons = couponsOf(view, round)
  return bench.write(
    `${view.joint.code}: plan ${coupons.length} coupons, ${testKinds[draft.test].name}`,
    [insert('round', round), ...coupons.map((coupon) => insert('coupon', coupon))],
    true,
  )
}

export function couponsOf(view: JointView, round: Round): Coupon[] {
  const order = glueOrder(view.procedures.map(({ letter }) => letter), round.blocks, round.seed) // prettier-ignore
  const pulls = pullOrder([...order.keys()], round.seed)
  const code = codeOf(view, round.number)
  return order.map(({ letter, block }, i) => ({
    id: newId(), round: round.id, procedure: view.procedures.find((procedure) => procedure.letter === letter)!.id, block, label: couponLabel(code, letter, block),
    glueAt: i, pullAt: pulls.indexOf(i), size: {}, stamps: [], deviations: [],
  })) // prettier-ignore
}

/** A plan nobody has glued yet may be thrown away whole. */
export const canUnplan = (view: JointView): boolean =>
  view.coupons.length > 0 && view.coupons.every((coupon) => coupon.stamps.length === 0) && view.readings.length === 0

export function unplan(bench: Store, view: JointView): Promise<boolean> {
  const changes: Change[] = [...view.coupons.map((coupon) => remove('coupon', coupon)), remove('round', view.round!)]
  return bench.write(`${view.joint.code}: plan the round anew`, changes, true)
}

/** The pass limit may move until the first pull; then it is locked. */
export const limitLocked = (view: JointView): boolean => view.readings.length > 0

export function setLimit(bench: Store, view: JointView, passLimit: number | null, now: number): Promise<boolean> {
  const { unit } = testKinds[view.round!.test]
  return bench.write(`${view.joint.code}: pass limit ${passLimit === null ? 'taken away' : `${passLimit} ${unit}`}`, [
    update('round', view.round!, { passLimit, passSetAt: passLimit === null ? null : now }),
  ])
}
