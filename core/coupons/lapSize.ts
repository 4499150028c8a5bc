import { figureOf } from '../quantities/figure'
import { called, down, gaugeTrouble, no, OVERLAP, PART_SHARE, tearsFirst, tornAtTheBond } from './plan'
import type { CouponAnswer, Plan } from './plan'

/** As long a lap as parts and gauge allow: longer ones are easier to place and to measure. */
export const lap: Plan = (sides, bond, widthMm, span) => {
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(
      torn.name,
      tearsFirst(torn, 'MPa', bond.cap[torn.name], 'Or glue a stiff backing strip on it and test the other face.'),
    )
  // Load per mm of width: τ·L against what a strip carries, σ·t.
  const longest = sides.map((one) => ({
    one,
    mm: (PART_SHARE * one.material.tensileMPa * one.thicknessMm) / bond.high,
  }))
  const tightest = longest.reduce((x, y) => (y.mm < x.mm ? y : x))
  const most = down(Math.min(OVERLAP.most, tightest.mm))
  const fits = (mm: number): CouponAnswer => {
    const expectedN: [number, number] = [widthMm * mm * bond.low, widthMm * mm * bond.high]
    return { possible: true, widthMm, overlapMm: mm, expectedN, weakest: 'bond', advice: [] }
  }
  if (most < OVERLAP.least)
    return no(
      tightest.one.name,
      [
        `The material will tear first: ${called(tightest.one)} ${figureOf(tightest.one.thicknessMm)} mm thick, ` +
          `allows an overlap of ${figureOf(tightest.mm)} mm, too short to place by hand.`,
        `Take ${figureOf((OVERLAP.least * bond.high) / (PART_SHARE * tightest.one.material.tensileMPa))} mm or ` +
          'more, or glue a backing strip on it; else stop at a proof load.',
        'A peel or a straight pull on a small spot may do instead.',
      ],
      { widthMm, overlapMm: OVERLAP.least, expectedN: fits(OVERLAP.least).expectedN },
    )
  // As long as the parts and the gauge allow: longer laps are easier to place and measure.
  const byGauge = down(span[1] / (widthMm * bond.high))
  const overlapMm = Math.min(most, byGauge)
  const least = span[0] / (widthMm * bond.low)
  if (overlapMm < OVERLAP.least || overlapMm < least) {
    const tried = fits(Math.max(OVERLAP.least, Math.min(most, byGauge)))
    return { ...tried, possible: false, advice: gaugeTrouble(...tried.expectedN!, span) }
  }
  return fits(overlapMm)
}
