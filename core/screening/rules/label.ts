import type { LabelFact } from '../../knowledge/labelFactIds'
import { declaredWords } from '../../knowledge/labelFactWords'
import { block, caution, HARM, note, type Rule, rule } from '../rule'
import { isPaper, styreneFoam } from './kinds'
import type { Situation } from '../../situation/situation'
import { inView, is, loaded, someFace } from '../../situation/about'

/** Where what a label declares bears on the joint. */
const bears: Record<LabelFact, (s: Situation) => boolean> = {
  foamSafe: (s) => someFace(s, styreneFoam) !== null,
  hotWire: (s) => s.later?.includes('hot-wire') === true,
  neutral: (s) => s.lasts !== null || someFace(s, (m) => isPaper(m) || is('corrodes')(m)) !== null,
  flexible: (s) => s.flex !== null || loaded(s, 'flex'),
  clear: (s) => inView(s),
  lightfast: (s) => inView(s) || s.sun === true || s.lasts !== null,
  washable: (s) => s.water !== null && s.water !== 'no',
  comesOffWater: (s) => s.comesApart || (s.water !== null && s.water !== 'no'),
  healthWarning: () => false,
  animalFree: () => false,
}

/** What the label answers is no reason any more; that it did is said, and rests on the label. */
const labelSays = rule(
  'label-says',
  'A drop on scrap, or the test that this joint asks for: a label is a promise.',
  'the label of the product',
  (s) => {
    const said = declaredWords(s.facts, (fact) => bears[fact](s))
    return said.length ? { ...note(`Its label says: ${said.join('; ')}.`), grade: 'label' } : null
  },
)

const labelWarns = rule(
  'label-warns',
  'No test; read the warning and the safety data sheet.',
  'the label of the product',
  (s) => {
    if (s.facts.healthWarning !== true || !s.users?.length) return null
    const finding = s.users.includes('child')
      ? block('Its label carries a health warning, and children are to use glue without one: an adult does this.')
      : caution('Its label carries a health warning, and someone here has reacted before: read which it is first.')
    return { ...finding, grade: 'label' }
  },
  HARM,
)

/** What the label of a product declares. */
export const labelRules: Rule[] = [labelSays, labelWarns]
