import { CodedError } from '../errors'
import { find, namesOf } from '../knowledge/names'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { type TestId } from '../knowledge/testKinds'
import { parseNumber } from '../quantities/parseNumber'
import { forceUnits } from '../quantities/force'
import type { FailurePlaces } from '../readings/datum'
import type { OutcomeRecord } from '../records/reading'
import { pastedEnd } from './pastedRows'
import { DAY_MS } from '../quantities/days'

/** What a column of past tests holds. */
const pastColumns = ['a', 'b', 'glue', 'load', 'width', 'overlap', 'where', 'day', 'note'] as const
export type PastColumn = (typeof pastColumns)[number]
/** Where each is: the index of its column; null: there is none. */
export type PastMapping = Record<PastColumn, number | null>

const headings: Record<PastColumn, RegExp> = {
  a: /^(material a|side a|a|material 1|first material|substrate a?)$/i,
  b: /^(material b|side b|b|material 2|second material|substrate b)$/i,
  glue: /^(glue|adhesive|product)\b/i,
  load: /^(load|force|reading|result|value|peak|strength)\b/i,
  width: /^(width|wide)\b/i,
  overlap: /^(overlap|length|long)\b/i,
  where: /^(where|place|failure|broke|let go)\b/i,
  day: /^(date|day|when)\b/i,
  note: /^(note|remark|comment)s?\b/i,
}

/** Tests that a past sheet may be of: those that a load and two lengths make a strength of. */
export const pastTestKinds = ['lap-shear', 't-peel', 'peel-90', 'peel-180'] as const satisfies readonly TestId[]
export type PastTest = (typeof pastTestKinds)[number]

/** Columns by the words of the heading row. */
export const pastMapping = (head: readonly string[]): PastMapping =>
  Object.fromEntries(
    pastColumns.map((column) => {
      const at = head.findIndex((cell) => headings[column].test(cell.replace(/[([].*$/, '').trim()))
      return [column, at < 0 ? null : at]
    }),
  ) as PastMapping

export interface PastSettings {
  mapping: PastMapping
  test: PastTest
  /** what loads are told in where a cell names no unit */
  unit: (typeof forceUnits)[number]
  /** of the sheet: it is whose readings these are */
  name: string
}

export interface Row {
  line: number
  a: string
  b: string
  family: string
  newton: { value: number; unit: string }
  size: { widthMm: number; overlapMm?: number }
  outcome: OutcomeRecord
  at: number
  note: string
}

const none: FailurePlaces = { tornA: 0, offA: 0, glue: 0, offB: 0, tornB: 0 }

/** Words of a sheet: what each was taken for, and what was found for it. */
export interface SheetWords {
  understood: Map<string, string>
  found: Map<string, string | null>
}

export class RowFault extends Error {}

export function rowOf(
  line: number,
  cells: readonly string[],
  { mapping, test, unit }: PastSettings,
  now: number,
  words: SheetWords,
): Row {
  const cell = (column: PastColumn) => (mapping[column] === null ? '' : (cells[mapping[column]] ?? '').trim())
  const known = (column: PastColumn, what: 'material' | 'glue') => {
    const text = cell(column)
    // A sheet says the same few words in every row: each is looked up once.
    const key = `${what} ${text}`
    if (!words.found.has(key)) words.found.set(key, (text && find(text, namesOf[what], 1)[0]) || null)
    const id = words.found.get(key)!
    if (!id) throw new RowFault(`“${text}” is no ${what} that the tables know`)
    words.understood.set(text, what === 'material' ? materialClassOf(id).name : familyOf(id).name)
    return id
  }
  const number = (column: PastColumn, field: string, example: string) => {
    try {
      return parseNumber(cell(column), { path: column, field, example, least: 0.001, most: 1e6 })
    } catch (error) {
      if (!(error instanceof CodedError)) throw error
      throw new RowFault(`${field} “${cell(column)}” is not read: a number such as ${example} was expected`)
    }
  }
  const width = number('width', 'Width, mm', '25')
  const overlap = test === 'lap-shear' ? { overlapMm: number('overlap', 'Overlap, mm', '12') } : {}
  return {
    line,
    a: known('a', 'material'),
    b: known('b', 'material'),
    family: known('glue', 'glue'),
    newton: loadOf(cell('load'), unit),
    size: { widthMm: width, ...overlap },
    outcome: outcomeOf(cell('where')),
    at: dayOf(cell('day'), now),
    note: cell('note').slice(0, 4000),
  }
}

/** “14.2”, “3.1 kgf”: the unit of the cell before that of the sheet. */
function loadOf(text: string, unit: string): { value: number; unit: string } {
  const [, figure = '', own = ''] = /^(.*?)\s*(N|kgf|lbf|kg|lb)?$/i.exec(text) ?? []
  const units: Record<string, string> = { kg: 'kgf', lb: 'lbf', n: 'N', kgf: 'kgf', lbf: 'lbf' }
  try {
    const value = parseNumber(figure, { path: 'load', field: 'The load', example: '14.2', least: 0, most: 1e6 })
    return { value, unit: own ? units[own.toLowerCase()]! : unit }
  } catch (error) {
    if (!(error instanceof CodedError)) throw error
    throw new RowFault(`the load “${text}” is not read: 14.2, or 3.1 kgf, was expected`)
  }
}

function outcomeOf(text: string): OutcomeRecord {
  if (!text) return { end: 'broke', places: { ...none, glue: 100 } }
  const end = pastedEnd(text)
  if (!end) throw new RowFault(`“${text}” is no place where it let go: A, B, glue, torn A, torn B or held was expected`)
  switch (end.end) {
    case 'broke':
      return { end: 'broke', places: { ...none, [end.place]: 100 } }
    case 'wet':
      return { end: 'wet', places: null }
    case 'fault':
      return end
    case 'handling':
      throw new RowFault('a piece that fell apart has no load: leave the row out, or write what it held')
    case 'held':
      return { end: 'held' }
  }
}

/** A day as it is written everywhere the same, 2025-03-14; others can be read in two ways. */
function dayOf(text: string, now: number): number {
  if (!text) return 0
  const at = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T12:00:00Z`) : Number.NaN
  if (Number.isNaN(at) || at > now + DAY_MS)
    throw new RowFault(`the day “${text}” is not read: 2025-03-14 was expected, and not one to come`)
  return at
}
