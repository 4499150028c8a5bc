import * as z from 'zod/mini'
import { CodedError } from '../errors'
import { moment } from '../records/fields'
import { issueWords } from '../records/issue'
import { danglingReference, schemas, tableNames, type Tables } from '../records/tables'

/** The bench file: one JSON document with everything on a bench. */
export const BENCH_FILE_VERSION = 3

export interface BenchFile {
  format: 'paste-bench'
  version: number
  savedAt: number
  tables: Tables
}

/** For the JSON Schema in docs/ and for the check below. */
export const benchFileSchema = z.object({
  format: z.literal('paste-bench'),
  version: z.literal(BENCH_FILE_VERSION),
  savedAt: moment,
  tables: z.object(
    Object.fromEntries(tableNames.map((name) => [name, z.array(schemas[name])])) as {
      [T in keyof typeof schemas]: z.ZodMiniArray<(typeof schemas)[T]>
    },
  ),
})

type Loose = Record<string, unknown>
type LooseTables = Record<string, Loose[]>

/**
 * From version n to n + 1, frozen: a migration calls nothing that may change later.
 * 1 → 2: a pack's dates moved from the adhesive to a table of packs, since one product can stand there in two batches.
 * 2 → 3: briefs ask more (all of it open), a product has other names and may be of no known family, a pack knows when it was
 * bought, rules of the house have a table, and a round has arms: its one test became the first.
 */
export const migrations: Record<number, (tables: LooseTables) => LooseTables> = {
  1: (tables) => ({
    ...tables,
    adhesive: (tables['adhesive'] ?? []).map((adhesive) =>
      Object.fromEntries(Object.entries(adhesive).filter(([key]) => key !== 'openedOn' && key !== 'expiresOn')),
    ),
    stock: (tables['adhesive'] ?? [])
      .filter((adhesive) => adhesive['openedOn'] != null || adhesive['expiresOn'] != null)
      .map((adhesive) => ({
        id: `${String(adhesive['id'])}-pack`,
        adhesive: adhesive['id'],
        batch: '',
        openedOn: adhesive['openedOn'] ?? null,
        expiresOn: adhesive['expiresOn'] ?? null,
        left: 1,
      })),
  }),
  2: (tables) => {
    const side = (value: unknown) => ({ ...(value as Loose), traits: null })
    const newWords = [
      'edgeMm', 'fit', 'curveMm', 'leverMm', 'flexDeg', 'bendRadiusMm', 'sun', 'boxed', 'undo', 'repositionS', 'canClamp', 'reach', 'inShell', 'roomM3',
      'heatNear', 'stakes', 'readyH', 'handledBy', 'perEvening',
    ] // prettier-ignore
    const open = Object.fromEntries(newWords.map((word) => [word, null]))
    return {
      ...tables,
      joint: (tables['joint'] ?? []).map((joint) => {
        const brief = asObject(joint['brief'])
        return brief ? { ...joint, brief: { ...brief, ...open, a: side(brief['a']), b: side(brief['b']) } } : joint
      }),
      adhesive: (tables['adhesive'] ?? []).map((adhesive) => ({ ...adhesive, aliases: [] })),
      stock: (tables['stock'] ?? []).map((pack) => ({ ...pack, boughtOn: null })),
      houseRule: [],
      offcut: [],
      procedure: (tables['procedure'] ?? []).map((procedure) => ({ ...procedure, dilution: null, blend: null })),
      round: (tables['round'] ?? []).map(({ test, size, passLimit, passSetAt, ...round }) => ({
        ...round,
        arms: [{ id: 'a1', test, exposure: null, size, passLimit, passSetAt, lateChanges: [] }],
        control: null,
        hunch: null,
        weights: null,
      })),
      coupon: (tables['coupon'] ?? []).map((coupon) => ({ ...coupon, arm: 'a1' })),
      decision: (tables['decision'] ?? []).map((decision) => ({ ...decision, arm: 'a1' })),
    }
  },
}

export const writeBenchFile = (tables: Tables, now: number): string =>
  JSON.stringify(
    { format: 'paste-bench', version: BENCH_FILE_VERSION, savedAt: now, tables } satisfies BenchFile,
    null,
    1,
  )

const asObject = (value: unknown): Loose | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : null

/** Text → JSON; a broken text says about where. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    const detail = (error as Error).message
    const at = /position (\d+)/.exec(detail)
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : null
    if (text.trimStart().startsWith('{') && text.includes('paste-bench'))
      throw new CodedError('damaged', line ? `line ${line}` : 'the end', {
        field: line ? `line ${line}` : 'the end',
        detail,
      })
    throw new CodedError('not-a-bench-file', '', { detail: 'it is not a JSON text' })
  }
}

/**
 * Reads a bench file whole or not at all: a newer version is refused, an older one migrated, a damaged one refused with the
 * place named.
 * @throws CodedError not-a-bench-file, newer-version, damaged
 */
export function readBenchFile(text: string): { tables: Tables; savedAt: number; migratedFrom: number | null } {
  const file = asObject(parsed(text))
  if (!file || file['format'] !== 'paste-bench')
    throw new CodedError('not-a-bench-file', '', { detail: 'the mark “paste-bench” is missing' })
  const version = file['version']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new CodedError('damaged', 'version', { field: 'version', detail: 'a whole number from 1 was expected' })
  if (version > BENCH_FILE_VERSION)
    throw new CodedError('newer-version', 'version', { got: version, known: BENCH_FILE_VERSION })
  let tables = asObject(file['tables']) as LooseTables | null
  if (!tables) throw new CodedError('damaged', 'tables', { field: 'tables', detail: 'the tables are missing' })
  for (const [name, rows] of Object.entries(tables))
    if (!Array.isArray(rows) || rows.some((row) => !asObject(row)))
      throw new CodedError('damaged', `tables.${name}`, {
        field: `tables.${name}`,
        detail: 'a list of records was expected',
      })
  for (let from = version; from < BENCH_FILE_VERSION; from++) tables = migrations[from]!(tables)
  const result = benchFileSchema.safeParse({ ...file, version: BENCH_FILE_VERSION, tables })
  if (!result.success) {
    const issue = result.error.issues[0]!
    const field = issue.path.join('.')
    throw new CodedError('damaged', field, { field, detail: issueWords(issue) })
  }
  checkWhole(result.data.tables)
  return {
    tables: result.data.tables,
    savedAt: result.data.savedAt,
    migratedFrom: version === BENCH_FILE_VERSION ? null : version,
  }
}

/** One bench row, ids unlike within a table, nothing pointing into the void. */
function checkWhole(tables: Tables): void {
  if (tables.bench.length !== 1)
    throw new CodedError('damaged', 'tables.bench', {
      field: 'tables.bench',
      detail: `one bench was expected, ${tables.bench.length} found`,
    })
  for (const name of tableNames) {
    const seen = new Set<string>()
    tables[name].forEach((record, i) => {
      if (seen.has(record.id))
        throw new CodedError('damaged', `tables.${name}.${i}.id`, {
          field: `tables.${name}.${i}.id`,
          detail: `“${record.id}” stands there twice`,
        })
      seen.add(record.id)
    })
  }
  const loose = danglingReference(tables)
  if (loose)
    throw new CodedError('damaged', `tables.${loose.table}`, {
      field: `${loose.table} ${loose.id}, ${loose.field}`,
      detail: `it points to “${loose.to}”, which is not in the file`,
    })
}
