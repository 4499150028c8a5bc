import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'

/** The arm that a coupon belongs to; the first where it is not known. */
export const armOf = (round: Pick<Round, 'arms'>, coupon: Pick<Coupon, 'arm'>): Arm =>
  round.arms.find(({ id }) => id === coupon.arm) ?? round.arms[0]!
