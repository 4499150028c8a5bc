import { CodedError } from '../errors'

/** How makers judge: by points, by the weakest link, by knocking out. */
export const schools = ['points', 'weakest-link', 'knock-out'] as const
export type School = (typeof schools)[number]

interface Weighed {
  id: string
  /** 0: it counts for nothing, though it is looked at for the front of what nothing beats */
  weight: number
  scale: 'log' | 'linear'
}
/** more or less is better, from what it must have to what is plenty */
export interface Directed extends Weighed {
  better: 'more' | 'less'
  must: number
  plenty: number
}
/** too little and too much are both wrong */
export interface Band extends Weighed {
  better: 'band'
  mustLow: number
  low: number
  high: number
  mustHigh: number
}
export type RankCriterion = Directed | Band

/** What a value must not fall short of; of a band its nearer end of what is good. */
export const mustOf = (criterion: RankCriterion): number =>
  criterion.better === 'band' ? criterion.low : criterion.must

export interface RankProcedure {
  procedure: string
  /** values draw by draw, all of one length */
  draws?: Readonly<Record<string, readonly number[]>>
  /** values that do not scatter */
  fixed?: Readonly<Record<string, number>>
}

export interface RankedScore {
  procedure: string
  /** mean over the draws; by knocking out the share of draws won */
  score: number
  /** share of the draws in which it is best, ties shared; a best score of 0 wins nothing */
  pBest: number
  /** mean of the best score less its own; by knocking out 1 less its score */
  expectedLoss: number
  /** the must that it misses in most of the draws, more than half, with its median */
  out: { criterion: string; value: number } | null
  /** nothing is as good on all criteria and better on one, by medians */
  pareto: boolean
}

/** Those within this of the best on a criterion go on to the next one (methods.md 9). */
export const KNOCK_OUT_BY = 0.05
/** Scores nearer than this are a tie. */
const TIE = 1e-12

const scaled = (scale: 'log' | 'linear', x: number): number => (scale === 'log' ? Math.log(x) : x)

/** How desirable a value is, 0…1 (Derringer and Suich 1980, with methods.md 9). */
export function desirability(criterion: RankCriterion, x: number): number {
  const f = (value: number) => scaled(criterion.scale, value)
  const between = (from: number, to: number) => (f(x) - f(from)) / (f(to) - f(from))
  if (criterion.better === 'band') {
    const { mustLow, low, high, mustHigh } = criterion
    if (x >= low && x <= high) return 1
    if (x < mustLow || x > mustHigh) return 0
    return x < low ? between(mustLow, low) : between(mustHigh, high)
  }
  const { must, plenty } = criterion
  if (criterion.better === 'more') return x >= plenty ? 1 : x < must ? 0 : between(must, plenty)
  return x <= plenty ? 1 : x > must ? 0 : between(must, plenty)
}

/** Whether a value misses its must; exactly at it is in. */
export function misses(criterion: RankCriterion, x: number): boolean {
  if (criterion.better === 'band') return x < criterion.mustLow || x > criterion.mustHigh
  return criterion.better === 'more' ? x < criterion.must : x > criterion.must
}

/** @throws CodedError out-of-order, out-of-range, negative */
function checkCriterion(criterion: RankCriterion, path: string): void {
  const { weight, scale } = criterion
  if (!(weight >= 0)) throw new CodedError('negative', `${path}.weight`, { field: 'A weight', got: weight })
  const bounds =
    criterion.better === 'band'
      ? [criterion.mustLow, criterion.low, criterion.high, criterion.mustHigh]
      : criterion.better === 'more'
        ? [criterion.must, criterion.plenty]
        : [criterion.plenty, criterion.must]
  bounds.forEach((bound, i) => {
    if (!Number.isFinite(bound) || (scale === 'log' && bound <= 0))
      throw new CodedError('out-of-range', path, {
        field: 'A bound',
        low: scale === 'log' ? 'above 0' : '',
        got: bound,
        high: '',
      })
    if (i > 0 && bound < bounds[i - 1]!)
      throw new CodedError('out-of-order', path, { field: 'Must and plenty', low: bounds[i - 1]!, high: bound })
  })
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((x, y) => x - y)
  const middle = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** Of each procedure and criterion its values, draw by draw; one value stands for all of them. */
function valuesOf(criteria: readonly RankCriterion[], procedures: readonly RankProcedure[]) {
  let n: number | null = null
  const values = procedures.map(({ draws = {}, fixed = {} }, p) =>
    criteria.map(({ id }): readonly number[] => {
      const path = `procedures.${p}.${id}`
      const drawn = Object.hasOwn(draws, id) ? draws[id]! : null
      const one = Object.hasOwn(fixed, id) ? fixed[id]! : null
      if (drawn === null && one === null)
        throw new CodedError('missing', path, { field: `A value for “${id}”`, purpose: 'ranking' })
      const list = drawn ?? [one!]
      if (list.some((value) => typeof value !== 'number' || Number.isNaN(value)))
        throw new CodedError('not-a-number', path, { got: 'NaN', example: '4.2' })
      if (drawn) {
        if (n !== null && drawn.length !== n)
          throw new CodedError('wrong-shape', path, {
            field: 'Draws',
            detail: `all of one length were expected: ${n} before, ${drawn.length} here`,
          })
        if (!drawn.length)
          throw new CodedError('wrong-shape', path, { field: 'Draws', detail: 'at least one was expected' })
        n = drawn.length
      }
      return list
    }),
  )
  return { values, n: n ?? 1 }
}
const at = (list: readonly number[], draw: number): number => (list.length === 1 ? list[0]! : list[draw]!)

/** Who is first in one draw by knocking out: the places of those left at the end; none where nobody is in. */
function leftAtTheEnd(
  criteria: readonly RankCriterion[],
  order: readonly number[],
  row: readonly number[][],
): number[] {
  let left = row.map((_, p) => p).filter((p) => order.every((c) => !misses(criteria[c]!, row[p]![c]!)))
  for (const c of order) {
    if (left.length < 2) break
    const d = new Map(left.map((p) => [p, desirability(criteria[c]!, row[p]![c]!)]))
    const best = Math.max(...d.values())
    left = left.filter((p) => d.get(p)! >= best - KNOCK_OUT_BY - TIE)
  }
  return left
}

function scoresOf(school: School, criteria: readonly RankCriterion[], row: readonly number[][]): number[] {
  const all = criteria.reduce((sum, { weight }) => sum + weight, 0)
  return row.map((values) => {
    if (all === 0) return 0
    let sum = 0
    for (const [c, criterion] of criteria.entries()) {
      if (criterion.weight === 0) continue
      const d = desirability(criterion, values[c]!)
      sum += criterion.weight * (school === 'points' ? d : Math.log(d))
    }
    return school === 'points' ? sum / all : Math.exp(sum / all)
  })
}

/** The must that is missed in most of the draws, more than half of them; the heavier one where two are alike. */
function outBy(
  criteria: readonly RankCriterion[],
  order: readonly number[],
  own: readonly (readonly number[])[],
  n: number,
) {
  let worst: { criterion: string; value: number } | null = null
  let most = n / 2
  for (const c of order) {
    let missed = 0
    for (let draw = 0; draw < n; draw++) if (misses(criteria[c]!, at(own[c]!, draw))) missed += 1
    if (missed > most) {
      most = missed
      worst = { criterion: criteria[c]!.id, value: median(own[c]!) }
    }
  }
  return worst
}

/** How bad a median is, the less the better; of a band how far outside of it. */
export function badness(criterion: RankCriterion, x: number): number {
  if (criterion.better !== 'band') return criterion.better === 'more' ? -x : x
  const { low, high, scale } = criterion
  return Math.max(0, scaled(scale, low) - scaled(scale, x), scaled(scale, x) - scaled(scale, high))
}

/**
 * Procedures judged by one school on the same draws (methods.md 9).
 * @throws CodedError missing, wrong-shape, out-of-order, out-of-range, negative
 */
export function rank(
  school: School,
  criteria: readonly RankCriterion[],
  procedures: readonly RankProcedure[],
): RankedScore[] {
  criteria.forEach((criterion, i) => checkCriterion(criterion, `criteria.${i}`))
  const { values, n } = valuesOf(criteria, procedures)
  /** what counts, the heaviest first; ties in the order given */
  const order = criteria
    .map((_, c) => c)
    .filter((c) => criteria[c]!.weight > 0)
    .sort((x, y) => criteria[y]!.weight - criteria[x]!.weight || x - y)
  const totals = procedures.map(() => ({ score: 0, best: 0, loss: 0 }))
  for (let draw = 0; draw < n; draw++) {
    const row = values.map((own) => own.map((list) => at(list, draw)))
    if (school === 'knock-out') {
      const left = leftAtTheEnd(criteria, order, row)
      for (const p of left) totals[p]!.score += 1 / left.length
      continue
    }
    const scores = scoresOf(school, criteria, row)
    const best = Math.max(0, ...scores)
    const winners = best > 0 ? scores.flatMap((score, p) => (score >= best - TIE ? [p] : [])) : []
    scores.forEach((score, p) => {
      totals[p]!.score += score
      totals[p]!.loss += best - score
    })
    for (const p of winners) totals[p]!.best += 1 / winners.length
  }
  const bad = values.map((own) => own.map((list, c) => badness(criteria[c]!, median(list))))
  return procedures.map(({ procedure }, p) => {
    const { score, best, loss } = totals[p]!
    const knock = school === 'knock-out'
    return {
      procedure,
      score: score / n,
      pBest: (knock ? score : best) / n,
      expectedLoss: knock ? 1 - score / n : loss / n,
      out: outBy(criteria, order, values[p]!, n),
      pareto: !bad.some(
        (other, q) =>
          q !== p &&
          other.every((one, c) => one <= bad[p]![c]! + TIE) &&
          other.some((one, c) => one < bad[p]![c]! - TIE),
      ),
    }
  })
}
