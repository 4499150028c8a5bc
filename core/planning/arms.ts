import { testKinds } from '../knowledge/testKinds'
import { exposureWords } from '../knowledge/exposures'
import type { Arm, Coupon, Round } from '../records/round'

/** The arm that a coupon belongs to; the first where it is not known. */
export const armOf = (round: Pick<Round, 'arms'>, coupon: Pick<Coupon, 'arm'>): Arm =>
  round.arms.find(({ id }) => id === coupon.arm) ?? round.arms[0]!

/** An arm in words: “lap shear”, “lap shear, after 2 h at 50 °C”. */
export const armWords = (arm: Pick<Arm, 'test' | 'exposure'>): string =>
  arm.exposure ? `${testKinds[arm.test].name}, ${exposureWords(arm.exposure)}` : testKinds[arm.test].name

/**
 * Which arm the n-th coupon of a procedure belongs to (n from 1): the arms take turns, so that a warming room or a
 * thickening pot falls on all of them alike.
 */
export const armOfPlace = (arms: readonly Arm[], n: number): Arm => arms[(n - 1) % arms.length]!
