import { seededRandom } from '../planning/random'
import type { DrawsFrom, Item } from './criteria'
import { forecastDraws, strengthDraws, type Forecast } from './draws'
import { keptDraws } from './losses'
import { schools, type School } from './rank'
import { exposedName } from './shareKept'
import { prepare, weigh, winnerOf, type Prepared, type Weighed } from './weigh'
import {
  disagreements,
  front,
  movesOf,
  neededBySecond,
  type Disagreement,
  type Moves,
  type Needed,
  type WeightGroup,
} from './whatIf'

export interface WeighInput {
  items: readonly Pick<Item, 'criterion' | 'from'>[]
  procedures: readonly string[]
  draws: number
  seed: number
}

/** A procedure's value on a criterion: its middle, and where nine draws in ten lie. */
export interface Value {
  median: number
  low90: number
  high90: number
  /** how desirable, mean over the draws, 0…1 */
  d: number
}

export interface WeighResult {
  schools: Record<School, Weighed[]>
  winners: Record<School, string | null>
  why: Disagreement[]
  needed: Needed[]
  /** whom nothing beats on all criteria */
  front: string[]
  /** by procedure, by criterion id */
  values: Record<string, Record<string, Value>>
}

function logs(list: Float64Array): Float64Array {
  const out = new Float64Array(list.length)
  for (let i = 0; i < list.length; i++) out[i] = Math.exp(list[i]!)
  return out
}

/** Draws of one criterion for every procedure. */
function drawsOf(from: DrawsFrom, procedures: readonly string[], n: number, seed: number): Float64Array[] {
  const guess = (forecast: Record<string, Forecast>, procedure: string, p: number) =>
    logs(forecastDraws(forecast[procedure]!, n, seed + 7919 * (p + 1)))
  switch (from.kind) {
    case 'fixed':
      return procedures.map((procedure) => new Float64Array(n).fill(from.values[procedure]!))
    case 'losses': {
      const random = seededRandom(seed)
      return procedures.map((procedure) => keptDraws(from.counts[procedure]!, n, random))
    }
    case 'strength': {
      const found = strengthDraws(from.readings, n, seed)
      return procedures.map((procedure, p) => {
        const own = found.get(procedure)
        return own ? logs(own.weak) : guess(from.forecast, procedure, p)
      })
    }
    case 'kept': {
      const exposed = procedures.some((name) => from.readings.some((one) => one.procedure === exposedName(name)))
      // What no piece was pulled after goes by its forecast, and needs no draws.
      const found = strengthDraws(exposed ? from.readings : [], n, seed)
      return procedures.map((procedure, p) => {
        const [after, dry] = [found.get(exposedName(procedure)), found.get(procedure)]
        if (!after || !dry) return guess(from.forecast, procedure, p)
        return logs(after.typical.map((one, i) => one - dry.typical[i]!))
      })
    }
  }
}

/** All values of a round, drawn; made once and weighed as often as a weight is moved. */
export function prepareRound({ items, procedures, draws, seed }: WeighInput): Prepared {
  const by = items.map(({ from }, c) => drawsOf(from, procedures, draws, seed + 104_729 * c))
  return prepare(
    items.map(({ criterion }) => criterion),
    procedures,
    procedures.map((_, p) => by.map((one) => one[p]!)),
  )
}

/** Draws from which a middle and its interval are shown: three figures need no more. */
const SHOWN = 5000

function valueOf(list: Float64Array, d: Float64Array): Value {
  const sorted = list.slice(0, SHOWN).sort()
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!
  return {
    median: at(0.5),
    low90: at(0.05),
    high90: at(0.95),
    d: d.reduce((sum, one) => sum + one, 0) / d.length,
  }
}

/** Where each procedure stands on each criterion, and whom nothing beats; no weight is in it. */
export const standingOf = (prepared: Prepared): Pick<WeighResult, 'values' | 'front'> => ({
  values: valuesOf(prepared),
  front: front(prepared, SHOWN),
})

const valuesOf = ({ procedures, criteria, values, d }: Prepared): WeighResult['values'] =>
  Object.fromEntries(
    procedures.map((procedure, p) => [
      procedure,
      Object.fromEntries(criteria.map(({ id }, c) => [id, valueOf(values[p]![c]!, d[p]![c]!)])),
    ]),
  )

/** The three schools with given weights, why they differ, and what the second lacks. */
export function judge(prepared: Prepared, weights: readonly number[]): Omit<WeighResult, 'values' | 'front'> {
  const weighed = Object.fromEntries(schools.map((school) => [school, weigh(school, prepared, weights)])) as Record<
    School,
    Weighed[]
  >
  const winners = Object.fromEntries(schools.map((school) => [school, winnerOf(weighed[school])])) as Record<
    School,
    string | null
  >
  return {
    schools: weighed,
    winners,
    why: disagreements(prepared, weights, winners),
    needed: neededBySecond(prepared, weights),
  }
}

/** How far each weight may move, by school: slower than the judgement itself, and so asked for after it. */
export const allMoves = (
  prepared: Prepared,
  weights: readonly number[],
  groups: readonly WeightGroup[],
): Record<School, Moves[]> =>
  Object.fromEntries(schools.map((school) => [school, movesOf(school, prepared, weights, groups)])) as Record<
    School,
    Moves[]
  >
