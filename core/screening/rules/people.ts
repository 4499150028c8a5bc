import { block, caution, type Rule } from '../rule'

const has = (hazards: readonly string[], ...codes: string[]) => codes.some((code) => hazards.includes(code))
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

/** Harm to people: no test result lifts these. */
export const peopleRules: Rule[] = [
  {
    id: 'isocyanate-users', harm: true,
    settleBy: 'No test; read the label and safety data sheet, ask a medical professional if ever affected.',
    basis: 'respiratory and skin sensitiser',
    judge: (s) =>
      s.family.hazards.includes('isocyanate') && s.users?.some((user) => user === 'sensitised' || user === 'child')
        ? block('It may cause asthma-like allergy, and someone here is a child or has reacted before.')
        : null,
  },
  {
    id: 'sensitiser-users', harm: true,
    settleBy: 'No test; choose another mechanism.',
    basis: 'skin sensitisation is lasting',
    judge: (s) => (has(s.family.hazards, 'sensitiser', 'acrylate') && s.users?.includes('sensitised') ? block('Someone here has reacted before: a trace of this kind may set it off again.') : null),
  },
  {
    id: 'no-ventilation', harm: true,
    settleBy: 'No test; go outdoors or use extraction, or choose water-borne.',
    basis: 'vapour density and exposure limits',
    judge: (s) =>
      s.air === 'closed' && has(s.family.hazards, 'vapour-narcotic', 'cancer-suspect', 'isocyanate')
        ? block('The room is closed, and its vapour may build up before the nose warns you.')
        : null,
  },
  {
    id: 'heat-near-flammable', harm: true,
    settleBy: 'No test; follow the label’s waiting time.',
    basis: 'flash point often below room temperature',
    judge: (s) =>
      s.later?.some((work) => work === 'hot-wire' || work === 'heat-form') && has(s.family.hazards, 'flammable', 'pressure-can')
        ? caution('Its vapour may catch fire away from the pot: no hot wire or heat gun in the room until it is fully dry.')
        : null,
  },
  {
    id: 'child-use', harm: true,
    settleBy: 'No test; follow the label’s age wording.',
    basis: 'label restrictions; developing lungs and skin',
    judge: (s) => {
      if (!s.users?.includes('child')) return null
      if (has(s.family.hazards, ...CHILD_CODES)) return block('Children are to use water-borne glue or tape; an adult does this one away from them.')
      return s.family.hazards.includes('burn') ? caution('Hot: an adult holds the tool.') : null
    },
  },
  {
    id: 'worn-on-skin', harm: true,
    settleBy: 'Smell and tack check after full cure.',
    basis: 'residual monomer and solvent',
    judge: (s) => {
      const leaves = ['two-part', 'moisture', 'light', 'evaporate-solvent', 'pressure', 'weld'].includes(s.family.mechanism)
      return s.skin === true && leaves ? caution('It touches skin in use: let it reach its full cure, then cover or line the joint.') : null
    },
  },
] // prettier-ignore
