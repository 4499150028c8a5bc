import { CodedError } from '../errors'
import { seededRandom, shuffled } from './random'

export interface CouponPlace {
  /** letter of its procedure, A, B, … */
  letter: string
  /** 1 … blocks */
  block: number
}

/**
 * Glue-up order in randomised blocks: each block holds one coupon of every procedure, shuffled afresh, so that a warming
 * room, a thickening pot or tired hands fall on all alike (methods.md 4).
 * @param letters the procedures; at least one, all different
 * @param blocks coupons a procedure, a whole number from 1
 * @param seed stored with the round; the same seed gives the same order
 * @throws CodedError missing, not-whole
 */
export function glueOrder(letters: readonly string[], blocks: number, seed: number): CouponPlace[] {
  if (letters.length === 0)
    throw new CodedError('missing', 'letters', { field: 'A procedure', purpose: 'an order of gluing' })
  if (!Number.isInteger(blocks) || blocks < 1)
    throw new CodedError('not-whole', 'blocks', { field: 'Coupons a procedure', got: blocks })
  const random = seededRandom(seed)
  return Array.from({ length: blocks }, (_, i) =>
    shuffled(letters, random).map((letter) => ({ letter, block: i + 1 })),
  ).flat()
}

/** Pull order: all coupons shuffled afresh, from the same seed by another stream. */
export function pullOrder<T>(coupons: readonly T[], seed: number): T[] {
  return shuffled(coupons, seededRandom(seed ^ 0x9e3779b9))
}

/** The strip written on a coupon: joint code, procedure letter, block ("H2-B3"). */
export const couponLabel = (jointCode: string, letter: string, block: number): string =>
  `${jointCode}-${letter}${block}`
