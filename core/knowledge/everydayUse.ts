import { byFamily, rowsOfColumns } from './columns'
import everyday from './everyday.json'
import type { MaterialClass } from './materials'
import { geometries, type Geometry, type Helper } from './vocabulary'

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
