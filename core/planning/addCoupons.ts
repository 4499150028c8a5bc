import type { Brief } from '../records/joint'
import type { Arm, Exposure, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import { anotherArm } from './newArm'
import { extraFor } from './pullQueue'

/** Further coupons of a procedure for a round that is under way, in an arm that it has or in a new one. */
export interface Added {
  /** the round's arms, with the new one where there is one; null: they stay */
  arms: Arm[] | null
  coupons: Coupon[]
}

/** The arm that further coupons are made for: one of the round, or a new one like another and exposed. */
export function armFor(
  round: Pick<Round, 'arms'>,
  test: { arm: string } | { like: string; exposure: Exposure },
  brief: Brief,
  now: number,
): Arm | null {
  if ('arm' in test) return round.arms.find(({ id }) => id === test.arm) ?? null
  const like = round.arms.find(({ id }) => id === test.like)
  return like ? anotherArm(round.arms, brief, like.test, now, test.exposure) : null
}

/**
 * Coupons that are added after the first pulls, glued and pulled last.
 * @param all coupons of the round, some of the procedure among them
 * @param ids one for each coupon that is added
 */
export function addCoupons(
  round: Pick<Round, 'arms'>,
  arm: Arm,
  procedure: string,
  all: readonly Coupon[],
  ids: readonly string[],
  now: number,
): Added {
  const coupons: Coupon[] = []
  for (const id of ids) coupons.push(extraFor(procedure, arm.id, [...all, ...coupons], id, now))
  const known = round.arms.some(({ id }) => id === arm.id)
  return { arms: known ? null : [...round.arms, arm], coupons }
}
