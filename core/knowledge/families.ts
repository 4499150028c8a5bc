import { CodedError } from '../errors'
import { rowsOfColumns } from './columns'
import columns from './families.json'
import type { Family, WaterClass } from './familySchema'

export type { Family, FamilyTrait, Mechanism, WaterClass } from './familySchema'

/** All adhesive families. Checked against the schema by a unit test, so that the app need not do it at every start. */
export const families: readonly Family[] = rowsOfColumns<Family>(columns as never)

/**
 * A glue of no known family: every value stands where it speaks neither for nor against it, so that it is judged by its
 * label alone. Not in the list of families.
 */
export const unknownFamily: Family = {
  id: 'unknown',
  name: 'Glue of unknown family',
  mechanism: 'unknown',
  faces: 'one',
  form: 'medium',
  waitMinS: 0,
  waitMaxS: 0,
  openS: Infinity,
  holdS: 0,
  handlingS: 0,
  fullS: 0,
  cureMinC: null,
  clamp: 'press',
  gapMaxMm: Infinity,
  flex: 'semi',
  serviceMinC: -Infinity,
  serviceMaxC: Infinity,
  water: 'soak',
  look: 'clear',
  yellows: false,
  sandable: true,
  paintable: true,
  carvable: true,
  hotWire: 'yes',
  expands: 1,
  spreadGm2: 150,
  densityGml: 1,
  packSize: 100,
  packUnit: 'g',
  packPrice: 0,
  potLifeS: null,
  shelfUnopenedMonths: Infinity,
  shelfOpenedDays: Infinity,
  needs: [],
  attacks: [],
  hazards: [],
  chemistry: 'unknown',
  volatileShare: 0,
  tapeWidthMm: null,
  traits: [],
}
const byId = new Map([...families, unknownFamily].map((family) => [family.id, family]))

export const isFamily = (id: string): boolean => byId.has(id)

/** @throws CodedError not-one-of */
export function familyOf(id: string, path = 'family'): Family {
  const family = byId.get(id)
  if (!family)
    throw new CodedError('not-one-of', path, {
      field: 'The adhesive family',
      got: id,
      known: families.map((f) => f.id).join(', '),
    })
  return family
}

/** The family of an id, or the one of which nothing is known: for what older benches and other makers may hold. */
export const familyOrUnknown = (id: string): Family => byId.get(id) ?? unknownFamily

/** Order of water classes: no < splash < wash < soak. */
export const waterRank = (level: WaterClass): number => ['no', 'splash', 'wash', 'soak'].indexOf(level)
