import * as z from 'zod/mini'
import { CodedError } from '../errors'
import { moment } from '../records/fields'
import { issueWords } from '../records/issue'
import { schemas } from '../records/schemas'
import { tableNames, type Tables } from '../records/tables'
import { BENCH_VERSION } from '../records/version'
import { asObject } from '../records/versioned'
import { migrateTables, type LooseTables } from '../records/versions'
import { salvage, type SetAside } from './salvage'

export { writeBenchFile } from './writeBenchFile'

/** For the JSON Schema in docs/ and for the check below. */
export const benchFileSchema = z.object({
  format: z.literal('paste-bench'),
  version: z.literal(BENCH_VERSION),
  savedAt: moment,
  tables: z.object(
    Object.fromEntries(tableNames.map((name) => [name, z.array(schemas[name])])) as {
      [T in keyof typeof schemas]: z.ZodMiniArray<(typeof schemas)[T]>
    },
  ),
})

/** Text → JSON; a broken text says about where. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    // The engine gave up: that is not the text's fault.
    if (error instanceof RangeError) throw error
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

export interface BenchFileRead {
  tables: Tables
  savedAt: number
  migratedFrom: number | null
  /** rows and words that could not be taken, each with its place and the reason */
  aside: SetAside[]
}

/**
 * Reads a bench file: a newer version is refused, an older one migrated. A file that is damaged as a whole is refused
 * with the place named; single bad rows are set aside with what hangs on them, and named.
 * @throws CodedError not-a-bench-file, newer-version, damaged
 */
export const readBenchFile = (text: string): BenchFileRead => readBenchData(parsed(text))

/** The same of what a file held, wherever it came from. */
export function readBenchData(data: unknown): BenchFileRead {
  const file = asObject(data)
  if (!file || file['format'] !== 'paste-bench')
    throw new CodedError('not-a-bench-file', '', { detail: 'the mark “paste-bench” is missing' })
  const version = file['version']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw damaged('version', 'a whole number from 1 was expected')
  if (version > BENCH_VERSION) throw new CodedError('newer-version', 'version', { got: version, known: BENCH_VERSION })
  const savedAt = moment.safeParse(file['savedAt'])
  if (!savedAt.success) throw damaged('savedAt', issueWords(savedAt.error.issues[0]!))
  let tables = asObject(file['tables']) as LooseTables | null
  if (!tables) throw damaged('tables', 'the tables are missing')
  for (const [name, rows] of Object.entries(tables))
    if (!Array.isArray(rows) || rows.some((row) => !asObject(row)))
      throw damaged(`tables.${name}`, 'a list of records was expected')
  tables = migrateTables(tables, version)
  for (const name of tableNames) if (!tables[name]) throw damaged(`tables.${name}`, 'a list of records was expected')
  if (tables['bench']!.length !== 1)
    throw damaged('tables.bench', `one bench was expected, ${tables['bench']!.length} found`)
  const taken = salvage(tables)
  const essential = taken.aside.find(({ table }) => table === 'bench' || table === 'build')
  if (essential) throw damaged(essential.place, essential.why)
  return { ...taken, savedAt: savedAt.data, migratedFrom: version === BENCH_VERSION ? null : version }
}

const damaged = (field: string, detail: string) => new CodedError('damaged', field, { field, detail })
