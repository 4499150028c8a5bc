import { faceStates } from '../../../core/knowledge/materials'
import {
  geometries,
  geometryWords,
  loadModes,
  loadWords,
  motionWords,
  motions,
  stateWords,
} from '../../../core/knowledge/vocabulary'
import type { Choice } from './words/ChoiceList.vue'

/** What can stand in each place of the sentence. */
export const geometryChoices: Choice[] = geometries.map((value) => ({ value, ...geometryWords[value] }))
export const loadChoices: Choice[] = loadModes.map((value) => ({ value, ...loadWords[value] }))
export const motionChoices: Choice[] = motions.map((value) => ({ value, word: motionWords[value] }))
export const stateChoices: Choice[] = faceStates.map((value) => ({ value, word: stateWords[value] ?? value }))
export const heatPresets: Choice[] = [
  { value: '25', word: '25 °C', gloss: 'a warm room' },
  { value: '40', word: '40 °C', gloss: 'summer stage, worn on the body' },
  { value: '50', word: '50 °C', gloss: 'near stage lamps' },
  { value: '70', word: '70 °C', gloss: 'a parked car in the sun' },
]
export const coldPresets: Choice[] = [
  { value: '15', word: '15 °C', gloss: 'always indoors' },
  { value: '0', word: '0 °C', gloss: 'an evening outdoors' },
  { value: '-15', word: '−15 °C', gloss: 'winter, an unheated van' },
]
export const gapPresets: Choice[] = [
  { value: '0', word: 'none: the faces touch' },
  { value: '0.2', word: '0.2 mm', gloss: 'two sheets of paper' },
  { value: '1', word: '1 mm', gloss: 'a bank card' },
]
export const waterChoices: Choice[] = [
  { value: 'no', word: 'no water' },
  { value: 'splash', word: 'splashes', gloss: 'a shower of rain, sweat' },
  { value: 'wash', word: 'rain or washing', gloss: 'wet through, again and again' },
  { value: 'soak', word: 'soaking', gloss: 'under water for hours' },
]
export const flexChoices: Choice[] = [
  { value: 'must-flex', word: 'stay flexible' },
  { value: 'must-be-stiff', word: 'be stiff' },
  { value: 'band', word: 'give a little, not flop' },
]
export const lookChoices: Choice[] = [
  { value: 'hidden', word: 'may show, it is hidden' },
  { value: 'neat', word: 'look neat' },
  { value: 'clear', word: 'stay clear' },
  { value: 'white', word: 'stay white' },
]
export const laterChoices: Choice[] = [
  { value: 'paint', word: 'paint' },
  { value: 'sand', word: 'sanding' },
  { value: 'carve', word: 'carving' },
  { value: 'hot-wire', word: 'a hot wire' },
  { value: 'heat-form', word: 'a heat gun' },
]
export const lifeChoices: Choice[] = [
  { value: 'temporary', word: 'a day, then come apart' },
  { value: 'show', word: 'a run of shows' },
  { value: 'years', word: 'years' },
]
export const airChoices: Choice[] = [
  { value: 'closed', word: 'indoors, no window open' },
  { value: 'window', word: 'indoors, window open' },
  { value: 'extraction', word: 'with extraction' },
  { value: 'outdoors', word: 'outdoors' },
]
export const userChoices: Choice[] = [
  { value: 'child', word: 'children' },
  { value: 'sensitised', word: 'someone who reacts to glue' },
]
export const skinChoices: Choice[] = [
  { value: 'yes', word: 'touches skin' },
  { value: 'no', word: 'touches no skin' },
]

/** Open words, said as a question with a way to find out. */
export const openQuestions: Record<string, { word: string; find: string }> = {
  gapMm: { word: 'The gap', find: 'Lay the parts together and slide a card in: does it go?' },
  heatC: { word: 'Heat', find: 'Think of the hottest hour: a lamp beside it, a parked car.' },
  coldC: { word: 'Cold', find: 'Where does it spend a winter night?' },
  water: { word: 'Water', find: 'Rain, sweat, washing: which of them meets it?' },
  loads: { word: 'The load', find: 'Pull at it by hand the way it will be pulled.' },
  air: { word: 'Air', find: 'Where will you glue: can a window stand open?' },
  look: { word: 'Looks', find: 'Who sees the line, and from how near?' },
  later: { word: 'Later work', find: 'Will it be painted, sanded or cut after gluing?' },
  users: { word: 'Who glues', find: 'Does a child help? Has anyone had a rash or wheeze from glue?' },
  life: { word: 'How long', find: 'One evening, one season, or years?' },
  widthMm: { word: 'The size', find: 'Measure the glued face, across and along.' },
}
