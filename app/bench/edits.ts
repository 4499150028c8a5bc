import { sameRecord, type Change } from '../../core/records/entry'
import { mergeEdit, withMine, type Clash } from '../../core/records/merge'
import type { AnyRecord, RecordOf, TableName } from '../../core/records/tables'

/** A record as it stood when its form was opened, and as the form wants it. */
export interface Edit {
  table: TableName
  opened: AnyRecord
  mine: AnyRecord
}

/** @returns an edit of one record from the fields that its form sets */
export const editOf = <T extends TableName>(table: T, opened: RecordOf<T>, patch: Partial<RecordOf<T>>): Edit => ({
  table,
  opened,
  mine: { ...opened, ...patch, id: opened.id } as AnyRecord,
})

/**
 * Edits put on what stands there now.
 * @param get the record as it stands; null where it was taken away meanwhile
 * @returns what both changed to something else, and the changes with the one or the other taken there; null where a
 * record is gone
 */
export function meet(
  edits: readonly Edit[],
  get: (table: TableName, id: string) => AnyRecord | null,
): { clashes: Clash[]; changes: (taken: 'mine' | 'theirs') => Change[] } | null {
  const met = edits.flatMap(({ table, opened, mine }) => {
    const theirs = get(table, opened.id)
    return theirs ? [{ table, theirs, ...mergeEdit<AnyRecord>(opened, mine, theirs) }] : []
  })
  if (met.length < edits.length) return null
  return {
    clashes: met.flatMap(({ clashes }) => clashes),
    changes: (taken) =>
      met
        .map(({ table, theirs, merged, clashes }): Change & { after: AnyRecord } => {
          const after = taken === 'mine' ? withMine(merged, clashes) : merged
          return { table, id: after.id, before: theirs, after }
        })
        .filter(({ before, after }) => !sameRecord(after, before as AnyRecord)),
  }
}
