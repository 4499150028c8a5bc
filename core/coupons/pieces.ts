import type { CouponSize } from '../readings/strength'
import type { TestId } from '../readings/tests'

/** Lengths that no strength depends on: what a hook, a vice and a hand need. mm */
export const GRIP_MM = 40
export const PEEL_BOND_MM = 100
export const PEEL_TAB_MM = 50
/** A drop of glue, spread by itself. mm² */
const SPOT_MM2 = 100
const FLEX_MM = { width: 25, length: 80 }

/** One piece of one side of a coupon: across and along the pull. */
export interface Piece {
  side: 'a' | 'b'
  widthMm: number
  lengthMm: number
}

const w = (size: CouponSize, usual = 25) => size.widthMm ?? usual

/** Area that is glued on one coupon of a test, mm². */
export function bondedAreaOf(test: TestId, size: CouponSize): number {
  switch (test) {
    case 'lap-shear':
      return w(size) * (size.overlapMm ?? 12)
    case 'tension':
      return size.areaMm2 ?? 400
    case 't-peel':
    case 'peel-180':
    case 'peel-90':
      return w(size) * PEEL_BOND_MM
    case 'cleavage':
      return w(size) * 25
    case 'torsion-round':
    case 'snap-round':
      return (Math.PI * (size.diameterMm ?? 10) ** 2) / 4
    case 'torsion-ring':
      return (Math.PI * ((size.diameterMm ?? 20) ** 2 - (size.innerDiameterMm ?? 14) ** 2)) / 4
    case 'torsion-rect':
    case 'snap-rect':
      return w(size, 20) * (size.thicknessMm ?? 5)
    case 'bend':
    case 'flex':
      return FLEX_MM.width * FLEX_MM.length
    case 'drop':
    case 'looks':
      return w(size) * 25
    case 'proof':
      return w(size) * (size.overlapMm ?? 12)
    case 'spot':
      return SPOT_MM2
    case 'work':
      return 40 * 100
  }
}

/** The pieces of one coupon: its bonded part, and what is held. */
export function piecesOf(test: TestId, size: CouponSize): Piece[] {
  const both = (widthMm: number, lengthMm: number): Piece[] => [
    { side: 'a', widthMm, lengthMm },
    { side: 'b', widthMm, lengthMm },
  ]
  switch (test) {
    case 'lap-shear':
      return both(w(size), (size.overlapMm ?? 12) + GRIP_MM)
    case 'tension': {
      const side = Math.max(20, Math.ceil(Math.sqrt(size.areaMm2 ?? 400)))
      return both(side, side)
    }
    case 't-peel':
    case 'peel-180':
    case 'peel-90':
      return both(w(size), PEEL_BOND_MM + PEEL_TAB_MM)
    case 'cleavage':
    case 'drop':
      return both(w(size), 25 + GRIP_MM / 2)
    case 'torsion-round':
    case 'snap-round':
      return both(size.diameterMm ?? 10, (size.spanMm ?? 80) / 2 + 10)
    case 'torsion-ring':
      return both(size.diameterMm ?? 20, 40)
    case 'torsion-rect':
      return both(w(size, 20), 50)
    case 'snap-rect':
      return both(w(size, 20), (size.spanMm ?? 80) / 2 + 10)
    case 'bend':
    case 'flex':
      return both(FLEX_MM.width, FLEX_MM.length)
    case 'proof':
      return both(w(size), (size.overlapMm ?? 12) + GRIP_MM)
    case 'spot':
      return both(40, 40)
    case 'work':
      return both(40, 100)
    case 'looks':
      return both(25, 25)
  }
}

/** Spares to cut: a tenth, at least one (methods.md 5). */
export const withSpares = (count: number): number => count + Math.max(1, Math.ceil(count / 10))

export interface CutLine extends Piece {
  /** pieces needed, and with spares */
  needed: number
  count: number
}

/** What is to be cut: like pieces of one side counted together, the larger ones first. */
export function cutList(arms: readonly { test: TestId; size: CouponSize }[], couponsAnArm: number): CutLine[] {
  const lines = new Map<string, CutLine>()
  for (const { test, size } of arms)
    for (const piece of piecesOf(test, size)) {
      const key = `${piece.side} ${piece.widthMm} ${piece.lengthMm}`
      const line = lines.get(key) ?? { ...piece, needed: 0, count: 0 }
      lines.set(key, { ...line, needed: line.needed + couponsAnArm })
    }
  return [...lines.values()]
    .map((line) => ({ ...line, count: withSpares(line.needed) }))
    .sort((x, y) => x.side.localeCompare(y.side) || y.widthMm * y.lengthMm - x.widthMm * x.lengthMm)
}
