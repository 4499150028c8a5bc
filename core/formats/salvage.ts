import { materialClasses } from '../knowledge/materials'
import { danglingRows } from '../records/integrity'
import { issueWords } from '../records/issue'
import { schemas } from '../records/schemas'
import { tableNames, tableWords, type RecordOf, type TableName, type Tables } from '../records/tables'
import { asObject, type Loose, type LooseTables } from './migrations'

/** A row, or a word of a brief, that a bench file holds and that could not be taken. */
export interface SetAside {
  table: TableName
  /** in the file, such as "tables.reading.3.raw.value" */
  place: string
  /** the row's own id, where it has one */
  id: string
  why: string
}

const classIds = new Set(materialClasses.map(({ id }) => id))

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

/** Takes away rows whose owner or partner is not there, and what hangs on them in turn. */
function dropHanging(tables: Tables, places: ReadonlyMap<string, string>, aside: SetAside[]): void {
  for (;;) {
    const loose = [
      ...danglingRows(tables).map(({ table, id, field, to }) => ({
        table,
        id,
        field,
        why: `it points to “${to}”, which is not in the file or was set aside`,
      })),
      ...strayRows(tables),
    ]
    if (!loose.length) return
    for (const { table, id, field, why } of loose) {
      if (!tables[table].some((one) => one.id === id)) continue
      aside.push({ table, place: `${places.get(`${table} ${id}`)}.${field}`, id, why })
      const rows = tables as unknown as Record<TableName, { id: string }[]>
      rows[table] = rows[table].filter((one) => one.id !== id)
    }
  }
}

/** Rows that point inside another record to what is not there: an arm, a procedure of a round, a material class. */
function strayRows(tables: Tables): { table: TableName; id: string; field: string; why: string }[] {
  const rounds = new Map(tables.round.map((round) => [round.id, round]))
  const procedures = new Map(tables.procedure.map((procedure) => [procedure.id, procedure]))
  const hasArm = ({ round, arm }: RecordOf<'coupon'> | RecordOf<'decision'>) =>
    rounds.get(round)?.arms.some(({ id }) => id === arm) ?? true
  const inJoint = (round: RecordOf<'round'>, id: string) => procedures.get(id)?.joint === round.joint
  return [
    ...tables.coupon
      .filter((coupon) => !hasArm(coupon))
      .map(({ id, arm }) => ({ table: 'coupon' as const, id, field: 'arm', why: `its round has no arm “${arm}”` })),
    ...tables.decision
      .filter((decision) => !hasArm(decision))
      .map(({ id, arm }) => ({ table: 'decision' as const, id, field: 'arm', why: `its round has no arm “${arm}”` })),
    ...tables.round
      .filter((round) => round.procedures.some((id) => !inJoint(round, id)))
      .map(({ id }) => ({ table: 'round' as const, id, field: 'procedures', why: 'not all its procedures are there' })),
    ...tables.material
      .filter(({ classId }) => !classIds.has(classId))
      .map(({ id, classId }) => ({
        table: 'material' as const,
        id,
        field: 'classId',
        why: `“${classId}” is no material class of the tables`,
      })),
  ]
}

/** How a row set aside is named to the maker: "reading r12 (tables.reading.3.raw.value): number expected". */
export const asideWords = ({ table, place, id, why }: SetAside): string =>
  `${tableWords[table]} ${id} (${place}): ${why}`.replace('  ', ' ')
