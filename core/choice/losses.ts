import type { Random } from '../planning/random'
import type { Reading } from '../records/reading'

/** Of many small things on the pieces of a procedure: how many there were, how many were lost, and the share kept. */
export interface Losses {
  procedure: string
  pieces: number
  before: number
  lost: number
  /** share kept, 0…1 */
  kept: { median: number; low90: number; high90: number }
}

/** The grid of the log odds: beyond it lies less than 0.01 % of what is asked. */
const [FROM, TO, STEPS] = [-20, 20, 8000]
const STEP = (TO - FROM) / STEPS
const share = (logOdds: number) => 1 / (1 + Math.exp(-logOdds))

/**
 * The posterior of a share as its distribution on the grid of log odds, from Jeffreys’ prior: Beta(kept + ½, lost + ½).
 * @returns the chance to lie below the end of each step
 */
function cumulated(kept: number, lost: number): Float64Array {
  const [a, b] = [kept + 0.5, lost + 0.5]
  const log = (i: number) => {
    const x = FROM + (i + 0.5) * STEP
    // ln of p^a (1 − p)^b, the density over the log odds
    return -a * Math.log1p(Math.exp(-x)) - b * Math.log1p(Math.exp(x))
  }
  const top = log(Math.min(STEPS - 1, Math.max(0, Math.round((Math.log(a / b) - FROM) / STEP))))
  const out = new Float64Array(STEPS)
  let sum = 0
  for (let i = 0; i < STEPS; i++) out[i] = sum += Math.exp(log(i) - top)
  return out.map((value) => value / sum)
}

function quantile(below: Float64Array, q: number): number {
  let [low, i] = [0, below.length - 1]
  while (low < i) {
    const middle = (low + i) >> 1
    if (below[middle]! < q) low = middle + 1
    else i = middle
  }
  const before = i > 0 ? below[i - 1]! : 0
  return share(FROM + (i + (q - before) / (below[i]! - before)) * STEP)
}

/** The share kept of a count, with its middle and its 90 % interval. */
export function keptShare(kept: number, lost: number): Losses['kept'] {
  const below = cumulated(kept, lost)
  return { median: quantile(below, 0.5), low90: quantile(below, 0.05), high90: quantile(below, 0.95) }
}

/** Draws of the share kept. */
export function keptDraws({ before, lost }: Pick<Losses, 'before' | 'lost'>, n: number, random: Random): Float64Array {
  const below = cumulated(before - lost, lost)
  return Float64Array.from({ length: n }, () => quantile(below, random()))
}

/** The chance that one keeps a larger share than another, from their counts, 0…1. */
export function keepsMore(one: Pick<Losses, 'before' | 'lost'>, other: Pick<Losses, 'before' | 'lost'>): number {
  const [x, y] = [one, other].map(({ before, lost }) => cumulated(before - lost, lost)) as [Float64Array, Float64Array]
  let chance = 0
  for (let i = 0; i < STEPS; i++) {
    const here = x[i]! - (i > 0 ? x[i - 1]! : 0)
    const below = i > 0 ? y[i - 1]! : 0
    // Within a step the two are alike.
    chance += here * (below + (y[i]! - below) / 2)
  }
  return chance
}

/**
 * What each procedure lost, the one that keeps most first. The pieces of a procedure are taken together: what is lost
 * on one may well be lost on its neighbour, so the interval is rather too narrow than too wide.
 * @param procedureOf of a coupon
 */
export function lossesOf(
  readings: readonly Pick<Reading, 'coupon' | 'raw' | 'outcome' | 'setAside'>[],
  procedureOf: ReadonlyMap<string, string>,
): Losses[] {
  const sums = new Map<string, { pieces: number; before: number; lost: number }>()
  for (const { coupon, raw, outcome, setAside } of readings) {
    const procedure = procedureOf.get(coupon)
    if (!procedure || setAside !== null || raw.way !== 'losses' || outcome.end === 'fault') continue
    const sum = sums.get(procedure) ?? { pieces: 0, before: 0, lost: 0 }
    sums.set(procedure, {
      pieces: sum.pieces + 1,
      before: sum.before + raw.before,
      lost: sum.lost + raw.before - raw.after,
    })
  }
  return [...sums]
    .map(([procedure, sum]) => ({ procedure, ...sum, kept: keptShare(sum.before - sum.lost, sum.lost) }))
    .sort((x, y) => y.kept.median - x.kept.median)
}
