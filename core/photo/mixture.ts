import type { Lab } from './lab'

/** Six numbers of a symmetric 3 × 3 matrix: ll, la, lb, aa, ab, bb. */
type Symmetric = readonly [ll: number, la: number, lb: number, aa: number, ab: number, bb: number]

/** A group of colours as a cloud: its middle, how it spreads (covariance), its share. */
export interface Cloud {
  centre: Lab
  spread: Symmetric
  weight: number
}

export interface Mixture {
  clouds: Cloud[]
  /** mean of the points’ ln likelihood, but for a constant: how well the clouds tell what is there */
  logLikelihood: number
}

/** No group of a real photo is tighter than this, CIELAB²: the rounding of its bytes. */
const LEAST_VARIANCE = 0.6
const ROUNDS = 24
const STILL = 1e-4
/** A point with so little chance of a cloud adds nothing to it. */
const NO_CHANCE = 1e-6

/** A cloud made ready to be asked: −ln of its density at a place is a quadratic form and a constant. */
export interface Form {
  centre: Lab
  /** half of the inverse of its covariance; twice that beside the diagonal */
  by: Symmetric
  constant: number
}

export function formOf({ centre, spread: [ll, la, lb, aa, ab, bb], weight }: Cloud): Form {
  const [c1, c2, c3] = [aa * bb - ab * ab, lb * ab - la * bb, la * ab - lb * aa]
  const det = ll * c1 + la * c2 + lb * c3
  const half = 0.5 / det
  return {
    centre,
    by: [
      half * c1,
      2 * half * c2,
      2 * half * c3,
      half * (ll * bb - lb * lb),
      2 * half * (la * lb - ll * ab),
      half * (ll * aa - la * la),
    ],
    constant: 0.5 * Math.log(det) - Math.log(Math.max(weight, 1e-9)),
  }
}

/** −ln of a cloud’s density and share at a colour, but for a constant. */
export function farFrom({ centre, by, constant }: Form, l: number, a: number, b: number): number {
  const [x, y, z] = [l - centre[0], a - centre[1], b - centre[2]]
  return x * (by[0] * x + by[1] * y + by[2] * z) + y * (by[3] * y + by[4] * z) + by[5] * z * z + constant
}

/**
 * Clouds that tell the points best, from given centres (expectation and maximisation: Dempster, Laird and Rubin 1977).
 * Unlike the nearest centre, a small group far off is worth more to it than two halves of a large one.
 * @param points l, a, b of each, one behind the other
 */
export function fitMixture(points: Float32Array, centres: readonly Lab[]): Mixture {
  const n = points.length / 3
  const k = centres.length
  let clouds = firstClouds(points, centres)
  let logLikelihood = -Infinity
  const far = new Float64Array(k)
  for (let round = 0; round < ROUNDS; round++) {
    // Of each cloud: sum of chances, of l a b from the old centre, and of their products.
    const sums = clouds.map(() => new Float64Array(10))
    const forms = clouds.map(formOf)
    let total = 0
    for (let i = 0; i < n; i++) {
      const [l, a, b] = [points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!]
      let least = Infinity
      for (let j = 0; j < k; j++) least = Math.min(least, (far[j] = farFrom(forms[j]!, l, a, b)))
      let sum = 0
      for (let j = 0; j < k; j++) sum += far[j] = Math.exp(least - far[j]!)
      total += Math.log(sum) - least
      for (let j = 0; j < k; j++) {
        const share = far[j]! / sum
        if (share < NO_CHANCE) continue
        const { centre } = clouds[j]!
        add(sums[j]!, share, l - centre[0], a - centre[1], b - centre[2])
      }
    }
    const next = total / n
    clouds = clouds.map((old, j) => moved(old, sums[j]!, n))
    if (next - logLikelihood < STILL) return { clouds, logLikelihood: Math.max(next, logLikelihood) }
    logLikelihood = next
  }
  return { clouds, logLikelihood }
}

function add(sums: Float64Array, share: number, l: number, a: number, b: number): void {
  sums[0]! += share
  sums[1]! += share * l
  sums[2]! += share * a
  sums[3]! += share * b
  sums[4]! += share * l * l
  sums[5]! += share * l * a
  sums[6]! += share * l * b
  sums[7]! += share * a * a
  sums[8]! += share * a * b
  sums[9]! += share * b * b
}

function moved({ centre, spread }: Cloud, sums: Float64Array, n: number): Cloud {
  const count = sums[0]!
  if (count < 4) return { centre, spread, weight: Math.max(count, 0.5) / n }
  const [l, a, b] = [sums[1]! / count, sums[2]! / count, sums[3]! / count]
  const of = (at: number, p: number, q: number) => sums[at]! / count - p * q
  return {
    centre: [centre[0] + l, centre[1] + a, centre[2] + b],
    spread: [
      of(4, l, l) + LEAST_VARIANCE,
      of(5, l, a),
      of(6, l, b),
      of(7, a, a) + LEAST_VARIANCE,
      of(8, a, b),
      of(9, b, b) + LEAST_VARIANCE,
    ],
    weight: count / n,
  }
}

/** Clouds round centres: as wide as the points that are nearest to each. */
function firstClouds(points: Float32Array, centres: readonly Lab[]): Cloud[] {
  const sums = centres.map(() => new Float64Array(10))
  const n = points.length / 3
  for (let i = 0; i < n; i++) {
    const [l, a, b] = [points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!]
    let [at, least] = [0, Infinity]
    for (let j = 0; j < centres.length; j++) {
      const [cl, ca, cb] = centres[j]!
      const d = (l - cl) ** 2 + (a - ca) ** 2 + (b - cb) ** 2
      if (d < least) [at, least] = [j, d]
    }
    const [cl, ca, cb] = centres[at]!
    add(sums[at]!, 1, l - cl, a - ca, b - cb)
  }
  const tight: Symmetric = [LEAST_VARIANCE, 0, 0, LEAST_VARIANCE, 0, LEAST_VARIANCE]
  return centres.map((centre, j) => moved({ centre, spread: tight, weight: 1 / n }, sums[j]!, n))
}
