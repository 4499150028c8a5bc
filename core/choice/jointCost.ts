import { cost, type CostResult } from '../costs/cost'
import { packOf } from '../costs/pack'
import type { Family } from '../knowledge/families'
import { WASTE } from '../planning/needs'
import { handsOnMinutes } from '../planning/steps'
import type { Brief } from '../records/joint'
import type { Procedure } from '../records/round'
import type { Adhesive } from '../records/shelf'

/**
 * Cost of one real joint with a procedure (methods.md 8); null while its size is open.
 * @param family the procedure's, with the label's values over it
 * @param product what stands on the shelf; without it the tables' pack is counted
 * @param ratePerHour what an hour of the maker's work is worth
 */
export function jointCost(
  brief: Brief,
  procedure: Procedure,
  family: Family,
  product: Pick<Adhesive, 'packSize' | 'packUnit' | 'packPrice'> | null,
  ratePerHour: number,
): CostResult | null {
  if (brief.widthMm === null || brief.lengthMm === null) return null
  return cost({
    adhesive: {
      family: procedure.family,
      ...packOf(product, family),
      spreadGm2: procedure.spreadGm2 ?? family.spreadGm2,
    },
    areaCm2: (brief.widthMm * brief.lengthMm) / 100,
    coats: procedure.coats,
    waste: WASTE,
    minutes: handsOnMinutes(procedure.steps),
    ratePerHour,
    joints: brief.count ?? 1,
  })
}
