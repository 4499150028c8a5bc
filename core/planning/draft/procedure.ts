import { familyOf, isFamily } from '../../knowledge/families'
import type { Procedure, Step } from '../../records/round'
import { judged, type Candidate, type Setting } from '../../screening/shortlist'
import { productFamily } from '../../situation/label'
import { draftSteps } from './draft'

/** What a procedure is glued with. */
export type Glued = Pick<Procedure, 'family' | 'adhesive' | 'helpers'>

/** The glue of a procedure as the advice judges it in its joint; null where its family is gone. */
export function adviceOn({ family, adhesive, helpers }: Glued, setting: Setting): Candidate | null {
  const product = setting.adhesives.find(({ id }) => id === adhesive) ?? null
  if (!product && !isFamily(family)) return null
  return judged(product ? productFamily(product) : familyOf(family), product, setting, { helpers })
}

/** The standard procedure of a glue in a joint: its usual way, and what the advice asks for. */
export function draftOf(glued: Glued, setting: Setting): Step[] {
  const advice = adviceOn(glued, setting)
  return advice ? draftSteps(advice.situation, advice.screening.reasons) : []
}
