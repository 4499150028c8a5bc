import { familyOf, isFamily } from '../../knowledge/families'
import type { SecondGlue } from '../../situation/situation'
import type { Procedure, Second, Step } from '../../records/procedure'
import { judged, type Candidate, type Setting } from '../../screening/shortlist'
import { productFamily } from '../../situation/label'
import { demandsOf } from './answers'
import { draftSteps, type Demanded } from './draft'
import type { Slot } from './slots'

/** What a procedure is glued with. */
export type Glued = Pick<Procedure, 'family' | 'adhesive' | 'helpers' | 'second'>

/** The glue of a procedure as the advice judges it in its joint; null where its family is gone. */
export function adviceOn({ family, adhesive, helpers, second }: Glued, setting: Setting): Candidate | null {
  const known = glueOf({ family, adhesive }, setting)
  return known && judged(known.family, known.product, setting, { helpers, second: second && secondOf(second, setting) })
}

/** The second glue of a procedure as the advice judges it in the same joint; null where there is none. */
export const adviceOnSecond = ({ second }: Glued, setting: Setting): Candidate | null =>
  second ? adviceOn({ family: second.family, adhesive: second.adhesive, helpers: [] }, setting) : null

function glueOf({ family, adhesive }: Pick<Glued, 'family' | 'adhesive'>, { adhesives }: Pick<Setting, 'adhesives'>) {
  const product = adhesives.find(({ id }) => id === adhesive) ?? null
  if (!product && !isFamily(family)) return null
  return { family: product ? productFamily(product) : familyOf(family), product }
}

/** A second glue with what the shelf and the tables know of it; null where neither does. */
export function secondOf(second: Second, shelf: Pick<Setting, 'adhesives'>): SecondGlue | null {
  const known = glueOf(second, shelf)
  const { role, where } = second
  return known && { family: known.family, name: known.product?.name ?? known.family.name, role, where }
}

/** Where the advice on a second glue asks for something before either is laid on. */
const BEFORE: ReadonlySet<Slot> = new Set(['ready', 'prepare-a', 'prepare-b', 'try', 'mask'])
const besideDemands = ({ situation, screening }: Candidate): Demanded[] =>
  screening.reasons
    .flatMap((reason) => demandsOf(situation, reason).map((demand) => ({ ...demand, rule: reason.rule })))
    .filter(({ at }) => BEFORE.has(at))

/** The standard procedure of a glue in a joint: its usual way, and what the advice asks for. */
export function draftOf(glued: Glued, setting: Setting): Step[] {
  const advice = adviceOn(glued, setting)
  if (!advice) return []
  const beside = adviceOnSecond(glued, setting)
  return draftSteps(advice.situation, advice.screening.reasons, beside ? besideDemands(beside) : [])
}
