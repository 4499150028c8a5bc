/** What a label declares beside its numbers: yes, no, or nothing at all (left out). */
export const labelFactIds = [
  'foamSafe',
  'hotWire',
  'neutral',
  'flexible',
  'clear',
  'lightfast',
  'washable',
  'comesOffWater',
  'healthWarning',
  'animalFree',
] as const
export type LabelFact = (typeof labelFactIds)[number]
export type { LabelFacts } from './labelFactsSchema'
