import { block, caution, HARM, note, push, type Rule, rule } from '../rule'
import { has, hazardous, is, someFace } from '../../situation/about'
import { familyOf } from '../../knowledge/families'
import { durationWords } from '../../quantities/durations'
import { isPolyurethane, isPressure, isPrint, solventBorne } from './kinds'

const CHILD_CODES = [
  'skin-bond',
  'isocyanate',
  'acrylate',
  'flammable',
  'vapour-narcotic',
  'cancer-suspect',
  'pressure-can',
  'sensitiser',
] as const

const isocyanateUsers = rule(
  'isocyanate-users',
  'No test; read the label and safety data sheet, ask a medical professional if ever affected.',
  'respiratory and skin sensitiser',
  (s) => {
    if (!hazardous(s, 'isocyanate')) return null
    return s.users?.length
      ? block('It may cause asthma-like allergy, and someone here is a child or has reacted before.')
      : note(
          'It may cause asthma-like allergy: keep it off skin, do not heat or sand it fresh, and it is not for ' +
            'anyone with asthma. See the label.',
        )
  },
  HARM,
)

const sensitiserUsers = rule(
  'sensitiser-users',
  'No test; choose another mechanism.',
  'skin sensitisation is lasting',
  (s) => {
    const reacted = s.users?.includes('sensitised') === true
    // What bonds skin is a cyanoacrylate: an acrylate too, though its label seldom names the allergy.
    const dabs = s.helpers.includes('tack-and-cure') && s.dab !== null && familyOf(s.dab).hazards.includes('skin-bond')
    if (reacted && (dabs || hazardous(s, 'skin-bond')))
      return block(
        'Someone here has reacted before: instant glues are acrylates too, and vapour or a trace may set it off again.',
      )
    if (!hazardous(s, 'sensitiser', 'acrylate')) return null
    return reacted
      ? block('Someone here has reacted before: a trace of this kind may set it off again.')
      : note('Repeated skin contact may cause a lasting allergy: gloves the data sheet names, and no touching.')
  },
  HARM,
)

const flammableNearHeat = rule(
  'flammable-near-heat',
  'No test; follow the label’s waiting time.',
  'flash point often below room temperature',
  (s) => {
    if (!hazardous(s, 'flammable', 'pressure-can')) return null
    if (s.heatNear === true)
      return block(
        'A flame, heat gun, hot wire or sparks are in the room, and its vapour may catch fire away from the ' +
          'pot: move the heat, then work.',
      )
    const hot = s.later?.some((work) => work === 'hot-wire' || work === 'heat-form')
    if (hot)
      return push(
        -3,
        'Its vapour may catch fire away from the pot: no hot wire or heat gun in the room until the film is ' +
          'fully dry and the air is clear.',
      )
    return has(s, 'propellant') ? note('The can’s propellant is flammable: no flame or sparks in the room.') : null
  },
  HARM,
)

const noVentilation = rule(
  'no-ventilation',
  'No test; go outdoors or use extraction, or choose water-borne.',
  'vapour density and exposure limits',
  (s) => {
    if (s.air !== 'closed') return null
    if (hazardous(s, 'vapour-narcotic', 'cancer-suspect', 'isocyanate'))
      return block('The room is closed, and its vapour may build up before the nose warns you.')
    if (hazardous(s, 'flammable', 'pressure-can'))
      return caution('The room is closed, and its vapour may gather and catch fire: air it, or take another.')
    return hazardous(s, 'vapour-irritant')
      ? note('Its vapour may irritate in a closed room: small amounts, and air it afterwards.')
      : null
  },
  HARM,
)

const childUse = rule(
  'child-use',
  'No test; follow the label’s age wording.',
  'label restrictions; developing lungs and skin',
  (s) => {
    if (!s.users?.includes('child')) return null
    if (hazardous(s, ...CHILD_CODES))
      return block('Children are to use water-borne glue or tape; an adult does this one away from them.')
    return hazardous(s, 'burn') || s.family.mechanism === 'melt' ? caution('Hot: an adult holds the tool.') : null
  },
  HARM,
)

const wornOnSkin = rule(
  'worn-on-skin',
  'Smell and tack check after full cure.',
  'residual monomer and solvent',
  (s) => {
    const leaves =
      ['two-part', 'moisture', 'light'].includes(s.family.mechanism) ||
      solventBorne(s.family) ||
      isPressure(s.family) ||
      isPolyurethane(s.family)
    return s.skin === true && leaves
      ? caution(
          `It touches skin in use: give it the full cure of ${durationWords(s.family.fullS)}, then cover or ` +
            'line the joint.',
        )
      : null
  },
  HARM,
)

const dustOfSanding = rule(
  'dust-of-sanding',
  'No test; sand wet or with extraction.',
  'fine dust of cured resin, wood board and prints',
  (s) => {
    if (!s.later?.includes('sand')) return null
    const face = someFace(s, (m) => is('resin-dust')(m) || isPrint(m))
    return hazardous(s, 'dust') || face
      ? note('Its dust may harm: sand only when fully cured, wet or with extraction and a mask.')
      : null
  },
  HARM,
)

const unknownFamilyRule = rule(
  'family-unknown',
  'Find its label or data sheet; bond and break two scraps of each material first.',
  'nothing is known of it but what its label says',
  (s) =>
    s.family.mechanism === 'unknown'
      ? caution(
          'Nothing is known of this glue beyond what its label says, its hazards least of all: read them, and ' +
            'try a drop on each material first.',
        )
      : null,
)

/** Harm to people: no test result lifts these. */
export const peopleRules: Rule[] = [
  isocyanateUsers,
  sensitiserUsers,
  flammableNearHeat,
  noVentilation,
  childUse,
  wornOnSkin,
  dustOfSanding,
  unknownFamilyRule,
]
