import { CodedError } from '../errors'
import { PLACES_OFF } from '../records/placesOff'

/** Failure places as percentages of the bonded area, after ISO 10365. They add up to 100. */
export const places = ['tornA', 'offA', 'glue', 'offB', 'tornB'] as const
export type Place = (typeof places)[number]
export type FailurePlaces = Record<Place, number>

/** What one reading says to the strength model, in the unit of its test. */
export type Datum =
  | { kind: 'exact'; value: number }
  | { kind: 'atLeast'; low: number }
  | { kind: 'atMost'; high: number }
  | { kind: 'between'; low: number; high: number }

export type LeftOut = { kind: 'leftOut'; why: WhyLeftOut }
/**
 * unusable: what was read makes no strength; the reading stands, with the fault named, until it is corrected or set
 * aside
 */
export type WhyLeftOut = 'wet' | 'fault' | 'order-only' | 'set-aside' | 'graded' | 'losses' | 'unusable'

/** How a pull ended. */
export type Outcome =
  | { end: 'broke'; places: FailurePlaces }
  /** nothing broke, or the gauge reached its limit */
  | { end: 'held' }
  /** came apart in handling, before any load could be read; lightest = the lightest load the method reads */
  | { end: 'handling'; lightest: number }
  | { end: 'wet' }
  | { end: 'fault'; reason: string }

/** What was read, as a strength: one value, or an interval whose open top is null. */
export type Read = { value: number } | { low: number; high: number | null }

/** @throws CodedError negative, not-hundred-percent */
export function checkPlaces(given: FailurePlaces, path = 'places'): FailurePlaces {
  for (const place of places)
    if (!(given[place] >= 0))
      throw new CodedError('negative', `${path}.${place}`, { field: 'A failure place', got: given[place] })
  const sum = places.reduce((total, place) => total + given[place], 0)
  if (Math.abs(sum - 100) > PLACES_OFF) throw new CodedError('not-hundred-percent', path, { got: sum })
  return given
}

/** Share (%) of the area in which a part, not the glue, gave way. */
const tornShare = (at: FailurePlaces): number => at.tornA + at.tornB

/** From this share of torn area on, a reading says "at least" (methods.md 2). */
const TORN_SHARE = 50

/**
 * What kind of datum a pull is (methods.md 2): a torn part or an unbroken coupon is "at least", loss in handling "at
 * most", steps and rungs "between", wet glue and test faults no strength at all. A censored reading is never dropped
 * and never exact.
 * @param read the strength read, or null where the end carries none (wet, fault, handling)
 * @throws CodedError missing when a load is needed and was not read; not-hundred-percent
 */
export function datumOf(read: Read | null, outcome: Outcome): Datum | LeftOut {
  if (outcome.end === 'wet') return { kind: 'leftOut', why: 'wet' }
  if (outcome.end === 'fault') return { kind: 'leftOut', why: 'fault' }
  if (outcome.end === 'handling') return { kind: 'atMost', high: outcome.lightest }
  if (read === null)
    throw new CodedError('missing', 'value', { field: 'The reading', purpose: 'a pull that carried load' })
  const low = 'value' in read ? read.value : read.low
  const open = 'high' in read && read.high === null
  if (outcome.end === 'held' || open || tornShare(checkPlaces(outcome.places)) >= TORN_SHARE)
    return low > 0 ? { kind: 'atLeast', low } : { kind: 'leftOut', why: 'order-only' }
  if ('value' in read) return { kind: 'exact', value: read.value }
  if (read.high! <= read.low)
    throw new CodedError('out-of-order', 'high', { field: 'The interval', low: read.low, high: read.high! })
  return read.low > 0 ? { kind: 'between', low: read.low, high: read.high! } : { kind: 'atMost', high: read.high! }
}
