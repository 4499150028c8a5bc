import type { RatioSummary } from './analyse'

/** The same comparison seen from the other side: quantiles of 1/r are those of r, turned round. */
const turned = (ratio: RatioSummary): RatioSummary => ({
  of: ratio.to,
  to: ratio.of,
  median: 1 / ratio.median,
  low90: 1 / ratio.high90,
  high90: 1 / ratio.low90,
  pGreater: 1 - ratio.pGreater,
  toldApart: ratio.toldApart,
})

/** Every comparison of one procedure with another, as how many times stronger it is than the other. */
export const ratiosFrom = (procedure: string, ratios: readonly RatioSummary[]): RatioSummary[] =>
  ratios
    .filter(({ of, to }) => of === procedure || to === procedure)
    .map((ratio) => (ratio.of === procedure ? ratio : turned(ratio)))
