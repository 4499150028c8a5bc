import { momentFields } from '../records/moments'
import { runsAsFormula } from './cells'

/** Plain records as rows of cells and back, exactly: what was left out, open (null) or an empty text stays so. */
export interface Column {
  /** path into the record: "brief.a.material" */
  name: string
  type: 'string' | 'number' | 'boolean' | 'datetime' | 'array' | 'object' | 'any'
  unit: string | null
  /** what an empty cell stands for in this column */
  empty: Empty
}
export const empties = ['left out', 'open', 'empty text'] as const
export type Empty = (typeof empties)[number]

type Fields = Record<string, unknown>
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What stands in a cell where it is not the column's usual kind of empty. */
const WRITTEN: Record<Empty, string> = { 'left out': '(left out)', open: '(open)', 'empty text': '""' }
/** A text that a spreadsheet would run, or that would be taken for something else, is written behind this mark. */
const MARK = "'"
const needsMark = (text: string) => runsAsFormula(text) || /^[\s'"]/.test(text) || Object.values(WRITTEN).includes(text)

/** Units by the ends of the names that records use. */
const units: [RegExp, string][] = [
  [/Mm2$/, 'mm²'],
  [/Mm$/, 'mm'],
  [/Cm2$/, 'cm²'],
  [/Gm2$/, 'g/m²'],
  [/MgM3$/, 'mg/m³'],
  [/M3$/, 'm³'],
  [/(^|\.)(temp|heat|cold)C$|MinC$|MaxC$/, '°C'],
  [/Kg$/, 'kg'],
  [/Deg$/, '°'],
  [/N$/, 'N'],
  [/S$/, 's'],
  [/H$|(^|\.)hours$/, 'h'],
  [/(^|\.)grams$/, 'g'],
  [/(^|\.)rh$/, '%'],
]
export const unitOf = (name: string): string | null => units.find(([end]) => end.test(name))?.[1] ?? null

/** The leaves of a record by their paths; an empty part, a list, and a part with odd names stay whole. */
function leaves(record: Fields, under = '', out = new Map<string, unknown>()): Map<string, unknown> {
  for (const [key, value] of Object.entries(record)) {
    if (value === undefined) continue
    const path = under + key
    const opens = isFields(value) && Object.keys(value).some((one) => value[one] !== undefined)
    if (opens && Object.keys(value).every((one) => /^[A-Za-z][\w-]*$/.test(one))) leaves(value, `${path}.`, out)
    else out.set(path, value)
  }
  return out
}

/** what a date and time is written with has four digits for the year */
const LAST_MOMENT = Date.UTC(9999, 11, 31)
const isMoment = (name: string, value: unknown) =>
  momentFields.has(name.split('.').at(-1)!) &&
  typeof value === 'number' &&
  Number.isInteger(value) &&
  value >= 0 &&
  value <= LAST_MOMENT

function typeOf(name: string, values: readonly unknown[]): Column['type'] {
  const said = values.filter((value) => value !== null)
  const all = (test: (value: unknown) => boolean) => said.length > 0 && said.every(test)
  if (all((value) => isMoment(name, value))) return 'datetime'
  if (all((value) => typeof value === 'number')) return 'number'
  if (all((value) => typeof value === 'boolean')) return 'boolean'
  if (all((value) => typeof value === 'string')) return 'string'
  if (all((value) => Array.isArray(value))) return 'array'
  if (all(isFields)) return 'object'
  return said.length ? 'any' : 'string'
}

function emptyOf(values: readonly unknown[], rows: number): Empty {
  const open = values.filter((value) => value === null).length
  const text = values.filter((value) => value === '').length
  const out = rows - values.length
  if (text > open && text > out) return 'empty text'
  return open > out ? 'open' : 'left out'
}

function write(value: unknown, { type, empty }: Column): string {
  const kind: Empty | null =
    value === undefined ? 'left out' : value === null ? 'open' : value === '' ? 'empty text' : null
  if (kind) return kind === empty ? '' : WRITTEN[kind]
  if (type === 'datetime') return new Date(value as number).toISOString()
  if (type === 'string') return needsMark(value as string) ? MARK + (value as string) : (value as string)
  if (type === 'array' || type === 'object' || type === 'any') return JSON.stringify(value)
  return String(value)
}

/** @throws SyntaxError where a cell is not what its column says */
function read(cell: string, { type, empty }: Column): unknown {
  const kind = cell === '' ? empty : empties.find((one) => WRITTEN[one] === cell)
  if (kind) return kind === 'left out' ? undefined : kind === 'open' ? null : ''
  switch (type) {
    case 'datetime': {
      const at = Date.parse(cell)
      if (Number.isNaN(at)) throw new SyntaxError(`“${cell}” is no date and time`)
      return at
    }
    case 'number': {
      const value = Number(cell)
      if (!Number.isFinite(value)) throw new SyntaxError(`“${cell}” is no number`)
      return value
    }
    case 'boolean':
      if (cell !== 'true' && cell !== 'false') throw new SyntaxError(`“${cell}” is neither true nor false`)
      return cell === 'true'
    case 'string':
      return cell.startsWith(MARK) ? cell.slice(1) : cell
    default:
      return JSON.parse(cell)
  }
}

export interface Sheet {
  columns: Column[]
  /** without the head */
  rows: string[][]
}

/** Records as a sheet; the columns are those that any of them has, its id first. */
export function sheetOf(records: readonly object[]): Sheet {
  const flat = records.map((record) => leaves(record as Fields))
  const values = new Map<string, unknown[]>([['id', []]])
  for (const one of flat)
    for (const [name, value] of one) {
      const list = values.get(name)
      if (list) list.push(value)
      else values.set(name, [value])
    }
  const columns = [...values].map(([name, list]): Column => ({
    name,
    type: typeOf(name, list),
    unit: unitOf(name),
    empty: emptyOf(list, records.length),
  }))
  return { columns, rows: flat.map((one) => columns.map((column) => write(one.get(column.name), column))) }
}

/** A cell that does not fit its column. */
export interface BadCell {
  row: number
  column: string
  why: string
}

/**
 * The records of a sheet.
 * @returns records, and the cells that could not be read; their fields are missing in the records
 */
export function recordsOf({ columns, rows }: Sheet): { records: Fields[]; bad: BadCell[] } {
  const bad: BadCell[] = []
  const records = rows.map((cells, row) => {
    const record: Fields = {}
    columns.forEach((column, i) => {
      try {
        const value = read(cells[i] ?? '', column)
        if (value !== undefined) putIn(record, column.name.split('.'), value)
      } catch (error) {
        bad.push({ row, column: column.name, why: (error as Error).message })
      }
    })
    return record
  })
  return { records, bad }
}

function putIn(record: Fields, path: readonly string[], value: unknown): void {
  const [key, ...rest] = path
  if (!rest.length) {
    record[key!] = value
    return
  }
  const inner = isFields(record[key!]) ? (record[key!] as Fields) : {}
  record[key!] = inner
  putIn(inner, rest, value)
}
