import { countingOf, formulaOf, type CouponSize, type TestId } from '../knowledge/testKinds'
import { countingReadings } from '../readings/counting'
import { interpret } from '../readings/interpret'
import type { Reading } from '../records/reading'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { ModelReading } from '../statistics/data'

/**
 * The readings of one arm as the strength model takes them: one a coupon, each under its procedure; what says nothing
 * of strength (faults, grades, orders) stays out. Glue that is still wet says “not yet” and stays out too, but in a
 * test at an age it has failed that age: at most what the test can read at all (methods.md 2).
 * @param coupons of the arm; readings of other coupons are left out
 */
export function modelReadings(
  { test, ageS = null }: ArmRead,
  coupons: readonly Pick<Coupon, 'id' | 'procedure'>[],
  readings: readonly Reading[],
): ModelReading[] {
  const procedureOf = new Map(coupons.map(({ id, procedure }) => [id, procedure]))
  return countingReadings(readings).flatMap((reading): ModelReading[] => {
    const procedure = procedureOf.get(reading.coupon)
    if (procedure === undefined) return []
    const { datum } = interpret(reading, test)
    if (datum.kind !== 'leftOut') return [{ procedure, ...datum }]
    const least = datum.why === 'wet' && ageS !== null ? leastOf(test, reading.size) : null
    return least === null ? [] : [{ procedure, kind: 'atMost', high: least }]
  })
}

/** The test that an arm is pulled by, and the age at which, s; null: once it is cured. */
type ArmRead = Pick<Arm, 'test'> & { ageS?: number | null }

/** No scale of a workshop reads less, N. */
const LEAST_N = 0.1
/** The least that a test reads, in its unit; null where a size is not known, or nothing is weighed or counted. */
function leastOf(test: TestId, size: CouponSize): number | null {
  try {
    return formulaOf(test)?.strength(LEAST_N, size) ?? countingOf(test)?.least(size) ?? null
  } catch {
    return null
  }
}
