import { CodedError } from '../../errors'
import { onlyOnce } from '../integrity'
import { nextJointCode } from '../openBrief'
import { tableNames, tableWords, type TableName, type Tables } from '../tables'
import { lastMoment } from './join'

type Row = Record<string, unknown> & { id: string }

/** What both copies called alike, and the later of the two is called now. */
export interface Settled {
  table: TableName
  id: string
  field: string
  was: unknown
  is: unknown
}

/**
 * Where two copies each made something that may stand only once (a joint H4, a procedure D, a reading of one coupon),
 * the one that was made first keeps its name and the later one gets the next that is free; a second reading of one
 * coupon is set aside. The same whichever copy is put to the other.
 * @param tables both copies put together; its lists are changed in place, its records are not
 */
export function settleTwice(tables: Tables): Settled[] {
  const settled: Settled[] = []
  for (const table of tableNames) {
    const only = onlyOnce[table]
    if (!only || table === 'bench') continue
    const rows = tables[table] as unknown as Row[]
    const scopeOf = (row: Row) => (only.scope === null ? '' : String(row[only.scope]))
    const placeOf = (row: Row) => {
      const key = only.key(row)
      return key === null ? null : `${scopeOf(row)} ${key}`
    }
    const byAge = [...rows].sort((x, y) => firstMoment(x) - firstMoment(y) || (x.id < y.id ? -1 : 1))
    const taken = new Set<string>()
    // What is alone of its name keeps it; only then are the later ones given theirs.
    const later = byAge.filter((row) => {
      const place = placeOf(row)
      if (place === null || !taken.has(place)) {
        if (place !== null) taken.add(place)
        return false
      }
      return true
    })
    for (const row of later) {
      const beside = rows.filter((one) => scopeOf(one) === scopeOf(row))
      const { field, next } = nextName(table, row, beside, (candidate) => taken.has(placeOf(candidate) ?? ''))
      settled.push({ table, id: row.id, field, was: row[field], is: next })
      const named: Row = { ...row, [field]: next }
      rows[rows.indexOf(row)] = named
      const place = placeOf(named)
      if (place !== null) taken.add(place)
    }
  }
  return settled
}

/** When a record was made, as far as it says: later changes do not make it younger than another. */
const firstMoment = (row: Row): number => {
  const own = row['createdAt'] ?? row['plannedAt'] ?? row['since'] ?? row['at']
  return typeof own === 'number' ? own : lastMoment(row) || Infinity
}

const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

function nextName(
  table: TableName,
  row: Row,
  beside: readonly Row[],
  isTaken: (row: Row) => boolean,
): { field: string; next: unknown } {
  const first = (field: string, candidates: Iterable<unknown>) => {
    for (const next of candidates) if (!isTaken({ ...row, [field]: next })) return { field, next }
    throw new CodedError('none-left', `${table} ${row.id}`, { field: `${tableWords[table]} ${String(row[field])}` })
  }
  switch (table) {
    case 'joint': {
      const code = String(row['code'])
      return first('code', [nextJointCode([code, ...beside.map((one) => String(one['code']))])])
    }
    case 'procedure':
      return first('letter', LETTERS)
    case 'round':
      return first('number', numbers(1, ''))
    case 'coupon': {
      const [, stem] = /^(.*-[A-Z])\d+$/.exec(String(row['label'])) ?? []
      return first('label', numbers(1, stem ?? String(row['label'])))
    }
    case 'reading':
      return { field: 'setAside', next: SECOND_READING }
    default:
      return first('name', endings(String(row['name'])))
  }
}

/** Why the second of two readings of one coupon does not count. */
export const SECOND_READING = 'read a second time, in another copy of this bench'

function* numbers(from: number, stem: string): Generator<unknown> {
  for (let n = from; n < 100_000; n++) yield stem === '' ? n : `${stem}${n}`
}
function* endings(name: string): Generator<string> {
  for (let n = 2; n < 100_000; n++) yield `${name} (${n})`
}
