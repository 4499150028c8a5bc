import type { Place } from '../readings/datum'

/** What a column of pasted rows holds. */
const pastedColumns = ['coupon', 'reading', 'where', 'note'] as const
export type PastedColumn = (typeof pastedColumns)[number]

/** Where each is: the index of its column; null: there is none. */
export type PastedMapping = Record<PastedColumn, number | null>

const headings: Record<PastedColumn, RegExp> = {
  coupon: /^(coupon|piece|label|name|no\.?|number)\b/i,
  reading: /^(reading|load|force|value|result|peak|held|count|pulled)\b/i,
  where: /^(where|place|failure|broke|let go|end)\b/i,
  note: /^(note|remark|comment)s?\b/i,
}

export interface PastedTable {
  /** the heading row, where there is one */
  headings: string[] | null
  /** the unit that the heading of the readings names, “Load (kgf)” */
  unit: string
  mapping: PastedMapping
  /** with the line each stands on, from 1 */
  rows: { line: number; cells: string[] }[]
}

/** Rows of a sheet that are looked at, at a time: a page that is filled with more stands still. */
export const MOST_ROWS = 20_000

/** How many columns the widest row has. */
export const widest = (rows: readonly (readonly unknown[])[]): number =>
  rows.reduce((most, { length }) => Math.max(most, length), 0)

const unitOf = (heading: string): string => /[([]\s*([^)\]]+?)\s*[)\]]/.exec(heading)?.[1] ?? ''

/**
 * Rows out of a spreadsheet as they were pasted: which column is what follows from the heading row; without one the
 * columns stand in the order coupon, reading, where, note. The maker may say otherwise.
 */
export function pastedTable(rows: readonly (readonly string[])[], mapping?: PastedMapping): PastedTable {
  const first = rows[0] ?? []
  const at = (column: PastedColumn) => first.findIndex((cell) => headings[column].test(cell.trim()))
  const headed = at('coupon') >= 0 || at('reading') >= 0
  const found = Object.fromEntries(
    pastedColumns.map((column, i) => {
      const index = headed ? at(column) : i < widest(rows) ? i : -1
      return [column, index < 0 ? null : index]
    }),
  ) as PastedMapping
  const used = mapping ?? found
  return {
    headings: headed ? [...first] : null,
    unit: headed && used.reading !== null ? unitOf(first[used.reading] ?? '') : '',
    mapping: used,
    rows: rows
      .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
      .slice(headed ? 1 : 0)
      .filter(({ cells }) => cells.some(Boolean)),
  }
}

/** How a pull ended, as makers write it in a sheet. */
export type PastedEnd =
  { end: 'broke'; place: Place } | { end: 'held' | 'handling' | 'wet' } | { end: 'fault'; reason: string }

const endings: readonly [RegExp, PastedEnd][] = [
  [/^(torn|tore|in|substrate|material|t)\s*a$/i, { end: 'broke', place: 'tornA' }],
  [/^(torn|tore|in|substrate|material|t)\s*b$/i, { end: 'broke', place: 'tornB' }],
  [/^((off|at|from|face|bare|adhesive)\s*)?a$/i, { end: 'broke', place: 'offA' }],
  [/^((off|at|from|face|bare|adhesive)\s*)?b$/i, { end: 'broke', place: 'offB' }],
  [/^((in the |in )?glue|cohesive|c|middle)$/i, { end: 'broke', place: 'glue' }],
  [/^(held|it held|ok|did not break|not broken)$/i, { end: 'held' }],
  [/^(handling|fell off|fell apart|lost)$/i, { end: 'handling' }],
  [/^(wet|still wet|not cured|gummy)$/i, { end: 'wet' }],
]

/** null for what no maker writes there. */
export function pastedEnd(text: string): PastedEnd | null {
  const fault = /^fault\s*:?\s*(.+)$/i.exec(text)
  if (fault) return { end: 'fault', reason: fault[1]! }
  return endings.find(([pattern]) => pattern.test(text))?.[1] ?? null
}
