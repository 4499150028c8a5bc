import { testKinds } from '../readings/tests'
import type { Arm, Coupon, Exposure, Round } from '../records/round'

/** The arm that a coupon belongs to; the first where it is not known. */
export const armOf = (round: Pick<Round, 'arms'>, coupon: Pick<Coupon, 'arm'>): Arm =>
  round.arms.find(({ id }) => id === coupon.arm) ?? round.arms[0]!

const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`
/** An exposure in words: “after 2 h at 50 °C”. */
export function exposureWords({ kind, amount, hours }: Exposure): string {
  const long = hours >= 48 ? count(+(hours / 24).toPrecision(2), 'day') : `${+hours.toPrecision(2)} h`
  switch (kind) {
    case 'heat':
      return `after ${long} at ${amount} °C`
    case 'cold':
      return `after ${long} at ${String(amount).replace('-', '−')} °C`
    case 'wash':
      return `after ${count(amount, 'wash', 'washes')}`
    case 'soak':
      return `after ${+amount.toPrecision(3)} h under water`
    case 'sun':
      return `after ${count(amount, 'day')} on a sunny sill`
    case 'flex':
      return `after ${count(amount, 'flex', 'flexes')}`
    case 'wait':
      return `after ${count(amount, 'week')}`
  }
}

/** An arm in words: “lap shear”, “lap shear, after 2 h at 50 °C”. */
export const armWords = (arm: Pick<Arm, 'test' | 'exposure'>): string =>
  arm.exposure ? `${testKinds[arm.test].name}, ${exposureWords(arm.exposure)}` : testKinds[arm.test].name

/**
 * Which arm the n-th coupon of a procedure belongs to (n from 1): the arms take turns, so that a warming room or a
 * thickening pot falls on all of them alike.
 */
export const armOfPlace = (arms: readonly Arm[], n: number): Arm => arms[(n - 1) % arms.length]!
