import type { Family } from '../knowledge/families'
import type { Brief } from '../records/joint'
import type { Exposure } from '../records/round'
import { formulaOf, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import { jointSize, requiredLoad, strengthPerN } from '../loads/requirement'

/**
 * A rigid glue's long overlap carries at its ends only: what counts is at most this many times the tested overlap
 * (methods.md 9).
 */
export const OVERLAP_CAP = 3

export interface Margin {
  /** what the real joint is expected to hold: weak joint, lower bound × real bonded size, N */
  holdsN: number
  requiredN: number
  times: number
  /** mm² or mm that the strength was multiplied by; for twist and snap what its formula makes of sizes and lever */
  bondedSize: number
  sizeUnit: 'mm²' | 'mm'
  /** the real overlap is longer than a rigid glue can use */
  capped: boolean
  /** what the brief names and no coupon has met; the margin does not count on it */
  notTested: string[]
}

interface Named {
  words: string
  /** whether an exposure of coupons answers it */
  metBy: (exposure: Exposure) => boolean
}

function surroundings(brief: Brief): Named[] {
  const { heatC, coldC, water, life } = brief
  const out: Named[] = []
  if (heatC !== null && heatC > 30)
    out.push({ words: `${heatC} °C`, metBy: ({ kind, amount }) => kind === 'heat' && amount >= heatC })
  if (coldC !== null && coldC < 5)
    out.push({
      words: `${String(coldC).replace('-', '−')} °C cold`,
      metBy: ({ kind, amount }) => kind === 'cold' && amount <= coldC,
    })
  // Soaking answers every water, washing all but soaking.
  if (water !== null && water !== 'no')
    out.push({
      words: { splash: 'splashes', wash: 'washing or rain', soak: 'soaking' }[water],
      metBy: ({ kind }) => kind === 'soak' || (kind === 'wash' && water !== 'soak'),
    })
  // No test of weeks answers for years.
  if (life === 'years') out.push({ words: 'years', metBy: () => false })
  return out
}

/**
 * Surroundings that the brief names, in words.
 * @param met exposures that the procedure's coupons were pulled after: what they answer is left out
 */
export const exposuresNamed = (brief: Brief, met: readonly Exposure[] = []): string[] =>
  surroundings(brief).flatMap(({ words, metBy }) => (met.some(metBy) ? [] : [words]))

/**
 * Margin of the real joint over its required load.
 * @param weakLow 5 % lower bound of the weak joint's strength, in the unit of the test
 * @param tested the coupon's size
 * @param met exposures that were pulled as well: what they answer is not called untested
 * @returns null where load, size or lever is open, or the test weighs no load
 */
export function marginOf(
  brief: Brief,
  test: TestId,
  weakLow: number,
  tested: CouponSize,
  family: Family,
  met: readonly Exposure[] = [],
): Margin | null {
  const required = requiredLoad(brief)
  const formula = formulaOf(test)
  if (!required || required.n === 0 || !formula) return null
  const size = jointSize(brief)
  const { endsCarry } = testKinds[test]
  const cap = endsCarry && family.flex === 'rigid' && tested.overlapMm ? OVERLAP_CAP * tested.overlapMm : Infinity
  const capped = (size.overlapMm ?? 0) > cap
  const perN = strengthPerN(brief, test, capped ? { ...size, overlapMm: cap } : size)
  if (perN === null) return null
  const holdsN = weakLow / perN
  return {
    holdsN,
    requiredN: required.n,
    times: holdsN / required.n,
    bondedSize: 1 / perN,
    sizeUnit: formula.unit === 'MPa' ? 'mm²' : 'mm',
    capped,
    notTested: exposuresNamed(brief, met),
  }
}
