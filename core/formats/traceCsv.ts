import { CodedError } from '../errors'
import { asUnit } from '../quantities/parse'
import { parseNumber } from '../quantities/parseNumber'
import { toInside } from '../quantities/units'
import type { TracePoint } from '../readings/trace'

export interface TraceFile {
  points: TracePoint[]
  /** rows that could not be read, with the line they stand on */
  bad: { line: number; why: string }[]
}

const names = {
  time: /^(t|time|sec|seconds?|zeit)\b/i,
  load: /^(f|load|force|kraft|pull)\b/i,
  travel: /^(x|mm|travel|displacement|extension|distance|position|weg)\b/i,
}

/** "Force (kgf)", "load [N]", "Time_s" → name and unit. */
const heading = (cell: string) => {
  const unit = /[([_]\s*([^)\]]+?)\s*[)\]]?$/.exec(cell.trim())
  return {
    name: cell
      .trim()
      .replace(/[_[(].*$/, '')
      .trim(),
    unit: unit ? unit[1]! : null,
  }
}

/**
 * A force trace from the rows of a CSV file: a heading row names time, load and (where there is one) travel, each with
 * its unit in brackets; s, N and mm where none is given. Without time the row number stands in.
 * @throws CodedError wrong-shape when no heading names a load, or none is above zero; unknown-unit, wrong-kind-of-unit
 * for a heading's unit; trace-too-short with fewer than 4 good rows
 */
export function traceFromRows(rows: readonly (readonly string[])[]): TraceFile {
  const at = rows.findIndex((row) => row.some((cell) => names.load.test(heading(cell).name)))
  if (at < 0)
    throw new CodedError('wrong-shape', 'file', {
      field: 'The file',
      detail: 'a heading row with a column called load or force was expected',
    })
  const headings = rows[at]!.map(heading)
  const column = (kind: keyof typeof names) => headings.findIndex(({ name }) => names[kind].test(name))
  const [time, load, travel] = [column('time'), column('load'), column('travel')]
  const unitOf = (at: number, dimension: 'time' | 'force' | 'length', usual: string) =>
    at < 0 || headings[at]!.unit === null ? usual : asUnit(headings[at]!.unit, dimension, 'file')
  const units = {
    time: unitOf(time, 'time', 's'),
    load: unitOf(load, 'force', 'N'),
    travel: unitOf(travel, 'length', 'mm'),
  }
  const points: TracePoint[] = []
  const bad: TraceFile['bad'] = []
  rows.slice(at + 1).forEach((row, i) => {
    if (row.every((cell) => cell.trim() === '')) return
    try {
      points.push({
        s: time < 0 ? i : inside(row[time], units.time, 'time'),
        n: inside(row[load], units.load, 'force'),
        mm: travel < 0 ? null : inside(row[travel], units.travel, 'length'),
      })
    } catch (error) {
      bad.push({
        line: at + i + 2,
        why: error instanceof CodedError ? String(error.facts['got'] ?? error.code) : String(error),
      })
    }
  })
  if (points.length < 4) throw new CodedError('trace-too-short', 'file', { got: points.length, low: 4 })
  if (!points.some(({ n }) => n > 0))
    throw new CodedError('wrong-shape', 'file', {
      field: 'The load column',
      detail: 'loads above zero were expected; if your logger counts a pull as negative, turn its sign first',
    })
  return { points, bad }
}

/** A cell in the unit of its column: cells carry no unit of their own. */
function inside(cell: string | undefined, unit: string, dimension: 'time' | 'force' | 'length'): number {
  return toInside(parseNumber(cell ?? '', { most: 1e7, least: -1e7 }), unit, dimension)
}

/**
 * A trace of at most `most` points, in order. For a peak each stretch keeps its lowest and its highest point, so that
 * peak and shape stay what they were; for the mean of a peel each stretch becomes its own mean, so that the mean does.
 */
export function thinned(points: readonly TracePoint[], most: number, keeps: 'extremes' | 'means'): TracePoint[] {
  if (points.length <= most) return [...points]
  const stretches = keeps === 'means' ? most : Math.floor(most / 2)
  const size = points.length / stretches
  return Array.from({ length: stretches }, (_, i) =>
    points.slice(Math.floor(i * size), Math.floor((i + 1) * size)),
  ).flatMap((stretch) => (keeps === 'means' ? [meanPoint(stretch)] : extremesOf(stretch)))
}

function extremesOf(stretch: readonly TracePoint[]): TracePoint[] {
  const low = stretch.reduce((x, y) => (y.n < x.n ? y : x))
  const high = stretch.reduce((x, y) => (y.n > x.n ? y : x))
  if (low === high) return [low]
  return stretch.indexOf(low) < stretch.indexOf(high) ? [low, high] : [high, low]
}

function meanPoint(stretch: readonly TracePoint[]): TracePoint {
  const mean = (of: (point: TracePoint) => number) =>
    stretch.reduce((sum, point) => sum + of(point), 0) / stretch.length
  return {
    s: mean(({ s }) => s),
    n: mean(({ n }) => n),
    mm: stretch.some(({ mm }) => mm === null) ? null : mean(({ mm }) => mm!),
  }
}
