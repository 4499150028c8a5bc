import type { Family, WaterClass } from '../knowledge/families'
import type { FaceState, MaterialClass } from '../knowledge/materials'
import type { Geometry, Helper, LoadMode } from '../knowledge/vocabulary'
import type { Brief, laterWork } from '../records/joint'

export interface Face {
  side: 'A' | 'B'
  material: MaterialClass | null
  state: FaceState | null
  thicknessMm: number | null
}

/** What a rule may ask about: the brief's facts with one family and its helpers. null is unknown, and unknown blocks nothing. */
export interface Situation {
  faces: [Face, Face]
  geometry: Geometry | null
  loads: readonly LoadMode[] | null
  areaCm2: number | null
  /** deepest point of the joint to the nearest open edge, mm */
  edgeMm: number | null
  gapMm: number | null
  tempMaxC: number | null
  tempMinC: number | null
  water: WaterClass | null
  look: Brief['look']
  life: Brief['life']
  later: readonly (typeof laterWork)[number][] | null
  air: Brief['air']
  users: readonly ('child' | 'sensitised')[] | null
  skin: boolean | null
  family: Family
  helpers: readonly Helper[]
}

/** From the brief's size: the deepest point of a closed joint lies half of its smaller side from the edge. */
export function situationOf(
  brief: Brief,
  a: MaterialClass | null,
  b: MaterialClass | null,
  family: Family,
  helpers: readonly Helper[] = [],
): Situation {
  const { widthMm, lengthMm } = brief
  const smaller = widthMm !== null && lengthMm !== null ? Math.min(widthMm, lengthMm) : (widthMm ?? lengthMm)
  return {
    faces: [
      { side: 'A', material: a, state: brief.a.state, thicknessMm: brief.a.thicknessMm },
      { side: 'B', material: b, state: brief.b.state, thicknessMm: brief.b.thicknessMm },
    ],
    geometry: brief.geometry,
    loads: brief.loads,
    areaCm2: widthMm !== null && lengthMm !== null ? (widthMm * lengthMm) / 100 : null,
    edgeMm: smaller === null ? null : smaller / 2,
    gapMm: brief.gapMm,
    tempMaxC: brief.heatC,
    tempMinC: brief.coldC,
    water: brief.water,
    look: brief.look,
    life: brief.life,
    later: brief.later,
    air: brief.air,
    users: brief.users,
    skin: brief.skin,
    family,
    helpers,
  }
}

export const someFace = (s: Situation, test: (material: MaterialClass, face: Face) => boolean): Face | null =>
  s.faces.find((face) => face.material !== null && test(face.material, face)) ?? null
/** Both materials are known and pass. */
export const bothFaces = (s: Situation, test: (material: MaterialClass) => boolean): boolean =>
  s.faces.every((face) => face.material !== null && test(face.material))
export const isAnyOf =
  (...ids: string[]) =>
  (material: MaterialClass) =>
    ids.includes(material.id)
/** A material's name inside a sentence. */
export const called = (face: Face): string =>
  face.material ? face.material.name.replace(/^([A-Z])(?=[a-z])/, (first) => first.toLowerCase()) : `side ${face.side}`
