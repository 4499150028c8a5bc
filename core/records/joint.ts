import * as z from 'zod/mini'
import { faceStates } from '../knowledge/materials'
import { geometries, loadModes, motions } from '../knowledge/vocabulary'
import { amount, count, day, id, measure, moment, words } from './fields'

/** One side of a joint: material (a class id of the tables, or an own material), and the face that is glued. */
export const sideSchema = z.object({
  material: z.nullable(id),
  thicknessMm: measure,
  state: z.nullable(z.enum(faceStates)),
})
export type Side = z.infer<typeof sideSchema>

export const laterWork = ['paint', 'sand', 'carve', 'hot-wire', 'heat-form'] as const

/** What is asked of a joint. null (and an empty list marked open) means the maker has not said: unknown, never "no". */
export const briefSchema = z.object({
  a: sideSchema,
  b: sideSchema,
  geometry: z.nullable(z.enum(geometries)),
  /** of the bonded face: across, and along the pull */
  widthMm: measure,
  lengthMm: measure,
  count: z.nullable(count),
  loads: z.nullable(z.array(z.enum(loadModes))),
  weightKg: z.nullable(amount),
  /** share of the weight that this one joint carries, 0…1; null is all of it */
  share: z.nullable(z.number().check(z.positive(), z.lte(1))),
  motion: z.nullable(z.enum(motions)),
  gapMm: z.nullable(amount),
  heatC: z.nullable(z.number()),
  coldC: z.nullable(z.number()),
  water: z.nullable(z.enum(['no', 'splash', 'wash', 'soak'])),
  flex: z.nullable(z.enum(['must-flex', 'must-be-stiff', 'band'])),
  look: z.nullable(z.enum(['hidden', 'neat', 'clear', 'white'])),
  later: z.nullable(z.array(z.enum(laterWork))),
  life: z.nullable(z.enum(['temporary', 'show', 'years'])),
  air: z.nullable(z.enum(['closed', 'window', 'extraction', 'outdoors'])),
  users: z.nullable(z.array(z.enum(['child', 'sensitised']))),
  skin: z.nullable(z.boolean()),
  inServiceBy: z.nullable(day),
  maxCost: z.nullable(amount),
})
export type Brief = z.infer<typeof briefSchema>

export const jointSchema = z.object({
  id,
  build: id,
  code: z.string().check(z.regex(/^[A-Z]\d{1,3}$/, 'a letter and a number, such as H1')),
  name: words,
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
