import { countingOf, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import type { Bench } from '../records/bench'

/**
 * The least that a test can read, for a coupon that came apart in handling: it held at most that. The gauge's smallest
 * step, N, where a load is read; else the least that the test counts.
 */
export function lightestOf(test: TestId, size: CouponSize, gauge: Bench['gauge']): { value: number; unit: string } {
  const { reads, unit } = testKinds[test]
  if (reads.by === 'load') return { value: gauge.resolutionN, unit: 'N' }
  return { value: countingOf(test)?.least(size) ?? 1, unit }
}
