import { CodedError } from '../errors'
import type { TracePoint } from './trace'
import { line, calmed, noiseOf, restOf } from './signal'
import { largest } from '../quantities/largest'

/** Faster than this a pull is a jerk: it reads too high, N/s (methods.md 1). */
export const TOO_FAST_N_S = 50
/** What rises over the rest by so many times its noise, and by this share of the peak, is the pull’s start. */
const OVER_NOISE = 6
const START_SHARE = 0.02
/** A fall to less than this of the peak is its end; one that climbs over its peak again was a slip. */
const END_SHARE = 0.5
const SLIP_SHARE = 0.12
/** The straight part of the rise: between these shares of the peak. */
const STRAIGHT = [0.2, 0.6] as const
/** Rate over so long, s: a single noisy sample is no jerk. */
export const RATE_S = 0.25
/** Samples nearer to the gauge’s limit than this share mean that it may have been more. */
const AT_LIMIT = 0.999

export interface PullFound {
  /** points with what the gauge showed at rest taken off, from start to end */
  points: TracePoint[]
  /** s, where load begins and where it is gone */
  startS: number
  endS: number
  /** what the gauge showed with nothing on it, N, at the start */
  restN: number
  peakN: number
  peakS: number
  /** N/mm of the straight part of the rise; null without travel */
  stiffnessNPerMm: number | null
  /** energy until the peak’s end, J; null without travel */
  workJ: number | null
  /** fastest rise over a quarter of a second, N/s */
  rateNPerS: number
  /** early falls that were climbed over again */
  slips: number
  /** the gauge reached its limit: the load is “at least” */
  atLimit: boolean
}

/**
 * Finds the pull in what a gauge wrote: the rest before it with its drift, the start, the peak, the drop, slips on the
 * way, and what follows from the travel. Samples may be missing; what was written out of order is put in order.
 * @param limitN of the gauge; null: not known
 * @throws CodedError trace-too-short with fewer than four samples; no-load where nothing was pulled
 */
export function findPull(trace: readonly TracePoint[], limitN: number | null = null): PullFound {
  const all = trace.filter(({ s, n }) => Number.isFinite(s) && Number.isFinite(n)).sort((x, y) => x.s - y.s)
  if (all.length < 4) throw new CodedError('trace-too-short', 'trace', { got: all.length, low: 4 })
  const raw = calmed(all.map(({ n }) => n))
  const highest = largest(raw)
  // Neighbours that were calmed scatter less than the gauge does.
  const noise = noiseOf(all.map(({ n }) => n))
  const offAt = restOf(
    all.map(({ s }) => s),
    raw,
    noise,
  )
  const net = all.map(({ s, n, mm }) => ({ s, n: n - offAt(s), mm }))
  const calm = calmed(net.map(({ n }) => n))
  const top = largest(calm)
  if (!(top > 0)) throw new CodedError('no-load', 'trace')
  const threshold = Math.max(START_SHARE * top, Math.min(0.3 * top, OVER_NOISE * noise))
  const first = calm.findIndex((n) => n > threshold)
  const topAt = calm.indexOf(top)
  const endAt = calm.findIndex((n, i) => i > topAt && n < END_SHARE * top)
  const last = endAt < 0 ? net.length - 1 : endAt
  const points = net.slice(Math.max(0, first - 1), last + 1)
  const end = endAt < 0 ? net.length : endAt
  const peak = peakOf(net, calm, topAt)
  return {
    points,
    startS: net[first]!.s,
    endS: net[last]!.s,
    restN: offAt(net[first]!.s),
    peakN: peak,
    peakS: net[topAt]!.s,
    stiffnessNPerMm: stiffnessOf(net, calm, first, top),
    workJ: workOf(net.slice(Math.max(0, first - 1), end)),
    rateNPerS: rateOf(net.slice(first, topAt + 1)),
    slips: slipsOf(calm.slice(first, topAt + 1)),
    atLimit: limitN !== null && highest >= AT_LIMIT * limitN,
  }
}

/** The peak: the highest sample, unless it stands alone above its neighbours as a wild one does. */
function peakOf(net: readonly TracePoint[], calm: readonly number[], topAt: number): number {
  const near = [topAt - 1, topAt, topAt + 1].flatMap((i) => (net[i] ? [net[i].n] : []))
  const highest = largest(near)
  return highest <= 1.1 * calm[topAt]! ? highest : calm[topAt]!
}

function stiffnessOf(net: readonly TracePoint[], calm: readonly number[], first: number, top: number): number | null {
  const until = calm.findIndex((n, i) => i >= first && n > STRAIGHT[1] * top)
  const part = net
    .slice(first, until < 0 ? net.length : until)
    .filter(({ n, mm }) => mm !== null && n >= STRAIGHT[0] * top && n <= STRAIGHT[1] * top)
  if (part.length < 3 || part[0]!.mm === part.at(-1)!.mm) return null
  return line(
    part.map(({ mm }) => mm!),
    part.map(({ n }) => n),
  ).slope
}

/** Area under load over travel, J (trapezoids). */
function workOf(points: readonly TracePoint[]): number | null {
  if (points.some(({ mm }) => mm === null)) return null
  let sum = 0
  for (let i = 1; i < points.length; i++)
    sum += ((points[i]!.n + points[i - 1]!.n) / 2) * (points[i]!.mm! - points[i - 1]!.mm!)
  return sum / 1000
}

function rateOf(rise: readonly TracePoint[]): number {
  let fastest = 0
  let from = 0
  for (let to = 1; to < rise.length; to++) {
    while (rise[to]!.s - rise[from + 1]!.s >= RATE_S) from += 1
    const s = rise[to]!.s - rise[from]!.s
    if (s >= RATE_S * 0.99) fastest = Math.max(fastest, (rise[to]!.n - rise[from]!.n) / s)
  }
  return fastest
}

function slipsOf(rise: readonly number[]): number {
  let [high, slips, down] = [0, 0, false]
  const top = largest(rise)
  for (const n of rise) {
    if (!down && n < high - SLIP_SHARE * top) {
      slips += 1
      down = true
    }
    if (n > high) {
      high = n
      down = false
    }
  }
  return slips
}
