import { directionRows } from '../knowledge/directions'
import { gradingOf, testKinds, type Reads, type TestId } from '../knowledge/testKinds'
import { sayError } from '../messages'
import type { Raw, Reading } from '../records/reading'
import type { Lookup } from '../records/strays'
import { interpret } from './interpret'

/** Ways in which a test that is read by this may be read. */
const waysBy: Record<Reads['by'], ReadonlySet<Raw['way']>> = {
  load: new Set<Raw['way']>(['gauge', 'mass', 'water', 'lever', 'steps', 'hands', 'trace', 'none']),
  count: new Set<Raw['way']>(['count', 'none']),
  grades: new Set<Raw['way']>(['grades', 'none']),
  losses: new Set<Raw['way']>(['losses', 'none']),
}

type Said = Pick<Reading, 'raw' | 'outcome' | 'size' | 'setAside' | 'direction'>

/**
 * What in a reading does not go together with its test: a twist without an arm, a count of what is weighed, grades of
 * things that are not looked at. A reading that was set aside may hold anything: nothing is made of it.
 * @param test of the coupon's arm
 * @returns the field and what was expected there; null when all goes together
 */
export function contradictionOf(reading: Said, test: TestId): { field: string; why: string } | null {
  if (reading.setAside !== null) return null
  const { raw, direction } = reading
  const read = direction ? directionRows[direction].read : test
  const by = read === null ? null : testKinds[read].reads.by
  if (by === null ? raw.way !== 'none' : !waysBy[by].has(raw.way))
    return { field: 'raw.way', why: `“${testKinds[test].name}” is not read that way (${raw.way})` }
  if (raw.way === 'grades') {
    const known = new Set(gradingOf(test)!.what.map(({ id }) => id))
    const stranger = Object.keys(raw.grades).find((id) => !known.has(id))
    if (stranger !== undefined)
      return { field: `raw.grades.${stranger}`, why: `“${testKinds[test].name}” has no grade of that name` }
  }
  if ((raw.way === 'grades' || raw.way === 'losses') && reading.outcome.end === 'broke')
    return { field: 'outcome.end', why: 'what is looked at or counted before and after does not break' }
  const { fault } = interpret(reading, test)
  return fault && { field: fault.path || 'raw', why: sayError(fault).replace(/\.$/, '') }
}

/** The test of a reading's coupon; null where one of the records between is not there. */
export function testOfReading(reading: Pick<Reading, 'coupon'>, records: Lookup): TestId | null {
  const coupon = records.get('coupon', reading.coupon)
  const round = coupon && records.get('round', coupon.round)
  return round?.arms.find(({ id }) => id === coupon?.arm)?.test ?? null
}
