import type { Conditional } from '../../statistics/conditional'
import { grouped, type ModelReading } from '../../statistics/data'
import { posteriorOf } from '../../statistics/posterior'

/** σ of the posterior’s grid with less weight than this add nothing that is seen. */
const NEGLIGIBLE = 1e-6

/**
 * Of the posterior’s even grid in ln σ every so many nodes are enough: it reaches seven standard deviations to either
 * side in 64 steps, and even steps of two thirds of one lose nothing that is seen (Trefethen and Weideman 2014).
 */
const EVERY = 3

/** The strength model’s posterior, at those σ that count. */
export interface Grid {
  sigma: number[]
  /** of each σ; they add to 1 */
  weight: number[]
  /** procedures with a reading */
  known: string[]
  /** middle of the readings, ln */
  m0: number
  /** what is known of a procedure's μ at the n-th σ; null without a reading of it */
  of: (n: number, procedure: string) => Conditional | null
}

/** @param readings at least one */
export function gridOf(readings: readonly ModelReading[]): Grid {
  const posterior = posteriorOf(readings)
  const known = posterior.groups.map(({ procedure }) => procedure)
  const top = posterior.weight.indexOf(Math.max(...posterior.weight))
  const ks = posterior.weight.flatMap((weight, k) => ((k - top) % EVERY === 0 && weight > NEGLIGIBLE ? [k] : []))
  const total = ks.reduce((sum, k) => sum + posterior.weight[k]!, 0)
  return {
    sigma: ks.map((k) => Math.exp(posterior.s[k]!)),
    weight: ks.map((k) => posterior.weight[k]! / total),
    known,
    m0: grouped(readings).m0,
    of: (n, procedure) => posterior.conditionals[ks[n]!]![known.indexOf(procedure)] ?? null,
  }
}
