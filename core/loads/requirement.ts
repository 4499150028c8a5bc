import { motionFactor } from '../knowledge/vocabulary'
import { STANDARD_GRAVITY } from '../quantities/units'
import type { Brief } from '../records/joint'
import { CodedError } from '../errors'
import { formulaOf, type CouponSize, type TestId } from '../knowledge/testKinds'

/** What one joint must carry, and from what: weight × share × g × motion factor (methods.md 9). */
export interface RequiredLoad {
  n: number
  weightKg: number
  share: number
  factor: number
  /** the maker has not said how it moves: hanging still is taken, and said so */
  motionOpen: boolean
}

/** null while the weight is an open word. */
export function requiredLoad(brief: Brief): RequiredLoad | null {
  if (brief.weightKg === null) return null
  const share = brief.share ?? 1
  const factor = motionFactor[brief.motion ?? 'still']
  return {
    n: brief.weightKg * share * STANDARD_GRAVITY * factor,
    weightKg: brief.weightKg,
    share,
    factor,
    motionOpen: brief.motion === null,
  }
}

/** The bonded area of the real joint, mm²; null while a size is open. */
export const jointAreaMm2 = (brief: Brief): number | null =>
  brief.widthMm === null || brief.lengthMm === null ? null : brief.widthMm * brief.lengthMm

/**
 * The real joint as a coupon would be measured, from what the brief says of it; null where a word is open. Across a
 * stiff edge the smaller side is its thickness; a rod's width is its diameter; the lever is the arm of a twist or snap.
 */
export function jointSize(brief: Brief): CouponSize {
  const { widthMm, lengthMm, leverMm } = brief
  const both = widthMm !== null && lengthMm !== null
  return {
    widthMm,
    overlapMm: lengthMm,
    areaMm2: jointAreaMm2(brief),
    thicknessMm: both ? Math.min(widthMm, lengthMm) : null,
    diameterMm: widthMm,
    armMm: leverMm,
  }
}

/**
 * What one newton on the real joint asks of the glue, in the unit of a test; null where a size or the lever is open, or
 * where the test weighs no load.
 * @param size of the joint, where it is not taken as the brief has it
 */
export function strengthPerN(brief: Brief, test: TestId, size: CouponSize = jointSize(brief)): number | null {
  try {
    return formulaOf(test)?.strength(1, size) ?? null
  } catch (error) {
    if (error instanceof CodedError) return null
    throw error
  }
}

/**
 * The strength that the real joint needs, in the unit of a test (methods.md 1 and 9): the required load put into the
 * test's own formula with the joint's sizes. null where load, size or lever is open, and for tests that weigh no load:
 * then the maker's own pass limit is all there is.
 */
export function requiredStrength(brief: Brief, test: TestId): number | null {
  const load = requiredLoad(brief)
  const perN = strengthPerN(brief, test)
  return load && load.n > 0 && perN !== null ? load.n * perN : null
}
