import type { Reading } from '../records/reading'
import type { Coupon } from '../records/coupon'

/** Coupons whose pulls say less than they seem to: they are always named on the result. */
export interface Doubtful {
  /** pulled before their full cure */
  early: string[]
  /** still wet inside: no strength but “not yet” */
  wet: string[]
}

/** @returns labels in the order of the coupons; what is set aside is not named */
export function doubtful(coupons: readonly Pick<Coupon, 'id' | 'label'>[], readings: readonly Reading[]): Doubtful {
  const counting = readings.filter(({ setAside }) => setAside === null)
  const labels = (of: (reading: Reading) => boolean) => {
    const ids = new Set(counting.filter(of).map(({ coupon }) => coupon))
    return coupons.flatMap(({ id, label }) => (ids.has(id) ? [label] : []))
  }
  return { early: labels(({ early }) => early !== null), wet: labels(({ outcome }) => outcome.end === 'wet') }
}
