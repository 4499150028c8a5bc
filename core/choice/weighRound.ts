import { seededRandom } from '../planning/random'
import type { DrawsFrom, Item } from './criteria'
import { forecastDraws, strengthDraws, type Forecast } from './draws'
import { keptDraws } from './losses'
import { schools, type School } from './rank'
import { exposedName } from './shareKept'
import { asOdds, ofOdds } from '../statistics/ended'
import { prepare, weigh, winnerOf, type Prepared, type Weighed } from './weigh'
import {
  disagreements,
  front,
  movesOf,
  neededBySecond,
  SHOWN,
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
interface Value {
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

/** What was drawn of one criterion and procedure: as it is, or as logarithms of which the first are shown. */
interface Drawn {
  values: Float64Array
  ln: Float64Array | null
}
const plain = (values: Float64Array): Drawn => ({ values, ln: null })
const ofLogs = (ln: Float64Array): Drawn => ({ values: ln.slice(0, SHOWN).map(Math.exp), ln })

/** Draws of one criterion for every procedure. */
function drawsOf(from: DrawsFrom, procedures: readonly string[], n: number, seed: number): Drawn[] {
  const guess = (forecast: Record<string, Forecast>, procedure: string, p: number) =>
    ofLogs(forecastDraws(forecast[procedure]!, n, seed + 7919 * (p + 1)))
  switch (from.kind) {
    case 'fixed':
      return procedures.map((procedure) => plain(new Float64Array(n).fill(from.values[procedure]!)))
    case 'losses': {
      const random = seededRandom(seed)
      return procedures.map((procedure) => plain(keptDraws(from.counts[procedure]!, n, random)))
    }
    case 'strength': {
      const { end } = from
      const found = strengthDraws(end === undefined ? from.readings : asOdds(from.readings, end), n, seed)
      const ended = (ln: Float64Array) =>
        end === undefined ? ln : ln.map((one) => Math.log(ofOdds(Math.exp(one), end)))
      return procedures.map((procedure, p) => {
        const own = found.get(procedure)
        return own ? ofLogs(ended(own.weak)) : guess(from.forecast, procedure, p)
      })
    }
    case 'kept': {
      const exposed = procedures.some((name) => from.readings.some((one) => one.procedure === exposedName(name)))
      // What no piece was pulled after goes by its forecast, and needs no draws.
      const found = strengthDraws(exposed ? from.readings : [], n, seed)
      return procedures.map((procedure, p) => {
        const [after, dry] = [found.get(exposedName(procedure)), found.get(procedure)]
        if (!after || !dry) return guess(from.forecast, procedure, p)
        return ofLogs(after.typical.map((one, i) => one - dry.typical[i]!))
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
    procedures.map((_, p) => by.map((one) => one[p]!.values)),
    procedures.map((_, p) => by.map((one) => one[p]!.ln)),
  )
}

function valueOf(list: Float64Array, d: Float64Array): Value {
  // What does not scatter has one value and no interval.
  if (list[0] === list.at(-1) && list.every((one) => one === list[0]))
    return { median: list[0]!, low90: list[0]!, high90: list[0]!, d: d[0]! }
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
export function standingOf(prepared: Prepared): Pick<WeighResult, 'values' | 'front'> {
  const { procedures, criteria, values, d } = prepared
  const found = values.map((own, p) => own.map((list, c) => valueOf(list, d[p]![c]!)))
  return {
    values: Object.fromEntries(
      procedures.map((procedure, p) => [
        procedure,
        Object.fromEntries(criteria.map(({ id }, c) => [id, found[p]![c]!])),
      ]),
    ),
    front: front(
      prepared,
      found.map((own) => own.map(({ median }) => median)),
    ),
  }
}

/**
 * The three schools with given weights, why they differ, and what the second lacks.
 * @param most only the first so many draws: a weight that is dragged is followed at once; left out: all of them
 */
export function judge(
  prepared: Prepared,
  weights: readonly number[],
  most = Infinity,
): Omit<WeighResult, 'values' | 'front'> {
  const weighed = Object.fromEntries(
    schools.map((school) => [school, weigh(school, prepared, weights, most)]),
  ) as Record<School, Weighed[]>
  const winners = Object.fromEntries(schools.map((school) => [school, winnerOf(weighed[school])])) as Record<
    School,
    string | null
  >
  return {
    schools: weighed,
    winners,
    why: disagreements(prepared, weights, winners),
    needed: neededBySecond(prepared, weights, weighed.points),
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
