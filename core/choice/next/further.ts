import { averagingPoints, type Conditional } from '../../statistics/conditional'
import { asOdds, ofOdds } from '../../statistics/ended'
import { WEAK_Z } from '../../statistics/summary'
import { rowOf, valueAfter, valuesNow, type Ahead, type Row } from './ahead'
import type { Forecast } from '../draws'
import { gridOf, type Grid } from './grid'
import type { DrawsFrom, Item, ItemTest } from '../item'
import { desirability, type RankCriterion } from '../rank'
import { exposedName } from '../shareKept'

/** Coupons that may be added at once: how many more are looked at. */
export const MORE = [1, 2, 3] as const

export interface NextTestsInput {
  items: readonly Pick<Item, 'criterion' | 'from' | 'test'>[]
  procedures: readonly string[]
  /** by item */
  weights: readonly number[]
  /** how desirable each procedure is on each criterion today, 0…1 */
  d: Readonly<Record<string, Readonly<Record<string, number>>>>
}

/** What further coupons of a procedure in a test are worth. */
export interface TestOption {
  item: string
  test: ItemTest
  procedure: string
  /** points of 1 that the best choice is expected to gain by one, two, three more */
  gains: number[]
}

export interface NextTests {
  /** what comes first by points today, and its points, 0…1 */
  now: { procedure: string; value: number } | null
  options: TestOption[]
}

/** What the worth of a criterion rests on, in one model: its grid, and a procedure’s places of μ at each σ. */
interface Source {
  grid: Pick<Grid, 'sigma' | 'weight'>
  row: (n: number, procedure: string) => Row | null
}

const normal = (mean: number, sd: number): Conditional => ({ kind: 'normal', logZ: 0, mean, sd })

/** Weak joints of one test; what was not pulled by its forecast, which is one of the weak joint. */
function strengthSource(from: Extract<DrawsFrom, { kind: 'strength' }>, criterion: RankCriterion): Source | null {
  if (!from.readings.length) return null
  const { end } = from
  const grid = gridOf(end === undefined ? from.readings : asOdds(from.readings, end))
  const figure = (ln: number) => (end === undefined ? Math.exp(ln) : ofOdds(Math.exp(ln), end))
  return {
    grid,
    row: (n, procedure) => {
      const sigma = grid.sigma[n]!
      const guess = from.forecast[procedure]
      const known = grid.of(n, procedure) ?? (guess ? normal(guess.mean + WEAK_Z * sigma, guess.sd) : null)
      return known && rowOf(averagingPoints(known, sigma), (mu) => desirability(criterion, figure(mu - WEAK_Z * sigma)))
    },
  }
}

/** Places of what is known of ln μ, few enough to be crossed with others. */
const MOST_CROSSED = 80
function thinned({ x, w }: Pick<Row, 'x' | 'w'>): Pick<Row, 'x' | 'w'> {
  const by = Math.ceil(x.length / MOST_CROSSED)
  if (by === 1) return { x, w }
  const [xs, ws]: [number[], number[]] = [[], []]
  for (let i = 0; i < x.length; i += by) {
    const part = w.slice(i, i + by)
    const sum = part.reduce((total, one) => total + one, 0)
    if (sum <= 0) continue
    xs.push(part.reduce((total, one, j) => total + one * x[i + j]!, 0) / sum)
    ws.push(sum)
  }
  return { x: xs, w: ws }
}

const momentsOf = ({ x, w }: Pick<Row, 'x' | 'w'>) => {
  const mean = x.reduce((sum, one, i) => sum + w[i]! * one, 0)
  return { mean, variance: x.reduce((sum, one, i) => sum + w[i]! * (one - mean) ** 2, 0) }
}

/**
 * The share kept, seen from the exposed pulls: what is read is the exposed strength, and what counts is its ratio to
 * the dry one. Where nothing was pulled after the exposure the forecast of the share stands for it.
 */
function keptSource(from: Extract<DrawsFrom, { kind: 'kept' }>, criterion: RankCriterion): Source | null {
  if (!from.readings.length) return null
  const grid = gridOf(from.readings)
  const worth = (lnShare: number) => desirability(criterion, Math.exp(lnShare))
  return {
    grid,
    row: (n, procedure) => {
      const sigma = grid.sigma[n]!
      const dryOf = grid.of(n, procedure)
      if (!dryOf) return null
      const dry = thinned(averagingPoints(dryOf, sigma))
      const exposed = grid.of(n, exposedName(procedure))
      if (exposed)
        return rowOf(averagingPoints(exposed, sigma), (mu) =>
          dry.w.reduce((sum, one, j) => sum + one * worth(mu - dry.x[j]!), 0),
        )
      return foretold(dry, from.forecast[procedure], sigma, worth)
    },
  }
}

/** Exposed = dry × share, both unknown: what an exposed reading would say of the share, by normals. */
function foretold(
  dry: Pick<Row, 'x' | 'w'>,
  forecast: Forecast | undefined,
  sigma: number,
  worth: (lnShare: number) => number,
): Row | null {
  if (!forecast) return null
  const { mean, variance } = momentsOf(dry)
  const all = variance + forecast.sd ** 2
  const slope = forecast.sd ** 2 / all
  const left = averagingPoints(normal(0, Math.sqrt(forecast.sd ** 2 * (1 - slope)) || 1e-6), sigma)
  const rest = thinned(left)
  return rowOf(averagingPoints(normal(mean + forecast.mean, Math.sqrt(all)), sigma), (mu) => {
    const middle = forecast.mean + slope * (mu - mean - forecast.mean)
    return rest.w.reduce((sum, one, j) => sum + one * worth(middle + rest.x[j]!), 0)
  })
}

const sourceOf = ({ from, criterion }: Pick<Item, 'from' | 'criterion'>): Source | null =>
  from.kind === 'strength' ? strengthSource(from, criterion) : from.kind === 'kept' ? keptSource(from, criterion) : null

/**
 * What one, two and three more coupons of every procedure would be worth in every test and exposure that is weighed:
 * how much better the best choice by points is expected to be after them (methods.md 9). A dry pull also tells of the
 * share kept; that is left out, so that its worth is never said too high.
 */
export function nextTests({ items, procedures, weights, d }: NextTestsInput): NextTests {
  const all = weights.reduce((sum, one) => sum + one, 0)
  if (!(all > 0) || !procedures.length) return { now: null, options: [] }
  const share = weights.map((one) => one / all)
  const pointsOf = (procedure: string, without: number) =>
    items.reduce(
      (sum, { criterion }, c) => (c === without ? sum : sum + share[c]! * (d[procedure]?.[criterion.id] ?? 0)),
      0,
    )
  const points = procedures.map((procedure) => pointsOf(procedure, -1))
  const first = points.indexOf(Math.max(...points))
  const options = items.flatMap((item, c): TestOption[] => {
    if (!item.test || !(share[c]! > 0)) return []
    const source = sourceOf(item)
    if (!source) return []
    const { sigma, weight } = source.grid
    // A procedure of which nothing is known in this test keeps what it is worth; nothing is added of it here.
    const rows = sigma.map((_, n) =>
      procedures.map((procedure): Row => {
        const row = source.row(n, procedure)
        if (!row) return { x: [0], w: [1], d: [0], mean: share[c]! * (d[procedure]?.[item.criterion.id] ?? 0) }
        return { ...row, d: row.d.map((one) => share[c]! * one), mean: share[c]! * row.mean }
      }),
    )
    const able = procedures.map((procedure) => source.row(0, procedure) !== null)
    const ahead: Ahead = { sigma, weight, rows, rest: procedures.map((procedure) => pointsOf(procedure, c)) }
    const now = Math.max(...valuesNow(ahead))
    return procedures.flatMap((procedure, g) =>
      able[g]
        ? [
            {
              item: item.criterion.id,
              test: item.test!,
              procedure,
              gains: MORE.map((more) => Math.max(0, valueAfter(ahead, g, more) - now)),
            },
          ]
        : [],
    )
  })
  return { now: { procedure: procedures[first]!, value: points[first]! }, options }
}
