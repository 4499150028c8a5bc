import { down, called, gaugeTrouble, no, OVERLAP, PART_SHARE, tearsFirst, tornAtTheBond, type Plan } from './plan'
import { figureOf } from '../quantities/figure'

/** A square spot on a square block: spot × σ of the bond against 0.7 of what the section carries. */
export const tension: Plan = (sides, bond, widthMm, span) => {
  const torn = tornAtTheBond(sides, bond)
  if (torn)
    return no(torn.name, tearsFirst(torn, 'MPa', bond.cap[torn.name], 'Or back it with board and take a peel instead.'))
  const shares = sides.map((one) => ({ one, share: (PART_SHARE * one.material.tensileMPa) / bond.high }))
  const tightest = shares.reduce((x, y) => (y.share < x.share ? y : x))
  const most = down(widthMm * Math.sqrt(Math.min(1, tightest.share)))
  const byGauge = down(Math.sqrt(span[1] / bond.high))
  const spot = Math.min(most, byGauge)
  const at = (mm: number): [number, number] => [mm * mm * bond.low, mm * mm * bond.high]
  if (most < OVERLAP.least)
    return no(
      tightest.one.name,
      [
        `The material will tear first: ${called(tightest.one)} allows a spot of ${figureOf(most)} mm on a ` +
          `block of ${widthMm} mm.`,
        'Take a wider block or a peel, or stop at a proof load.',
      ],
      { widthMm, overlapMm: OVERLAP.least, expectedN: at(OVERLAP.least) },
    )
  const expectedN = at(Math.max(OVERLAP.least, spot))
  if (spot < OVERLAP.least || expectedN[0] < span[0])
    return no('bond', gaugeTrouble(...expectedN, span), {
      widthMm,
      overlapMm: Math.max(OVERLAP.least, spot),
      expectedN,
    })
  return {
    possible: true,
    widthMm,
    overlapMm: spot,
    expectedN,
    weakest: 'bond',
    advice:
      spot < widthMm
        ? [
            `Glue a square spot of ${spot} mm on a block of ${widthMm} mm, masked round it, so that the foam ` +
              'or part does not tear.',
          ]
        : ['Back soft parts with board so that they pull flat.'],
  }
}
