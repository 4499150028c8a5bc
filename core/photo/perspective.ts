import { CodedError } from '../errors'
import type { Picture, Point } from './picture'
import { solve } from './solve'

/** Nine numbers of a projective map, row by row; the last is 1. */
export type Projection = readonly number[]

const shape = (detail: string) => new CodedError('wrong-shape', 'corners', { field: 'The four corners', detail })

/**
 * The projective map that takes four points to four others (the standard direct linear solution, exact for four pairs).
 * @throws CodedError wrong-shape where three of them lie on one line
 */
export function projection(from: readonly Point[], to: readonly Point[]): Projection {
  if (from.length !== 4 || to.length !== 4) throw shape(`four points were expected, ${from.length} were got`)
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ]
  })
  const found = solve(rows)
  if (!found) throw shape('three of them lie on one line')
  return [...found, 1]
}

/** Where a point comes to lie. */
export function project(h: Projection, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w]
}

/** Whether four corners go round a field without crossing or a dent. */
export function isConvex(corners: readonly Point[]): boolean {
  const turns = corners.map(([x1, y1], i) => {
    const [x2, y2] = corners[(i + 1) % 4]!
    const [x3, y3] = corners[(i + 2) % 4]!
    return (x2 - x1) * (y3 - y2) - (y2 - y1) * (x3 - x2)
  })
  return turns.every((one) => one > 0) || turns.every((one) => one < 0)
}

/** Four corners in the order upper left, upper right, lower right, lower left. */
export function inOrder(corners: readonly Point[]): Point[] {
  const [mx, my] = [0, 1].map((c) => corners.reduce((sum, one) => sum + one[c]!, 0) / corners.length)
  const round = [...corners].sort((p, q) => Math.atan2(p[1] - my!, p[0] - mx!) - Math.atan2(q[1] - my!, q[0] - mx!))
  const first = round.reduce((best, [x, y], i) => (x + y < round[best]![0] + round[best]![1] ? i : best), 0)
  return [...round.slice(first), ...round.slice(0, first)]
}

/**
 * A face that was photographed at a slant, put straight: its four corners become a rectangle of the sides given.
 * Each pixel is taken between its four neighbours.
 * @param corners upper left, upper right, lower right, lower left; px @param to sides of the straight picture, px
 * @throws CodedError wrong-shape where the corners make no field
 */
export function straightened(
  picture: Picture,
  corners: readonly Point[],
  to: { width: number; height: number },
): Picture {
  if (corners.length !== 4 || !isConvex(corners)) throw shape('four corners that go round the face were expected')
  const { width, height } = to
  const back = projection(
    [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ],
    corners,
  )
  const data = new Uint8ClampedArray(width * height * 3)
  const { bytes } = picture
  const limit = (value: number, most: number) => Math.min(most, Math.max(0, value))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = project(back, [x + 0.5, y + 0.5])
      const [px, py] = [limit(u - 0.5, picture.width - 1.001), limit(v - 0.5, picture.height - 1.001)]
      const [x0, y0] = [Math.floor(px), Math.floor(py)]
      const [fx, fy] = [px - x0, py - y0]
      const right = x0 + 1 < picture.width ? bytes : 0
      const below = y0 + 1 < picture.height ? picture.width * bytes : 0
      const at = (y0 * picture.width + x0) * bytes
      for (let c = 0; c < 3; c++) {
        const of = (i: number) => picture.data[i + c]!
        const top = of(at) * (1 - fx) + of(at + right) * fx
        const bottom = of(at + below) * (1 - fx) + of(at + below + right) * fx
        data[(y * width + x) * 3 + c] = top * (1 - fy) + bottom * fy
      }
    }
  return { width, height, data, bytes: 3 }
}

/** Sides of the straight picture of a face: as many pixels as its longer edges have, in the face’s own proportion. */
export function sidesFor(
  corners: readonly Point[],
  face: { widthMm: number; heightMm: number } | null,
): { width: number; height: number } {
  const edge = (i: number, j: number) => Math.hypot(corners[j]![0] - corners[i]![0], corners[j]![1] - corners[i]![1])
  const [across, down] = [Math.max(edge(0, 1), edge(3, 2)), Math.max(edge(1, 2), edge(0, 3))]
  const most = 1600
  // Of a face that was photographed on its side the longer edge stays the longer one.
  const own = face ? face.heightMm / face.widthMm : down / across
  const ratio = own > 1 === down > across ? own : 1 / own
  const width = Math.min(most, across, most / ratio)
  return { width: Math.max(8, Math.round(width)), height: Math.max(8, Math.round(width * ratio)) }
}
