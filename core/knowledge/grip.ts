import { MOST_KNOWN, rowsOfColumns } from './columns'
import grips from './grip.json'
import type { MaterialClass } from './materials'
import { type LoadMode } from './vocabulary'

/** How a face takes glue, for the grip of families on it. */
export type FaceClass =
  | 'smooth-sealed-rigid'
  | 'smooth-sealed-flexible'
  | 'porous'
  | 'fibrous'
  | 'cut-foam'
  | 'skinned-foam'
  | 'printed-layers'

const rigidSmooth = new Set(['sheet-styrene', 'sheet-acrylic', 'sheet-pvc', 'foam-pvc', 'thermoform-clear'])
const flexibleSmooth = new Set(['vinyl-soft', 'pet-bottle', 'leather-coated', 'rubber-sole'])
/** @param state of the face; a moulded or heat-sealed skin makes foam another face */
export function faceClassOf(material: MaterialClass, state: string | null, thicknessMm: number | null): FaceClass {
  const { id, group } = material
  if (flexibleSmooth.has(id)) return 'smooth-sealed-flexible'
  if (rigidSmooth.has(id) || id === 'thermoform-filled' || id === 'print-resin') return 'smooth-sealed-rigid'
  if (id === 'polyolefin' || id === 'fluoropolymer')
    return (thicknessMm ?? material.typicalThicknessMm) >= 1 ? 'smooth-sealed-rigid' : 'smooth-sealed-flexible'
  if (group === 'foam') return state === 'glazed' ? 'skinned-foam' : 'cut-foam'
  if (group === 'print') return 'printed-layers'
  if (group === 'textile' || id === 'suede') return 'fibrous'
  if (id === 'metal' || id === 'glass' || (id === 'ceramic-stone' && state === 'glazed')) return 'smooth-sealed-rigid'
  return 'porous'
}

interface GripRow {
  family: string
  face: string
  grip: number
  mode: string
}
const gripRows = new Map(
  rowsOfColumns<GripRow>(grips as never)
    .reverse()
    .map((row) => [`${row.family} ${row.face} ${row.mode}`, row.grip]),
)

/** Rows are read by these words: prising is peel; bending and knocks have none of their own. */
function gripMode(mode: LoadMode | 'steady', face: FaceClass): string | null {
  if (mode === 'steady') return null
  if (mode === 'cleavage') return 'peel'
  if (mode === 'flex') return face === 'smooth-sealed-flexible' ? 'peel' : 'any'
  return mode === 'bend' || mode === 'impact' ? 'any' : mode
}

export interface GripFace {
  material: MaterialClass
  state: string | null
  thicknessMm: number | null
}

/**
 * Grip of a family on one face: 3 holds, 2 mostly, 1 lightly, 0 not at all (grip.csv and how it is looked up).
 * @param modes loads; none: how it holds on the whole
 */
export function gripOf(family: string, face: GripFace, modes: readonly (LoadMode | 'steady')[]): number {
  const { material, state, thicknessMm } = face
  const key = `${family} ${material.id} ${state} ${thicknessMm} ${modes.join()}`
  let known = foundGrips.get(key)
  if (known === undefined) {
    if (foundGrips.size > MOST_KNOWN) foundGrips.clear()
    foundGrips.set(key, (known = lookUpGrip(family, face, modes)))
  }
  return known
}
const foundGrips = new Map<string, number>()
function lookUpGrip(family: string, face: GripFace, modes: readonly (LoadMode | 'steady')[]): number {
  const { material, state, thicknessMm } = face
  if (material.surfaceEnergy === 'very-low') return 0
  const cls = faceClassOf(material, state, thicknessMm)
  const words = [material.id, `group:${material.group}`]
  const of = (word: string, mode: string) => gripRows.get(`${family} ${word} ${mode}`)
  const row = (mode: string): number | undefined => {
    for (const word of words) {
      const own = of(word, mode) ?? of(word, 'any')
      if (own === undefined) continue
      // The class may know of this load what the material's row for any load does not.
      const ofClass = of(word, mode) === undefined && mode !== 'any' ? of(cls, mode) : undefined
      return Math.min(own, ofClass ?? own)
    }
    // What repels glue takes it only where a row of its own says so.
    if (material.surfaceEnergy === 'low') return undefined
    return of(cls, mode) ?? of(cls, 'any')
  }
  const layered = state === 'painted-acrylic' || state === 'painted-solvent' || state === 'old-glue'
  const value = (mode: string): number => {
    const found = row(mode)
    if (found !== undefined) {
      // A coat on the face never holds better than the face itself takes.
      const coat = state === null ? undefined : (of(state, mode) ?? of(state, 'any'))
      if (coat !== undefined) return Math.min(coat, found)
      return layered ? Math.max(0, found - 1) : found
    }
    if (material.id === 'foam-eps') return gripOf(family, { ...face, material: { ...material, id: 'foam-xps' } }, modes)
    if (material.surfaceEnergy === 'low')
      return material.group === 'foam' ? Math.max(0, (of('cut-foam', 'any') ?? 2) - 1) : 0
    return 2
  }
  const asked = [...new Set(modes.map((mode) => gripMode(mode, cls)).filter((mode) => mode !== null))]
  if (asked.length) return Math.min(...asked.map(value))
  // What is unknown blocks nothing: without a load the kindest counts.
  return Math.max(...['any', 'shear', 'tension', 'peel', 'torsion'].map(value))
}
