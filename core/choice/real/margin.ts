import type { Family } from '../../knowledge/families'
import type { Brief } from '../../records/joint'
import { formulaOf, testKinds, type CouponSize, type TestId } from '../../knowledge/testKinds'
import { otherGeometry } from '../../loads/copies'
import { neededN } from '../../loads/needed'
import { jointSize, requiredLoad, strengthPerN } from '../../loads/requirement'
import { factorsOf, type Factor, type PulledAfter } from './factors'

/**
 * A rigid glue's long overlap carries at its ends only: what counts is at most this many times the tested overlap
 * (methods.md 9).
 */
export const OVERLAP_CAP = 3

export interface Margin {
  /** what the real joint is expected to hold as it was tested: weak joint, lower bound × real bonded size, N */
  dryN: number
  /** what is left of that after the surroundings that the brief names, N */
  holdsN: number
  /** the said load, N, and what must be held: that, or light handling where a peel meets more of it */
  loadN: number
  requiredN: number
  /** holdsN over requiredN */
  times: number
  /** mm² or mm that the strength was multiplied by; for twist and snap what its formula makes of sizes and lever */
  bondedSize: number
  sizeUnit: 'mm²' | 'mm'
  /** the real overlap is longer than a rigid glue can use */
  capped: boolean
  /** the coupons were glued in another geometry than the joint is, in a sentence; null where they copy it */
  other: string | null
  /** what the surroundings leave, and what that rests on */
  factors: Factor[]
  /** of these, what no coupon of the procedure has met: the margin counts on an estimate */
  notTested: string[]
}

const isFactors = (one: PulledAfter | readonly Factor[]): one is readonly Factor[] => Array.isArray(one)

/**
 * Margin of the real joint over the load that it must hold: as its limit, the said one or light handling.
 * @param weakLow 5 % lower bound of the weak joint's strength, in the unit of the test
 * @param tested the coupon's size
 * @param pulled what was pulled after exposures: it takes the place of what is typical; or what follows from it
 * @returns null where load, size or lever is open, or the test weighs no load
 */
export function marginOf(
  brief: Brief,
  test: TestId,
  weakLow: number,
  tested: CouponSize,
  family: Family,
  pulled: PulledAfter | readonly Factor[] = {},
): Margin | null {
  const requiredN = neededN(brief, test)
  const formula = formulaOf(test)
  if (!requiredN || !formula) return null
  const size = jointSize(brief, test)
  const { endsCarry } = testKinds[test]
  const cap = endsCarry && family.flex === 'rigid' && tested.overlapMm ? OVERLAP_CAP * tested.overlapMm : Infinity
  const capped = (size.overlapMm ?? 0) > cap
  const perN = strengthPerN(brief, test, capped ? { ...size, overlapMm: cap } : size)
  if (perN === null) return null
  const dryN = weakLow / perN
  const factors = isFactors(pulled) ? [...pulled] : factorsOf(brief, family, pulled)
  const holdsN = factors.reduce((left, { share }) => left * share, dryN)
  return {
    dryN,
    holdsN,
    loadN: requiredLoad(brief)!.n,
    requiredN,
    times: holdsN / requiredN,
    bondedSize: 1 / perN,
    sizeUnit: formula.unit === 'MPa' ? 'mm²' : 'mm',
    capped,
    other: otherGeometry(brief.geometry, test),
    factors,
    notTested: factors.flatMap(({ words, basis, met }) => (basis === 'measured' || met ? [] : [words])),
  }
}
