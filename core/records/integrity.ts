import { CodedError } from '../errors'
import type { Change } from './entry'
import { strayOf } from './strays'
import { owners, references, tableNames, tableWords, type AnyRecord, type RecordOf, type TableName } from './tables'

/** Records as they stand, by id and by owner. */
export interface RecordReader {
  get<T extends TableName>(table: T, id: string): RecordOf<T> | null
  all<T extends TableName>(table: T): RecordOf<T>[]
  of<T extends TableName>(table: T, owner: string): RecordOf<T>[]
}

type Row = Record<string, unknown> & { id: string }
const asRow = (record: AnyRecord | null): Row | null => record as unknown as Row | null

/**
 * What may stand only once: within its owner, or (scope null) on the whole bench. key null: this record is not counted.
 */
interface Only {
  scope: string | null
  key: (record: Row) => string | null
  /** how it is said: "Coupon H2-A1 has a reading already" */
  words: (record: Row, records: RecordReader) => string
}
/** A name is taken once by every maker: two benches that were put together may call two things alike. */
const name = (record: Row) => `${String(record['owner'] ?? '')} ${String(record['name']).trim().toLowerCase()}`
export const onlyOnce: Partial<Record<TableName, Only>> = {
  bench: { scope: null, key: () => 'one', words: () => 'A bench is here already' },
  joint: { scope: 'build', key: ({ code }) => String(code), words: ({ code }) => `The code ${String(code)} is taken` },
  procedure: {
    scope: 'joint',
    key: ({ letter }) => String(letter),
    words: ({ letter }) => `The letter ${String(letter)} is taken`,
  },
  round: {
    scope: 'joint',
    key: ({ number }) => String(number),
    words: ({ number }) => `Round ${String(number)} of this joint is planned already`,
  },
  coupon: {
    scope: 'round',
    key: ({ label }) => String(label),
    words: ({ label }) => `The label ${String(label)} is taken`,
  },
  reading: {
    scope: 'coupon',
    // One for its own test, and one for each way it was pulled before.
    key: ({ setAside, direction, again }) => (setAside === null && !again ? String(direction ?? 'own') : null),
    words: ({ coupon }, records) =>
      `Coupon ${records.get('coupon', String(coupon))?.label ?? ''} has a reading already: correct it or set it aside`,
  },
  adhesive: { scope: null, key: name, words: (record) => `“${String(record['name'])}” stands on the shelf already` },
  material: { scope: null, key: name, words: (record) => `“${String(record['name'])}” is an own material already` },
  houseRule: {
    scope: null,
    key: name,
    words: (record) => `A house rule is called “${String(record['name'])}” already`,
  },
}

/**
 * Checks that, with all changes in, nothing stands twice that may stand once, nothing new points to what is not there,
 * and nothing was taken away that something else still points to. What was so before the changes is left alone: an
 * older bench stays editable.
 * @throws CodedError taken, points-nowhere, still-used
 */
export function checkIntegrity(changes: readonly Change[], records: RecordReader): void {
  const last = new Map<string, Change>()
  for (const change of changes) {
    const key = `${change.table} ${change.id}`
    last.set(key, { ...change, before: last.has(key) ? last.get(key)!.before : change.before })
  }
  const after = new RecordsAfter(last, records)
  for (const change of last.values()) {
    if (change.after) {
      checkOnlyOnce(change, after, records)
      checkPointers(change, after)
      checkStrays(change, after, records)
    } else if (change.before) checkUnused(change, after)
  }
}

/** The records as they will stand with the changes in. */
class RecordsAfter {
  private readonly places = new Map<string, Map<string, number>>()
  private readonly made = new Map<TableName, Row[]>()

  constructor(
    private readonly last: ReadonlyMap<string, Change>,
    private readonly records: RecordReader,
  ) {
    for (const { table, before, after } of last.values())
      if (after && !before) this.made.set(table, [...(this.made.get(table) ?? []), asRow(after)!])
  }

  get(table: TableName, id: string): Row | null {
    const change = this.last.get(`${table} ${id}`)
    return asRow(change ? change.after : this.records.get(table, id))
  }

  /** All of a table, or those of one owner. */
  rows(table: TableName, owner: string | null): Row[] {
    const before = owner === null ? this.records.all(table) : this.records.of(table, owner)
    const kept = before.flatMap(({ id }) => this.get(table, id) ?? [])
    return [...kept, ...(this.made.get(table) ?? [])]
  }

  /** How many records stand in the same place, where one may stand. */
  count(table: TableName, only: Only, row: Row): number {
    const scope = only.scope === null ? null : String(row[only.scope])
    const key = `${table} ${scope ?? ''}`
    let counts = this.places.get(key)
    if (!counts) {
      counts = new Map()
      for (const one of this.rows(table, scope)) {
        const place = placeOf(only, one)
        if (place !== null) counts.set(place, (counts.get(place) ?? 0) + 1)
      }
      this.places.set(key, counts)
    }
    return counts.get(placeOf(only, row) ?? '') ?? 0
  }
}

const placeOf = (only: Only, row: Row): string | null => {
  const key = only.key(row)
  return key === null ? null : `${only.scope === null ? '' : String(row[only.scope])} ${key}`
}

function checkOnlyOnce({ table, id, before, after }: Change, records: RecordsAfter, reader: RecordReader) {
  const only = onlyOnce[table]
  if (!only) return
  const row = asRow(after)!
  const place = placeOf(only, row)
  if (place === null || (before && placeOf(only, asRow(before)!) === place)) return
  if (records.count(table, only, row) > 1)
    throw new CodedError('taken', `${table} ${id}`, { field: only.words(row, reader) })
}

function checkPointers({ table, id, before, after }: Change, records: RecordsAfter) {
  const row = asRow(after)!
  for (const { field, to } of references.filter((one) => one.table === table)) {
    const target = row[field]
    if (target === null || target === undefined || asRow(before)?.[field] === target) continue
    if (!records.get(to, String(target)))
      throw new CodedError('points-nowhere', `${table} ${id} ${field}`, {
        field: `The ${tableWords[table]}`,
        to: `the ${tableWords[to]} it belongs to`,
      })
  }
}

/** What a record names inside another one; of a round, what its coupons and decisions name in it, too. */
function checkStrays({ table, id, before, after }: Change, now: RecordsAfter, reader: RecordReader) {
  const check = (of: TableName, record: AnyRecord, old: AnyRecord | null) => {
    const stray = strayOf(of, record as never, now as never)
    if (!stray || (old && strayOf(of, old as never, reader))) return
    throw new CodedError('wrong-shape', `${of} ${record.id} ${stray.field}`, {
      field: `The ${tableWords[of]}`,
      detail: stray.why,
    })
  }
  check(table, after!, before)
  if (!before) return
  const rows = (of: TableName, owner: string) => {
    for (const row of now.rows(of, owner)) check(of, row as never, reader.get(of, row.id))
  }
  switch (table) {
    case 'round':
      rows('coupon', id)
      return rows('decision', (after as RecordOf<'round'>).joint)
    case 'procedure':
      return rows('round', (before as RecordOf<'procedure'>).joint)
    case 'reading':
      return rows('reading', (before as RecordOf<'reading'>).coupon)
  }
}

function checkUnused({ table, id }: Change, records: RecordsAfter) {
  for (const { table: from, field } of references.filter(({ to }) => to === table)) {
    const rows = records.rows(from, owners[from] === field ? id : null)
    if (rows.some((row) => row[field] === id))
      throw new CodedError('still-used', `${table} ${id}`, {
        field: `The ${tableWords[table]}`,
        by: `a ${tableWords[from]} on this bench`,
      })
  }
}

export interface BrokenRow {
  table: TableName
  id: string
  field: string
  /** what it points to, and is not there */
  to: string
}

/** Every record that points to one that is not there. */
export function danglingRows(tables: { [T in TableName]: { id: string }[] }): BrokenRow[] {
  const ids = Object.fromEntries(tableNames.map((table) => [table, new Set(tables[table].map(({ id }) => id))]))
  return references.flatMap(({ table, field, to }) =>
    (tables[table] as unknown as Row[]).flatMap((record) => {
      const target = record[field]
      const there = target === null || target === undefined || ids[to]!.has(String(target))
      return there ? [] : [{ table, id: record.id, field, to: String(target) }]
    }),
  )
}
