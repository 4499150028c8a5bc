import { normalDraw, seededRandom, type Random } from '../../planning/random'
import type { Picture, Point } from '../picture'

// Made pictures, by formulas of their own: nothing of core/photo is used to make what it is tested with.

const toLinear = (code: number) => {
  const v = code / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
}
const toCode = (linear: number) => 255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055)

export type Colour = readonly [r: number, g: number, b: number]

export interface Made {
  width: number
  height: number
  colours: readonly Colour[]
  /** which colour a place has */
  at: (x: number, y: number) => number
  /** share of the light that is gone at the far side, and in which direction that lies */
  fall: number
  angle: number
  /** light falls on what is seen (linear), or on the codes of the file */
  onCodes: boolean
  /** standard deviation of each byte */
  noise: number
}

/** Whether a point lies in a polygon, by counting crossings of a ray. */
export function within(outline: readonly Point[], x: number, y: number): boolean {
  let inside = false
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [[xi, yi], [xj, yj]] = [outline[i]!, outline[j]!]
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside
  }
  return inside
}

/** The picture, and the true share of each colour inside an outline. */
export function made(of: Made, outline: readonly Point[], random: Random): { picture: Picture; shares: number[] } {
  const { width, height, colours, at, fall, angle, onCodes, noise } = of
  const data = new Uint8Array(width * height * 3)
  const counts = colours.map(() => 0)
  const reach = (Math.abs(Math.cos(angle)) * width + Math.abs(Math.sin(angle)) * height) / 2
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const colour = at(x + 0.5, y + 0.5)
      if (within(outline, x + 0.5, y + 0.5)) counts[colour]! += 1
      const along = ((x - width / 2) * Math.cos(angle) + (y - height / 2) * Math.sin(angle)) / reach
      const light = 1 - fall * (0.5 + along / 2)
      for (let c = 0; c < 3; c++) {
        const code = colours[colour]![c]!
        const lit = onCodes ? code * light : toCode(toLinear(code) * light)
        data[(y * width + x) * 3 + c] = Math.max(0, Math.min(255, Math.round(lit + noise * normalDraw(random))))
      }
    }
  const all = counts.reduce((sum, one) => sum + one, 0)
  return { picture: { width, height, data, bytes: 3 }, shares: counts.map((one) => one / all) }
}

/** Foam, glue, wood, cloth, film, skin of a thermoplastic: what lies side by side on a broken face. */
const FACES: readonly Colour[] = [
  [230, 225, 215],
  [205, 180, 140],
  [60, 60, 65],
  [150, 150, 155],
  [190, 60, 50],
  [240, 200, 60],
  [70, 110, 160],
  [120, 80, 50],
  [90, 140, 90],
  [25, 25, 28],
]

/** Patches, discs, stripes or bands of two to four colours, lit from any side. */
export function randomFace(seed: number): Made {
  const random = seededRandom(seed)
  const [width, height, count] = [240, 160, 2 + Math.floor(random() * 3)]
  const colours = [...FACES].sort(() => random() - 0.5).slice(0, count)
  const spots = Array.from({ length: 24 }, () => [random() * width, random() * height, Math.floor(random() * count)])
  const shape = Math.floor(random() * 4)
  const turn = random() * Math.PI
  const at = (x: number, y: number): number => {
    if (shape === 0) return Math.min(count - 1, Math.floor((x / width) ** 1.7 * count))
    if (shape === 1) {
      const nearest = spots.reduce((best, one) =>
        Math.hypot(one[0]! - x, one[1]! - y) < Math.hypot(best[0]! - x, best[1]! - y) ? one : best,
      )
      return nearest[2]!
    }
    if (shape === 2) return spots.find(([sx, sy]) => Math.hypot(sx! - x, sy! - y) < 16)?.[2] ?? 0
    const along = (x * Math.cos(turn) + y * Math.sin(turn)) / 30
    return Math.floor((((along % 1) + 1) % 1) * count)
  }
  return {
    width,
    height,
    colours,
    at,
    fall: 0.2,
    angle: random() * 2 * Math.PI,
    onCodes: random() < 0.5,
    noise: [0, 2, 5, 8][Math.floor(random() * 4)]!,
  }
}
