import { phiCdf } from '../statistics/normal'
import type { EvidencePoint } from './pairEvidence'
import { DAY_MS } from '../quantities/days'

/** A trend is said only when so few random orders of the same pulls would show as strong a one. */
const SURE = 0.05
const ORDERS = 1999
/** With more pulls than this, what random orders give is normal, with the variance that all orders have. */
const DRAWN_PULLS = 400
/** Fewer pulls than this carry no trend. */
export const TREND_PULLS = 6
const Z95 = 1.6448536269514722
const MONTH_MS = 30.44 * DAY_MS

/** How strength goes with something else, over pulls that are otherwise alike. */
export interface Trend {
  pulls: number
  /** factor on the strength for each further step (a month, a round of ten), with where nine in ten lie */
  factor: number
  low90: number
  high90: number
  /** share of random orders with as strong a trend */
  chance: number
  /** the data carry it */
  carried: boolean
}

/** One pull in a group of pulls that are otherwise alike (the same procedure, pair, test, round). */
interface InGroup {
  group: string
  x: number
  ln: number
}

/**
 * The slope of ln strength over x within groups, by least squares on what is left when every group's own mean is
 * taken off both; its chance by random orders within the groups, so that no form of scatter is assumed: drawn, or of
 * many pulls the limit that drawing comes to (central limit of a permutation sum).
 * @param random uniform in 0…1, seeded
 * @returns null where fewer than six pulls vary in x
 */
export function trendOf(points: readonly InGroup[], random: () => number): Trend | null {
  const groups = [...grouped(points).values()].map(centred).filter(({ x }) => x.some((one) => Math.abs(one) > 1e-9))
  const pulls = groups.reduce((sum, { x }) => sum + x.length, 0)
  if (pulls < TREND_PULLS) return null
  const sxx = groups.reduce((sum, { x }) => sum + x.reduce((part, one) => part + one * one, 0), 0)
  const slopeOf = (order: (y: readonly number[]) => readonly number[]) =>
    groups.reduce((sum, { x, y }) => {
      const shuffled = order(y)
      return sum + x.reduce((part, one, i) => part + one * shuffled[i]!, 0)
    }, 0) / sxx
  const slope = slopeOf((y) => y)
  const left = groups.reduce(
    (sum, { x, y }) => sum + x.reduce((part, one, i) => part + (y[i]! - slope * one) ** 2, 0),
    0,
  )
  const free = pulls - groups.length - 1
  if (free < 1) return null
  const se = Math.sqrt(left / free / sxx)
  const drawn = () => {
    let asStrong = 1
    for (let i = 0; i < ORDERS; i++)
      if (Math.abs(slopeOf((y) => shuffledBy(y, random))) >= Math.abs(slope) - 1e-12) asStrong += 1
    return asStrong / (ORDERS + 1)
  }
  const chance = pulls > DRAWN_PULLS ? inTheLimit(groups, slope * sxx) : drawn()
  const [low90, high90] = [slope - Z95 * se, slope + Z95 * se].map(Math.exp) as [number, number]
  return { pulls, factor: Math.exp(slope), low90, high90, chance, carried: chance <= SURE && (low90 > 1 || high90 < 1) }
}

/** Variance of Σ x·y over all orders of y within each group: Σ Sxx·Syy/(n − 1). */
function inTheLimit(groups: readonly { x: number[]; y: number[] }[], sum: number): number {
  const squares = (values: readonly number[]) => values.reduce((part, one) => part + one * one, 0)
  const variance = groups.reduce((all, { x, y }) => all + (squares(x) * squares(y)) / (x.length - 1), 0)
  return variance > 0 ? 2 * phiCdf(-Math.abs(sum) / Math.sqrt(variance)) : 1
}

const grouped = (points: readonly InGroup[]) => {
  const groups = new Map<string, InGroup[]>()
  for (const one of points) {
    const group = groups.get(one.group)
    if (group) group.push(one)
    else groups.set(one.group, [one])
  }
  return groups
}
function centred(points: readonly InGroup[]): { x: number[]; y: number[] } {
  const mean = (values: number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
  const [x, y] = [points.map((one) => one.x), points.map((one) => one.ln)]
  const [mx, my] = [mean(x), mean(y)]
  return { x: x.map((one) => one - mx), y: y.map((one) => one - my) }
}
function shuffledBy(values: readonly number[], random: () => number): number[] {
  const list = [...values]
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[list[i], list[j]] = [list[j]!, list[i]!]
  }
  return list
}

type Grouped = { key: string; points: readonly EvidencePoint[] }

/** Strength against the months that the bottle had been open, over pulls of one glue; x in months. */
export function bottleTrend(
  evidence: readonly Grouped[],
  openedAt: (stock: string) => number | null,
  random: () => number,
): Trend | null {
  return trendOf(
    evidence.flatMap(({ key, points }) =>
      points.flatMap(({ ln, at, stock }) => {
        const opened = stock === null ? null : openedAt(stock)
        if (ln === null || opened === null || at < opened) return []
        return [{ group: key, x: (at - opened) / MONTH_MS, ln }]
      }),
    ),
    random,
  )
}

/**
 * A hand that gets better: how far pulls lie from the middle of their own kind, against how many pieces had been glued
 * before (in tens). The size of what is left over is compared, so a factor below 1 is a steadier hand.
 */
export function handTrend(evidence: readonly Grouped[], random: () => number): Trend | null {
  const order = new Map(
    evidence
      .flatMap(({ points }) => points)
      .sort((x, y) => x.at - y.at)
      .map(({ coupon }, place) => [coupon, place / 10]),
  )
  const spread = evidence.flatMap(({ points }) => {
    const exact = points.filter(({ ln }) => ln !== null)
    if (exact.length < 3) return []
    const mean = exact.reduce((sum, { ln }) => sum + ln!, 0) / exact.length
    // A pull right on the mean has no logarithm: a thousandth stands for it.
    return exact.map(({ coupon, ln }) => ({
      group: 'all',
      x: order.get(coupon)!,
      ln: Math.log(Math.max(1e-3, Math.abs(ln! - mean))),
    }))
  })
  return trendOf(spread, random)
}
