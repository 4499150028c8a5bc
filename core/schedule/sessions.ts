import { armOf } from '../planning/armOf'
import { curedFrom } from '../planning/gluing'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Arm, Round } from '../records/round'
import { sessionOf } from './round'

/** Pulls of a round that belong together: of one age, after the same thing, or once all are cured. */
export interface PullSession {
  name: string
  arms: Arm[]
  coupons: number
  /** when the last of its pieces is cured or of age, ms; what it goes through begins then */
  from: number
}

/**
 * The sessions in which pieces are pulled, the soonest first; what goes through something is a session of its own.
 * @param coupons that are closed and not pulled; others are left out
 */
export function pullSessions(
  round: Pick<Round, 'arms'>,
  procedures: readonly Procedure[],
  coupons: readonly Coupon[],
): PullSession[] {
  const found = new Map<string, PullSession>()
  for (const coupon of coupons) {
    const arm = armOf(round, coupon)
    const procedure = procedures.find(({ id }) => id === coupon.procedure)
    const from = procedure ? curedFrom(coupon, procedure, arm) : null
    if (from === null) continue
    const name = arm.exposure ? `${sessionOf(arm)} ${arm.exposure.kind} ${arm.exposure.amount}` : sessionOf(arm)
    const old = found.get(name)
    found.set(name, {
      name,
      arms: [...(old?.arms ?? []).filter(({ id }) => id !== arm.id), arm],
      coupons: (old?.coupons ?? 0) + 1,
      from: Math.max(old?.from ?? 0, from),
    })
  }
  return [...found.values()].sort((x, y) => x.from - y.from || (x.name < y.name ? -1 : 1))
}
