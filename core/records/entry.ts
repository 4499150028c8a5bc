import type { AnyRecord, RecordOf, TableName } from './tables'

/** One record before and after; null before: made, null after: taken away. */
export interface Change {
  table: TableName
  id: string
  before: AnyRecord | null
  after: AnyRecord | null
}

/** Every write of the app: changes that stand or fall together, with a time and a label in words. */
export interface Entry {
  id: string
  at: number
  label: string
  /** an edit, or the taking back or giving back of another entry */
  kind: 'edit' | 'undo' | 'redo'
  /** the edit that an undo or redo is about */
  of: string | null
  changes: Change[]
}

export const insert = <T extends TableName>(table: T, after: RecordOf<T>): Change => ({
  table,
  id: after.id,
  before: null,
  after,
})
export const update = <T extends TableName>(table: T, before: RecordOf<T>, after: Partial<RecordOf<T>>): Change => ({
  table,
  id: before.id,
  before,
  after: { ...before, ...after, id: before.id } as RecordOf<T>,
})
export const remove = <T extends TableName>(table: T, before: RecordOf<T>): Change => ({
  table,
  id: before.id,
  before,
  after: null,
})

/** Equality of plain records, whatever the order of their keys. */
export function sameRecord(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const keys = (value: object) =>
    Object.keys(value).filter((key) => (value as Record<string, unknown>)[key] !== undefined)
  const [one, two] = [keys(a), keys(b)]
  return (
    one.length === two.length &&
    one.every((key) => sameRecord((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]))
  )
}

/** The changes that take an entry back: in reverse order, before and after swapped. */
export const reversed = (changes: readonly Change[]): Change[] =>
  [...changes]
    .reverse()
    .map(({ table, id: recordId, before, after }) => ({ table, id: recordId, before: after, after: before }))

/**
 * What can be undone and redone, from the entries in order: an edit clears what could be redone, an undo moves its edit
 * over, a redo moves it back.
 */
export function undoStacks(entries: readonly Entry[]): { undo: Entry[]; redo: Entry[] } {
  const edits = new Map<string, Entry>()
  const undo: Entry[] = []
  const redo: Entry[] = []
  const take = (from: Entry[], of: string | null) => {
    const at = from.findLastIndex((entry) => entry.id === of)
    return at < 0 ? undefined : from.splice(at, 1)[0]
  }
  for (const entry of entries) {
    // A note in the history changes nothing: there is nothing to take back.
    if (entry.kind === 'edit' && entry.changes.length === 0) continue
    if (entry.kind === 'edit') {
      edits.set(entry.id, entry)
      undo.push(entry)
      redo.length = 0
    } else {
      const [from, to] = entry.kind === 'undo' ? [undo, redo] : [redo, undo]
      const moved = take(from, entry.of)
      if (moved) to.push(moved)
    }
  }
  return { undo, redo }
}
