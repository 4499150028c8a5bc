import { CodedError } from '../errors'

/** One row of a force trace: seconds, newtons, and millimetres of travel where the instrument knows it. */
export interface TracePoint {
  s: number
  n: number
  mm: number | null
}

/** Peak load, N. @throws CodedError trace-too-short */
export function peakN(trace: readonly TracePoint[]): number {
  if (trace.length < 2) throw new CodedError('trace-too-short', 'trace', { got: trace.length, low: 2 })
  return trace.reduce((peak, point) => Math.max(peak, point.n), -Infinity)
}

/**
 * Mean peel load over the steady part, N: the first 25 mm or the first quarter of the travel, whichever is less, and
 * the last 10 % are left out (methods.md 1, after ISO 11339). Weighted by travel (trapezoid), so that a pause does not
 * count; without travel, time stands in for it (steady pulling speed) and the first quarter is left out.
 * @param marked the part that the maker marked, mm or s; null: by the rule
 * @returns the mean, and the part used, in mm of travel or in s
 * @throws CodedError trace-too-short
 */
export function steadyPeelN(
  trace: readonly TracePoint[],
  marked: readonly [number, number] | null = null,
): {
  meanN: number
  from: number
  to: number
  axis: 'mm' | 's'
} {
  const byTravel = trace.length > 0 && trace.every((point) => point.mm !== null)
  const points = trace.map((point) => ({ x: byTravel ? point.mm! : point.s, n: point.n })).sort((a, b) => a.x - b.x)
  const first = points[0]?.x ?? 0
  const length = (points.at(-1)?.x ?? 0) - first
  if (points.length < 4 || length <= 0) throw new CodedError('trace-too-short', 'trace', { got: points.length, low: 4 })
  const rule = [first + (byTravel ? Math.min(25, length / 4) : length / 4), first + 0.9 * length] as const
  const [from, to] = marked ? [Math.max(first, marked[0]), Math.min(first + length, marked[1])] : rule
  if (!(to > from)) throw new CodedError('out-of-order', 'steady', { field: 'The steady part', low: from, high: to })
  let sum = 0
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    const [left, right] = [Math.max(a.x, from), Math.min(b.x, to)]
    if (right <= left) continue
    const at = (x: number) => a.n + ((b.n - a.n) * (x - a.x)) / (b.x - a.x)
    sum += ((at(left) + at(right)) / 2) * (right - left)
  }
  return { meanN: sum / (to - from), from, to, axis: byTravel ? 'mm' : 's' }
}
