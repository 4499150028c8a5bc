import type { MaterialClass } from '../../../../core/knowledge/materials'
import { faceStates } from '../../../../core/knowledge/faceStates'
import { faceTraits, stateWords, type FaceTrait } from '../../../../core/knowledge/vocabulary'
import { traitWords } from '../../../../core/knowledge/vocabularyWords'
import type { Side } from '../../../../core/records/joint'
import type { Choice } from '../words/ChoiceList.vue'
import type { WordDef } from './wordDef'

const stateChoices: Choice[] = faceStates.map((value) => ({ value, word: stateWords[value] ?? value }))

/** Words of one side, by their field; A and B stand in the label. */
export const sideWords = (side: 'A' | 'B', material: MaterialClass | null) =>
  ({
    thicknessMm: {
      kind: 'number',
      label: `Thickness of side ${side}`,
      ask: 'how thick?',
      what: 'thickness',
      dimension: 'length',
      unit: 'mm',
      least: 0.01,
      open: { word: 'Thickness', find: 'Measure it; a stack of ten sheets divided by ten will do.' },
    },
    state: {
      kind: 'one',
      label: `Face of side ${side}`,
      ask: 'which face?',
      what: 'face',
      choices: stateChoices,
      open: {
        word: 'The face',
        find: 'A water drop that stays round means greasy, glazed or slippery; clear tape shows dust and loose paint.',
      },
    },
    traits: {
      kind: 'many',
      label: `What else is true of face ${side}`,
      ask: 'anything special?',
      what: 'what else is true',
      none: 'nothing special',
      open: {
        word: 'What else the face is',
        find: 'Cut edge, pale, printed, bent or screwed tight, near wax or polish?',
      },
      choices: traitsOf(material).map((value) => ({ value, ...traitWords[value] })),
    },
  }) satisfies Partial<Record<keyof Side, WordDef>>
export type SideWordKey = keyof ReturnType<typeof sideWords>

/** What is worth asking of a face of this material; all of it while the material is open. */
export function traitsOf(material: MaterialClass | null): FaceTrait[] {
  if (!material) return [...faceTraits]
  const { group, id, porosity, transparent } = material
  const by: Partial<Record<FaceTrait, boolean>> = {
    'cut-edge': group === 'wood' || group === 'paper',
    pale: group === 'textile' || group === 'leather' || group === 'paper',
    printed: group === 'paper' || group === 'textile',
    'glossy-dark': porosity < 0.3 && group !== 'foam',
    tinted: transparent,
    stressed: transparent,
    'across-layers': group === 'print',
    uncured: id === 'print-resin',
  }
  return faceTraits.filter((trait) => by[trait] ?? true)
}
