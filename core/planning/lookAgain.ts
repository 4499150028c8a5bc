import { HOUR_MS } from '../quantities/days'
import type { Reading } from '../records/reading'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { curedFrom } from './gluing'

/** An arm that has to wait: from when its coupons may be tested. */
export interface Waiting {
  arm: Arm
  /** ms: its last coupon is cured and has gone through its exposure */
  dueAt: number
}

const LONG_H = 24

/**
 * Arms whose exposure takes a day or more, with the moment at which they are ripe for their test: a reminder to look
 * again. Arms that are not all closed yet, or are pulled already, have none.
 */
export function waitingArms(
  round: Round,
  coupons: readonly Coupon[],
  procedures: readonly Procedure[],
  readings: readonly Reading[],
): Waiting[] {
  const pulled = new Set(readings.map(({ coupon }) => coupon))
  const byId = new Map(procedures.map((procedure) => [procedure.id, procedure]))
  return round.arms.flatMap((arm): Waiting[] => {
    if (!arm.exposure || arm.exposure.hours < LONG_H) return []
    const left = coupons.filter((coupon) => coupon.arm === arm.id && !pulled.has(coupon.id))
    const cured = left.map((coupon) =>
      byId.has(coupon.procedure) ? curedFrom(coupon, byId.get(coupon.procedure)!, arm) : null,
    )
    if (!left.length || cured.some((at) => at === null)) return []
    return [{ arm, dueAt: Math.max(...cured.map((at) => at!)) + arm.exposure.hours * HOUR_MS }]
  })
}
