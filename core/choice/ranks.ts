import { seededRandom, shuffled } from '../planning/random'
import { rungs, type Rung } from '../knowledge/rungs'
import type { Place } from '../readings/datum'
import { places } from '../readings/datum'
import type { Reading } from '../records/reading'

/** What a pull without a figure says, from worst to best (the ladder that makers use). */
export const ladder = ['would not cure', 'let go at A', 'in the glue', 'at B', 'tore the part'] as const
type Ladder = (typeof ladder)[number]

const onLadder: Record<Place, Ladder> = {
  offA: 'let go at A',
  glue: 'in the glue',
  offB: 'at B',
  tornA: 'tore the part',
  tornB: 'tore the part',
}

/** Where one pull stands: how hard it was pulled, then how it let go. Higher is better. */
export interface Ranked {
  procedure: string
  ladder: Ladder | null
  rung: Rung | null
  /** compared as they stand: first the rung, then the ladder; null in one says nothing about it */
  score: readonly [rung: number, ladder: number]
}

const LADDER_ONLY = -1

/** A pull as a rank; null for one that says nothing (a fault, set aside, nothing seen). */
export function rankOf(
  procedure: string,
  { raw, outcome, setAside }: Pick<Reading, 'raw' | 'outcome' | 'setAside'>,
): Ranked | null {
  if (setAside !== null || outcome.end === 'fault') return null
  const rung = raw.way === 'hands' ? raw.rung : null
  if (outcome.end === 'wet') return { procedure, ladder: 'would not cure', rung, score: [LADDER_ONLY, 0] }
  const where =
    outcome.end === 'broke' ? places.reduce((x, y) => (outcome.places[y] > outcome.places[x] ? y : x)) : null
  const how = where && onLadder[where]
  // What held to the end of the hand stands above all that broke.
  const step = how ? ladder.indexOf(how) : outcome.end === 'held' ? ladder.length : outcome.end === 'handling' ? 1 : 0
  if (rung === null && how === null && outcome.end !== 'held' && outcome.end !== 'handling') return null
  return { procedure, ladder: how, rung, score: [rung === null ? LADDER_ONLY : rungs.indexOf(rung), step] }
}

export interface RankedProcedure {
  procedure: string
  pulls: number
  /** share of comparisons with pulls of the others that it wins, ties counted half; 0…1 */
  wins: number
  /** how often each step of the ladder was met */
  steps: Partial<Record<Ladder, number>>
}
export interface Ranks {
  /** best first */
  procedures: RankedProcedure[]
  /** of the first over the second: the chance of so clear a difference where there is none */
  chance: number
}

const beats = (one: Ranked, other: Ranked): number => {
  const [x, y] = [one.score, other.score]
  const by = x[0] !== y[0] ? x[0] - y[0] : x[1] - y[1]
  return by > 0 ? 1 : by < 0 ? 0 : 0.5
}
const wins = (own: readonly Ranked[], others: readonly Ranked[]): number => {
  if (!own.length || !others.length) return 0.5
  return (
    own.reduce((sum, one) => sum + others.reduce((all, other) => all + beats(one, other), 0), 0) /
    (own.length * others.length)
  )
}

/** More ways to deal the pulls out than this are not gone through one by one: so many are drawn, seeded. */
const MOST_DEALS = 20_000

const ways = (n: number, k: number): number => {
  let out = 1
  for (let i = 1; i <= k; i++) out = (out * (n - k + i)) / i
  return out
}

/** Of all ways to deal the pulls of two out anew, the share that comes out as clear as this (permutation test). */
function chanceOf(a: readonly Ranked[], b: readonly Ranked[]): number {
  const all = [...a, ...b]
  // What a pull beats of all, ties half, is its place; the wins of a deal follow from the sum of its places (Mann and
  // Whitney 1947), so that no deal compares anything again.
  const place = all.map((one) => all.reduce((sum, other) => sum + beats(one, other), 0))
  const sumOf = (chosen: readonly number[]) => chosen.reduce((sum, i) => sum + place[i]!, 0)
  const seen = sumOf(a.map((_, i) => i)) - 1e-9
  let [deals, asClear] = [0, 0]
  const deal = (chosen: readonly number[]) => {
    deals += 1
    if (sumOf(chosen) >= seen) asClear += 1
  }
  const places = all.map((_, i) => i)
  if (ways(all.length, a.length) > MOST_DEALS) {
    const random = seededRandom(1)
    for (let turn = 0; turn < MOST_DEALS; turn++) deal(shuffled(places, random).slice(0, a.length))
    return asClear / deals
  }
  const pick = (from: number, chosen: number[]) => {
    if (chosen.length === a.length) return deal(chosen)
    for (let i = from; i <= all.length - (a.length - chosen.length); i++) pick(i + 1, [...chosen, i])
  }
  pick(0, [])
  return asClear / deals
}

/** From this chance on two procedures are not told apart by their ranks. */
export const RANKS_APART = 0.1

/** Pulls by order only, or with places and wetness alone, as an order of the procedures. null with fewer than two. */
export function ranked(pulls: readonly Ranked[]): Ranks | null {
  const names = [...new Set(pulls.map(({ procedure }) => procedure))]
  if (names.length < 2) return null
  const of = (name: string) => pulls.filter(({ procedure }) => procedure === name)
  const procedures = names
    .map((procedure): RankedProcedure => {
      const own = of(procedure)
      const steps: RankedProcedure['steps'] = {}
      for (const { ladder: step } of own) if (step) steps[step] = (steps[step] ?? 0) + 1
      return {
        procedure,
        pulls: own.length,
        wins: wins(
          own,
          pulls.filter((one) => one.procedure !== procedure),
        ),
        steps,
      }
    })
    .sort((x, y) => y.wins - x.wins)
  return { procedures, chance: chanceOf(of(procedures[0]!.procedure), of(procedures[1]!.procedure)) }
}
