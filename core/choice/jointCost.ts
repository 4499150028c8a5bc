import { cost, WASTE, type CostResult } from '../costs/cost'
import { packOf } from '../costs/pack'
import type { Family } from '../knowledge/families'
import { glueShare, type OtherPart } from '../planning/mix'
import { handsOnMinutes } from '../planning/steps'
import type { Brief } from '../records/joint'
import type { Procedure } from '../records/procedure'
import type { Adhesive } from '../records/shelf'

/** Cost of one joint, and the parts of a blend that are not in it, since nothing is known of their packs. */
export interface JointCost extends CostResult {
  unpriced: string[]
}

/**
 * Cost of one real joint with a procedure (methods.md 8); null while its size is open.
 * @param family the procedure's, with the label's values over it
 * @param product what stands on the shelf; without it the tables' pack is counted
 * @param ratePerHour what an hour of the maker's work is worth
 * @param others what else its blend is stirred from
 */
export function jointCost(
  brief: Brief,
  procedure: Procedure,
  family: Family,
  product: Pick<Adhesive, 'packSize' | 'packUnit' | 'packPrice'> | null,
  ratePerHour: number,
  others: readonly OtherPart[] = [],
): JointCost | null {
  if (brief.widthMm === null || brief.lengthMm === null) return null
  const spread = procedure.spreadGm2 ?? family.spreadGm2
  const shared = {
    areaCm2: (brief.widthMm * brief.lengthMm) / 100,
    coats: procedure.coats,
    waste: WASTE,
    joints: brief.count ?? 1,
  }
  const own = cost({
    ...shared,
    adhesive: { family: family.id, ...packOf(product, family), spreadGm2: spread * glueShare(procedure) },
    minutes: handsOnMinutes(procedure.steps),
    ratePerHour,
  })
  // What is laid on of each part is its share of the spread on as many faces as the first part is laid on.
  const parts = others.flatMap(({ share, known }) => {
    if (!known) return []
    const faces = (family.faces === 'both' ? 2 : 1) / (known.family.faces === 'both' ? 2 : 1)
    const pack = packOf(known.product, known.family)
    return cost({ ...shared, adhesive: { family: known.family.id, ...pack, spreadGm2: spread * share * faces } })
  })
  const sum = (pick: (one: CostResult) => number) => parts.reduce((total, one) => total + pick(one), pick(own))
  return {
    perJoint: sum((one) => one.perJoint),
    glueG: sum((one) => one.glueG),
    packs: sum((one) => one.packs),
    total: sum((one) => one.total),
    packsPrice: sum((one) => one.packsPrice),
    perJointWithRest: sum((one) => one.perJointWithRest),
    glueCost: sum((one) => one.glueCost),
    workCost: own.workCost,
    unpriced: others.filter(({ known }) => !known).map(({ name }) => name),
  }
}
