import { perNewton } from '../coupons/expected'
import { testKinds } from '../knowledge/testKinds'
import { strengthPerN } from '../loads/requirement'
import { measured } from '../quantities/betterUnit'
import { forceAndWeight, forceWords, type ForceUnit } from '../quantities/force'
import type { Brief } from '../records/joint'
import { figureOf } from '../quantities/figure'
import { STANDARD_GRAVITY } from '../quantities/units'
import type { Arm, ArmRead } from '../records/round'

/** What a strength is as a load: on the coupon of an arm, and on one real joint, N; null where a size is open. */
export function limitMeans(
  limit: number,
  arm: Pick<Arm, 'test' | 'size'>,
  brief: Brief,
): { couponN: number | null; jointN: number | null } {
  const perN = (strength: number | null) => (strength ? limit / strength : null)
  return { couponN: perN(perNewton(arm.test, arm.size)), jointN: perN(strengthPerN(brief, arm.test)) }
}

/** A load on the coupon as its way of reading shows it: a lever’s scale says less, weights and water hang on it. */
function read(couponN: number, by: ArmRead, unit?: ForceUnit): string {
  const kg = () => `${figureOf(couponN / STANDARD_GRAVITY)} kg`
  switch (by.way) {
    case 'gauge':
      return `on this coupon the scale says ${forceAndWeight(couponN, unit)}`
    case 'lever':
      return (
        `on its lever of ${by.ratio} to 1 the scale says ${forceAndWeight(couponN / by.ratio, unit)}, ` +
        `${forceAndWeight(couponN, unit)} on this coupon`
      )
    case 'mass':
      return `on this coupon that is ${kg()} hung, hook and tray counted`
    case 'water':
      return `on this coupon that is ${kg()} of bucket and water together`
  }
}

/** A limit in the maker's own figures: what the scale will say on this coupon, and what one real joint then carries. */
export function limitWords(
  limit: number,
  arm: Pick<Arm, 'test' | 'size' | 'read'>,
  brief: Brief,
  unit?: ForceUnit,
): string | null {
  const { couponN, jointN } = limitMeans(limit, arm, brief)
  const parts = [
    couponN === null ? '' : read(couponN, arm.read ?? { way: 'gauge' }, unit),
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
