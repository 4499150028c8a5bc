import type { School } from '../../core/choice/rank'
import type { Prepared } from '../../core/choice/weigh'
import type { Moves, WeightGroup } from '../../core/choice/whatIf'
import {
  allMoves,
  judge,
  prepareRound,
  standingOf,
  type WeighInput,
  type WeighResult,
} from '../../core/choice/weighRound'

/** A round to be weighed. key: the same for as long as only the weights change. */
export interface WeighAsked {
  key: string
  of: WeighInput
  weights: number[]
  /** only so many of its draws; left out: all of them */
  most?: number
}

/** The last round that was drawn: a weight that is dragged asks for the same one many times a second. */
let drawn: { key: string; prepared: Prepared; standing: ReturnType<typeof standingOf> | null } | null = null
function drawnOf({ key, of }: Pick<WeighAsked, 'key' | 'of'>) {
  if (drawn?.key !== key) drawn = { key, prepared: prepareRound(of), standing: null }
  return drawn
}

export function weighed(asked: WeighAsked): WeighResult {
  const of = drawnOf(asked)
  of.standing ??= standingOf(of.prepared)
  return { ...judge(of.prepared, asked.weights, asked.most), ...of.standing }
}

export interface MovesAsked extends WeighAsked {
  groups: WeightGroup[]
}
export const moves = (asked: MovesAsked): Record<School, Moves[]> =>
  allMoves(drawnOf(asked).prepared, asked.weights, asked.groups)
