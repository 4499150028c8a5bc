import { requiredStrength } from '../loads/requirement'
import type { Brief } from '../records/joint'
import type { Reading } from '../records/reading'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'

/** The limit that counts: what the maker set, else what follows from the brief. In the unit of the arm's test. */
export const limitOf = (arm: Pick<Arm, 'passLimit' | 'test'>, brief: Brief): number | null =>
  arm.passLimit ?? requiredStrength(brief, arm.test)

/** The pass limits may move until the first pull of their arm; then they are locked. */
export function limitLocked(
  arm: Pick<Arm, 'id'>,
  coupons: readonly Pick<Coupon, 'id' | 'arm'>[],
  readings: readonly Pick<Reading, 'coupon'>[],
): boolean {
  const ids = new Set(coupons.filter((coupon) => coupon.arm === arm.id).map(({ id }) => id))
  return readings.some(({ coupon }) => ids.has(coupon))
}

/**
 * An arm with another limit; once it is locked the change is kept as a late one, which the result shows.
 * @param now ms
 */
export const withLimit = (arm: Arm, passLimit: number | null, locked: boolean, now: number): Arm => ({
  ...arm,
  passLimit,
  passSetAt: passLimit === null ? null : now,
  lateChanges: locked ? [...arm.lateChanges, { at: now, from: arm.passLimit, to: passLimit }] : arm.lateChanges,
})
