import type { Reading } from '../records/reading'

/**
 * Readings of the coupons' own tests: what the same pieces were put through before stands apart (three ways of one
 * piece are not three pieces), and so does a pull after which the piece is pulled anew.
 */
export const isOwn = ({ direction, again }: Pick<Reading, 'direction' | 'again'>): boolean => !direction && !again
export const ownReadings = (readings: readonly Reading[]): Reading[] => readings.filter(isOwn)

/**
 * The readings that count, one a coupon: where a second one got in and neither is set aside, the first, since a coupon
 * breaks once. The others are shown, to be set aside.
 */
export function countingReadings(readings: readonly Reading[]): Reading[] {
  const first = new Map<string, Reading>()
  for (const reading of ownReadings(readings)) {
    const before = first.get(reading.coupon)
    const better = !before || (before.setAside !== null && reading.setAside === null)
    const earlier = before && (before.setAside === null) === (reading.setAside === null) && reading.at < before.at
    if (better || earlier) first.set(reading.coupon, reading)
  }
  return [...first.values()]
}
