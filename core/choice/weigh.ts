import { badness, desirability, KNOCK_OUT_BY, misses, schools, type RankCriterion, type School } from './rank'

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

const TIE = 1e-12

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

/** Criteria that share one weight: each has the same part of it. */
export interface WeightGroup {
  id: string
  /** places of its criteria */
  members: readonly number[]
}

/** Weights of the criteria with one group set to a weight. */
export const withGroup = (weights: readonly number[], { members }: WeightGroup, weight: number): number[] =>
  weights.map((one, c) => (members.includes(c) ? weight / members.length : one))

/** How far a weight may move, alone, before another one comes first. */
export interface Moves {
  group: string
  /** the weight down to which, and up to which, the first stays first; null: however far it goes */
  down: number | null
  up: number | null
}

/** Weights are tried up to this. */
const MOST_WEIGHT = 10
/** How exactly the turning point is found. */
const GRAIN = 0.05
const STEP = 0.5
/** Draws with which it is looked for: enough for the mean, few enough to be quick. */
const FEW = 1500

/** For each group of criteria how far its weight may move before the winner of a school changes. */
export function movesOf(
  school: School,
  prepared: Prepared,
  weights: readonly number[],
  groups: readonly WeightGroup[],
): Moves[] {
  return groups.map((group) => {
    const winner = (weight: number) => winnerOf(weigh(school, prepared, withGroup(weights, group, weight), FEW))
    const start = group.members.reduce((sum, c) => sum + weights[c]!, 0)
    const now = winner(start)
    const search = (by: number, end: number): number | null => {
      let held = start
      while (held !== end) {
        const next = by > 0 ? Math.min(end, held + by) : Math.max(end, held + by)
        if (winner(next) !== now) {
          let [inside, outside] = [held, next]
          while (Math.abs(outside - inside) > GRAIN) {
            const middle = (inside + outside) / 2
            if (winner(middle) === now) inside = middle
            else outside = middle
          }
          return outside
        }
        held = next
      }
      return null
    }
    return { group: group.id, down: search(-STEP, 0), up: search(STEP, Math.max(MOST_WEIGHT, start)) }
  })
}

/** What would have to be true of one value for the second to come first, by points. */
export interface Needed {
  procedure: string
  criterion: string
  /** its median now, and what it would have to be */
  now: number
  needed: number
}

function mean(list: Float64Array): number {
  let sum = 0
  for (const one of list) sum += one
  return sum / list.length
}
export function medianOf(list: Float64Array): number {
  const sorted = Float64Array.from(list).sort()
  const middle = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** The value at which a criterion is so desirable; null where none is (a band, or beyond plenty). */
export function valueAt(criterion: RankCriterion, d: number): number | null {
  if (criterion.better === 'band' || d > 1 || d < 0) return null
  const { must, plenty, scale } = criterion
  return scale === 'log' ? must * (plenty / must) ** d : must + d * (plenty - must)
}

/**
 * For the second by points, criterion by criterion: the one value that, alone, would make it first (the mean score is
 * linear in how desirable it is). Criteria on which even plenty would not do are left out.
 */
export function neededBySecond(prepared: Prepared, weights: readonly number[]): Needed[] {
  const ranks = [...weigh('points', prepared, weights)].sort((x, y) => y.score - x.score)
  const [first, second] = ranks
  if (!first || !second || first.score - second.score < TIE) return []
  const p = prepared.procedures.indexOf(second.procedure)
  const sum = weights.reduce((total, one) => total + one, 0)
  return prepared.criteria.flatMap((criterion, c): Needed[] => {
    if (!(weights[c]! > 0)) return []
    const d = mean(prepared.d[p]![c]!) + ((first.score - second.score) * sum) / weights[c]!
    const needed = valueAt(criterion, d)
    if (needed === null) return []
    return [{ procedure: second.procedure, criterion: criterion.id, now: medianOf(prepared.values[p]![c]!), needed }]
  })
}

/**
 * Whom nothing beats: nothing is as good on all criteria and better on one, by medians.
 * @param most only the first so many draws; left out: all of them
 */
export function front({ procedures, criteria, values }: Prepared, most = Infinity): string[] {
  const medians = values.map((own) => own.map((list) => medianOf(list.subarray(0, most))))
  const isAsGood = (c: number, x: number, y: number) => badness(criteria[c]!, x) <= badness(criteria[c]!, y) + TIE
  return procedures.filter(
    (_, p) =>
      !medians.some(
        (other, q) =>
          q !== p &&
          other.every((x, c) => isAsGood(c, x, medians[p]![c]!)) &&
          other.some((x, c) => !isAsGood(c, medians[p]![c]!, x)),
      ),
  )
}

/** Why two schools come to different ends, on one criterion. */
export interface Disagreement {
  /** forgives it */
  forgiving: School
  strict: School
  /** whose value is forgiven */
  procedure: string
  criterion: string
  /** it misses its must in most draws; else it only falls behind */
  missesMust: boolean
}

/** The first of each school, and why they differ: what the one forgives of its first, and the other does not. */
export function disagreements(
  prepared: Prepared,
  weights: readonly number[],
  winners: Readonly<Record<School, string | null>>,
): Disagreement[] {
  const { points } = winners
  if (points === null) return []
  const p = prepared.procedures.indexOf(points)
  const counts = prepared.criteria.map((_, c) => c).filter((c) => weights[c]! > 0)
  const missShare = (c: number) => mean(Float64Array.from(prepared.missed[p]![c]!))
  return schools.flatMap((school): Disagreement[] => {
    const other = winners[school]
    if (school === 'points' || other === null || other === points) return []
    const q = prepared.procedures.indexOf(other)
    // By weight: how much worse the one is there. Knocking out goes by the must, then by the heaviest.
    const worse = counts
      .map((c) => ({
        c,
        miss: missShare(c),
        behind: mean(prepared.d[q]![c]!) - mean(prepared.d[p]![c]!),
        weight: weights[c]!,
      }))
      .filter(({ behind, miss }) => behind > 0 || miss > 0.5)
    const [worst] = worse.sort(
      (x, y) =>
        Number(y.miss > 0.5) - Number(x.miss > 0.5) ||
        (school === 'knock-out' ? y.weight - x.weight : 0) ||
        y.weight * y.behind - x.weight * x.behind,
    )
    if (!worst) return []
    return [
      {
        forgiving: 'points',
        strict: school,
        procedure: points,
        criterion: prepared.criteria[worst.c]!.id,
        missesMust: worst.miss > 0.5,
      },
    ]
  })
}
