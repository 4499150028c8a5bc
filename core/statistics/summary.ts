import { averagingPoints, cdfAt, rangeOf, type Conditional } from './conditional'
import { phiCdf } from './normal'
import type { Posterior } from './posterior'

/** Weight below which a σ adds nothing that the stated accuracy could see. */
const NEGLIGIBLE = 1e-7
/** A weak joint is the value that 19 joints in 20 exceed: μ − 1.645 σ (methods.md 3). */
export const WEAK_Z = 1.645

/** The place (a logarithm) where an increasing function passes p, by halving to 1e-7. */
function solve(f: (x: number) => number, p: number, low: number, high: number): number {
  while (high - low > 1e-7) {
    const middle = (low + high) / 2
    if (f(middle) < p) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** ks of the grid that count. */
const counting = (posterior: Posterior): number[] => posterior.weight.flatMap((w, k) => (w > NEGLIGIBLE ? [k] : []))

/** Quantiles of ln σ: the grid's density between nodes is a cubic (slopes by central differences). */
export function scatterQuantiles(posterior: Posterior, ps: readonly number[]): number[] {
  const { s, weight: w } = posterior
  const h = s[1]! - s[0]!
  const slope = (k: number) => ((w[k + 1] ?? 0) - (w[k - 1] ?? 0)) / (2 * h)
  const sum = [0]
  for (let k = 1; k < s.length; k++)
    sum.push(sum[k - 1]! + (w[k - 1]! + w[k]!) / 2 + (h / 12) * (slope(k - 1) - slope(k)))
  const total = sum.at(-1)!
  const cdf = (at: number) => {
    const k = Math.min(s.length - 2, Math.max(0, Math.floor((at - s[0]!) / h)))
    const t = (at - s[k]!) / h
    const [t2, t3, t4] = [t * t, t * t * t, t * t * t * t]
    const part =
      w[k]! * (t4 / 2 - t3 + t) +
      w[k + 1]! * (t3 - t4 / 2) +
      h * (slope(k) * (t4 / 4 - (2 * t3) / 3 + t2 / 2) + slope(k + 1) * (t4 / 4 - t3 / 3))
    return (sum[k]! + part) / total
  }
  return ps.map((p) => Math.exp(solve(cdf, p, s[0]!, s.at(-1)!)))
}

/** P(μ_g − z·σ ≤ x), averaged over σ. */
function shiftedCdf(
  posterior: Posterior,
  g: number,
  z: number,
): { cdf: (x: number) => number; low: number; high: number } {
  const ks = counting(posterior)
  const shift = posterior.s.map((s) => z * Math.exp(s))
  const ranges = ks.map((k) => rangeOf(posterior.conditionals[k]![g]!).map((edge) => edge - shift[k]!))
  return {
    cdf: (x) =>
      ks.reduce((sum, k) => sum + posterior.weight[k]! * cdfAt(posterior.conditionals[k]![g]!, x + shift[k]!), 0),
    low: Math.min(...ranges.map(([low]) => low!)),
    high: Math.max(...ranges.map(([, high]) => high!)),
  }
}

/** Quantiles of exp(μ_g − z·σ): z = 0 typical strength, z = WEAK_Z weak joint. */
export function strengthQuantiles(posterior: Posterior, g: number, z: number, ps: readonly number[]): number[] {
  const { cdf, low, high } = shiftedCdf(posterior, g, z)
  return ps.map((p) => Math.exp(solve(cdf, p, low, high)))
}

/** P(exp(μ_g − z·σ) ≥ required). */
export function chanceAbove(posterior: Posterior, g: number, z: number, required: number): number {
  return 1 - shiftedCdf(posterior, g, z).cdf(Math.log(required))
}

const sdOf = (c: Conditional): number => (c.kind === 'normal' ? c.sd : Infinity)

/** P(procedure g has the largest typical strength), all g; adds up to 1. */
export function chanceBest(posterior: Posterior): number[] {
  const count = posterior.groups.length
  const chance = new Array<number>(count).fill(0)
  for (const k of counting(posterior)) {
    const row = posterior.conditionals[k]!
    const finest = Math.min(...row.map(sdOf))
    row.forEach((c, g) => {
      const { x, w } = averagingPoints(c, finest)
      let part = 0
      for (let i = 0; i < x.length; i++) {
        let below = w[i]!
        for (let other = 0; other < count && below > 1e-14; other++) if (other !== g) below *= cdfAt(row[other]!, x[i]!)
        part += below
      }
      chance[g]! += posterior.weight[k]! * part
    })
  }
  const total = chance.reduce((sum, p) => sum + p, 0)
  return chance.map((p) => p / total)
}

/** Distribution function of μ_a − μ_b, averaged over σ: closed form for two normals, else a sum over a's points. */
function differenceCdf(posterior: Posterior, a: number, b: number): (d: number) => number {
  const terms = counting(posterior).map((k) => {
    const weight = posterior.weight[k]!
    const [one, two] = [posterior.conditionals[k]![a]!, posterior.conditionals[k]![b]!]
    if (one.kind === 'normal' && two.kind === 'normal') {
      const sd = Math.hypot(one.sd, two.sd)
      return (d: number) => weight * phiCdf((d - (one.mean - two.mean)) / sd)
    }
    const points = averagingPoints(one, sdOf(two))
    return (d: number) => {
      let part = 0
      for (let i = 0; i < points.x.length; i++) part += points.w[i]! * (1 - cdfAt(two, points.x[i]! - d))
      return weight * part
    }
  })
  return (d) => terms.reduce((sum, term) => sum + term(d), 0)
}

/** Ratio of typical strengths a : b: quantiles and P(ratio > 1). */
export function ratioOf(
  posterior: Posterior,
  a: number,
  b: number,
  ps: readonly number[],
): { quantiles: number[]; pGreater: number } {
  const cdf = differenceCdf(posterior, a, b)
  const ks = counting(posterior)
  const edges = (g: number) => ks.map((k) => rangeOf(posterior.conditionals[k]![g]!))
  const low = Math.min(...edges(a).map(([l]) => l)) - Math.max(...edges(b).map(([, h]) => h))
  const high = Math.max(...edges(a).map(([, h]) => h)) - Math.min(...edges(b).map(([l]) => l))
  const quick = (p: number) => {
    // Halving to 1e-6 in ln ratio: far below the 0.5 % promised, and half the work of solve().
    let [from, to] = [low, high]
    while (to - from > 1e-6) {
      const middle = (from + to) / 2
      if (cdf(middle) < p) from = middle
      else to = middle
    }
    return Math.exp((from + to) / 2)
  }
  return { quantiles: ps.map(quick), pGreater: 1 - cdf(0) }
}
