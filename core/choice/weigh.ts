import { desirability, KNOCK_OUT_BY, misses, type RankCriterion, type School } from './rank'

/** Values of every procedure on every criterion, draw by draw, and how desirable each is: made once, weighed often. */
export interface Prepared {
  criteria: readonly RankCriterion[]
  procedures: readonly string[]
  n: number
  /** by procedure, by criterion, by draw */
  values: readonly (readonly Float64Array[])[]
  d: readonly (readonly Float64Array[])[]
  logD: readonly (readonly Float64Array[])[]
  /** 1: it misses its must */
  missed: readonly (readonly Uint8Array[])[]
}

/**
 * @param values by procedure, by criterion, one value a draw; all of one length
 */
export function prepare(
  criteria: readonly RankCriterion[],
  procedures: readonly string[],
  values: readonly (readonly Float64Array[])[],
): Prepared {
  const n = values[0]?.[0]?.length ?? 0
  const wants = criteria.map(wantOf)
  const d = values.map((own) => own.map((list, c) => each(list, wants[c]!)))
  return {
    criteria,
    procedures,
    n,
    values,
    d,
    logD: d.map((own) => own.map((list) => each(list, Math.log))),
    missed: values.map((own) =>
      own.map((list, c) => {
        const out = new Uint8Array(n)
        for (let i = 0; i < n; i++) if (misses(criteria[c]!, list[i]!)) out[i] = 1
        return out
      }),
    ),
  }
}

function each(list: Float64Array, of: (x: number) => number): Float64Array {
  const out = new Float64Array(list.length)
  // What does not scatter is the same in every draw.
  for (let i = 0; i < list.length; i++) out[i] = i > 0 && list[i] === list[i - 1] ? out[i - 1]! : of(list[i]!)
  return out
}

/** desirability of one criterion, with what does not change from draw to draw worked out once. */
function wantOf(criterion: RankCriterion): (x: number) => number {
  if (criterion.better === 'band' || criterion.must === criterion.plenty) return (x) => desirability(criterion, x)
  const { must, plenty, scale } = criterion
  const [low, high] = [Math.min(must, plenty), Math.max(must, plenty)]
  const f = scale === 'log' ? Math.log : (x: number) => x
  const from = f(must)
  const by = f(plenty) - from
  const [atLow, atHigh] = must < plenty ? [0, 1] : [1, 0]
  return (x) => (x <= low ? atLow : x >= high ? atHigh : (f(x) - from) / by)
}

export interface Weighed {
  procedure: string
  score: number
  pBest: number
  expectedLoss: number
}

/** Scores nearer than this are a tie. */
export const TIE = 1e-12

/**
 * Procedures judged by one school with given weights: the same definition as rank (methods.md 9), on what was prepared,
 * fast enough to follow a weight that is dragged.
 * @param weights by criterion
 * @param most only the first so many draws; left out: all of them
 */
export function weigh(
  school: School,
  { criteria, procedures, n: all, d, logD, missed }: Prepared,
  weights: readonly number[],
  most = Infinity,
): Weighed[] {
  const n = Math.min(all, most)
  const counts = criteria.map((_, c) => c).filter((c) => weights[c]! > 0)
  const order = [...counts].sort((x, y) => weights[y]! - weights[x]! || x - y)
  const sum = counts.reduce((total, c) => total + weights[c]!, 0)
  const scores =
    school === 'knock-out'
      ? knockedOut(order, d, missed, n)
      : d.map((own, p) => scoreOf(school === 'points' ? own : logD[p]!, counts, weights, sum, school, n))
  const totals = procedures.map(() => ({ score: 0, best: 0, loss: 0 }))
  for (let i = 0; i < n; i++) {
    let [best, winners] = [0, 0]
    for (const own of scores) if (own[i]! > best) best = own[i]!
    for (const own of scores) if (best > 0 && own[i]! >= best - TIE) winners += 1
    for (let p = 0; p < scores.length; p++) {
      const one = scores[p]![i]!
      const total = totals[p]!
      total.score += one
      total.loss += best - one
      if (best > 0 && one >= best - TIE) total.best += 1 / winners
    }
  }
  const knock = school === 'knock-out'
  return procedures.map((procedure, p) => {
    const { score, best, loss } = totals[p]!
    return {
      procedure,
      score: score / n,
      pBest: (knock ? score : best) / n,
      expectedLoss: knock ? 1 - score / n : loss / n,
    }
  })
}

/** One procedure’s score in every draw: criterion by criterion, since their values lie one after the other. */
function scoreOf(
  own: readonly Float64Array[],
  counts: readonly number[],
  weights: readonly number[],
  sum: number,
  school: School,
  n: number,
): Float64Array {
  const out = new Float64Array(n)
  if (sum === 0) return out
  for (const c of counts) {
    const [list, weight] = [own[c]!, weights[c]!]
    for (let i = 0; i < n; i++) out[i]! += weight * list[i]!
  }
  for (let i = 0; i < n; i++) out[i] = school === 'points' ? out[i]! / sum : Math.exp(out[i]! / sum)
  return out
}

/** By knocking out: each procedure’s share of every draw, that of those left at the end alike. */
function knockedOut(order: readonly number[], d: Prepared['d'], missed: Prepared['missed'], n: number): Float64Array[] {
  const out = d.map(() => new Float64Array(n))
  for (let i = 0; i < n; i++) {
    let left: number[] = []
    for (let p = 0; p < d.length; p++) {
      let isIn = true
      for (const c of order) if (missed[p]![c]![i] === 1) isIn = false
      if (isIn) left.push(p)
    }
    for (const c of order) {
      if (left.length < 2) break
      let best = 0
      for (const p of left) if (d[p]![c]![i]! > best) best = d[p]![c]![i]!
      const least = best - KNOCK_OUT_BY - TIE
      let all = true
      for (const p of left) if (d[p]![c]![i]! < least) all = false
      if (!all) left = left.filter((p) => d[p]![c]![i]! >= least)
    }
    for (const p of left) out[p]![i] = 1 / left.length
  }
  return out
}

/** The first of a school; null where nobody wins a draw. */
export function winnerOf(weighed: readonly Weighed[]): string | null {
  const best = weighed.reduce<Weighed | null>((x, y) => (x === null || y.score > x.score + TIE ? y : x), null)
  return best && best.score > 0 ? best.procedure : null
}
