import { motionFactor } from '../knowledge/vocabulary'
import { STANDARD_GRAVITY } from '../quantities/units'
import type { Brief } from '../records/joint'
import { testKinds, type TestId } from '../knowledge/testKinds'

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
 * The strength that the real joint needs, in the unit of a test: load over the real bonded area (MPa) or width (N/mm).
 * null where load or size is open, or where the test's unit does not follow from them (twist, snap, counts): then the
 * maker's own pass limit is all there is.
 */
export function requiredStrength(brief: Brief, test: TestId): number | null {
  const load = requiredLoad(brief)
  if (!load || load.n === 0) return null
  const { joint } = testKinds[test]
  if (joint === 'width') return brief.widthMm === null ? null : load.n / brief.widthMm
  const area = joint === 'area' ? jointAreaMm2(brief) : null
  return area === null ? null : load.n / area
}
