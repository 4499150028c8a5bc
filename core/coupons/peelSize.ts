import { measured } from '../quantities/betterUnit'
import { figureOf } from '../quantities/figure'
import type { Side } from './bond'
import { called, gaugeTrouble, no, PART_SHARE, tearsFirst, tornAtTheBond, type Plan } from './plan'

/** How the free arm of a peel strip gives way. */
type ArmFailure = 'tension' | 'slip' | 'tear'
const armWords: Record<ArmFailure, string> = { tension: 'break', slip: 'pull out of its weave', tear: 'tear' }

/**
 * What the free arm of a peel strip carries, N, and how it gives way. Pulled along its length it breaks across its
 * whole width (tensile × width × thickness). A weave may let go before that, its yarns sliding out at the cut edges
 * (seam slip × width). Only what has no fibres along it, foam, film and paper, runs on from a nick (tear ×
 * thickness); cloth and leather do not: their trouser tear says nothing of a straight pull.
 */
export function armCarries({ material, thicknessMm }: Side, widthMm: number): { n: number; by: ArmFailure } {
  const ways: { n: number; by: ArmFailure }[] = [
    { by: 'tension', n: material.tensileMPa * widthMm * thicknessMm },
    { by: 'slip', n: material.seamSlipNPerMm === null ? Infinity : material.seamSlipNPerMm * widthMm },
    { by: 'tear', n: material.tearNPerMm === null ? Infinity : material.tearNPerMm * thicknessMm },
  ]
  return ways.reduce((x, y) => (y.n < x.n ? y : x))
}

/** A strip as wide as is wished; the arm that bends must carry more than the bond. */
export const peel: Plan = (sides, bond, widthMm, span) => {
  const arms = sides.filter(({ material }) => material.flexible)
  if (!arms.length)
    return no('bond', ['Neither side bends, so nothing can be peeled: prise it open (cleavage) or take lap shear.'])
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(
      torn.name,
      tearsFirst(torn, 'N/mm', bond.cap[torn.name], 'Or line its back with cloth tape, so that it cannot tear.'),
    )
  const high = bond.high * widthMm
  const expectedN: [number, number] = [bond.low * widthMm, high]
  const carries = arms.map((one) => ({ one, ...armCarries(one, widthMm) }))
  const weak = carries.reduce((x, y) => (y.n < x.n ? y : x))
  const here = { widthMm, expectedN }
  if (high > PART_SHARE * weak.n)
    return no(
      weak.one.name,
      [
        `The arm will ${armWords[weak.by]} first: ${called(weak.one)} ${figureOf(weak.one.thicknessMm)} mm thick, ` +
          `carries about ${measured(PART_SHARE * weak.n, 'N')} of the ${measured(high, 'N')} expected.`,
        'Line its back with cloth tape or a glued strip, take a narrower strip, or stop at a proof load.',
      ],
      here,
    )
  const trouble = gaugeTrouble(...expectedN, span)
  return trouble.length
    ? { ...no('bond', trouble, here) }
    : { possible: true, widthMm, overlapMm: null, expectedN, weakest: 'bond', advice: [] }
}
