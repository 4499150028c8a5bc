import { laidHot, mayBurn } from '../../care/heat'
import { inSentence } from '../../quantities/inSentence'
import { GUN_WARMS_S } from '../mixing'
import type { Family } from '../../knowledge/families'
import type { SecondRole } from '../../records/procedure'
import type { SecondGlue, Situation } from '../../situation/situation'
import type { Demand } from './slots'

/** What a second glue may do in a joint, as makers put it, and how much of the face it usually takes, 0…1. */
export const secondRoles: Record<SecondRole, { word: string; gloss: string; share: number }> = {
  'first-coat': { word: 'as a first coat on both faces', gloss: 'It seals or primes, and dries first', share: 1 },
  rim: { word: 'along the rim, once closed', gloss: 'Thin glue that wicks in after the gel, or a fillet', share: 0.1 },
  part: { word: 'on a part of the joint', gloss: 'Such as the cover, beside another glue for the pages', share: 0.5 },
}

const AFTER_FUMES = 'in another place, once the first glue is dry and the air is clear'

/** Where the second glue goes on, and what it asks for there. */
function laid({ family, name, role, where }: SecondGlue, first: Family): Demand {
  const glue = inSentence(name)
  if (laidHot(family) && mayBurn(first.hazards))
    return { at: role === 'rim' ? 'fillet' : 'fit', text: `The second glue goes on apart, ${AFTER_FUMES}` }
  switch (role) {
    case 'first-coat':
      return {
        at: 'prime',
        text: `First a thin coat of ${glue} on both faces; let it dry`,
        minS: Math.max(family.waitMinS, family.handlingS),
      }
    case 'rim':
      return {
        at: 'fillet',
        text:
          family.form === 'thin'
            ? `Let ${glue} wick in along the rim, a drop at a time`
            : `Run ${glue} along the rim, a little at a time`,
        minS: family.holdS,
      }
    case 'part':
      return { at: 'apply', text: `${name} on ${where || 'its own part'}, before it is closed` }
  }
}

/**
 * What a second glue adds to a procedure: where it is laid on, its mix or gun, and a cure that waits for the slower of
 * the two. Beside a wet film that may burn no gun is switched on before it is dry.
 */
export function secondDemands(s: Situation): Demand[] {
  if (!s.second) return []
  const { family, name } = s.second
  const glue = inSentence(name)
  const demands: Demand[] = [laid(s.second, s.family), { at: 'cure', text: '', minS: family.fullS }]
  if (family.mechanism === 'two-part')
    demands.push({ at: 'mix', text: `Mix ${glue} afresh when its turn comes, until no streak is left` })
  if (family.traits.includes('gun'))
    demands.push(
      mayBurn(s.family.hazards)
        ? { at: 'ready', text: 'Leave the gun for the second glue cold until the first is dry and the air is clear' }
        : {
            at: 'ready',
            text: `Switch the gun for ${glue} on, on its stand, a heat-proof sheet under it`,
            minS: GUN_WARMS_S,
          },
    )
  return demands
}
