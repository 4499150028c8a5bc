import * as z from 'zod/mini'
import { CodedError } from '../errors'
import rows from './families.json'

export const mechanisms = [
  'evaporate-water',
  'evaporate-solvent',
  'moisture',
  'melt',
  'heat-activated',
  'two-part',
  'light',
  'weld',
  'pressure',
  'unknown',
] as const
export type Mechanism = (typeof mechanisms)[number]
const water = z.enum(['no', 'splash', 'wash', 'soak'])

/**
 * One row of families.json: typical values of an adhesive family, which a label and a test outrank. Times at 20 °C and
 * 50 % RH.
 */
export const familySchema = z.object({
  id: z.string(),
  name: z.string(),
  mechanism: z.enum(mechanisms),
  faces: z.enum(['one', 'both']),
  form: z.enum(['thin', 'medium', 'gel', 'paste', 'stick', 'melt', 'film', 'foam', 'spray']),
  waitMinS: z.number(),
  waitMaxS: z.number(),
  openS: z.number(),
  holdS: z.number(),
  handlingS: z.number(),
  fullS: z.number(),
  clamp: z.enum(['clamp', 'press', 'hold', 'no']),
  gapMaxMm: z.number(),
  flex: z.enum(['rigid', 'semi', 'flexible', 'elastic']),
  serviceMinC: z.number(),
  serviceMaxC: z.number(),
  water,
  look: z.enum(['clear', 'haze', 'tinted', 'opaque']),
  yellows: z.boolean(),
  sandable: z.boolean(),
  paintable: z.boolean(),
  carvable: z.boolean(),
  hotWire: z.enum(['yes', 'no', 'slow']),
  expands: z.number(),
  spreadGm2: z.number(),
  densityGml: z.number(),
  packSize: z.number(),
  packUnit: z.string(),
  packPrice: z.number(),
  potLifeS: z.nullable(z.number()),
  mixRatio: z.string(),
  shelfUnopenedMonths: z.number(),
  shelfOpenedDays: z.number(),
  needs: z.array(z.string()),
  attacks: z.array(z.string()),
  hazards: z.array(z.string()),
  cleanup: z.string(),
  debond: z.string(),
})
export type Family = z.infer<typeof familySchema>
export type WaterClass = Family['water']

/** All adhesive families. Checked against the schema by a unit test, so that the app need not do it at every start. */
export const families = rows as unknown as readonly Family[]

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
  mixRatio: '',
  shelfUnopenedMonths: Infinity,
  shelfOpenedDays: Infinity,
  needs: [],
  attacks: [],
  hazards: [],
  cleanup: 'As its label says',
  debond: 'As its label says',
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

/** Order of water classes: no < splash < wash < soak. */
export const waterRank = (level: WaterClass): number => ['no', 'splash', 'wash', 'soak'].indexOf(level)
export const isCyanoacrylate = (id: string): boolean => id.startsWith('ca-')
