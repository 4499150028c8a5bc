import { CodedError } from '../errors'
import { rowsOfColumns } from './columns'
import columns from './materials.json'
import type { MaterialClass, MaterialGroup } from './materialSchema'

export type { MaterialClass, MaterialTrait } from './materialSchema'
export type { FaceState } from './faceStates'

/** What a whole group has in common. */
const groupFacts: Record<MaterialGroup, { grain: boolean; sawn: boolean }> = {
  foam: { grain: false, sawn: false },
  thermoform: { grain: false, sawn: true },
  print: { grain: false, sawn: true },
  sheet: { grain: false, sawn: true },
  textile: { grain: true, sawn: false },
  leather: { grain: true, sawn: false },
  paper: { grain: true, sawn: false },
  wood: { grain: true, sawn: true },
  hard: { grain: false, sawn: true },
}
/** Its grain, weave or back runs along the piece, so that no piece may be turned. */
export const hasGrain = ({ group }: Pick<MaterialClass, 'group'>): boolean => groupFacts[group].grain
/** Cut by a saw, which takes a kerf; the others are cut by knife or scissors, which takes nothing. */
export const isSawn = ({ group }: Pick<MaterialClass, 'group'>): boolean => groupFacts[group].sawn

export const materialClasses: readonly MaterialClass[] = rowsOfColumns<MaterialClass>(columns as never)
const byId = new Map(materialClasses.map((material) => [material.id, material]))

export const isMaterialClass = (id: string): boolean => byId.has(id)

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
