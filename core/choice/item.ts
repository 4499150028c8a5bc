import type { Brief } from '../records/joint'
import type { Reading } from '../records/reading'
import type { Criterion, Exposure, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { ModelReading } from '../statistics/data'
import type { Forecast } from './draws'
import type { Losses } from './losses'
import type { Directed, RankCriterion } from './rank'

/** What a value of a procedure rests on. */
export type Basis = 'measured' | 'known' | 'forecast' | 'not tested'

/** Where the draws of a criterion come from; plain, since it goes to another thread. */
export type DrawsFrom =
  /** weak joints of the strength model; what was not pulled by its forecast, mean and sd of ln */
  /** end: where the figure ends by itself; left out: nowhere */
  | { kind: 'strength'; readings: ModelReading[]; forecast: Record<string, Forecast>; end?: number }
  /** exposed over dry, by the names of shareKept; what was not pulled by its forecast */
  | { kind: 'kept'; readings: ModelReading[]; forecast: Record<string, Forecast> }
  | { kind: 'losses'; counts: Record<string, Pick<Losses, 'before' | 'lost'>> }
  | { kind: 'fixed'; values: Record<string, number> }

/** Where one more coupon would tell of it: in an arm of the round, or in a new one that is like another but exposed. */
export type ItemTest = { arm: string } | { like: string; exposure: Exposure }

/** One thing that the choice may weigh. Its weight stands in `criterion.weight`. */
export interface Item {
  criterion: RankCriterion
  of: Criterion
  name: string
  unit: string
  /** must and plenty follow from what the maker said; else they are proposed from what is compared */
  said: boolean
  basis: Record<string, Basis>
  /** procedures of which only “at least” was read: their upper side is set by no reading */
  open: string[]
  from: DrawsFrom
  /** left out: no further coupon tells of it */
  test?: ItemTest
}

/** What is known of a procedure without a pull. */
export interface ProcedureFacts {
  procedure: string
  family: string
  /** hours from closing to full cure, and until it can be handled */
  cureH: number
  handledH: number
  /** money; null while the joint's size is open */
  costPerJoint: number | null
  handsOnMinutes: number
}

export interface CriteriaInput {
  brief: Brief
  /** material classes of the sides; null while they are open */
  a: string | null
  b: string | null
  round: Round
  coupons: readonly Coupon[]
  readings: readonly Reading[]
  facts: readonly ProcedureFacts[]
}

/** A criterion that is directed, its weight still to be set. */
export const directed = (
  id: string,
  better: 'more' | 'less',
  scale: 'log' | 'linear',
  must: number,
  plenty: number,
): Directed => ({ id, weight: 1, better, scale, must, plenty })
