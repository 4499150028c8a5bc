import { CodedError } from '../errors'
import type { Change } from '../records/entry'
import type { RecordReader } from '../records/integrity'
import type { Reading } from '../records/reading'
import { contradictionOf, testOfReading } from './contradiction'

/**
 * Checks that no reading of an entry contradicts its test. What did so before the entry is left alone: it must still be
 * open to being corrected, or set aside.
 * @param records as they stand, without the entry
 * @throws CodedError wrong-shape, with the field
 */
export function checkReadings(changes: readonly Change[], records: RecordReader): void {
  for (const { table, before, after } of changes) {
    if (table !== 'reading' || !after) continue
    const reading = after as Reading
    const made = changes.find((one) => one.table === 'coupon' && one.id === reading.coupon)?.after
    const test = made ? null : testOfReading(reading, records)
    const found = test && contradictionOf(reading, test)
    if (!found || (before && contradictionOf(before as Reading, test))) continue
    throw new CodedError('wrong-shape', `reading ${reading.id} ${found.field}`, {
      field: `The reading, ${found.field}`,
      detail: found.why,
    })
  }
}
