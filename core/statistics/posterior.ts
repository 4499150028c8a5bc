import { conditionalOf, type Conditional } from './conditional'
import { COARSE } from './mesh'
import { grouped, type Group, type ModelReading } from './data'

/** Prior of the common scatter: σ ~ LogNormal(ln 0.25, 0.5) (methods.md 3). */
const SCATTER_PRIOR = { lnMedian: Math.log(0.25), sd: 0.5 }

/** The posterior on an even grid in s = ln σ; conditionals[k][g] is procedure g's μ at sigma[k]. */
export interface Posterior {
  groups: Group[]
  s: number[]
  weight: number[]
  conditionals: Conditional[][]
}

export interface AnalysisHooks {
  /** called with 0…1 as the work goes on */
  onProgress?: (done: number) => void
}

const STEP = 0.25
const DEPTH = 26
const NODES = 64

/** Where ln posterior peaks, from a scan that moves on as long as the peak lies at its edge. */
function scan(logPosterior: (s: number) => number): { s: number[]; log: number[] } {
  let from = SCATTER_PRIOR.lnMedian - 3
  const s: number[] = []
  const log: number[] = []
  for (let i = 0; i < 28; i++) {
    s.push(from + i * STEP)
    log.push(logPosterior(s[i]!))
  }
  for (let moves = 0; moves < 400; moves++) {
    const top = log.indexOf(Math.max(...log))
    if (top < 2) {
      from -= STEP
      s.unshift(from)
      log.unshift(logPosterior(from))
    } else if (top > log.length - 3) {
      s.push(s.at(-1)! + STEP)
      log.push(logPosterior(s.at(-1)!))
    } else break
  }
  return { s, log }
}

/** Golden-section search for the peak between two places. */
function peakBetween(f: (s: number) => number, a: number, b: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2
  let [c, d] = [b - ratio * (b - a), a + ratio * (b - a)]
  let [fc, fd] = [f(c), f(d)]
  for (let i = 0; i < 12; i++) {
    if (fc > fd) {
      ;[b, d, fd] = [d, c, fc]
      c = b - ratio * (b - a)
      fc = f(c)
    } else {
      ;[a, c, fc] = [c, d, fd]
      d = a + ratio * (b - a)
      fd = f(d)
    }
  }
  return (a + b) / 2
}

/** Outward from the peak to where ln posterior has fallen by DEPTH, by doubling steps and a few halvings. */
function fallFrom(f: (s: number) => number, peak: number, top: number, side: 1 | -1): number {
  let inner = 0
  let outer = 0.1
  while (top - f(peak + side * outer) < DEPTH && outer < 200) {
    inner = outer
    outer *= 1.6
  }
  for (let i = 0; i < 4; i++) {
    const middle = (inner + outer) / 2
    if (top - f(peak + side * middle) < DEPTH) inner = middle
    else outer = middle
  }
  return peak + side * outer
}

/**
 * The posterior of the strength model (methods.md 3): given σ the procedures are independent, so σ is summed on a grid
 * and each μ integrated by itself. No sampling; same input, same output.
 * @param readings at least one, positive values
 */
export function posteriorOf(readings: readonly ModelReading[], hooks: AnalysisHooks = {}): Posterior {
  const { groups, m0 } = grouped(readings)
  const prior = (s: number) => -((s - SCATTER_PRIOR.lnMedian) ** 2) / (2 * SCATTER_PRIOR.sd ** 2)
  const logPosterior = (s: number) =>
    prior(s) + groups.reduce((sum, group) => sum + conditionalOf(group, Math.exp(s), m0, COARSE).logZ, 0)
  const rough = scan(logPosterior)
  const best = rough.log.indexOf(Math.max(...rough.log))
  const peak = peakBetween(logPosterior, rough.s[best]! - STEP, rough.s[best]! + STEP)
  const top = Math.max(logPosterior(peak), rough.log[best]!)
  hooks.onProgress?.(0.2)
  // A second hill far from the first one is kept: the scan's outermost place that still counts widens the range.
  const counts = rough.s.filter((_, i) => top - rough.log[i]! < DEPTH)
  const from = Math.min(fallFrom(logPosterior, peak, top, -1), ...counts)
  const to = Math.max(fallFrom(logPosterior, peak, top, 1), ...counts)
  hooks.onProgress?.(0.3)
  const s: number[] = []
  const log: number[] = []
  const conditionals: Conditional[][] = []
  for (let k = 0; k < NODES; k++) {
    s.push(from + ((to - from) * k) / (NODES - 1))
    conditionals.push(groups.map((group) => conditionalOf(group, Math.exp(s[k]!), m0)))
    log.push(prior(s[k]!) + conditionals[k]!.reduce((sum, c) => sum + c.logZ, 0))
    if (k % 8 === 7) hooks.onProgress?.(0.3 + (0.5 * (k + 1)) / NODES)
  }
  const highest = Math.max(...log)
  const raw = log.map((value) => Math.exp(value - highest))
  const total = raw.reduce((sum, value) => sum + value, 0)
  return { groups, s, weight: raw.map((value) => value / total), conditionals }
}
