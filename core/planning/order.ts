import { CodedError } from '../errors'
import { seededRandom, shuffled } from './random'

export interface CouponPlace {
  /** letter of its procedure, A, B, … */
  letter: string
  /** 1 … blocks */
  block: number
}

/**
 * Glue-up order in randomised blocks: each block holds one coupon of every procedure, shuffled afresh, so that a
 * warming room, a thickening pot or tired hands fall on all alike (methods.md 4).
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

/**
 * Pull order from the least to the most trusted procedure, shuffled among the coupons of one trust, from the same
 * stream as pullOrder: what the maker trusts most is pulled when the hand is warmest.
 * @param trust of a coupon: higher is trusted more
 */
export function pullOrderByTrust<T>(coupons: readonly T[], trust: (coupon: T) => number, seed: number): T[] {
  return pullOrder(coupons, seed)
    .map((coupon) => ({ coupon, trust: trust(coupon) }))
    .sort((x, y) => x.trust - y.trust)
    .map(({ coupon }) => coupon)
}

/**
 * How much each procedure is trusted before anything is pulled: the control most; else by the maker's hunch, strongest
 * last; without a hunch all others alike.
 */
export function trustOf(procedure: string, control: string | null, hunch: readonly string[] | null): number {
  if (procedure === control) return Infinity
  const at = hunch?.indexOf(procedure) ?? -1
  return at < 0 ? 0 : hunch!.length - at
}

/** The strip written on a coupon: joint code, procedure letter, block ("H2-B3"). */
export const couponLabel = (jointCode: string, letter: string, block: number): string =>
  `${jointCode}-${letter}${block}`
