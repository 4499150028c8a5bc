import { phiCdf } from '../statistics/normal'
import { CodedError } from '../errors'

/** Scatter taken until the round's own is known (methods.md 4). */
export const SCATTER_UNTIL_KNOWN = 0.25

/**
 * The chance to rank two glues rightly when one is `ratio` times stronger, with n coupons of each: Φ(ln r /
 * (σ·√(2/n))).
 * @param n coupons a procedure, at least 1
 * @param ratio how many times stronger, above 0 (1/r gives the same as r)
 * @param scatter σ of ln strength
 * @throws CodedError not-positive
 */
export function chanceToRank(n: number, ratio: number, scatter = SCATTER_UNTIL_KNOWN): number {
  for (const [path, value] of Object.entries({ n, ratio, scatter }))
    if (!(value > 0)) throw new CodedError('not-positive', path, { field: path, got: value })
  return phiCdf(Math.abs(Math.log(ratio)) / (scatter * Math.sqrt(2 / n)))
}
