import { bondedAreaOf } from '../coupons/pieces'
import type { Family } from '../knowledge/families'
import { measured } from '../quantities/betterUnit'
import { durationWords } from '../quantities/durations'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import { coverS } from '../screening/rules/cover'
import { glueShare } from './mix'
import { CLOSE_S, LEAST_MIX_G, POT_SHARE } from './mixing'
import { gramsPerCm2 } from './needs'

/** One mix: for how many of the pieces that are left, how much, and how long it may be used. */
export interface Batch {
  pieces: number
  grams: number
  potS: number | null
}

/**
 * The next mix of a procedure: as many of the pieces that are left as its pot life in this room allows, no less than
 * can be mixed right (methods.md 8). null for what is not mixed.
 * @param left coupons whose glue is not on yet
 */
export function nextBatch(
  procedure: Procedure,
  family: Family,
  left: readonly Pick<Coupon, 'arm'>[],
  arms: readonly Pick<Arm, 'id' | 'test' | 'size'>[],
): Batch | null {
  if (!left.length || !procedure.steps.some(({ kind }) => kind === 'mix')) return null
  const areas = left.map(({ arm }) => {
    const of = arms.find(({ id }) => id === arm) ?? arms[0]!
    return bondedAreaOf(of.test, of.size) / 100
  })
  const perCm2 = gramsPerCm2(procedure, family) * glueShare(procedure)
  const potS = family.potLifeS
  let [pieces, used, grams] = [0, 0, 0]
  for (const area of areas) {
    used += coverS(area, family) + CLOSE_S
    if (pieces > 0 && potS !== null && used > POT_SHARE * potS) break
    pieces += 1
    grams += area * perCm2
  }
  return { pieces, grams: Math.max(LEAST_MIX_G, grams), potS }
}

/** “Mix 5 g for the next 4 pieces; use it within 12 min.” */
export const batchWords = ({ pieces, grams, potS }: Batch): string =>
  `Mix ${measured(grams, 'g')} for the next ${pieces === 1 ? 'piece' : `${pieces} pieces`}` +
  (potS === null ? '.' : `; use it within ${durationWords(potS)}.`)
