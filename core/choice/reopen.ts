import { ownReadings } from '../readings/counting'
import { armWords } from '../planning/arms'
import { armOf } from '../planning/armOf'
import { limitOf } from '../planning/limits'
import type { Brief } from '../records/joint'
import type { Reading } from '../records/reading'
import type { Round } from '../records/round'
import type { Decision } from '../records/decision'
import type { Coupon } from '../records/coupon'
import type { StockItem } from '../records/shelf'
import { startOfDay } from '../quantities/days'

/** Why a decision is to be looked at again. */
export type Reopened =
  /** pulls that came in after it, by test */
  | { why: 'later-pulls'; test: string; pulls: number; ofChosen: boolean }
  /** what it must hold is another than when it was decided, in the unit of the test */
  | { why: 'limit'; before: number; now: number }
  /** another pack was opened since */
  | { why: 'pack'; openedOn: string; batch: string }
  /** after an exposure the weak joint's lower bound falls below the limit */
  | { why: 'below'; after: string; kept: number; holds: number; limit: number }

/** A limit that has moved by less is the same one. */
const MOVED = 0.01

/**
 * What speaks for looking at a decision again, from the records alone: later readings, a changed brief, a new pack.
 * @param stock packs of the chosen glue
 */
export function reopenedBy(
  decision: Decision,
  brief: Brief,
  round: Round | null,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  stock: readonly Pick<StockItem, 'openedOn' | 'batch'>[],
): Reopened[] {
  const out: Reopened[] = []
  const byId = new Map(coupons.map((coupon) => [coupon.id, coupon]))
  const later = ownReadings(readings).filter(({ at, setAside }) => at > decision.at && setAside === null)
  for (const arm of round?.arms ?? []) {
    const own = later.flatMap(({ coupon }) => {
      const of = byId.get(coupon)
      return of && armOf(round!, of).id === arm.id ? [of] : []
    })
    if (own.length)
      out.push({
        why: 'later-pulls',
        test: armWords(arm),
        pulls: own.length,
        ofChosen: own.some(({ procedure }) => procedure === decision.procedure),
      })
  }
  const arm = round?.arms.find(({ id }) => id === decision.arm)
  const now = arm ? limitOf(arm, brief) : null
  const before = decision.known.required
  if (before != null && now !== null && Math.abs(now / before - 1) > MOVED) out.push({ why: 'limit', before, now })
  for (const { openedOn, batch } of stock)
    if (openedOn !== null && startOfDay(openedOn) > decision.at) out.push({ why: 'pack', openedOn, batch })
  return out
}

/**
 * Whether an exposure takes the chosen one below what it must hold.
 * @param kept share of the dry strength, median, from the strength model
 * @returns null while it holds, or nothing is known to hold it against
 */
export function belowAfter(
  decision: Pick<Decision, 'known'>,
  limit: number | null,
  after: string,
  kept: number,
): Reopened | null {
  const { weakLow } = decision.known
  if (weakLow === null || limit === null || weakLow * kept >= limit) return null
  return { why: 'below', after, kept, holds: weakLow * kept, limit }
}
