import { measured } from '../quantities/betterUnit'
import { figureOf } from '../quantities/figure'
import type { Bond, CouponTest, Side } from './bond'

export interface CouponQuestion {
  test: CouponTest
  a: string
  aThicknessMm?: number | null
  b: string
  bThicknessMm?: number | null
  adhesive: string
  /** what the force is read with */
  gauge: { limitN: number; resolutionN: number }
  /** the width wished for; a narrower or wider one is taken where it alone works */
  widthMm?: number | null
}

export interface CouponAnswer {
  /** a size exists at which the bond is expected to fail first, at a load that the gauge reads well */
  possible: boolean
  /** of the strip, or of the square block for a straight pull; null where no size is worth cutting */
  widthMm: number | null
  /** lap: length of the overlap; straight pull: side of the square bonded spot; peel: none */
  overlapMm: number | null
  /** load expected, N, from a weak to a strong piece */
  expectedN: [low: number, high: number] | null
  /** what is expected to give way first at this size */
  weakest: 'bond' | 'a' | 'b'
  advice: string[]
}

/**
 * The part must carry at least this much more than the strongest bond: load ≤ 0.7 × what the part carries (methods.md
 * 5).
 */
export const PART_SHARE = 0.7
/** The gauge reads well from 20 times its step to 0.8 of its limit (methods.md 5). */
export const STEPS_AT_LEAST = 20
export const LIMIT_SHARE = 0.8
/** What hands can place, and what a lap needs no more than. */
export const OVERLAP = { least: 3, most: 25 }
export const WIDTHS = [25, 20, 15, 12, 10, 30, 40, 50]
const GRID_MM = 0.5

export const down = (mm: number): number => Math.floor(mm / GRID_MM + 1e-9) * GRID_MM

/** Plans one width of a coupon. @param span the loads that the gauge reads well, N */
export type Plan = (
  sides: readonly [Side, Side],
  bond: Bond,
  widthMm: number,
  span: readonly [number, number],
) => CouponAnswer

export const no = (
  weakest: CouponAnswer['weakest'],
  advice: string[],
  rest: Partial<CouponAnswer> = {},
): CouponAnswer => ({
  possible: false,
  widthMm: null,
  overlapMm: null,
  expectedN: null,
  weakest,
  advice,
  ...rest,
})
export const called = ({ name, material }: Side) => `side ${name.toUpperCase()}, ${material.name},`

/** The material right beside the bond gives way before a strong bond does, whatever the size. */
export function tornAtTheBond(sides: readonly [Side, Side], bond: Bond): Side | null {
  const soft = sides.filter(({ name }) => bond.cap[name] < bond.high)
  return soft.sort((x, y) => bond.cap[x.name] - bond.cap[y.name])[0] ?? null
}
export const tearsFirst = (side: Side, unit: string, cap: number, instead: string): string[] => [
  `The material will tear first: ${called(side)} carries about ${figureOf(cap)} ${unit} beside the bond, less ` +
    'than this glue gives.',
  'That is itself the answer: the joint is as good as its part. Stop at a proof load, required load times a ' +
    'factor, held for a time.',
  instead,
]

export function gaugeTrouble(low: number, high: number, span: readonly [number, number]): string[] {
  const out: string[] = []
  if (high > span[1])
    out.push(
      `The gauge ends at ${measured(span[1] / LIMIT_SHARE, 'N')} and up to ${measured(high, 'N')} are expected: take ` +
        `one to ${measured(high / LIMIT_SHARE, 'N')}, a lever, or hung weights.`,
    )
  if (low < span[0])
    out.push(
      `Weak pieces let go near ${measured(low, 'N')} and the gauge reads well from ${measured(span[0], 'N')} only: ` +
        'take a finer one, such as a kitchen scale or water in a bucket.',
    )
  return out
}
