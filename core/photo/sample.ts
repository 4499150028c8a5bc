import { linearOf, labInto } from './lab'
import { lightRows, type Light } from './light'
import type { Picture } from './picture'

/** Pixels that groups and light are found from: enough for a tenth of a per cent. */
const SAMPLE = 7_000

/** Pixels inside, evenly over the area; a step that shares no factor with the width runs over all columns. */
export function sampled(inside: Uint8Array): Uint32Array {
  let count = 0
  for (const one of inside) count += one
  const every = Math.max(1, count / SAMPLE)
  const out: number[] = []
  let [seen, next] = [0, 0]
  for (let i = 0; i < inside.length; i++) {
    if (!inside[i]) continue
    if (seen >= next) {
      out.push(i)
      next += every
    }
    seen += 1
  }
  return Uint32Array.from(out)
}

/** Linear red, green and blue of the sampled pixels, one behind the other. */
export interface Sample {
  pixels: Uint32Array
  rgb: Float32Array
}

const linearAt = ({ data, bytes }: Picture, i: number): [number, number, number] => [
  linearOf[data[i * bytes]!]!,
  linearOf[data[i * bytes + 1]!]!,
  linearOf[data[i * bytes + 2]!]!,
]

/** Variance that is left in means of nine neighbours, as a share: a ninth where every pixel stands for itself. */
const STRUCTURE = 0.35
/** Of the means those that lie within one colour: the calmest. */
const CALM = 0.8

/**
 * The colours of the sampled pixels as they are, and, where they lie in patches, as the mean of nine neighbours, those
 * at the rim of a patch left out: that takes most of the noise, and a small patch stands out of it.
 */
export function coloursOf(
  picture: Picture,
  inside: Uint8Array,
  pixels: Uint32Array,
): { raw: Sample; calm: Sample | null } {
  const { width, height, data, bytes } = picture
  const n = pixels.length
  const [raw, mean, unrest] = [new Float32Array(3 * n), new Float32Array(3 * n), new Float32Array(n)]
  pixels.forEach((i, at) => {
    raw.set(linearAt(picture, i), 3 * at)
    const [x, y] = [i % width, Math.floor(i / width)]
    const sums = [0, 0, 0]
    let [count, squares, levels] = [0, 0, 0]
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) {
        if (x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height) continue
        const other = i + dy * width + dx
        if (!inside[other]) continue
        const rgb = linearAt(picture, other)
        for (let c = 0; c < 3; c++) sums[c]! += rgb[c]!
        // In codes, in which noise is alike in light and dark.
        const level = data[other * bytes]! + data[other * bytes + 1]! + data[other * bytes + 2]!
        squares += level * level
        levels += level
        count += 1
      }
    for (let c = 0; c < 3; c++) mean[3 * at + c] = sums[c]! / count
    unrest[at] = squares / count - (levels / count) ** 2
  })
  if (variance(mean) < STRUCTURE * variance(raw)) return { raw: { pixels, rgb: raw }, calm: null }
  const limit = Float32Array.from(unrest).sort()[Math.floor(CALM * (n - 1))]!
  const kept = Array.from(pixels.keys()).filter((at) => unrest[at]! <= limit)
  const rgb = new Float32Array(3 * kept.length)
  kept.forEach((at, k) => rgb.set(mean.subarray(3 * at, 3 * at + 3), 3 * k))
  return { raw: { pixels, rgb: raw }, calm: { pixels: Uint32Array.from(kept, (at) => pixels[at]!), rgb } }
}

function variance(rgb: Float32Array): number {
  const n = rgb.length / 3
  let total = 0
  for (let c = 0; c < 3; c++) {
    let [sum, squares] = [0, 0]
    for (let i = c; i < rgb.length; i += 3) {
      sum += rgb[i]!
      squares += rgb[i]! ** 2
    }
    total += squares / n - (sum / n) ** 2
  }
  return total
}

/** The sampled colours in even light, in CIELAB. */
export function inLab({ pixels, rgb }: Sample, picture: Picture, light: Light): Float32Array {
  const rows = lightRows(light, picture)
  const points = new Float32Array(rgb.length)
  pixels.forEach((i, n) => {
    const by = rows.x[i % picture.width]! * rows.y[Math.floor(i / picture.width)]!
    labInto(points, 3 * n, rgb[3 * n]! * by, rgb[3 * n + 1]! * by, rgb[3 * n + 2]! * by)
  })
  return points
}
