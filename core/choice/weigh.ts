import { desirability, KNOCK_OUT_BY, misses, type Directed, type RankCriterion, type School } from './rank'

/** Values of every procedure on every criterion, draw by draw, and how desirable each is: made once, weighed often. */
export interface Prepared {
  criteria: readonly RankCriterion[]
  procedures: readonly string[]
  n: number
  /** by procedure, by criterion, by draw; of those that are many the first ones */
  values: readonly (readonly Float64Array[])[]
  d: readonly (readonly Float64Array[])[]
  logD: readonly (readonly Float64Array[])[]
  /** 1: it misses its must */
  missed: readonly (readonly Uint8Array[])[]
}

/**
 * @param values by procedure, by criterion, one value a draw; all of one length
 * @param logs the same as logarithms, where they are known: then the first values alone are enough, to be shown
 */
export function prepare(
  criteria: readonly RankCriterion[],
  procedures: readonly string[],
  values: readonly (readonly Float64Array[])[],
  logs: readonly (readonly (Float64Array | null)[])[] = [],
): Prepared {
  const n = Math.max(0, ...[...values, ...logs].flatMap((own) => own.map((list) => list?.length ?? 0)))
  const wants = criteria.map(wantOf)
  const judged = values.map((own, p) =>
    own.map((list, c) => {
      const ln = logs[p]?.[c] ?? null
      const criterion = criteria[c]!
      if (ln === null) return judgedBy(criterion, wants[c]!, list)
      return byLog(criterion) ? judgedByLog(criterion, ln) : judgedBy(criterion, wants[c]!, ln.map(Math.exp))
    }),
  )
  return {
    criteria,
    procedures,
    n,
    values,
    d: judged.map((own) => own.map(({ d }) => d)),
    logD: judged.map((own) => own.map(({ logD }) => logD)),
    missed: judged.map((own) => own.map(({ missed }) => missed)),
  }
}

/** One criterion of one procedure in one pass, since its draws are many. */
function judgedBy(criterion: RankCriterion, want: (x: number) => number, list: Float64Array) {
  const [d, logD] = [new Float64Array(list.length), new Float64Array(list.length)]
  const missed = new Uint8Array(list.length)
  for (let i = 0; i < list.length; i++) {
    const x = list[i]!
    // What does not scatter is the same in every draw.
    if (i > 0 && x === list[i - 1]) {
      d[i] = d[i - 1]!
      logD[i] = logD[i - 1]!
      missed[i] = missed[i - 1]!
      continue
    }
    const one = (d[i] = want(x))
    logD[i] = Math.log(one)
    if (misses(criterion, x)) missed[i] = 1
  }
  return { d, logD, missed }
}

type LogDirected = Directed & { scale: 'log' }
const byLog = (criterion: RankCriterion): criterion is LogDirected =>
  criterion.better !== 'band' && criterion.scale === 'log' && criterion.must !== criterion.plenty

/** The same of a criterion with a scale of ratios, without a step by the value itself. */
function judgedByLog({ must, plenty, better }: LogDirected, ln: Float64Array) {
  const [d, logD] = [new Float64Array(ln.length), new Float64Array(ln.length)]
  const missed = new Uint8Array(ln.length)
  const [from, by] = [Math.log(must), Math.log(plenty) - Math.log(must)]
  const way = better === 'more' ? 1 : -1
  for (let i = 0; i < ln.length; i++) {
    const one = (ln[i]! - from) / by
    if (one >= 1) d[i] = 1
    else if (one <= 0) {
      logD[i] = -Infinity
      if (way * (ln[i]! - from) < 0) missed[i] = 1
    } else {
      d[i] = one
      logD[i] = Math.log(one)
    }
  }
  return { d, logD, missed }
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
