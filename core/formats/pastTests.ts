import { CodedError } from '../errors'
import { find, namesOf } from '../knowledge/names'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { testKinds, type TestId } from '../knowledge/testKinds'
import { parseNumber } from '../quantities/parse'
import { forceUnits } from '../quantities/force'
import { emptyBench } from '../records/emptyBench'
import { openBrief } from '../records/openBrief'
import { markOf, stableText } from '../records/together/stableText'
import type { FailurePlaces } from '../readings/datum'
import type { OutcomeRecord, Reading } from '../records/reading'
import type { Coupon, Procedure, Round } from '../records/round'
import { noTables, type Tables } from '../records/tables'
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

export interface PastRead {
  /** as another bench, ready to be put to one's own; null where no row could be taken */
  tables: Tables | null
  taken: number
  /** what each word of the sheet was taken for: close is not the same */
  understood: { text: string; as: string }[]
  bad: { line: number; why: string }[]
}

interface Row {
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

/**
 * Past tests out of a spreadsheet as a bench of their own: a joint for each pair, a procedure for each glue, a coupon
 * and a reading for each row. Its ids follow from what stands in the rows, so that the same sheet read in twice is one.
 * @param rows without the heading row, with the line each stands on @param now ms; a row without a day has none (0)
 */
export function pastTests(
  rows: readonly { line: number; cells: readonly string[] }[],
  settings: PastSettings,
  now: number,
): PastRead {
  const bad: PastRead['bad'] = []
  const understood = new Map<string, string>()
  const good = rows.flatMap(({ line, cells }): Row[] => {
    try {
      return [rowOf(line, cells, settings, now, understood)]
    } catch (error) {
      if (!(error instanceof RowFault)) throw error
      bad.push({ line, why: error.message })
      return []
    }
  })
  return {
    tables: good.length ? benchOf(good, settings, now) : null,
    taken: good.length,
    understood: [...understood].map(([text, as]) => ({ text, as })),
    bad,
  }
}

class RowFault extends Error {}

function rowOf(
  line: number,
  cells: readonly string[],
  { mapping, test, unit }: PastSettings,
  now: number,
  understood: Map<string, string>,
): Row {
  const cell = (column: PastColumn) => (mapping[column] === null ? '' : (cells[mapping[column]] ?? '').trim())
  const known = (column: PastColumn, what: 'material' | 'glue') => {
    const text = cell(column)
    const id = text ? find(text, namesOf[what], 1)[0] : undefined
    if (!id) throw new RowFault(`“${text}” is no ${what} that the tables know`)
    understood.set(text, what === 'material' ? materialClassOf(id).name : familyOf(id).name)
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

/** Coupons are lettered and numbered; a joint has no more letters than these. */
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

function benchOf(rows: readonly Row[], { test, name }: PastSettings, now: number): Tables {
  const mark = (kind: string, ...parts: unknown[]) => `${kind}-${markOf(stableText([name, test, ...parts]))}`
  const tables = noTables()
  const bench = mark('past')
  tables.bench = [{ ...emptyBench(bench, name, now), maker: bench, gauge: unknownGauge }]
  const build = mark('build')
  tables.build = [{ id: build, name, inServiceBy: null, budget: null, what: 'Past tests out of a spreadsheet' }]
  const pairs = new Map<string, Row[]>()
  for (const row of rows) {
    const key = [row.a, row.b].sort().join('|')
    pairs.set(key, [...(pairs.get(key) ?? []), row])
  }
  ;[...pairs].forEach(([pair, all], place) => {
    const first = all[0]!
    const code = `S${place + 1}`
    const joint = mark('joint', pair)
    const title = `${materialClassOf(first.a).name} to ${materialClassOf(first.b).name}`
    const side = (material: string) => ({ ...openBrief().a, material })
    tables.joint.push({
      id: joint,
      build,
      code,
      name: title,
      createdAt: Math.min(...all.map(({ at }) => at)),
      brief: { ...openBrief(), a: side(first.a), b: side(first.b) },
    })
    const families = [...new Set(all.map(({ family }) => family))].slice(0, LETTERS.length)
    const letters = new Map(families.map((family, i) => [family, LETTERS[i]!]))
    tables.procedure.push(
      ...families.map((family) => procedureOf(mark('way', pair, family), joint, letters.get(family)!, family)),
    )
    const round: Round = {
      id: mark('round', pair),
      joint,
      number: 1,
      arms: [{ id: 'a1', test, exposure: null, size: first.size, passLimit: null, passSetAt: null, lateChanges: [] }],
      procedures: families.map((family) => mark('way', pair, family)),
      blocks: 1,
      seed: 1,
      order: 'as-written',
      control: null,
      hunch: null,
      weights: null,
      plannedAt: Math.min(...all.map(({ at }) => at)),
    }
    tables.round.push(round)
    const counts = new Map<string, number>()
    const seen = new Map<string, number>()
    for (const row of all) {
      if (!letters.has(row.family)) continue
      const n = (counts.get(row.family) ?? 0) + 1
      counts.set(row.family, n)
      // Two rows that say the same are two pulls: the first is the first in every reading of the sheet.
      const content = stableText({ ...row, line: 0, note: '' })
      const again = (seen.get(content) ?? 0) + 1
      seen.set(content, again)
      const id = mark('piece', pair, content, again)
      tables.coupon.push(
        couponOf(id, round, mark('way', pair, row.family), `${code}-${letters.get(row.family)!}${n}`, row),
      )
      tables.reading.push(readingOf(`${id}-x`, id, row))
    }
  })
  return tables
}

/** Nobody said what these were read with. */
const unknownGauge = { name: 'not said, past tests', limitN: 1000, resolutionN: 1 }

const procedureOf = (id: string, joint: string, letter: string, family: string): Procedure => ({
  id,
  joint,
  letter,
  name: familyOf(family).name,
  family,
  adhesive: null,
  helpers: [],
  anyway: false,
  coats: 1,
  spreadGm2: null,
  dilution: null,
  blend: null,
  steps: [],
})
const couponOf = (id: string, round: Round, procedure: string, label: string, { size }: Row): Coupon => ({
  id,
  round: round.id,
  arm: 'a1',
  procedure,
  block: 1,
  label,
  glueAt: 1,
  pullAt: 1,
  size,
  stamps: [],
  deviations: [],
})
const readingOf = (id: string, coupon: string, { newton, outcome, size, at, note, line }: Row): Reading => ({
  id,
  coupon,
  at,
  raw: { way: 'gauge', value: newton.value, unit: newton.unit, tareKg: 0 },
  outcome,
  size,
  early: null,
  note: note || `line ${line} of the sheet`,
  setAside: null,
  corrected: [],
})

/** What a test is called where it is chosen. */
export const pastTestWords = (test: PastTest): string => testKinds[test].name
