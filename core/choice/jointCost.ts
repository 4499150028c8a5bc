import { cost, WASTE, type CostResult } from '../costs/cost'
import { hasPrice, isFleeting, packOf } from '../costs/pack'
import type { Family } from '../knowledge/families'
import { glueShare, type OtherPart } from '../planning/mix'
import { handsOnMinutes } from '../planning/steps'
import type { Brief } from '../records/joint'
import type { Procedure } from '../records/procedure'
import type { Adhesive } from '../records/shelf'

/** Cost of one joint, and what else is laid on that is not in it, since nothing says what a pack of it costs. */
export interface JointCost extends CostResult {
  unpriced: string[]
  /** its glue does not keep once opened: whole packs are in perJoint and total */
  whole: boolean
}

type Known = OtherPart['known']
const isPriced = (known: Known): known is NonNullable<Known> => !!known && hasPrice(known.product, known.family)

/** A pack that does not keep is paid for whole, by the joints that are glued with it. */
const each = (one: CostResult, family: Family): number => (isFleeting(family) ? one.perJointWithRest : one.perJoint)

/**
 * Cost of one real joint with a procedure (methods.md 8); null while its size or the price of its glue is open.
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
  if (brief.widthMm === null || brief.lengthMm === null || !hasPrice(product, family)) return null
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
    if (!isPriced(known)) return []
    const faces = (family.faces === 'both' ? 2 : 1) / (known.family.faces === 'both' ? 2 : 1)
    const pack = packOf(known.product, known.family)
    const adhesive = { family: known.family.id, ...pack, spreadGm2: spread * share * faces }
    return { family: known.family, cost: cost({ ...shared, adhesive }) }
  })
  const sum = (pick: (one: CostResult) => number) => parts.reduce((total, one) => total + pick(one.cost), pick(own))
  const perJoint = each(own, family) + parts.reduce((total, part) => total + each(part.cost, part.family), 0)
  return {
    perJoint,
    glueG: sum((one) => one.glueG),
    packs: sum((one) => one.packs),
    total: shared.joints * perJoint,
    packsPrice: sum((one) => one.packsPrice),
    perJointWithRest: sum((one) => one.perJointWithRest),
    glueCost: sum((one) => one.glueCost),
    workCost: own.workCost,
    whole: isFleeting(family),
    unpriced: others.filter(({ known }) => !isPriced(known)).map(({ name }) => name),
  }
}
