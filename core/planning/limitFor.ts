import type { CouponSize, TestId } from '../knowledge/testKinds'
import { jointSize, requiredStrength, strengthPerN } from '../loads/requirement'
import type { Brief } from '../records/joint'

/**
 * A pass limit with what it stands on: the load that the brief says, or, where none was said, light handling (rules of
 * practice, light-load default): it is checked for that only, and says so.
 */
export interface Limit {
  limit: number
  assumed: boolean
}

/** A part of 100 g that is walked about: 0.1 kg × 9.81 × 2; a trim on a spot weighs 20 g. N */
export const LIGHT_N = 2
export const LIGHT_SPOT_N = 0.4

/**
 * The pass limit of a test, to three significant figures: more would claim what no bench can read.
 * @param size of the coupon, which stands in for what is open of the joint's own
 * @returns null for a test that weighs no load
 */
export function limitFor(brief: Brief, test: TestId, size: CouponSize): Limit | null {
  const tidy = (n: number) => Number(n.toPrecision(3))
  const said = requiredStrength(brief, test)
  if (said !== null) return { limit: tidy(said), assumed: false }
  const joint = jointSize(brief)
  const known = Object.fromEntries(Object.entries(joint).filter(([, value]) => value != null))
  const perN = strengthPerN(brief, test, { ...size, ...known })
  if (perN === null) return null
  return { limit: tidy(perN * (brief.geometry === 'point' ? LIGHT_SPOT_N : LIGHT_N)), assumed: true }
}
