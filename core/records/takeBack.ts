import type { Change } from './entry'
import type { RecordReader } from './integrity'
import { mergeEdit } from './merge'
import type { AnyRecord } from './tables'

/**
 * Changes laid around what came in between: of a record that was changed since, only the fields that these changes are
 * about are set.
 * @returns null where the same field was changed since, or the record was made or taken away
 */
export function takenBack(changes: readonly Change[], records: RecordReader): Change[] | null {
  const out: Change[] = []
  for (const change of changes) {
    const { table, id, before, after } = change
    const now: AnyRecord | null = records.get(table, id)
    if (now === null || before === null || after === null) {
      if (now === null && before === null) out.push(change)
      else return null
      continue
    }
    const { merged, clashes } = mergeEdit<AnyRecord>(before, after, now)
    if (clashes.length) return null
    out.push({ table, id, before: now, after: merged })
  }
  return out
}
