import { rowsOfColumns } from './columns'
import rows from './weights.json'

/** In what a joint may fail: reasons of one mode share a cause, those of different modes add up (methods.md 12). */
export const modeWords = {
  grips: 'it grips',
  carries: 'it carries',
  cures: 'it cures in time',
  stays: 'it stays',
  bends: 'it bends with the part',
  looks: 'it looks well',
  later: 'later work',
  handling: 'it can be handled',
  material: 'it spares the material',
  people: 'it spares people',
  use: 'what makers reach for',
  house: 'rules of the house',
} as const
export type FailureMode = keyof typeof modeWords
export const failureModes = Object.keys(modeWords) as [FailureMode, ...FailureMode[]]

/** How far one rule moves the odds, in decibans, by what it found. */
export interface Weight {
  rule: string
  mode: FailureMode
  block: number
  caution: number
  fit: number
  /** about what the maker told: missed by 6 or more it keeps the verdict at careful */
  told: boolean
}
const table = new Map(rowsOfColumns<Weight>(rows as never).map((row) => [row.rule, row]))
export const weightRows: readonly Weight[] = [...table.values()]
const unknown: Weight = { rule: '', mode: 'handling', block: -20, caution: -6, fit: 0, told: false }
export const weightOf = (rule: string): Weight => table.get(rule) ?? unknown
