import { motionFactor } from '../knowledge/vocabulary'
import { STANDARD_GRAVITY } from '../quantities/units'
import type { Brief } from '../records/joint'
import { CodedError } from '../errors'
import { formulaOf, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'

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

/** Parts that meet along a seam: their glued face is as wide as the edge or strip, and as long as the seam. */
export const alongSeam = ({ geometry }: Pick<Brief, 'geometry'>): boolean =>
  geometry === 'butt-edge' || geometry === 'edge-strip'

/**
 * Length of the line that lets go at once when the joint is peeled or prised open, mm: of an edge or a strip its seam,
 * the longer side, whichever way the brief has them; else the width of the face. null while a size is open.
 */
export function openingMm(brief: Pick<Brief, 'geometry' | 'widthMm' | 'lengthMm'>): number | null {
  const { widthMm, lengthMm } = brief
  if (!alongSeam(brief)) return widthMm
  return widthMm === null || lengthMm === null ? null : Math.max(widthMm, lengthMm)
}

/**
 * The real joint as a coupon of a test would be measured, from what the brief says of it; null where a word is open. A
 * section that is pulled, twisted or snapped is as thick as its smaller side; a rod's width is its diameter; the lever
 * is the arm of a twist or snap.
 */
export function jointSize(brief: Brief, test: TestId): CouponSize {
  const { widthMm, lengthMm, leverMm } = brief
  const [least, most] =
    widthMm === null || lengthMm === null ? [null, null] : [Math.min(widthMm, lengthMm), Math.max(widthMm, lengthMm)]
  const section = testKinds[test].sizes.thicknessMm !== undefined
  const size = { areaMm2: jointAreaMm2(brief), thicknessMm: least, diameterMm: widthMm, armMm: leverMm }
  if (section) return { ...size, widthMm: most, overlapMm: most }
  // A lap that stands for a seam: as long along the pull as the edge is thick.
  if (alongSeam(brief)) return { ...size, widthMm: most, overlapMm: least }
  return { ...size, widthMm, overlapMm: lengthMm }
}

/**
 * What one newton on the real joint asks of the glue, in the unit of a test; null where a size or the lever is open, or
 * where the test weighs no load.
 * @param size of the joint, where it is not taken as the brief has it
 */
export function strengthPerN(brief: Brief, test: TestId, size: CouponSize = jointSize(brief, test)): number | null {
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
