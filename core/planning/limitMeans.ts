import { perNewton } from '../coupons/expected'
import { testKinds } from '../knowledge/testKinds'
import { strengthPerN } from '../loads/requirement'
import { measured } from '../quantities/betterUnit'
import { forceAndWeight, forceWords, type ForceUnit } from '../quantities/force'
import type { Brief } from '../records/joint'
import type { Arm } from '../records/round'

/** What a strength is as a load: on the coupon of an arm, and on one real joint, N; null where a size is open. */
export function limitMeans(
  limit: number,
  arm: Pick<Arm, 'test' | 'size'>,
  brief: Brief,
): { couponN: number | null; jointN: number | null } {
  const perN = (strength: number | null) => (strength ? limit / strength : null)
  return { couponN: perN(perNewton(arm.test, arm.size)), jointN: perN(strengthPerN(brief, arm.test)) }
}

/** A limit in the maker's own figures: what the scale will say on this coupon, and what one real joint then carries. */
export function limitWords(
  limit: number,
  arm: Pick<Arm, 'test' | 'size'>,
  brief: Brief,
  unit?: ForceUnit,
): string | null {
  const { couponN, jointN } = limitMeans(limit, arm, brief)
  const parts = [
    couponN === null ? '' : `on this coupon the scale says ${forceAndWeight(couponN, unit)}`,
    jointN === null ? '' : `one real joint then carries ${forceAndWeight(jointN, unit)}`,
  ].filter(Boolean)
  return parts.length ? `${parts.join('; ').replace(/^./, (first) => first.toUpperCase())}.` : null
}

/** A limit with its unit, and the force that it is on the coupon of its arm: “9.19 kPa, 2.76 N on this coupon”. */
export function limitInShort(limit: number, arm: Pick<Arm, 'test' | 'size'>, unit?: ForceUnit): string {
  const strength = perNewton(arm.test, arm.size)
  const force = strength ? `, ${forceWords(limit / strength, unit)} on this coupon` : ''
  return `${measured(limit, testKinds[arm.test].unit)}${force}`
}
