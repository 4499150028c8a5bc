import { testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import { positive } from '../quantities/require'

export interface PrintedCoupon {
  /** the bonded face, mm by mm */
  bondMm: readonly [number, number]
  /** half of a pair: its neck, cross-section, mm by mm */
  neckMm: readonly [number, number]
  /** from the bonded face to the middle of the hole, mm: the lever arm of a twist, or out to the support of a snap */
  armMm: number
  holeMm: number
}

/** The neck carries this many times what the bonded face does at equal stress: it must not break first. */
export const NECK_FACTOR = 1.5
/**
 * A coupon half for straight pull, twist and snap: a bonded face of known size on a stronger neck, and a hole for hook
 * or bar.
 * @param bondMm the face, mm by mm; one number: a square
 * @param reachMm how far from the face it is held at least, mm
 * @throws CodedError not-positive
 */
export function printedCoupon(bondMm: number | readonly [number, number], reachMm = 0): PrintedCoupon {
  const [one, two] = typeof bondMm === 'number' ? [bondMm, bondMm] : bondMm
  const side = (mm: number) => positive(mm, 'bondMm', 'The side of the bonded face', 'a printed coupon')
  // Area of the neck at least NECK_FACTOR × that of the face; layers split at half the strength, so the face is printed
  // standing.
  const neck = (mm: number) => Math.ceil(mm * Math.sqrt(NECK_FACTOR) * 2) / 2
  const face = [side(one), side(two)] as const
  return { bondMm: face, neckMm: [neck(face[0]), neck(face[1])], armMm: Math.max(LEAST_ARM_MM, reachMm), holeMm: 6 }
}

/** A hook or a bar is held no nearer to the bonded face than this, mm. */
const LEAST_ARM_MM = 40
/** Beyond a support, so that the piece does not slip off it as it bends, mm. */
const OVER_MM = 10
/** Side of the square face that is printed where no test of the plan asks for one, mm. */
const USUAL_SIDE_MM = 8

/** The face that a test is planned with, mm by mm; null where it is none that a pair can be printed with. */
function faceOf(test: TestId, size: CouponSize): [number, number] | null {
  const { sizes } = testKinds[test]
  if (test === 'tension') {
    const { widthMm, overlapMm } = size
    if (size.areaMm2 == null && widthMm != null && overlapMm != null) return [widthMm, overlapMm]
    const areaMm2 = size.areaMm2 ?? sizes.areaMm2
    return areaMm2 == null ? null : [Math.sqrt(areaMm2), Math.sqrt(areaMm2)]
  }
  if (test !== 'torsion-rect' && test !== 'snap-rect' && test !== 'edge-pull') return null
  const [widthMm, thicknessMm] = [size.widthMm ?? sizes.widthMm, size.thicknessMm ?? sizes.thicknessMm]
  return widthMm == null || thicknessMm == null ? null : [widthMm, thicknessMm]
}

/** How far from the face a test holds it: half of the span and a little over, or the arm of a cantilever. mm */
function reachOf(test: TestId, { spanMm, armMm }: CouponSize): number {
  if (test !== 'snap-rect') return 0
  if (spanMm != null) return spanMm / 2 + OVER_MM
  return armMm ?? testKinds[test].sizes.spanMm! / 2 + OVER_MM
}

/**
 * The pair for a plan: its face is that of the first test that is pulled straight, twisted or snapped on a flat face.
 * @returns the pair and the test it is sized for; null: none of the plan's, the usual size
 */
export function pairFor(arms: readonly { test: TestId; size: CouponSize }[]): {
  coupon: PrintedCoupon
  test: TestId | null
} {
  for (const { test, size } of arms) {
    const face = faceOf(test, size)
    if (face) return { coupon: printedCoupon(face, reachOf(test, size)), test }
  }
  return { coupon: printedCoupon(USUAL_SIDE_MM), test: null }
}
