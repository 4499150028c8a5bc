import type { MaterialClass } from '../knowledge/materials'
import { typicalStrength } from '../knowledge/strengths'

/** Tests whose size can be worked out. */
export const couponTests = ['lap-shear', 'peel', 'tension'] as const
export type CouponTest = (typeof couponTests)[number]

/**
 * Bond strength from a weak to a strong piece: ± 1.645 σ, σ the coefficient of variation taken as that of ln strength
 * (90 %).
 */
const SPREAD = 1.645

export interface Side {
  name: 'a' | 'b'
  material: MaterialClass
  thicknessMm: number
}
/**
 * Bond of the pair from weak to strong, MPa or N/mm, and what the material right beside the bond carries on each side.
 */
export interface Bond {
  low: number
  high: number
  cap: Record<'a' | 'b', number>
}

export function bondOf(sides: readonly [Side, Side], family: string, peel: boolean): Bond {
  const rows = sides.map(({ material }) => typicalStrength(material.id, family)!)
  const of = (row: (typeof rows)[number]) => (peel ? row.peelNPerMm : row.bondMPa)
  const shown = (row: (typeof rows)[number]) => (peel ? row.observedPeelNPerMm : row.observedMPa)
  // The lower of the two faces counts; its spread with it.
  const weaker = of(rows[0]!) <= of(rows[1]!) ? rows[0]! : rows[1]!
  const cap = (row: (typeof rows)[number]) => (shown(row) < of(row) ? shown(row) : Infinity)
  return {
    low: of(weaker) * Math.exp(-SPREAD * weaker.cv),
    high: of(weaker) * Math.exp(SPREAD * weaker.cv),
    cap: { a: cap(rows[0]!), b: cap(rows[1]!) },
  }
}
