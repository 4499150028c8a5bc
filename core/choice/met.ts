import { countingReadings } from '../readings/counting'
import type { Reading } from '../records/reading'
import type { Exposure, Round } from '../records/round'
import type { Coupon } from '../records/coupon'

/** Exposures that coupons of a procedure went through and were pulled after, with a reading that counts. */
export function metExposures(
  round: Pick<Round, 'arms'>,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  procedure: string,
): Exposure[] {
  const told = new Set(
    countingReadings(readings)
      .filter(({ setAside, outcome }) => setAside === null && outcome.end !== 'wet' && outcome.end !== 'fault')
      .map(({ coupon }) => coupon),
  )
  return round.arms.flatMap(({ id, exposure }) =>
    exposure && coupons.some((one) => one.arm === id && one.procedure === procedure && told.has(one.id))
      ? [exposure]
      : [],
  )
}
