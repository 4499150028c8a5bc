import type * as z from 'zod/mini'
import { CodedError } from '../errors'
import { sameRecord, type Entry } from './entry'
import { checkIntegrity, type RecordReader } from './integrity'
import { issueWords } from './issue'
import { schemas } from './schemas'
import { tableWords, type AnyRecord, type TableName } from './tables'

/**
 * Checks an entry against the records as they stand: every `after` fits its table's schema, every `before` is what
 * stands there, and what must be one of its kind, or point to something, still does when the whole entry is in.
 * @throws CodedError wrong-shape naming table, id and field; conflict when a record was changed elsewhere in the
 * meantime; taken, points-nowhere, still-used
 */
export function checkEntry(entry: Entry, records: RecordReader): void {
  const passed = new Map<string, AnyRecord | null>()
  for (const { table, id: recordId, before, after } of entry.changes) {
    const where = `${table} ${recordId}`
    const issue = after === null ? null : newIssue(table, before, after)
    if (issue)
      throw new CodedError('wrong-shape', `${where} ${issue.path.join('.')}`, {
        field: `${table} ${issue.path.join('.')}`,
        detail: issueWords(issue),
      })
    const current = passed.has(where) ? passed.get(where)! : records.get(table, recordId)
    if (!sameRecord(current, before)) throw new CodedError('conflict', where, { field: `The ${tableWords[table]}` })
    passed.set(where, after)
  }
  checkIntegrity(entry.changes, records)
}

/**
 * The first thing in a record that does not fit its schema. What an older version let in, and this change leaves as it
 * was, is not counted: such a record must still be open to being corrected, or set aside.
 */
function newIssue(table: TableName, before: AnyRecord | null, after: AnyRecord): z.core.$ZodIssue | null {
  const parsed = schemas[table].safeParse(after)
  if (parsed.success) return null
  const [old, now] = [before, after] as unknown as [Record<string, unknown> | null, Record<string, unknown>]
  const untouched = (key: PropertyKey | undefined) =>
    old !== null && typeof key === 'string' && key in now && sameRecord(old[key], now[key])
  return parsed.error.issues.find(({ path }) => !untouched(path[0])) ?? null
}
