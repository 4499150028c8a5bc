import { testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'

/** One piece of one side of a coupon: across and along the pull. */
export interface Piece {
  side: 'a' | 'b'
  widthMm: number
  lengthMm: number
}

/** Area that is glued on one coupon of a test, mm². */
export const bondedAreaOf = (test: TestId, size: CouponSize): number => testKinds[test].bondedMm2(size)

/** The two pieces of one coupon: its bonded part, and what is held. */
export function piecesOf(test: TestId, size: CouponSize): [Piece, Piece] {
  const piece = testKinds[test].piece(size)
  return [
    { side: 'a', ...piece },
    { side: 'b', ...piece },
  ]
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
