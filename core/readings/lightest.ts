import type { Bench } from '../records/bench'
import { bendStrain } from './flex'
import type { CouponSize } from './strength'
import { testKinds, type TestId } from './tests'

/** The widest mandrel at hand, a large jar: what cracks before it was bent to less than this. */
const WIDEST_MANDREL_MM = 100

/**
 * The least that a test can read, for a coupon that came apart in handling: it held at most that. The gauge's smallest
 * step, N, where a load is read; one flex or one drop; the load itself for a proof; for a bend the strain on the widest
 * mandrel, %.
 */
export function lightestOf(test: TestId, size: CouponSize, gauge: Bench['gauge']): { value: number; unit: string } {
  const { force, unit } = testKinds[test]
  if (force !== null) return { value: gauge.resolutionN, unit: 'N' }
  if (test !== 'bend') return { value: 1, unit }
  return { value: 100 * bendStrain(size.thicknessMm ?? testKinds.bend.sizes.thicknessMm!, WIDEST_MANDREL_MM), unit }
}
