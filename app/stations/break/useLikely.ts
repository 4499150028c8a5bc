import { computed, type ComputedRef } from 'vue'
import { couponSides } from '../../../core/planning/sides'
import { expectedN, perNewton } from '../../../core/coupons/expected'
import { testKinds } from '../../../core/knowledge/testKinds'
import { limitOf } from '../../../core/planning/limits'
import type { Arm } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'

/** What a coupon is likely to carry and must carry, N, and how long its strip is, mm: for trace and stand-in. */
export interface Likely {
  likelyN: number
  limitN: number | null
  lengthMm: number | null
  /** the glued face, where it is a rectangle */
  face: { widthMm: number; heightMm: number } | null
}
/** A stand-in for coupons of which the tables say nothing, N. */
const SOMETHING_N = 40

export function useLikely(
  view: () => JointView,
  arm: ComputedRef<Arm | null>,
  procedure: ComputedRef<Procedure | null>,
): ComputedRef<Likely> {
  const bench = useBench()
  return computed(() => {
    const [of, one] = [arm.value, procedure.value]
    if (!of || !one) return { likelyN: SOMETHING_N, limitN: null, lengthMm: null, face: null }
    const size = { ...testKinds[of.test].sizes, ...of.size }
    const { joint, a, b } = view()
    const sides = couponSides(joint.brief, a?.cls.id ?? null, b?.cls.id ?? null)
    const expected = sides && expectedN(of.test, size, sides, familyTimes(bench, one).id)
    const limit = limitOf(of, joint.brief)
    const per = perNewton(of.test, size)
    const limitN = limit !== null && per ? limit / per : null
    const likelyN = expected ? Math.sqrt(Math.max(0.1, expected[0]) * expected[1]) : (limitN ?? SOMETHING_N) * 1.2
    const { widthMm, overlapMm } = size
    const face = widthMm && overlapMm ? { widthMm: overlapMm, heightMm: widthMm } : null
    return { likelyN, limitN, lengthMm: overlapMm ?? null, face }
  })
}
