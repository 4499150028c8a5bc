import { normalDraws, seededRandom, type Random } from '../planning/random'
import { averagingPoints, type Conditional } from '../statistics/conditional'
import type { ModelReading } from '../statistics/data'
import { posteriorOf } from '../statistics/posterior'
import { WEAK_Z } from '../statistics/summary'

/** Draws of one procedure: what the pulls say, or, where nothing was pulled, what the tables foretell. */
export interface Forecast {
  /** of ln strength of a weak joint */
  mean: number
  sd: number
}

/** The sum of the weights up to each place, and a place drawn from it, evenly between its neighbours. */
function drawnFrom({ x, w }: { x: readonly number[]; w: readonly number[] }): (u: number) => number {
  const below = new Float64Array(x.length)
  let sum = 0
  w.forEach((one, i) => (below[i] = sum += one))
  return (u) => {
    const aim = u * sum
    let [low, high] = [0, x.length - 1]
    while (low < high) {
      const middle = (low + high) >> 1
      if (below[middle]! < aim) low = middle + 1
      else high = middle
    }
    const before = low > 0 ? below[low - 1]! : 0
    const share = w[low]! > 0 ? (aim - before) / w[low]! : 0.5
    const [left, right] = [x[low - 1] ?? x[low]!, x[low + 1] ?? x[low]!]
    // Half a step to either side of the place itself.
    return x[low]! + (share - 0.5) * ((right - left) / 2)
  }
}

/** One procedure’s μ at one σ. */
const drawer = (conditional: Conditional, sigma: number, random: Random, normal: () => number): (() => number) => {
  if (conditional.kind === 'normal') return () => conditional.mean + conditional.sd * normal()
  const from = drawnFrom(averagingPoints(conditional, sigma))
  return () => from(random())
}

/**
 * Draws of the weak-joint strength (μ − 1.645 σ) and of the typical one (μ), as logarithms, from the strength model’s
 * posterior: the same σ for all procedures within a draw, so that they are compared as they belong together.
 * @param n draws
 * @param seed the same seed gives the same draws
 */
export function strengthDraws(
  readings: readonly ModelReading[],
  n: number,
  seed: number,
): Map<string, { weak: Float64Array; typical: Float64Array }> {
  const out = new Map<string, { weak: Float64Array; typical: Float64Array }>()
  if (!readings.length) return out
  const posterior = posteriorOf(readings)
  const random = seededRandom(seed)
  const normal = normalDraws(random)
  const pickSigma = drawnSigma(posterior.weight, random)
  const ks = Uint16Array.from({ length: n }, pickSigma)
  const sigmas = Float64Array.from(posterior.s, Math.exp)
  posterior.groups.forEach(({ procedure }, g) => {
    const [weak, typical] = [new Float64Array(n), new Float64Array(n)]
    const own = posterior.conditionals.map((all) => all[g]!)
    if (own.every((one) => one.kind === 'normal')) {
      const [mean, sd] = [Float64Array.from(own, (one) => one.mean), Float64Array.from(own, (one) => one.sd)]
      for (let i = 0; i < n; i++) typical[i] = mean[ks[i]!]! + sd[ks[i]!]! * normal()
    } else {
      const drawers: (() => number)[] = []
      for (let i = 0; i < n; i++) {
        const k = ks[i]!
        typical[i] = (drawers[k] ??= drawer(own[k]!, sigmas[k]!, random, normal))()
      }
    }
    for (let i = 0; i < n; i++) weak[i] = typical[i]! - WEAK_Z * sigmas[ks[i]!]!
    out.set(procedure, { weak, typical })
  })
  return out
}

/** A place of the grid of σ, as often as its weight says. */
function drawnSigma(weight: readonly number[], random: () => number): () => number {
  const below: number[] = []
  let sum = 0
  for (const one of weight) below.push((sum += one))
  return () => {
    const aim = random() * sum
    let [low, high] = [0, below.length - 1]
    while (low < high) {
      const middle = (low + high) >> 1
      if (below[middle]! < aim) low = middle + 1
      else high = middle
    }
    return low
  }
}

/** Draws of what was not pulled, from its forecast. */
export function forecastDraws({ mean, sd }: Forecast, n: number, seed: number): Float64Array {
  const normal = normalDraws(seededRandom(seed))
  const out = new Float64Array(n)
  for (let i = 0; i < n; i++) out[i] = mean + sd * normal()
  return out
}
