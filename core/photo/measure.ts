import { CodedError } from '../errors'
import { linearOf, luminance } from './lab'
import type { Picture, Point } from './picture'

const span = ([x1, y1]: Point, [x2, y2]: Point) => Math.hypot(x2 - x1, y2 - y1)
const LEAST_PX = 2

/**
 * mm of one pixel, from two points whose distance is known.
 * @throws CodedError out-of-range where they lie too near to say anything
 */
export function mmPerPx(from: Point, to: Point, knownMm: number): number {
  const px = span(from, to)
  if (!(px >= LEAST_PX))
    throw new CodedError('out-of-range', 'scale', { field: 'The known length, px', low: LEAST_PX, high: 1e5, got: px })
  if (!(knownMm > 0)) throw new CodedError('negative', 'known', { field: 'The known length', got: knownMm })
  return knownMm / px
}

/**
 * How far a strip is bent, from three points: on one leg, at the bend, on the other leg. 0° is straight, 180° folded.
 * @throws CodedError out-of-range where two of them are one
 */
export function bendAngle([a, bend, b]: readonly [Point, Point, Point]): number {
  const [u, v] = [a, b].map(([x, y]) => [x - bend[0], y - bend[1]] as const)
  const lengths = Math.hypot(...u!) * Math.hypot(...v!)
  if (!(lengths > LEAST_PX * LEAST_PX))
    throw new CodedError('out-of-range', 'points', { field: 'Three points apart', low: LEAST_PX, high: 1e5, got: 0 })
  const cos = (u![0] * v![0] + u![1] * v![1]) / lengths
  return 180 - (Math.acos(Math.min(1, Math.max(-1, cos))) * 180) / Math.PI
}

/** A straight edge: a point on it and its direction, of length 1. */
export interface Edge {
  at: Point
  along: Point
}

/** Points of an edge that are looked at, and how far off the tapped line, px. */
const LOOKS = 60
const REACH_SHARE = 0.12
const REACH_PX = [3, 24] as const
/** What a place at the end of the reach is worth less than one under the finger. */
const NEARER = 0.75
/** Of the looks those that lie near the line that most of them make. */
const KEPT = 0.7

const brightnessAt = ({ width, height, data, bytes }: Picture, x: number, y: number): number => {
  const [px, py] = [Math.min(width - 1.001, Math.max(0, x - 0.5)), Math.min(height - 1.001, Math.max(0, y - 0.5))]
  const [x0, y0] = [Math.floor(px), Math.floor(py)]
  const of = (dx: number, dy: number) => {
    const at = (Math.min(height - 1, y0 + dy) * width + Math.min(width - 1, x0 + dx)) * bytes
    return luminance(linearOf[data[at]!]!, linearOf[data[at + 1]!]!, linearOf[data[at + 2]!]!)
  }
  const [fx, fy] = [px - x0, py - y0]
  return (of(0, 0) * (1 - fx) + of(1, 0) * fx) * (1 - fy) + (of(0, 1) * (1 - fx) + of(1, 1) * fx) * fy
}

/** The line through points by least squares of their distances. */
function lineThrough(points: readonly Point[]): Edge {
  const n = points.length
  const [mx, my] = [0, 1].map((c) => points.reduce((sum, one) => sum + one[c]!, 0) / n) as [number, number]
  let [xx, xy, yy] = [0, 0, 0]
  for (const [x, y] of points) {
    xx += (x - mx) ** 2
    xy += (x - mx) * (y - my)
    yy += (y - my) ** 2
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy)
  return { at: [mx, my], along: [Math.cos(angle), Math.sin(angle)] }
}

/**
 * The edge that lies nearest to two tapped points: along the line between them the steepest change of brightness is
 * looked for, to a part of a pixel, and a line is laid through what most of it agree on. A finger need not hit it.
 * @param reach how far off it may lie, px; left out: an eighth of what was tapped
 */
export function edgeNear(picture: Picture, from: Point, to: Point, reach?: number): Edge {
  const length = span(from, to)
  if (!(length >= LEAST_PX))
    throw new CodedError('out-of-range', 'edge', { field: 'An edge, px', low: LEAST_PX, high: 1e5, got: length })
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
  const off: Point = [-along[1], along[0]]
  const far = Math.round(reach ?? Math.min(REACH_PX[1], Math.max(REACH_PX[0], REACH_SHARE * length)))
  const found: { point: Point; steep: number }[] = []
  for (let i = 0; i < LOOKS; i++) {
    const s = (length * (i + 0.5)) / LOOKS
    const [x, y] = [from[0] + s * along[0], from[1] + s * along[1]]
    const at = (t: number) => brightnessAt(picture, x + t * off[0], y + t * off[1])
    const steps = Array.from({ length: 2 * far + 1 }, (_, j) => j - far)
    const steep = steps.map((t) => Math.abs(at(t + 1) - at(t - 1)))
    // The nearer to the finger the likelier it is meant: the other rim of a thin line is as steep.
    const worth = steep.map((one, j) => one * (1 - NEARER * (Math.abs(j - far) / far)))
    const best = worth.indexOf(Math.max(...worth))
    if (!(steep[best]! > 0)) continue
    // Where the change of brightness has its middle, to a part of a pixel.
    let [sum, weight] = [0, 0]
    for (let j = Math.max(0, best - 2); j <= Math.min(steep.length - 1, best + 2); j++) {
      sum += steep[j]! * steps[j]!
      weight += steep[j]!
    }
    const t = sum / weight
    found.push({ point: [x + t * off[0], y + t * off[1]], steep: steep[best]! })
  }
  if (found.length < 5) return { at: from, along }
  let points = found.map(({ point }) => point)
  for (let turn = 0; turn < 3; turn++) {
    const line = lineThrough(points)
    const sorted = found
      .map(({ point }) => ({ point, off: Math.abs(offLine(line, point)) }))
      .sort((p, q) => p.off - q.off)
    points = sorted.slice(0, Math.max(5, Math.round(KEPT * sorted.length))).map(({ point }) => point)
  }
  return lineThrough(points)
}

/** Distance of a point from a line, with its side. */
const offLine = ({ at, along }: Edge, [x, y]: Point): number => (x - at[0]) * -along[1] + (y - at[1]) * along[0]

/**
 * How far two edges lie apart, px: the mean over both of how far the middle of the one is from the other.
 */
export const apart = (one: Edge, other: Edge): number =>
  (Math.abs(offLine(one, other.at)) + Math.abs(offLine(other, one.at))) / 2

/** The thickness of a bond line, or how far glue was squeezed out, mm. */
export const thicknessMm = (one: Edge, other: Edge, mmOfPx: number): number => apart(one, other) * mmOfPx
