import { positive } from '../quantities/require'

export interface PrintedCoupon {
  /** side of the square bonded face, mm */
  bondMm: number
  /** half of a pair: its neck, cross-section, mm */
  neckMm: number
  /** from the bonded face to the middle of the hole, mm: the lever arm for a twist or a snap */
  armMm: number
  holeMm: number
}

/** The neck carries this many times what the bonded face does at equal stress: it must not break first. */
export const NECK_FACTOR = 1.5
/**
 * A coupon half for straight pull, twist and snap: a bonded face of known size on a stronger neck, and a hole for hook
 * or bar.
 */
export function printedCoupon(bondMm: number): PrintedCoupon {
  const bond = positive(bondMm, 'bondMm', 'The side of the bonded face', 'a printed coupon')
  // Area of the neck at least NECK_FACTOR × that of the face; layers split at half the strength, so the face is printed
  // standing.
  const neckMm = Math.ceil(bond * Math.sqrt(NECK_FACTOR) * 2) / 2
  return { bondMm: bond, neckMm, armMm: 40, holeMm: 6 }
}
