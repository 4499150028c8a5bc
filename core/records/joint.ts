import * as z from 'zod'
import { faceStates } from '../knowledge/materials'
import { geometries, loadModes, motions } from '../knowledge/vocabulary'
import { day, id, measure, moment, text } from './fields'

/** One side of a joint: material (a class id of the tables, or an own material), and the face that is glued. */
export const sideSchema = z.object({
  material: id.nullable(),
  thicknessMm: measure,
  state: z.enum(faceStates).nullable(),
})
export type Side = z.infer<typeof sideSchema>

export const laterWork = ['paint', 'sand', 'carve', 'hot-wire', 'heat-form'] as const

/** What is asked of a joint. null (and an empty list marked open) means the maker has not said: unknown, never "no". */
export const briefSchema = z.object({
  a: sideSchema,
  b: sideSchema,
  geometry: z.enum(geometries).nullable(),
  /** of the bonded face: across, and along the pull */
  widthMm: measure,
  lengthMm: measure,
  count: z.number().int().positive().nullable(),
  loads: z.array(z.enum(loadModes)).nullable(),
  weightKg: z.number().nonnegative().nullable(),
  /** share of the weight that this one joint carries, 0…1; null is all of it */
  share: z.number().positive().max(1).nullable(),
  motion: z.enum(motions).nullable(),
  gapMm: z.number().nonnegative().nullable(),
  heatC: z.number().nullable(),
  coldC: z.number().nullable(),
  water: z.enum(['no', 'splash', 'wash', 'soak']).nullable(),
  flex: z.enum(['must-flex', 'must-be-stiff', 'band']).nullable(),
  look: z.enum(['hidden', 'neat', 'clear', 'white']).nullable(),
  later: z.array(z.enum(laterWork)).nullable(),
  life: z.enum(['temporary', 'show', 'years']).nullable(),
  air: z.enum(['closed', 'window', 'extraction', 'outdoors']).nullable(),
  users: z.array(z.enum(['child', 'sensitised'])).nullable(),
  skin: z.boolean().nullable(),
  inServiceBy: day.nullable(),
  maxCost: z.number().nonnegative().nullable(),
})
export type Brief = z.infer<typeof briefSchema>

export const jointSchema = z.object({
  id,
  build: id,
  code: z.string().regex(/^[A-Z]\d{1,3}$/, 'a letter and a number, such as H1'),
  name: text.min(1),
  createdAt: moment,
  brief: briefSchema,
})
export type Joint = z.infer<typeof jointSchema>

const openSide = (): Side => ({ material: null, thicknessMm: null, state: null })

/** A brief with every word still open. */
export const openBrief = (): Brief => ({
  a: openSide(), b: openSide(), geometry: null, widthMm: null, lengthMm: null, count: null, loads: null, weightKg: null, share: null,
  motion: null, gapMm: null, heatC: null, coldC: null, water: null, flex: null, look: null, later: null, life: null, air: null,
  users: null, skin: null, inServiceBy: null, maxCost: null,
}) // prettier-ignore

/** The next free code with the build's letter: H1, H2, … */
export function nextJointCode(codes: readonly string[], letter = 'J'): string {
  const first = codes[0]?.[0] ?? letter
  const highest = codes.reduce((max, code) => Math.max(max, Number(code.slice(1)) || 0), 0)
  return `${first}${highest + 1}`
}
