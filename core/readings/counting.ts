import type { Reading } from '../records/reading'

/**
 * The readings that count, one a coupon: where a second one got in and neither is set aside, the first, since a coupon
 * breaks once. The others are shown, to be set aside.
 */
export function countingReadings(readings: readonly Reading[]): Reading[] {
  const first = new Map<string, Reading>()
  for (const reading of readings) {
    const before = first.get(reading.coupon)
    const better = !before || (before.setAside !== null && reading.setAside === null)
    const earlier = before && (before.setAside === null) === (reading.setAside === null) && reading.at < before.at
    if (better || earlier) first.set(reading.coupon, reading)
  }
  return [...first.values()]
}
