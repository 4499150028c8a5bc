import type { PackAge } from './packs'
import { hangsStill } from '../loads/steady'
import { requiredLoad } from '../loads/requirement'
import { cost, packGrams, WASTE } from '../costs/cost'
import { isFleeting } from '../costs/pack'
import { cureOf, inRoom, type Cure } from '../cure/cure'
import { STANDARD_ROOM } from '../cure/room'
import { type Family, type WaterClass } from '../knowledge/families'
import type { ForceUnit } from '../quantities/force'
import type { LabelFacts } from '../knowledge/labelFactIds'
import type { FaceState, MaterialClass } from '../knowledge/materials'
import type { FaceTrait, Geometry, Helper, LoadMode, Stake } from '../knowledge/vocabulary'
import type { laterWork } from '../records/briefWords'
import type { Brief } from '../records/joint'
import type { SecondRole } from '../records/procedure'

export interface Face {
  side: 'A' | 'B'
  material: MaterialClass | null
  state: FaceState | null
  thicknessMm: number | null
  traits: readonly FaceTrait[] | null
}

/** The fast glue whose dabs hold while a slow one cures. */
export type Dab = 'ca-gel' | 'hotmelt-low' | 'tape-foam'

/**
 * What a rule may ask about: the brief's facts with one glue and its helpers. null is unknown, and unknown blocks
 * nothing.
 */
export interface Situation {
  faces: [Face, Face]
  geometry: Geometry | null
  /** modes, with “steady” for a weight that hangs still */
  loads: readonly (LoadMode | 'steady')[] | null
  /** force on one joint, N, without its motion */
  restN: number | null
  areaCm2: number | null
  /** deepest point of the joint to the nearest open edge, mm */
  edgeMm: number | null
  gapMm: number | null
  fit: Brief['fit']
  curveMm: number | null
  tempMaxC: number | null
  tempMinC: number | null
  water: WaterClass | null
  sun: boolean | null
  flex: Brief['flex']
  look: Brief['look']
  boxed: boolean | null
  /** each true when said so; a joint may be asked both to last and to come apart again */
  lasts: 'years' | 'archival' | null
  comesApart: boolean
  later: readonly (typeof laterWork)[number][] | null
  readyH: number | null
  repositionS: number | null
  canClamp: boolean | null
  reach: Brief['reach']
  inShell: boolean | null
  air: Brief['air']
  roomM3: number | null
  heatNear: boolean | null
  users: readonly ('child' | 'sensitised')[] | null
  skin: boolean | null
  stakes: readonly Stake[] | null
  perEvening: number | null
  count: number | null
  maxCost: number | null
  /** what money is counted in, for its words */
  currency: string
  /** what forces are told in, for its words */
  forceUnit: ForceUnit
  roomC: number | null
  roomRH: number | null
  /** the family's values, the label's put over them; its times as they are in this room */
  family: Family
  /** how it cures here: room, faces, depth */
  cure: Cure
  /** words of the family that the label of a product overrides */
  labelled: readonly string[]
  /** what the label of a product declares */
  facts: LabelFacts
  /** money for the glue of one joint, where area and price are known */
  glueCost: number | null
  pack: PackAge | null
  helpers: readonly Helper[]
  dab: Dab | null
  /** another glue beside it */
  second: SecondGlue | null
  /** what own pulls make of the tables' strength here */
  correction: { factor: number; tested: boolean; pulls: number } | null
  /** the brief's words as they were said: what a rule asks that stands under no name above */
  said: Brief
}

/** A second glue of a procedure, with its times as they are here. */
export interface SecondGlue {
  family: Family
  /** of the product, or of its family */
  name: string
  role: SecondRole
  /** the part that it is for, in words */
  where: string
}

/** What is known beside the brief. */
export interface Around {
  helpers?: readonly Helper[]
  dab?: Dab | null
  /** its times as they are in the usual room */
  second?: SecondGlue | null
  labelled?: readonly string[]
  facts?: LabelFacts
  pack?: PackAge | null
  room?: { tempC: number; rh: number } | null
  packPrice?: number | null
  currency?: string
  forceUnit?: ForceUnit
  correction?: Situation['correction']
}

/** Full cure of a glue here, or of the slower where two are used, s. */
export const slowerFullS = ({ family, second }: Pick<Situation, 'family' | 'second'>): number =>
  Math.max(family.fullS, second?.family.fullS ?? 0)

/** From the brief's size: the deepest point of a closed joint lies half of its smaller side from the edge. */
function halfWidthMm(brief: Pick<Brief, 'edgeMm' | 'widthMm' | 'lengthMm'>): number | null {
  const { edgeMm, widthMm, lengthMm } = brief
  if (edgeMm !== null) return edgeMm
  const smaller = widthMm !== null && lengthMm !== null ? Math.min(widthMm, lengthMm) : (widthMm ?? lengthMm)
  return smaller === null ? null : smaller / 2
}

const faceOf = (side: 'A' | 'B', said: Brief['a'], material: MaterialClass | null): Face => ({
  side,
  material,
  state: said.state,
  thicknessMm: said.thicknessMm,
  traits: said.traits,
})

/** The situation of one family (or product, as a family with its label's values) in one brief. */
export function situationOf(
  brief: Brief,
  a: MaterialClass | null,
  b: MaterialClass | null,
  family: Family,
  around: Around = {},
): Situation {
  const { widthMm, lengthMm } = brief
  const load = requiredLoad(brief)
  const areaCm2 = widthMm !== null && lengthMm !== null ? (widthMm * lengthMm) / 100 : null
  const steady = brief.motion === 'still' && hangsStill(brief)
  const faces: Situation['faces'] = [faceOf('A', brief.a, a), faceOf('B', brief.b, b)]
  const room = around.room ?? null
  const edgeMm = halfWidthMm(brief)
  const { gapMm } = brief
  const air = { roomC: room?.tempC ?? null, roomRH: room?.rh ?? null }
  const here = { faces, edgeMm, gapMm, readyH: brief.readyH, ...air }
  const cured = curedHere(family, here)
  const second = around.second ?? null
  return {
    faces,
    geometry: brief.geometry,
    loads: steady ? [...(brief.loads ?? []), 'steady'] : brief.loads,
    restN: load && load.n / load.factor,
    areaCm2,
    edgeMm,
    gapMm,
    fit: brief.fit,
    curveMm: brief.curveMm,
    tempMaxC: brief.heatC,
    tempMinC: brief.coldC,
    water: brief.water,
    sun: brief.sun,
    flex: brief.flex,
    look: brief.look,
    boxed: brief.boxed,
    lasts: brief.life === 'years' || brief.life === 'archival' ? brief.life : null,
    comesApart: brief.life === 'temporary' || brief.undo === true,
    later: brief.later,
    readyH: brief.readyH,
    repositionS: brief.repositionS,
    canClamp: brief.canClamp,
    reach: brief.reach,
    inShell: brief.inShell,
    air: brief.air,
    roomM3: brief.roomM3,
    heatNear: brief.heatNear,
    users: brief.users,
    skin: brief.skin,
    stakes: brief.stakes,
    perEvening: brief.perEvening,
    count: brief.count,
    maxCost: brief.maxCost,
    currency: around.currency ?? '',
    forceUnit: around.forceUnit ?? 'N',
    ...air,
    ...cured,
    labelled: around.labelled ?? [],
    facts: around.facts ?? {},
    glueCost:
      around.packPrice == null || areaCm2 === null
        ? null
        : glueCost(family, faces, areaCm2, around.packPrice, brief.count ?? 1),
    pack: around.pack ?? null,
    helpers: around.helpers ?? [],
    dab: around.dab ?? null,
    second: second && { ...second, family: curedHere(second.family, here).family },
    correction: around.correction ?? null,
    said: brief,
  }
}

/** How a glue cures in a situation, and the glue with its times as they are there. */
export function curedHere(
  family: Family,
  of: Pick<Situation, 'faces' | 'edgeMm' | 'gapMm' | 'readyH' | 'roomC' | 'roomRH'>,
): Pick<Situation, 'family' | 'cure'> {
  const { faces, edgeMm, gapMm, readyH, roomC, roomRH } = of
  const said = roomC !== null || roomRH !== null
  // What is wanted within the day is not given less than a day to dry.
  const givenS = readyH === null ? null : Math.max(86_400, readyH * 3600)
  const room = said ? { tempC: roomC ?? STANDARD_ROOM.tempC, rh: roomRH ?? STANDARD_ROOM.rh } : null
  const cure = cureOf({ family, faces, room, halfWidthMm: edgeMm, gapMm, givenS })
  return { family: inRoom(family, cure), cure }
}

/** Grams laid on one joint: area × faces × spread, or what fills the gap where that is more. */
export function glueGrams(family: Family, areaCm2: number, gapMm: number | null): number {
  const spread = (areaCm2 / 1e4) * family.spreadGm2 * (family.faces === 'both' ? 2 : 1)
  const filled = gapMm === null ? 0 : (areaCm2 * (gapMm / 10) * family.densityGml) / Math.max(1, family.expands)
  return Math.max(spread, filled)
}

/** The face that drinks the first coat of a glue that sinks in, so that it is coated twice; null where none does. */
export const drinkingFace = ({ family, faces }: Pick<Situation, 'family' | 'faces'>): Face | null =>
  family.traits.includes('sinks-in')
    ? (faces.find(({ material }) => material !== null && material.porosity > 0.5) ?? null)
    : null

/**
 * Price of the glue alone in one joint, coats and loss counted, and of what does not keep once opened its share of
 * whole packs; null where a pack holds nothing to weigh out.
 */
function glueCost(
  family: Family,
  faces: Situation['faces'],
  areaCm2: number,
  packPrice: number,
  joints: number,
): number | null {
  const { id, packSize, packUnit, spreadGm2, densityGml } = family
  const adhesive = { family: id, packSize, packUnit, packPrice, spreadGm2, densityGml }
  if (packGrams(adhesive) <= 0) return null
  const coats = drinkingFace({ family, faces }) ? 2 : 1
  const one = cost({ adhesive, areaCm2, coats, waste: WASTE, joints })
  return isFleeting(family) ? one.perJointWithRest : one.glueCost
}
