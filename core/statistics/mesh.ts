/**
 * A one-dimensional density known by its logarithm and slope, log-concave, laid on nodes that are dense where it bends.
 * Between nodes it is a cubic Hermite polynomial, so integral and distribution function are of fourth order.
 */
export type LogCurve = (x: number) => { log: number; slope: number }

export interface Mesh {
  /** ln of the integral */
  logZ: number
  /** node places; density (times 1/peak) and its slope; integral up to the node, the last one being the whole */
  x: number[]
  f: number[]
  df: number[]
  sum: number[]
}

/** The curve is followed until it has fallen by this much (e⁻³⁴ ≈ 2e-15 of the peak). */
const DEPTH = 34
/** Error allowed in one interval, as a share of the whole integral. */
export const FINE = 2e-6
/** Enough for finding where a posterior lies, not for its quantiles. */
export const COARSE = 1e-3

/** The place of the peak: the slope falls steadily through zero there. */
function peakOf(curve: LogCurve, start: number, scale: number): number {
  let low = start
  let high = start
  let step = scale
  const uphill = curve(start).slope > 0 ? 1 : -1
  for (let at = start + uphill * step; curve(at).slope * uphill > 0; at += uphill * step) {
    if (uphill > 0) low = at
    else high = at
    step *= 2
  }
  if (uphill > 0) high = low + step
  else low = high - step
  for (let i = 0; i < 60 && high - low > 1e-4 * scale; i++) {
    const middle = (low + high) / 2
    if (curve(middle).slope > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** From the peak outward to where the curve has fallen by DEPTH (within a few units). */
function edgeOf(curve: LogCurve, peak: number, top: number, scale: number, side: 1 | -1): number {
  let inner = 0
  let outer = scale
  while (top - curve(peak + side * outer).log < DEPTH) {
    inner = outer
    outer *= 2
  }
  for (let i = 0; i < 8; i++) {
    const middle = (inner + outer) / 2
    if (top - curve(peak + side * middle).log < DEPTH) inner = middle
    else outer = middle
  }
  return peak + side * outer
}

const wholeOf = (h: number, f0: number, f1: number, d0: number, d1: number) =>
  (h / 2) * (f0 + f1) + ((h * h) / 12) * (d0 - d1)

type Node = { x: number; f: number; df: number }

/**
 * Lays the mesh.
 * @param start a guess of the peak's place
 * @param scale the order of size of the peak's width
 * @param tolerance error allowed in one interval, as a share of the whole
 */
export function meshOf(curve: LogCurve, start: number, scale: number, tolerance = FINE): Mesh {
  const peak = peakOf(curve, start, scale)
  const top = curve(peak).log
  const at = (x: number): Node => {
    const { log, slope } = curve(x)
    const f = Math.exp(log - top)
    return { x, f, df: f === 0 ? 0 : f * slope }
  }
  const left = edgeOf(curve, peak, top, scale, -1)
  const right = edgeOf(curve, peak, top, scale, 1)
  const START = tolerance < COARSE ? 6 : 4
  const seeds: Node[] = []
  for (let i = 0; i < START; i++) seeds.push(at(left + ((peak - left) * i) / START))
  for (let i = 0; i <= START; i++) seeds.push(at(peak + ((right - peak) * i) / START))
  let rough = 0
  for (let i = 1; i < seeds.length; i++) {
    const [a, b] = [seeds[i - 1]!, seeds[i]!]
    rough += Math.abs(wholeOf(b.x - a.x, a.f, b.f, a.df, b.df))
  }
  const allowed = tolerance * rough
  const nodes: Node[] = [seeds[0]!]
  const refine = (a: Node, b: Node, deep: number): void => {
    const h = b.x - a.x
    const m = at((a.x + b.x) / 2)
    const halves = wholeOf(h / 2, a.f, m.f, a.df, m.df) + wholeOf(h / 2, m.f, b.f, m.df, b.df)
    const guess = (a.f + b.f) / 2 + (h / 8) * (a.df - b.df)
    const slope = (1.5 * (b.f - a.f)) / h - (a.df + b.df) / 4
    // An edge in the very middle leaves integral and height right and only the slope wrong: all three are asked.
    const wrong = Math.max(
      Math.abs(halves - wholeOf(h, a.f, b.f, a.df, b.df)),
      (Math.abs(guess - m.f) * h) / 8,
      (Math.abs(slope - m.df) * h * h) / 64,
    )
    if (wrong <= allowed || deep === 0) nodes.push(m, b)
    else {
      refine(a, m, deep - 1)
      refine(m, b, deep - 1)
    }
  }
  for (let i = 1; i < seeds.length; i++) refine(seeds[i - 1]!, seeds[i]!, 24)
  const sum = [0]
  for (let i = 1; i < nodes.length; i++) {
    const [a, b] = [nodes[i - 1]!, nodes[i]!]
    sum.push(sum[i - 1]! + Math.max(0, wholeOf(b.x - a.x, a.f, b.f, a.df, b.df)))
  }
  return {
    logZ: top + Math.log(sum.at(-1)!),
    x: nodes.map((n) => n.x),
    f: nodes.map((n) => n.f),
    df: nodes.map((n) => n.df),
    sum,
  }
}

/** Index i of the interval [x_i, x_{i+1}] that holds `at`, by halving. */
function intervalOf(x: readonly number[], at: number): number {
  let low = 0
  let high = x.length - 2
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (x[middle]! <= at) low = middle
    else high = middle - 1
  }
  return low
}

/** The distribution function at a place, 0…1. */
export function cdfOf(mesh: Mesh, at: number): number {
  const { x, f, df, sum } = mesh
  if (at <= x[0]!) return 0
  if (at >= x.at(-1)!) return 1
  const i = intervalOf(x, at)
  const h = x[i + 1]! - x[i]!
  const t = (at - x[i]!) / h
  const [t2, t3, t4] = [t * t, t * t * t, t * t * t * t]
  const part =
    h * (f[i]! * (t4 / 2 - t3 + t) + f[i + 1]! * (t3 - t4 / 2)) +
    h * h * (df[i]! * (t4 / 4 - (2 * t3) / 3 + t2 / 2) + df[i + 1]! * (t4 / 4 - t3 / 3))
  return Math.min(1, Math.max(0, (sum[i]! + part) / sum.at(-1)!))
}

/**
 * Places and weights (adding up to 1) for averaging a smooth function over the density: two Gauss points an interval.
 */
export function pointsOf(mesh: Mesh): { x: number[]; w: number[] } {
  const places: number[] = []
  const weights: number[] = []
  const whole = mesh.sum.at(-1)!
  for (let i = 1; i < mesh.x.length; i++) {
    const h = mesh.x[i]! - mesh.x[i - 1]!
    for (const t of [0.5 - Math.sqrt(1 / 12), 0.5 + Math.sqrt(1 / 12)]) {
      const [t2, t3] = [t * t, t * t * t]
      const value =
        mesh.f[i - 1]! * (2 * t3 - 3 * t2 + 1) +
        mesh.f[i]! * (3 * t2 - 2 * t3) +
        h * (mesh.df[i - 1]! * (t3 - 2 * t2 + t) + mesh.df[i]! * (t3 - t2))
      if (value <= 0) continue
      places.push(mesh.x[i - 1]! + t * h)
      weights.push((value * h) / 2 / whole)
    }
  }
  return { x: places, w: weights }
}
