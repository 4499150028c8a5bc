import * as z from 'zod/mini'
import { CodedError } from '../errors'
import { BENCH_VERSION } from '../records/version'
import type { LooseTables } from '../records/versions'
import { references, tableNames, tableWords, type TableName, type Tables } from '../records/tables'
import { readBenchData, type BenchFileRead } from './benchFile'
import { empties, recordsOf, sheetOf, type BadCell, type Column, type Sheet } from './tabular'

/**
 * The data package: `datapackage.json` of the open tabular data package format (a profile, resources, a table schema
 * each), one CSV a table, and the photos. What the format does not know stands in properties of its own: units, and
 * what an empty cell stands for.
 */
export const DESCRIPTOR = 'datapackage.json'
export const csvPath = (table: TableName): string => `data/${table}.csv`
export const photoPath = (id: string, type: string): string =>
  `photos/${encodeURIComponent(id)}.${type === 'image/png' ? 'png' : 'jpg'}`

export interface PhotoFile {
  id: string
  path: string
  mediatype: string
  bytes: number
}

const typeFormats: Partial<Record<Column['type'], string>> = { datetime: 'any' }
const describe = ({ name, unit }: Column) => `${name.split('.').join(', ')}${unit ? `, in ${unit}` : ''}`

/** Columns that name a record of another table; the format knows no empty list of them. */
function keysTo(table: TableName, { columns }: Sheet): { foreignKeys?: object[] } {
  const keys = references
    .filter((one) => one.table === table && columns.some(({ name }) => name === one.field))
    .map(({ field, to }) => ({ fields: field, reference: { resource: to.toLowerCase(), fields: 'id' } }))
  return keys.length ? { foreignKeys: keys } : {}
}

/** @param savedAt ms */
export function describePackage(
  tables: Tables,
  savedAt: number,
  photos: readonly PhotoFile[],
): { descriptor: object; sheets: Record<TableName, Sheet> } {
  const sheets = Object.fromEntries(tableNames.map((table) => [table, sheetOf(tables[table])])) as Record<
    TableName,
    Sheet
  >
  const resources = tableNames.map((table) => ({
    name: table.toLowerCase(),
    path: csvPath(table),
    title: tableWords[table],
    profile: 'tabular-data-resource',
    format: 'csv',
    mediatype: 'text/csv',
    encoding: 'utf-8',
    schema: {
      fields: sheets[table].columns.map((column) => ({
        name: column.name,
        type: column.type,
        ...(typeFormats[column.type] && { format: typeFormats[column.type] }),
        description: describe(column),
        ...(column.unit && { unit: column.unit }),
        empty: column.empty,
      })),
      primaryKey: 'id',
      missingValues: ['', '(left out)', '(open)', '""'],
      ...keysTo(table, sheets[table]),
    },
  }))
  const descriptor = {
    profile: 'data-package',
    name: 'paste-bench',
    title: tables.bench[0]!.name,
    description: 'Bond tests of one bench: what was asked, planned, glued, pulled and chosen.',
    created: new Date(savedAt).toISOString(),
    pasteBench: { version: BENCH_VERSION, savedAt },
    resources: [
      ...resources,
      ...photos.map(({ id, path, mediatype, bytes }) => ({
        name: `photo-${id.toLowerCase().replace(/[^a-z0-9._-]/g, '-')}`,
        path,
        mediatype,
        bytes,
        photo: id,
      })),
    ],
  }
  return { descriptor, sheets }
}

const fieldSchema = z.object({
  name: z.string(),
  type: z.enum(['string', 'number', 'boolean', 'datetime', 'array', 'object', 'any']),
  empty: z.optional(z.enum(empties)),
})
const descriptorSchema = z.object({
  pasteBench: z.object({ version: z.number(), savedAt: z.number() }),
  resources: z.array(
    z.object({
      path: z.string(),
      photo: z.optional(z.string()),
      mediatype: z.optional(z.string()),
      schema: z.optional(z.object({ fields: z.array(fieldSchema) })),
    }),
  ),
})

/** a path of plain names */
const COLUMN_NAME = /^[A-Za-z][\w-]*(\.[A-Za-z][\w-]*)*$/
const damaged = (field: string, detail: string) => new CodedError('damaged', field, { field, detail })

export interface PackageRead extends BenchFileRead {
  photos: { id: string; path: string; mediatype: string }[]
}

/**
 * The bench in a data package. Its columns may stand in another order, and cells may have been changed by hand; single
 * bad rows are set aside with their place, as in a bench file.
 * @param descriptorText of datapackage.json
 * @param cellsOf a file of the package as rows of cells, its head first; null where it is not there
 * @throws CodedError not-a-bench-file, newer-version, damaged
 */
export function readPackage(descriptorText: string, cellsOf: (path: string) => string[][] | null): PackageRead {
  const parsed = descriptorSchema.safeParse(jsonOf(descriptorText))
  if (!parsed.success)
    throw new CodedError('not-a-bench-file', DESCRIPTOR, { detail: `${DESCRIPTOR} does not describe a bench` })
  const { pasteBench, resources } = parsed.data
  const tables: LooseTables = {}
  for (const { path, schema } of resources) {
    const table = tableNames.find((name) => csvPath(name) === path)
    if (!table || !schema) continue
    const [head, ...rows] = cellsOf(path) ?? []
    if (!head) throw damaged(path, 'the file is missing in the package, or empty')
    const columns = head.map((name): Column => {
      const field = schema.fields.find((one) => one.name === name)
      if (!field || !COLUMN_NAME.test(name))
        throw damaged(path, `the column “${name}” is not described in ${DESCRIPTOR}`)
      return { name, type: field.type, unit: null, empty: field.empty ?? 'left out' }
    })
    const { records, bad } = recordsOf({ columns, rows })
    if (bad.length) throw damaged(`${path}, row ${bad[0]!.row + 2}, ${bad[0]!.column}`, badWords(bad))
    tables[table] = records
  }
  const read = readBenchData({ format: 'paste-bench', ...pasteBench, tables })
  const photos = resources.flatMap(({ photo, path, mediatype }) =>
    photo === undefined ? [] : [{ id: photo, path, mediatype: mediatype ?? 'image/jpeg' }],
  )
  return { ...read, photos }
}

const badWords = (bad: readonly BadCell[]) =>
  `${bad[0]!.why}${bad.length > 1 ? `, and ${bad.length - 1} more cells` : ''}`

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw damaged(DESCRIPTOR, 'it is not a JSON text')
  }
}
