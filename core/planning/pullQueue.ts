import { HOUR_MS } from '../quantities/days'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { armOf } from './armOf'
import { exposedUntil, isPutThrough } from './exposing'
import { closedAt, curedFrom } from './gluing'

/**
 * Ready for its test from, ms: cured, and through what it is exposed to. null before it is closed, and where what it is
 * to be put through was not begun.
 */
export function readyFrom(
  coupon: Coupon,
  procedure: Procedure,
  arm: Pick<Arm, 'ageS' | 'exposure'> | null,
): number | null {
  const cured = curedFrom(coupon, procedure, arm)
  const exposure = arm?.exposure ?? null
  if (cured === null || exposure === null) return cured
  const { hours } = exposure
  // Weeks that pass and flexes at the pull need no note of their own.
  return isPutThrough(exposure) ? exposedUntil(coupon, exposure) : cured + hours * HOUR_MS
}

/** Coupons that are still to be pulled. */
export interface PullQueue {
  /** in pull order: what is ready */
  ready: Coupon[]
  /** passed over until it is, the first one first; at: ms, null while it is not closed, or not put through its heat */
  waiting: { coupon: Coupon; at: number | null; closed: boolean }[]
}

/**
 * What is left to be pulled: in pull order, with what is not ready passed over.
 * @param left coupons without a reading that counts
 */
export function pullQueue(
  round: Pick<Round, 'arms'>,
  procedures: readonly Procedure[],
  left: readonly Coupon[],
  now: number,
): PullQueue {
  const byId = new Map(procedures.map((procedure) => [procedure.id, procedure]))
  const all = [...left]
    .sort((x, y) => x.pullAt - y.pullAt)
    .map((coupon) => {
      const procedure = byId.get(coupon.procedure)
      const at = procedure ? readyFrom(coupon, procedure, armOf(round, coupon)) : null
      return { coupon, at, closed: procedure !== undefined && closedAt(coupon, procedure) !== null }
    })
  const isReady = ({ at }: { at: number | null }) => at !== null && at <= now
  return {
    ready: all.filter(isReady).map(({ coupon }) => coupon),
    waiting: all.filter((one) => !isReady(one)).sort((x, y) => (x.at ?? Infinity) - (y.at ?? Infinity)),
  }
}

export type Moved = Pick<Coupon, 'pullAt' | 'deviations'>
const noted = (coupon: Coupon, at: number, text: string) => [...coupon.deviations, { at, text }]

/** A coupon that is passed over goes to the end of the order; why stays on it. */
export const passedOver = (coupon: Coupon, coupons: readonly Coupon[], reason: string, now: number): Moved => ({
  pullAt: Math.max(...coupons.map(({ pullAt }) => pullAt)) + 1,
  deviations: noted(coupon, now, `Passed over in the order of the pulls: ${reason}`),
})

/** Two coupons that change places in the order; why stays on both. */
export const swapped = (one: Coupon, other: Coupon, reason: string, now: number): [Moved, Moved] => [
  { pullAt: other.pullAt, deviations: noted(one, now, `Changed places with ${other.label}: ${reason}`) },
  { pullAt: one.pullAt, deviations: noted(other, now, `Changed places with ${one.label}: ${reason}`) },
]

/**
 * A fresh coupon in place of one that went wrong, from the spare pieces that were cut: of the same procedure and test,
 * glued and pulled last.
 * @param coupons of the round
 */
export const spareFor = (coupon: Coupon, coupons: readonly Coupon[], newId: string, now: number): Coupon => ({
  ...extraFor(coupon.procedure, coupon.arm, coupons, newId, now),
  deviations: [{ at: now, text: `A spare in place of ${coupon.label}` }],
})

/**
 * One more coupon of a procedure and a test, with the next free number, glued and pulled last.
 * @param coupons of the round, some of the procedure among them
 */
export function extraFor(
  procedure: string,
  arm: string,
  coupons: readonly Coupon[],
  newId: string,
  now: number,
): Coupon {
  const own = coupons.filter((one) => one.procedure === procedure)
  const block = Math.max(...own.map((one) => one.block)) + 1
  return {
    id: newId,
    round: own[0]!.round,
    arm,
    procedure,
    block,
    label: own[0]!.label.replace(/\d+$/, String(block)),
    glueAt: Math.max(...coupons.map(({ glueAt }) => glueAt)) + 1,
    pullAt: Math.max(...coupons.map(({ pullAt }) => pullAt)) + 1,
    size: {},
    stamps: [],
    deviations: [{ at: now, text: 'Added to the round after the first pulls' }],
  }
}
