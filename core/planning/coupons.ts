import type { Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { armOfPlace } from './arms'
import { couponLabel, glueOrder, pullOrder, pullOrderByTrust, trustOf } from './order'

/** More coupons than anyone glues for one joint: a slip of the keyboard, and pages that take seconds to draw. */
export const MOST_COUPONS = 1000

/** Labels of a later round carry its number, so that no two strips of tape say the same: "H2.2-B3". */
export const roundCode = (jointCode: string, number: number): string =>
  number === 1 ? jointCode : `${jointCode}.${number}`

/**
 * The coupons of a round: randomised blocks, the arms in turn, labels, and the order of the pulls, all from the round's
 * seed.
 * @param procedures of the round, a letter each
 * @param idOf a fresh id for the coupon of a label
 */
export function couponsOf(
  jointCode: string,
  round: Round,
  procedures: readonly Pick<Procedure, 'id' | 'letter'>[],
  idOf: (label: string) => string,
): Coupon[] {
  const letters = procedures.map(({ letter }) => letter)
  const procedureOf = new Map(procedures.map(({ id, letter }) => [letter, id]))
  const places = glueOrder(letters, round.blocks * round.arms.length, round.seed)
  // As written: one kind after the other, which the fairness check warns of.
  const order =
    round.order === 'as-written'
      ? [...places].sort((x, y) => x.letter.localeCompare(y.letter) || x.block - y.block)
      : places
  const trust = (i: number) => trustOf(procedureOf.get(order[i]!.letter)!, round.control, round.hunch?.order ?? null)
  const places0 = [...order.keys()]
  const pulls =
    round.order === 'as-written'
      ? places0
      : round.order === 'least-trusted-first'
        ? pullOrderByTrust(places0, trust, round.seed)
        : pullOrder(places0, round.seed)
  const code = roundCode(jointCode, round.number)
  return order.map(({ letter, block }, i) => {
    const label = couponLabel(code, letter, block)
    return {
      id: idOf(label),
      round: round.id,
      arm: armOfPlace(round.arms, block).id,
      procedure: procedureOf.get(letter)!,
      block,
      label,
      glueAt: i,
      pullAt: pulls.indexOf(i),
      size: {},
      stamps: [],
      deviations: [],
    }
  })
}
