import { familyOf } from '../knowledge/families'
import { formulaOf, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import { bondOf, type Side } from './bond'
import { armCarries } from './peelSize'

/** What a coupon is expected to show, from a weak to a strong piece, in the unit of its test. */
export interface Expected {
  low: number
  high: number
  /** what the material right beside the bond carries on each side; Infinity where the bond lets go before it */
  cap: Record<'a' | 'b', number>
}

/** A solid gives way in shear at this share of its tensile strength (von Mises: 1/√3). */
const SHEAR_SHARE = 1 / Math.sqrt(3)

/**
 * From the typical strengths of the pair, the lower of the two faces with its spread (methods.md, Coupon size). Twist
 * and snap are foretold by the bond's strength as the stress at the rim of the section.
 * @returns null where the test weighs no load, or nothing is known of the family
 * @throws CodedError not-one-of
 */
export function expectedOf(test: TestId, sides: readonly [Side, Side], family: string): Expected | null {
  const { foretold } = testKinds[test]
  if (!foretold || family === 'unknown') return null
  const { low, high, cap } = bondOf(sides, familyOf(family).id, foretold.by === 'peel')
  const times = (n: number) => n * foretold.times
  return { low: times(low), high: times(high), cap: { a: times(cap.a), b: times(cap.b) } }
}

/** What one newton is on a coupon, in the unit of its test; null where a size is missing. */
export function perNewton(test: TestId, size: CouponSize): number | null {
  try {
    return formulaOf(test)?.strength(1, size) ?? null
  } catch {
    return null
  }
}

/** Load expected on a coupon, N, from a weak to a strong piece; a part may carry less than the bond. */
export function expectedN(
  test: TestId,
  size: CouponSize,
  sides: readonly [Side, Side],
  family: string,
): [low: number, high: number] | null {
  const expected = expectedOf(test, sides, family)
  const perN = perNewton(test, size)
  if (!expected || !perN) return null
  const most = Math.min(
    ...sides.map((side) => Math.min(expected.cap[side.name] / perN, partCarriesN(test, size, side))),
  )
  return [Math.min(expected.low / perN, most), Math.min(expected.high / perN, most)]
}

/**
 * Load at which a part of a coupon gives way away from the bond, N: across its section in a lap or a straight pull, its
 * arm in a peel, bent off in prising, through its own section in twist and snap.
 */
export function partCarriesN(test: TestId, size: CouponSize, side: Side): number {
  const { material, thicknessMm } = side
  const { tensileMPa, acrossMPa } = material
  const shearMPa = material.shearMPa ?? SHEAR_SHARE * tensileMPa
  const { widthMm, lengthMm } = testKinds[test].piece(size)
  // A sheet that is gripped along its whole height has no nick to tear from: it breaks across it.
  if (test === 'page-pull') return tensileMPa * widthMm * thicknessMm
  const id = formulaOf(test)?.id
  switch (id) {
    case 'lap-shear':
    case 'edge-pull':
      return tensileMPa * widthMm * thicknessMm
    case 'edge-shear':
      return shearMPa * widthMm * thicknessMm
    case 'tension':
      // What splits between plies or along the grain does so under the glued spot, whatever lies beside it.
      return acrossMPa === null ? tensileMPa * widthMm * lengthMm : acrossMPa * testKinds[test].bondedMm2(size)
    case 'peel':
      return material.flexible ? armCarries(side, widthMm).n : Infinity
    case 'cleavage':
      return (tensileMPa * widthMm * thicknessMm ** 2) / (6 * testKinds[test].bondLengthMm(size))
    case undefined:
      return Infinity
    default: {
      const perN = perNewton(test, size)
      const own = id.startsWith('torsion') ? shearMPa : tensileMPa
      return perN ? own / perN : Infinity
    }
  }
}
