import * as z from 'zod/mini'
import { CodedError } from '../errors'
import rows from './materials.json'

export const materialGroups = [
  'foam',
  'thermoform',
  'print',
  'sheet',
  'textile',
  'leather',
  'paper',
  'wood',
  'hard',
] as const
export type MaterialGroup = (typeof materialGroups)[number]

/** One row of materials.json: typical values of a material class. */
export const materialClassSchema = z.object({
  id: z.string(),
  name: z.string(),
  group: z.enum(materialGroups),
  porosity: z.number(),
  vapourBarrier: z.boolean(),
  surfaceEnergy: z.enum(['very-low', 'low', 'medium', 'high']),
  surfaceEnergyMNm: z.number(),
  softensC: z.number(),
  tensileMPa: z.number(),
  tearNPerMm: z.nullable(z.number()),
  modulusMPa: z.number(),
  typicalThicknessMm: z.number(),
  transparent: z.boolean(),
  flexible: z.boolean(),
  sensitiveTo: z.array(z.string()),
  prep: z.string(),
  notes: z.string(),
})
export type MaterialClass = z.infer<typeof materialClassSchema>

export const materialClasses = rows as unknown as readonly MaterialClass[]
const byId = new Map(materialClasses.map((material) => [material.id, material]))

/** @throws CodedError not-one-of */
export function materialClassOf(id: string, path = 'material'): MaterialClass {
  const material = byId.get(id)
  if (!material)
    throw new CodedError('not-one-of', path, {
      field: 'The material',
      got: id,
      known: materialClasses.map((m) => m.id).join(', '),
    })
  return material
}

export const faceStates = [
  'clean',
  'dusty',
  'greasy',
  'glazed',
  'sanded',
  'painted-acrylic',
  'painted-solvent',
  'old-glue',
  'damp',
  'smooth-side',
  'textured-side',
] as const
export type FaceState = (typeof faceStates)[number]
