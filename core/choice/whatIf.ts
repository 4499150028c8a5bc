import { badness, schools, type RankCriterion, type School } from './rank'
import { TIE, weigh, winnerOf, type Prepared, type Weighed } from './weigh'

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

/** Draws from which a middle and its interval are shown: three figures need no more. */
export const SHOWN = 5000

/**
 * For the second by points, criterion by criterion: the one value that, alone, would make it first (the mean score is
 * linear in how desirable it is). Criteria on which even plenty would not do are left out.
 * @param points as they were weighed already
 */
export function neededBySecond(
  prepared: Prepared,
  weights: readonly number[],
  points: readonly Weighed[] = weigh('points', prepared, weights),
): Needed[] {
  const ranks = [...points].sort((x, y) => y.score - x.score)
  const [first, second] = ranks
  if (!first || !second || first.score - second.score < TIE) return []
  const p = prepared.procedures.indexOf(second.procedure)
  const sum = weights.reduce((total, one) => total + one, 0)
  return prepared.criteria.flatMap((criterion, c): Needed[] => {
    if (!(weights[c]! > 0)) return []
    const d = mean(prepared.d[p]![c]!) + ((first.score - second.score) * sum) / weights[c]!
    const needed = valueAt(criterion, d)
    if (needed === null) return []
    return [
      {
        procedure: second.procedure,
        criterion: criterion.id,
        now: medianOf(prepared.values[p]![c]!.subarray(0, SHOWN)),
        needed,
      },
    ]
  })
}

/**
 * Whom nothing beats: nothing is as good on all criteria and better on one, by medians.
 * @param medians by procedure, by criterion; left out: of all draws
 */
export function front(
  { procedures, criteria, values }: Prepared,
  medians: readonly (readonly number[])[] = values.map((own) => own.map(medianOf)),
): string[] {
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
