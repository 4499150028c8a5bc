import { sameRecord } from '../entry'
import type { Reading } from '../reading'
import type { AnyRecord, TableName } from '../tables'
import { inOrderOfTime, joined, type FieldClash } from './join'
import { markOf, stableText } from './stableText'

/** The place at which two copies of a reading clash when they tell of two pulls. */
export const PULL = 'pull'

/** What one pull said: a reading is not the figure of one, the size of another and the failure place of a third. */
const OF_THE_PULL = ['coupon', 'direction', 'again', 'because', 'raw', 'outcome', 'size', 'early'] as const
/** They go with it, and by themselves make no two pulls of one: the moment, and what was measured on its photos. */
const WITH_IT = ['at', 'measured'] as const
const PULL_FIELDS: readonly string[] = [...OF_THE_PULL, ...WITH_IT]

type Pull = Partial<Reading>
const pick = (reading: object, wanted: (key: string) => boolean): object =>
  Object.fromEntries(Object.entries(reading).filter(([key, value]) => wanted(key) && value !== undefined))
const pullOf = (reading: Reading): Pull => pick(reading, (key) => PULL_FIELDS.includes(key))
const restOf = (reading: Reading): Pull => pick(reading, (key) => !PULL_FIELDS.includes(key))

function areTwoPulls(here: Reading, there: Reading): boolean {
  const measured = here.measured && there.measured && !sameRecord(here.measured, there.measured)
  return measured || OF_THE_PULL.some((field) => !sameRecord(here[field], there[field]))
}

/** Two copies of one record as one (join.ts), a reading's pull in one piece. */
export function joinedRecord(
  table: TableName,
  here: AnyRecord,
  there: AnyRecord,
): { record: AnyRecord; clashes: FieldClash[] } {
  if (table !== 'reading') return joined(here, there)
  const [mine, theirs] = [here as Reading, there as Reading]
  if (!areTwoPulls(mine, theirs)) return joined(here, there)
  const { record, clashes } = joined(restOf(mine), restOf(theirs))
  return {
    record: { ...record, ...pullOf(mine) } as Reading,
    clashes: [{ path: [PULL], here: pullOf(mine), there: pullOf(theirs) }, ...clashes],
  }
}

export const putPull = (reading: Reading, pull: unknown): Reading =>
  ({ ...restOf(reading), ...(pull as Pull) }) as Reading

/** Why a reading that lost is kept beside the one that stands. */
const READ_OTHERWISE = 'read otherwise in another copy of this bench'
/** What a note of a correction holds. */
const NOTE_SIGNS = 4000

/**
 * What was measured is never dropped: what did not stand is kept as a note with the reading, or, where it is too long
 * for one (a trace), as a reading of its own that is set aside.
 * @param at moment of the note
 */
export function withLost(
  reading: Reading,
  lost: readonly FieldClash[],
  at: number,
): { reading: Reading; beside: Reading[] } {
  const notes: Reading['corrected'] = []
  const beside: Reading[] = []
  for (const { path, there } of lost) {
    const was = `${path.join(' ')} in another copy: ${stableText(there)}`
    if (path.length && was.length <= NOTE_SIGNS) notes.push({ at, was })
    else {
      const pull = path.length ? putPull(reading, there) : (there as Reading)
      const id = `${reading.id.slice(0, 40)}-${markOf(stableText(pullOf(pull)))}`
      beside.push({ ...pull, id, setAside: READ_OTHERWISE, corrected: [] })
    }
  }
  if (notes.every((note) => reading.corrected.some((one) => sameRecord(one, note)))) return { reading, beside }
  return { reading: { ...reading, corrected: inOrderOfTime([...reading.corrected, ...notes]) }, beside }
}
