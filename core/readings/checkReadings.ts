import { CodedError } from '../errors'
import type { Change } from '../records/entry'
import type { RecordReader } from '../records/integrity'
import type { Reading } from '../records/reading'
import type { Lookup } from '../records/strays'
import type { RecordOf, TableName } from '../records/tables'
import { contradictionOf, testOfReading } from './contradiction'

/**
 * Checks that no reading contradicts its test when an entry is in: those that it writes, and those whose test it
 * changes. What did so before the entry is left alone: it must still be open to being corrected, or set aside.
 * @param records as they stand, without the entry
 * @throws CodedError wrong-shape, with the field
 */
export function checkReadings(changes: readonly Change[], records: RecordReader): void {
  const after = new Map(changes.map((change) => [`${change.table} ${change.id}`, change.after]))
  const now: Lookup = {
    get: <T extends TableName>(table: T, id: string) => {
      const key = `${table} ${id}`
      return (after.has(key) ? after.get(key)! : records.get(table, id)) as RecordOf<T> | null
    },
  }
  for (const reading of concerned(changes, records, now)) {
    const test = testOfReading(reading, now)
    const found = test && contradictionOf(reading, test)
    if (!found) continue
    const written = changes.find(({ table, id }) => table === 'reading' && id === reading.id)
    const before = (written ? written.before : records.get('reading', reading.id)) as Reading | null
    const testBefore = before && testOfReading(before, records)
    if (before && testBefore && contradictionOf(before, testBefore)) continue
    const coupon = now.get('coupon', reading.coupon)?.label ?? reading.coupon
    throw new CodedError('wrong-shape', `reading ${reading.id} ${found.field}`, {
      field: `The reading of ${coupon}, ${found.field}`,
      detail: found.why,
    })
  }
}

/** Readings that the entry writes, and those of coupons and rounds that it changes, as they will stand. */
function concerned(changes: readonly Change[], records: RecordReader, now: Lookup): Reading[] {
  const readings = new Set<string>()
  const ofCoupon = (id: string) => records.of('reading', id).forEach((reading) => readings.add(reading.id))
  for (const { table, id, before, after } of changes) {
    if (table === 'reading' && after) readings.add(id)
    if (table === 'coupon' && before && after) ofCoupon(id)
    if (table === 'round' && before && after && testsOf(before) !== testsOf(after))
      records.of('coupon', id).forEach((coupon) => ofCoupon(coupon.id))
  }
  return [...readings].flatMap((id) => now.get('reading', id) ?? [])
}
const testsOf = (round: object): string =>
  (round as RecordOf<'round'>).arms.map(({ id, test }) => `${id} ${test}`).join()
