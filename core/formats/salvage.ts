import { contradictionOf, testOfReading } from '../readings/contradiction'
import { danglingRows } from '../records/integrity'
import { issueWords } from '../records/issue'
import { schemas } from '../records/schemas'
import { strayOf, type Lookup } from '../records/strays'
import { settleTwice } from '../records/together/settle'
import { tableNames, tableWords, type TableName, type Tables } from '../records/tables'
import { asObject, type Loose } from '../records/versioned'
import type { LooseTables } from '../records/versions'

/** A row, or a word of a brief, that a bench file holds and that could not be taken. */
export interface SetAside {
  table: TableName
  /** in the file, such as "tables.reading.3.raw.value" */
  place: string
  /** the row's own id, where it has one */
  id: string
  why: string
}

/**
 * Takes each row that fits its schema and hangs on rows that do; the rest is set aside, with the place and the reason.
 */
export function salvage(loose: LooseTables): { tables: Tables; aside: SetAside[] } {
  const aside: SetAside[] = []
  const tables = {} as Record<TableName, { id: string }[]>
  const places = new Map<string, string>()
  for (const table of tableNames) {
    const seen = new Set<string>()
    tables[table] = loose[table]!.flatMap((row, i) => {
      const place = `tables.${table}.${i}`
      const leave = (field: string, why: string) => {
        aside.push({ table, place: field ? `${place}.${field}` : place, id: String(row['id'] ?? ''), why })
        return []
      }
      const result = schemas[table].safeParse(table === 'joint' ? withOpenWords(row, place, aside) : row)
      if (!result.success) {
        const issue = result.error.issues[0]!
        return leave(issue.path.join('.'), issueWords(issue))
      }
      const { id } = result.data
      if (seen.has(id)) return leave('id', `“${id}” stands there twice`)
      seen.add(id)
      places.set(`${table} ${id}`, place)
      return [result.data]
    })
  }
  dropHanging(tables as unknown as Tables, places, aside)
  nameAnew(tables as unknown as Tables, places, aside)
  return { tables: tables as unknown as Tables, aside }
}

/** A word of a brief that does not fit becomes an open word: unknown, never a guess; the joint itself stays. */
function withOpenWords(row: Loose, place: string, aside: SetAside[]): Loose {
  let joint = row
  for (let tries = 0; tries < 60; tries++) {
    const result = schemas.joint.safeParse(joint)
    const issue = result.success ? null : result.error.issues.find(({ path }) => path[0] === 'brief' && path.length > 1)
    const brief = asObject(joint['brief'])
    if (!issue || !brief) return joint
    const [, word, part] = issue.path.map(String)
    const side = part !== undefined && (word === 'a' || word === 'b') ? asObject(brief[word]) : null
    // A side that is no object at all has no word of its own to open.
    if ((word === 'a' || word === 'b') && !side) return joint
    joint = { ...joint, brief: { ...brief, [word!]: side ? { ...side, [part!]: null } : null } }
    aside.push({
      table: 'joint',
      place: `${place}.${issue.path.join('.')}`,
      id: String(row['id'] ?? ''),
      why: `${issueWords(issue)}; the word was left open`,
    })
  }
  return joint
}

/** Takes away rows whose owner or partner is not there, or that contradict it, and what hangs on them. */
function dropHanging(tables: Tables, places: ReadonlyMap<string, string>, aside: SetAside[]): void {
  for (;;) {
    const records = lookupIn(tables)
    const loose = [
      ...danglingRows(tables).map(({ table, id, field, to }) => ({
        table,
        id,
        field,
        why: `it points to “${to}”, which is not in the file or was set aside`,
      })),
      ...tableNames.flatMap((table) =>
        tables[table].flatMap((record) => {
          const stray = strayOf(table, record as never, records)
          return stray ? [{ table, id: record.id, ...stray }] : []
        }),
      ),
      ...tables.reading.flatMap((reading) => {
        const test = testOfReading(reading, records)
        const found = test && contradictionOf(reading, test)
        return found ? [{ table: 'reading' as const, id: reading.id, ...found }] : []
      }),
    ]
    if (!loose.length) return
    const dropped = new Set<string>()
    for (const { table, id, field, why } of loose) {
      if (dropped.has(`${table} ${id}`)) continue
      dropped.add(`${table} ${id}`)
      aside.push({ table, place: `${places.get(`${table} ${id}`)}.${field}`, id, why })
    }
    const rows = tables as unknown as Record<TableName, { id: string }[]>
    for (const table of tableNames) rows[table] = rows[table].filter(({ id }) => !dropped.has(`${table} ${id}`))
  }
}

/** Rows of a file, found by id. */
function lookupIn(tables: Tables): Lookup {
  const byId = new Map(tableNames.map((table) => [table, new Map(tables[table].map((row) => [row.id, row]))]))
  return { get: (table, id) => (byId.get(table)!.get(id) ?? null) as never }
}

/** What stood there twice and may only once gets the next free name; a second reading of a coupon is set aside. */
function nameAnew(tables: Tables, places: ReadonlyMap<string, string>, aside: SetAside[]): void {
  for (const { table, id, field, was, is } of settleTwice(tables)) {
    const why =
      table === 'reading'
        ? 'its coupon has another reading; this one was set aside'
        : `“${String(was)}” stood there twice; it is “${String(is)}” now`
    aside.push({ table, id, place: `${places.get(`${table} ${id}`)}.${field}`, why })
  }
}

/** How a row set aside is named to the maker: "reading r12 (tables.reading.3.raw.value): number expected". */
export const asideWords = ({ table, place, id, why }: SetAside): string =>
  `${tableWords[table]} ${id} (${place}): ${why}`.replace('  ', ' ')
