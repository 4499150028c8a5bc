import type { TestId } from '../knowledge/testKinds'
import { countingReadings } from '../readings/counting'
import { interpret } from '../readings/interpret'
import type { Reading } from '../records/reading'
import type { Coupon } from '../records/coupon'
import type { ModelReading } from '../statistics/data'

/**
 * The readings of one arm as the strength model takes them: one a coupon, each under its procedure; what says nothing
 * of strength (wet, faults, grades, orders) stays out.
 * @param coupons of the arm; readings of other coupons are left out
 */
export function modelReadings(
  test: TestId,
  coupons: readonly Pick<Coupon, 'id' | 'procedure'>[],
  readings: readonly Reading[],
): ModelReading[] {
  const procedureOf = new Map(coupons.map(({ id, procedure }) => [id, procedure]))
  return countingReadings(readings).flatMap((reading): ModelReading[] => {
    const procedure = procedureOf.get(reading.coupon)
    if (procedure === undefined) return []
    const { datum } = interpret(reading, test)
    return datum.kind === 'leftOut' ? [] : [{ procedure, ...datum }]
  })
}
