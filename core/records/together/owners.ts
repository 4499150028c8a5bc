import type { Bench } from '../bench'
import { owners, tableNames, type AnyRecord, type TableName, type Tables } from '../tables'

/** Records that say themselves whose they are; all others go with what they belong to. */
const owned: ReadonlySet<TableName> = new Set<TableName>([
  'build',
  'adhesive',
  'material',
  'houseRule',
  'reading',
  'said',
])

/** Who works at a bench: the same in every copy of it. */
export const makerOf = (bench: Pick<Bench, 'id' | 'maker'>): string => bench.maker ?? bench.id

/** Whose a bench is that is put to this one: a copy of one's own, or somebody else's. */
export type Whose = 'mine' | 'another'

type Loose = { id: string; owner?: string }

/**
 * The records of another bench as they are to be called here: somebody else's bear their maker, and what was once
 * one's own and comes back does not.
 * @param theirMaker whose the bench is, where it is somebody else's
 */
export function seenFrom(here: Bench, there: Tables, whose: Whose, theirMaker: string): Tables {
  const mine = makerOf(here)
  const seen = (record: Loose): Loose => {
    const { owner, ...rest } = record
    const is = owner ?? (whose === 'another' ? theirMaker : undefined)
    return is === undefined || is === mine ? rest : { ...rest, owner: is }
  }
  return Object.fromEntries(
    tableNames.map((name) => [name, owned.has(name) ? (there[name] as Loose[]).map(seen) : there[name]]),
  ) as unknown as Tables
}

/** Whether a record is another maker's, or belongs to what is. */
export function isOthers(
  table: TableName,
  record: AnyRecord,
  get: (table: TableName, id: string) => AnyRecord | null,
): boolean {
  const row = record as unknown as Record<string, unknown>
  if (row['owner'] !== undefined) return true
  const field = owners[table]
  // A reading says itself who read it: on one's own piece somebody else may have.
  if (!field || field === 'coupon') return false
  const owner = get(field as TableName, String(row[field]))
  return owner !== null && isOthers(field as TableName, owner, get)
}

/** How much of a table is the maker's own, other makers' records left out. */
export function ownCount(tables: Tables, table: TableName): number {
  const find = (name: TableName, id: string) => (tables[name] as AnyRecord[]).find((one) => one.id === id) ?? null
  return (tables[table] as AnyRecord[]).filter((one) => !isOthers(table, one, find)).length
}
