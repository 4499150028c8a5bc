import type { Random } from '../planning/random'
import type { Lab } from './lab'

/** Starts that are tried, and rounds of each. */
const STARTS = 6
const ROUNDS = 30
/** Groups that move by less than this are found, in CIELAB. */
const STILL = 0.05

export interface Groups {
  centres: Lab[]
  /** mean squared distance to the own group’s centre */
  spread: number
}

const distance2 = (points: Float32Array, at: number, [l, a, b]: Lab): number =>
  (points[at]! - l) ** 2 + (points[at + 1]! - a) ** 2 + (points[at + 2]! - b) ** 2

/** The nearest centre of a point, and how far it is off, squared. */
export function nearest(points: Float32Array, at: number, centres: readonly Lab[]): { group: number; d2: number } {
  let [group, d2] = [0, Infinity]
  for (let k = 0; k < centres.length; k++) {
    const d = distance2(points, at, centres[k]!)
    if (d < d2) [group, d2] = [k, d]
  }
  return { group, d2 }
}

/** First centres far apart (Arthur and Vassilvitskii 2007: each drawn by its squared distance to those before it). */
function spreadOut(points: Float32Array, k: number, random: Random): Lab[] {
  const n = points.length / 3
  const pick = (i: number): Lab => [points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!]
  const centres = [pick(Math.floor(random() * n))]
  const d2 = new Float64Array(n).fill(Infinity)
  while (centres.length < k) {
    let sum = 0
    for (let i = 0; i < n; i++) {
      d2[i] = Math.min(d2[i]!, distance2(points, 3 * i, centres.at(-1)!))
      sum += d2[i]!
    }
    let left = random() * sum
    let i = 0
    while (i < n - 1 && left >= d2[i]!) left -= d2[i++]!
    centres.push(pick(i))
  }
  return centres
}

/** k of the points, each the farthest from those before it, beginning at the one nearest to the mean of all. */
export function farthest(points: Float32Array, k: number): Lab[] {
  const n = points.length / 3
  const mean = [0, 1, 2].map((c) => {
    let sum = 0
    for (let i = c; i < points.length; i += 3) sum += points[i]!
    return sum / n
  }) as unknown as Lab
  const d2 = Float64Array.from({ length: n }, (_, i) => distance2(points, 3 * i, mean))
  let at = 0
  for (let i = 1; i < n; i++) if (d2[i]! < d2[at]!) at = i
  const centres: Lab[] = []
  d2.fill(Infinity)
  for (;;) {
    centres.push([points[3 * at]!, points[3 * at + 1]!, points[3 * at + 2]!])
    if (centres.length === k) return centres
    let most = -1
    for (let i = 0; i < n; i++) {
      d2[i] = Math.min(d2[i]!, distance2(points, 3 * i, centres.at(-1)!))
      if (d2[i]! > most) [most, at] = [d2[i]!, i]
    }
  }
}

/** One run of Lloyd’s rounds from given centres. */
export function settle(points: Float32Array, from: readonly Lab[]): Groups {
  const k = from.length
  const n = points.length / 3
  const centres = Float64Array.from(from.flat())
  const sums = new Float64Array(4 * k)
  let spread = Infinity
  for (let round = 0; round < ROUNDS; round++) {
    sums.fill(0)
    let total = 0
    for (let i = 0; i < points.length; i += 3) {
      const [l, a, b] = [points[i]!, points[i + 1]!, points[i + 2]!]
      let [at, least] = [0, Infinity]
      for (let j = 0; j < k; j++) {
        const d2 = (l - centres[3 * j]!) ** 2 + (a - centres[3 * j + 1]!) ** 2 + (b - centres[3 * j + 2]!) ** 2
        if (d2 < least) {
          least = d2
          at = j
        }
      }
      sums[4 * at]! += l
      sums[4 * at + 1]! += a
      sums[4 * at + 2]! += b
      sums[4 * at + 3]! += 1
      total += least
    }
    let moved = 0
    for (let j = 0; j < k; j++) {
      const count = sums[4 * j + 3]!
      if (!count) continue
      for (let c = 0; c < 3; c++) {
        const next = sums[4 * j + c]! / count
        moved = Math.max(moved, Math.abs(next - centres[3 * j + c]!))
        centres[3 * j + c] = next
      }
    }
    spread = total / n
    if (moved < STILL) break
  }
  return {
    centres: from.map((_, j): Lab => [centres[3 * j]!, centres[3 * j + 1]!, centres[3 * j + 2]!]),
    spread,
  }
}

/**
 * k groups of colours (k-means in CIELAB), the tightest of several seeded starts.
 * @param points l, a, b of each, one behind the other
 */
export function kMeans(points: Float32Array, k: number, random: Random): Groups {
  let best: Groups | null = null
  for (let start = 0; start < STARTS; start++) {
    const found = settle(points, spreadOut(points, k, random))
    if (!best || found.spread < best.spread) best = found
  }
  return best!
}
