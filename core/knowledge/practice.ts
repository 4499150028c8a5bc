import { rowsOfColumns } from './columns'
import everyday from './everyday.json'
import gaps from './gaps.json'
import grips from './grip.json'
import doses from './heat-dose.json'
import type { MaterialClass } from './materials'
import stiffness from './stiffness.json'
import times from './strength-time.json'
import { geometries, type Geometry, type Helper, type LoadMode } from './vocabulary'
import wet from './wet-load.json'

/** What practice knows of families on faces: looked up as rules-2.md says, “How the tables are looked up”. */
const uses = ['made-for', 'everyday', 'workable', 'odd', 'never'] as const
type Use = (typeof uses)[number]

interface EverydayRow {
  a: string
  b: string
  family: string
  helper: Helper | ''
  geometry: Geometry | ''
  use: Use
  /** why, in a maker's words */
  note: string
}
const byFamily = <Row extends { family: string }>(rows: Row[]): Map<string, Row[]> => {
  const by = new Map<string, Row[]>()
  for (const row of rows) by.set(row.family, [...(by.get(row.family) ?? []), row])
  return by
}
const everydayRows = byFamily(rowsOfColumns<EverydayRow>(everyday as never))

const groupOf = ({ id, group }: MaterialClass) => (id === 'foam-pvc' ? 'sheet' : group)
/** 3 the material by name, 1 its group, 0 any; null: no match. */
function nearness(word: string, material: MaterialClass): number | null {
  if (word === '*') return 0
  if (word === material.id) return 3
  return word === `group:${groupOf(material)}` ? 1 : null
}

export interface FoundUse {
  row: EverydayRow
  /** the row names a face: nearer than the family's standing where nothing more is said */
  names: boolean
}

/**
 * What makers reach for: the most specific row of the family for two faces, helpers and shape; on a tie the more
 * cautious use. null where the family has no row at all.
 */
export function useOf(
  family: string,
  a: MaterialClass,
  b: MaterialClass,
  shape: Geometry | null,
  helpers: readonly Helper[],
): FoundUse | null {
  // A piece laid on is glued as a patch is.
  const geometry = shape === 'laid-on' ? 'patch' : shape
  const key = [family, a.id, b.id, geometry, ...helpers].join(' ')
  let known = foundUses.get(key)
  if (known === undefined) {
    // Where the shape is open the kindest use counts: what is unknown blocks nothing.
    const shapes = geometry === null ? [null, ...geometries] : [geometry]
    const found = shapes.flatMap((shape) => lookUp(family, a, b, shape, helpers) ?? [])
    known = found.sort((x, y) => uses.indexOf(x.row.use) - uses.indexOf(y.row.use))[0] ?? null
    foundUses.set(key, known)
  }
  return known
}

/** What was looked up before: the tables do not change. */
const foundUses = new Map<string, FoundUse | null>()
function lookUp(
  family: string,
  a: MaterialClass,
  b: MaterialClass,
  geometry: Geometry | null,
  helpers: readonly Helper[],
): FoundUse | null {
  const rows = (everydayRows.get(family) ?? []).filter(
    (row) => (row.helper === '' || helpers.includes(row.helper)) && (row.geometry === '' || row.geometry === geometry),
  )
  const found = nearest(rows, a, b, geometry)
  const named = found && found.row.a + found.row.b !== '**'
  if (named || (a.id !== 'foam-eps' && b.id !== 'foam-eps')) return found
  // Bead foam without a row of its own is taken for the extruded one.
  const like = (one: MaterialClass) => (one.id === 'foam-eps' ? { ...one, id: 'foam-xps' } : one)
  return nearest(rows, like(a), like(b), geometry)
}

function nearest(
  rows: readonly EverydayRow[],
  a: MaterialClass,
  b: MaterialClass,
  geometry: Geometry | null,
): FoundUse | null {
  const scored = rows.flatMap((row) => {
    const ways = [
      [row.a, row.b],
      [row.b, row.a],
    ].flatMap(([one, two]) => {
      const [near, far] = [nearness(one!, a), nearness(two!, b)]
      return near === null || far === null ? [] : [near + far]
    })
    return ways.length
      ? [{ row, score: Math.max(...ways) + (row.helper === '' ? 0 : 1), any: Math.max(...ways) === 0 }]
      : []
  })
  const shaped = scored.some(({ row, any }) => row.geometry !== '' && !any)
  const kept = scored.filter(({ row, any }) => (shaped ? row.geometry !== '' && !any : !any || row.geometry === ''))
  const caution = (row: EverydayRow) => uses.indexOf(row.use)
  const best = kept.sort((x, y) => y.score - x.score || caution(y.row) - caution(x.row))[0]
  if (!best) return null
  // What is said of this shape with any face can only lower what a wider row praises.
  const lower = scored.find(({ row, any }) => any && row.geometry !== '' && row.geometry === geometry)
  if (lower && best.row.geometry === '' && caution(lower.row) > caution(best.row))
    return { row: lower.row, names: false }
  return { row: best.row, names: !best.any }
}

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

/** What was looked up before: the tables do not change. */
const MOST_KNOWN = 20_000
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

interface GapRow {
  family: string
  helper: string
  gapMaxMm: number
}
const gapRows = byFamily(rowsOfColumns<GapRow>(gaps as never))
/** Widest gap that a family bridges, mm, with the helper in use that reaches furthest; null without a row. */
export function gapLimit(family: string, helpers: readonly Helper[]): number | null {
  const rows = gapRows.get(family) ?? []
  const own = rows.filter(({ helper }) => helper !== '' && helpers.includes(helper as Helper))
  const used = own.length ? own : rows.filter(({ helper }) => helper === '')
  return used.length ? Math.max(...used.map(({ gapMaxMm }) => gapMaxMm)) : null
}

interface DoseRow {
  family: string
  dose: string
  surfaceRiseC: number
}
const doseRows = byFamily(rowsOfColumns<DoseRow>(doses as never))
/** Rise of a badly conducting face under each dose of a family, °C. */
export const heatRises = (family: string): readonly DoseRow[] => doseRows.get(family) ?? []

interface TimeRow {
  family: string
  t1S: number
  share1: number
  t2S: number
  share2: number
  t3S: number
  share3: number
}
const timeRows = new Map(rowsOfColumns<TimeRow>(times as never).map((row) => [row.family, row]))
/**
 * Share of its full strength that a family has after a time: a straight line in the logarithm of time between three
 * points; before the first in proportion to time, or held there for glues that grab.
 * @param seconds since closing, at 20 °C and 50 % RH
 * @returns 0…1; null without a row
 */
export function shareAt(family: string, seconds: number, grabs: boolean): number | null {
  const row = timeRows.get(family)
  if (!row) return null
  const { t1S, share1, t2S, share2, t3S, share3 } = row
  if (seconds >= t3S) return share3
  if (seconds <= t1S) return grabs ? share1 : (share1 * Math.max(0, seconds)) / t1S
  const [from, low, to, high] = seconds < t2S ? [t1S, share1, t2S, share2] : [t2S, share2, t3S, share3]
  return low + ((high - low) * Math.log(seconds / from)) / Math.log(to / from)
}

export interface Stiffness {
  family: string
  filmModulusMPa: number
  elongationPct: number
  /** 3 made for spines that open flat … 0 breaks them */
  layFlat: number
}
const stiffRows = new Map(rowsOfColumns<Stiffness>(stiffness as never).map((row) => [row.family, row]))
export const stiffnessOf = (family: string): Stiffness | null => stiffRows.get(family) ?? null

interface WetRow {
  family: string
  waterGm2: number
  solventGm2: number
}
const wetRows = new Map(rowsOfColumns<WetRow>(wet as never).map((row) => [row.family, row]))
/** What wets the sheet at the usual spread, g/m². */
export const wetLoadOf = (family: string): WetRow => wetRows.get(family) ?? { family, waterGm2: 0, solventGm2: 0 }
