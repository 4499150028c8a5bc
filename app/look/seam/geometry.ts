import type { Place } from '../../../core/readings/datum'
import type { Geometry, LoadMode } from '../../../core/knowledge/vocabulary'

/** A joint in section, in a box of 120 × 48: two parts, the bond between them, and where a crack can run. */
export interface Section {
  a: string
  b: string
  bond: string
  /** crack paths, as points */
  cracks: Record<Place, string>
}

export type SectionName = 'lap' | 'edge' | 'patch' | 'point' | 'peel' | 'rod' | 'strip' | 'faces'

/** A ragged line between two places: a crack is never straight. Fixed zigzag, so that a drawing is always the same. */
function ragged(x1: number, y1: number, x2: number, y2: number, teeth = 7, depth = 1.1): string {
  const length = Math.hypot(x2 - x1, y2 - y1)
  const [nx, ny] = [-(y2 - y1) / length, (x2 - x1) / length]
  return Array.from({ length: teeth + 1 }, (_, i) => {
    const t = i / teeth
    const off = i % 2 ? depth : -depth
    return `${(x1 + (x2 - x1) * t + nx * off).toFixed(1)},${(y1 + (y2 - y1) * t + ny * off).toFixed(1)}`
  }).join(' ')
}

const flat = (
  x1: number,
  x2: number,
  top: number,
  bottom: number,
  tornA: string,
  tornB: string,
): Record<Place, string> => ({
  tornA,
  offA: ragged(x1 - 2, top, x2 + 2, top, 9, 0.7),
  glue: ragged(x1, (top + bottom) / 2, x2, (top + bottom) / 2),
  offB: ragged(x1 - 2, bottom, x2 + 2, bottom, 9, 0.7),
  tornB,
})

export const sections: Record<SectionName, Section> = {
  lap: {
    a: 'M2 10H78V22H2Z',
    b: 'M42 27H118V39H42Z',
    bond: 'M42 22H78V27H42Z',
    cracks: flat(42, 78, 22.6, 26.4, ragged(74, 22, 34, 10, 8), ragged(46, 27, 86, 39, 8)),
  },
  faces: {
    a: 'M6 6H114V21H6Z',
    b: 'M6 27H114V42H6Z',
    bond: 'M6 21H114V27H6Z',
    cracks: flat(6, 114, 21.8, 26.2, ragged(6, 14, 114, 13, 17), ragged(6, 34, 114, 35, 17)),
  },
  patch: {
    a: 'M28 12H92V23H28Z',
    b: 'M2 28H118V42H2Z',
    bond: 'M28 23H92V28H28Z',
    cracks: flat(28, 92, 23.7, 27.3, ragged(88, 23, 34, 12, 9), ragged(24, 36, 96, 35, 11)),
  },
  strip: {
    a: 'M46 12H118V22H46Z',
    b: 'M2 27H92V41H2Z',
    bond: 'M64 22H92V27H64Z',
    cracks: flat(64, 92, 22.7, 26.3, ragged(66, 22, 90, 12, 5), ragged(60, 27, 88, 41, 6)),
  },
  point: {
    a: 'M60 5C70 5 77 11 77 18C77 21 75 24 72 25H48C45 24 43 21 43 18C43 11 50 5 60 5Z',
    b: 'M2 29H118V43H2Z',
    bond: 'M50 25H70L72 29H48Z',
    cracks: flat(49, 71, 25.5, 28.6, ragged(46, 21, 74, 17, 6), ragged(44, 29, 76, 35, 6)),
  },
  edge: {
    a: 'M2 13H56V35H2Z',
    b: 'M62 13H118V35H62Z',
    bond: 'M56 13H62V35H56Z',
    cracks: {
      tornA: ragged(42, 13, 48, 35, 6),
      offA: ragged(56.8, 11, 56.8, 37, 7, 0.8),
      glue: ragged(59, 12, 59, 36, 7),
      offB: ragged(61.2, 11, 61.2, 37, 7, 0.8),
      tornB: ragged(76, 13, 71, 35, 6),
    },
  },
  peel: {
    a: 'M2 18H66C86 18 92 12 96 2L105 5C100 20 90 26 68 26H2Z',
    b: 'M2 30.5H118V43H2Z',
    bond: 'M2 26H66L69 26L64 30.5H2Z',
    cracks: flat(4, 66, 26.6, 30, ragged(66, 25, 10, 19, 9), ragged(66, 31, 10, 40, 9)),
  },
  rod: {
    a: 'M2 17H78V31H2Z',
    b: 'M52 4H118V44H52V34.5H82V13.5H52Z',
    bond: 'M52 13.5H82V34.5H52V31H78V17H52Z',
    cracks: {
      tornA: ragged(46, 17, 41, 31, 5),
      offA: ragged(50, 17.2, 78, 17.2, 7, 0.7),
      glue: ragged(52, 15.2, 80, 15.2, 7, 0.9),
      offB: ragged(52, 13.2, 82, 13.2, 7, 0.7),
      tornB: ragged(64, 13, 70, 4, 4),
    },
  },
}

export const sectionOf: Record<Geometry, SectionName> = {
  lap: 'lap',
  'butt-edge': 'edge',
  'face-large': 'faces',
  point: 'point',
  'laid-on': 'patch',
  patch: 'patch',
  'edge-strip': 'strip',
  rod: 'rod',
}

/** Arrows by load: on part A, and its answer on part B. Drawn in a box widened by the padding of the drawing. */
export function arrowsOf(section: SectionName, load: LoadMode): string[] {
  const left = (y: number) => `M-2 ${y}H-15M-10 ${y - 4}L-15 ${y}L-10 ${y + 4}`
  const right = (y: number) => `M122 ${y}H135M130 ${y - 4}L135 ${y}L130 ${y + 4}`
  const up = (x: number, from: number) =>
    `M${x} ${from}V${from - 12}M${x - 4} ${from - 8}L${x} ${from - 12}L${x + 4} ${from - 8}`
  const down = (x: number, from: number) =>
    `M${x} ${from}V${from + 9}M${x - 4} ${from + 5}L${x} ${from + 9}L${x + 4} ${from + 5}`
  const axis: Record<SectionName, [number, number]> = {
    lap: [16, 33],
    faces: [13, 35],
    patch: [17, 35],
    strip: [34, 17],
    point: [15, 36],
    edge: [24, 24],
    peel: [22, 37],
    rod: [24, 24],
  }
  const [ya, yb] = axis[section]
  const sideways = section === 'strip' ? [right(17), left(34)] : [left(ya), right(yb)]
  if (load === 'shear') return sideways
  if (load === 'tension')
    return section === 'edge' || section === 'rod'
      ? [left(24), right(24)]
      : [up(60, section === 'point' ? 2 : 4), down(60, 44)]
  if (load === 'peel')
    return section === 'peel' ? [up(100, -1)] : [up(section === 'patch' ? 90 : 76, section === 'patch' ? 9 : 7)]
  if (load === 'cleavage') return [up(110, section === 'edge' ? 9 : 4), down(110, 44)]
  if (load === 'torsion')
    return ['M-12 14A14 14 0 0 0 -12 34M-16 30L-12 34L-7 31', 'M132 34A14 14 0 0 0 132 14M127 17L132 14L136 19']
  if (load === 'bend') return ['M60 -11V6M56 2L60 6L64 2', 'M8 54L12 47L16 54Z', 'M104 54L108 47L112 54Z']
  if (load === 'flex')
    return ['M108 2C116 -2 124 -2 128 4M124 4L128 4L128 -1', 'M108 46C116 50 124 50 128 44M124 44L128 44L128 49']
  return ['M60 -12V4M56 0L60 4L64 0', 'M20 52H100M30 52L26 56M50 52L46 56M70 52L66 56M90 52L86 56']
}

/** How a material is hatched in the drawings: by its group, clear, or open. */
export type Hatch =
  'foam' | 'textile' | 'paper' | 'print' | 'sheet' | 'thermoform' | 'wood' | 'leather' | 'hard' | 'clear' | 'open'
