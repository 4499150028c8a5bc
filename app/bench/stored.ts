import { CodedError } from '../../core/errors'
import type { Entry } from '../../core/records/entry'
import type { AnyRecord, TableName } from '../../core/records/tables'
import { BENCH_VERSION } from '../../core/records/version'
import type { CellTurn } from '../storage/cells'

/** The first page of a stored bench: what of the entries is folded into the tables, and where each table stands. */
export interface Head {
  through: number
  generations: Partial<Record<TableName, number>>
  /** of the shapes of its records; left out: stored by a build that did not say, 2 to 6 */
  version?: number
  /** brought to a newer version, and not read back yet: the older state is still beside it */
  unproved?: true
  /** of this bench and no other: who wrote down another one is on a bench that was reset or brought back */
  token: string
}

/** An entry with its place in the log: the number in its key. */
export interface Placed {
  seq: number
  entry: Entry
}

const LAST = 999_999_999
export const entryKey = (seq: number): string => `entry:${String(seq).padStart(9, '0')}`
export const asideKey = (seq: number): string => `aside:${String(seq).padStart(9, '0')}`
export const tableKey = (table: TableName, generation: number): string => `table:${table}:${generation}`

/**
 * A table is kept as one text: a browser makes rows of it in about half the time that it needs for rows of its own
 * form. Benches from before have the rows themselves.
 */
export const asText = (rows: readonly unknown[]): string => JSON.stringify(rows)
/** @throws CodedError bench-damaged */
export function asRows(stored: unknown, name: TableName): AnyRecord[] {
  if (Array.isArray(stored)) return stored as AnyRecord[]
  if (typeof stored !== 'string') throw damaged(`its table “${name}” is missing`)
  try {
    return JSON.parse(stored) as AnyRecord[]
  } catch {
    throw damaged(`its table “${name}” cannot be read`)
  }
}

export const gone = (detail: string): CodedError => new CodedError('bench-gone', '', { detail })
export const damaged = (detail: string): CodedError => new CodedError('bench-damaged', '', { detail })

/** @throws CodedError newer-bench for one of a newer build: nothing of it is touched */
export function knownVersion({ version }: Head): number | null {
  if (version !== undefined && version > BENCH_VERSION)
    throw new CodedError('newer-bench', '', { got: version, known: BENCH_VERSION })
  return version ?? null
}

export async function placed(turn: CellTurn, from: number, to = LAST): Promise<Placed[]> {
  const rows = await turn.range(entryKey(from), entryKey(to))
  return rows.map(([key, entry]) => ({ seq: Number(key.slice('entry:'.length)), entry: entry as Entry }))
}
