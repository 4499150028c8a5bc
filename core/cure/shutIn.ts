import type { Family } from '../knowledge/families'
import type { FaceState, MaterialClass } from '../knowledge/materials'

/** A face as curing sees it. */
export interface CureFace {
  material: MaterialClass | null
  state: FaceState | null
}
export type CureFaces = readonly [CureFace, CureFace]

/** Below this share of pores a face lets no vapour through. */
const POROUS = 0.3
/** mm/√day: damp entering, water leaving, solvent leaving. */
const REACH = { damp: 3, water: 2.5, solvent: 4 }
const DAY_S = 86_400

/** Foamed and yet as tight as a sheet: rigid foamed board counts as sheet. */
const isCutFoam = ({ group, flexible, traits }: MaterialClass) =>
  group === 'foam' && (flexible || traits.includes('styrene-foam'))

/** Whether a face holds vapour back; null while its material is open. */
export const isSealed = ({ material, state }: CureFace): boolean | null =>
  material === null ? null : material.porosity < POROUS || (state?.startsWith('painted') ?? false)

/** What must pass the rim of a joint that is closed wet; null where the glue has dried, or sets by itself. */
export function passing(family: Pick<Family, 'mechanism' | 'faces' | 'form' | 'traits'>): keyof typeof REACH | null {
  const { mechanism, faces, form, traits } = family
  if (faces === 'both' || form === 'spray' || traits.includes('mist')) return null
  if (mechanism === 'evaporate-water') return 'water'
  if (mechanism === 'evaporate-solvent') return 'solvent'
  return traits.includes('damp-cured') ? 'damp' : null
}

/**
 * How far from the rim a joint that is closed wet between two sealed faces is done after one day, mm, at 20 °C and
 * 50 % RH; it goes with the root of time. null where a face lets vapour through, or nothing has to pass.
 */
export function reachMm(family: Parameters<typeof passing>[0], faces: CureFaces): number | null {
  const what = passing(family)
  if (what === null || !faces.every((face) => isSealed(face) === true)) return null
  const foams = faces.filter(({ material }) => isCutFoam(material!)).length
  return REACH[what] * [1, 1.4, 2][foams]!
}

/** Seconds until the middle of a closed joint is done: (half-width ÷ reach)² days × f. */
export const closedS = (halfWidthMm: number, reach: number, factor: number): number =>
  (halfWidthMm / reach) ** 2 * factor * DAY_S

/** How far from the rim it is done after a time, mm. */
export const doneMm = (seconds: number, reach: number, factor: number): number =>
  reach * Math.sqrt(Math.max(0, seconds) / (factor * DAY_S))
