import { testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'

/** The glued face of a coupon: across and along the pull, mm. */
function faceOf(test: TestId, size: CouponSize): { acrossMm: number; alongMm: number } {
  const { bondedMm2, bondLengthMm } = testKinds[test]
  const alongMm = bondLengthMm(size)
  if (alongMm > 0) return { acrossMm: bondedMm2(size) / alongMm, alongMm }
  const { widthMm, thicknessMm, diameterMm, innerDiameterMm } = size
  // The wall of a ring is open on both of its rims.
  if (diameterMm != null && innerDiameterMm != null)
    return { acrossMm: (diameterMm - innerDiameterMm) / 2, alongMm: diameterMm }
  if (diameterMm != null) return { acrossMm: diameterMm, alongMm: diameterMm }
  const side = Math.sqrt(bondedMm2(size))
  return { acrossMm: widthMm ?? side, alongMm: thicknessMm ?? side }
}

/**
 * Deepest point of a coupon's glued face to the open air, mm: half its smaller side; with three edges taped shut its
 * whole length from the one that stays open.
 */
export function couponDepthMm(test: TestId, size: CouponSize, taped = false): number {
  const { acrossMm, alongMm } = faceOf(test, size)
  return taped ? alongMm : Math.min(acrossMm, alongMm) / 2
}

/** A coupon dries and cures like the joint when its depth lies this near to the joint's. */
const LIKE_THE_JOINT = 0.1
// A tenth more exactly counts as like it, whatever the rounding of the division makes of it.
export const asDeep = (depthMm: number, jointMm: number): boolean =>
  Math.abs(depthMm - jointMm) <= LIKE_THE_JOINT * jointMm * (1 + 1e-9)
