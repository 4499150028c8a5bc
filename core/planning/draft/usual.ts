import type { Family } from '../../knowledge/families'
import type { MaterialClass } from '../../knowledge/materials'
import type { Helper } from '../../knowledge/vocabulary'
import { openBrief } from '../../records/openBrief'
import type { Step } from '../../records/procedure'
import { situationOf } from '../../situation/situation'
import { draftSteps } from './draft'

/** The usual steps of a glue on two faces of which nothing else is known: no room, no size, no advice. */
export const usualSteps = (
  family: Family,
  a: MaterialClass | null,
  b: MaterialClass | null,
  helpers: readonly Helper[] = [],
): Step[] => draftSteps(situationOf(openBrief(), a, b, family, { helpers }))
