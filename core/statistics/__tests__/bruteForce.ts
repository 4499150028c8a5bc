/**
 * The strength model by plain brute force, for tests and the benchmark: a dense even grid over ln σ and μ, every
 * reading at every node. Shares no code with the product; Φ comes from a power series and a continued fraction.
 */
export type Reading = { procedure: string } & (
  | { kind: 'exact'; value: number }
  | { kind: 'atLeast'; low: number }
  | { kind: 'atMost'; high: number }
  | { kind: 'between'; low: number; high: number }
)

const LN_ROOT_2PI = 0.5 * Math.log(2 * Math.PI)

/** ln of the upper tail for z > 3 by Lentz-free backward continued fraction: Q(z) = φ(z)/(z + 1/(z + 2/(z + …))). */
function logUpperFar(z: number): number {
  let fraction = 0
  for (let k = 200; k >= 1; k--) fraction = k / (z + fraction)
  return -0.5 * z * z - LN_ROOT_2PI - Math.log(z + fraction)
}

/** Φ(z) − ½ by its power series, for |z| ≤ 3. */
function middle(z: number): number {
  let term = z
  let sum = z
  for (let k = 1; k < 80; k++) {
    term *= (-z * z) / (2 * k)
    sum += term / (2 * k + 1)
  }
  return sum / Math.sqrt(2 * Math.PI)
}

/** ln Φ(z), independent of core/statistics/normal.ts. */
export function logLower(z: number): number {
  if (z < -3) return logUpperFar(-z)
  if (z > 3) return Math.log1p(-Math.exp(logUpperFar(z)))
  return Math.log(0.5 + middle(z))
}

function logBetween(a: number, b: number): number {
  const [big, small] = a > 0 ? [logLower(-a), logLower(-b)] : [logLower(b), logLower(a)]
  return big + Math.log(-Math.expm1(small - big))
}

/** ln likelihood of one reading by its definition. */
export function logLikelihood(r: Reading, mu: number, sigma: number): number {
  const z = (v: number) => (Math.log(v) - mu) / sigma
  if (r.kind === 'exact') return -0.5 * z(r.value) ** 2 - LN_ROOT_2PI - Math.log(sigma)
  if (r.kind === 'atLeast') return logLower(-z(r.low))
  if (r.kind === 'atMost' || r.low === 0) return logLower(z(r.high))
  return logBetween(z(r.low), z(r.high))
}

export interface Grid {
  sFrom: number
  sTo: number
  sSteps: number
  muFrom: number
  muTo: number
  muSteps: number
}

/**
 * Quantiles and probabilities on the grid. `density[k][g][j]` is normalised for each σ; `weight[k]` is σ's posterior.
 */
export function bruteForce(readings: readonly Reading[], grid: Grid) {
  const names = [...new Set(readings.map((r) => r.procedure))]
  const mid = (r: Reading) =>
    r.kind === 'exact'
      ? Math.log(r.value)
      : r.kind === 'atLeast'
        ? Math.log(r.low)
        : r.kind === 'atMost' || r.low === 0
          ? Math.log(r.high)
          : 0.5 * (Math.log(r.low) + Math.log(r.high))
  const m0 = readings.reduce((sum, r) => sum + mid(r), 0) / readings.length
  const ds = (grid.sTo - grid.sFrom) / grid.sSteps
  const dm = (grid.muTo - grid.muFrom) / grid.muSteps
  const s = Array.from({ length: grid.sSteps + 1 }, (_, k) => grid.sFrom + k * ds)
  const mu = Array.from({ length: grid.muSteps + 1 }, (_, j) => grid.muFrom + j * dm)
  const logS: number[] = []
  const density: Float64Array[][] = []
  for (const value of s) {
    let total = -((value - Math.log(0.25)) ** 2) / (2 * 0.25)
    const rows: Float64Array[] = []
    for (const name of names) {
      const own = readings.filter((r) => r.procedure === name)
      const logs = mu.map((m) =>
        own.reduce((sum, r) => sum + logLikelihood(r, m, Math.exp(value)), -((m - m0) ** 2) / (2 * 2.25)),
      )
      const top = logs.reduce((a, b) => Math.max(a, b), -Infinity)
      const row = Float64Array.from(logs, (l) => Math.exp(l - top))
      const sum = row.reduce((a, b) => a + b, 0)
      rows.push(row.map((v) => v / sum))
      total += top + Math.log(sum)
    }
    density.push(rows)
    logS.push(total)
  }
  const highest = logS.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = logS.map((l) => Math.exp(l - highest))
  const whole = raw.reduce((a, b) => a + b, 0)
  const weight = raw.map((w) => w / whole)

  /** Quantile of a set of (place, weight), linear between cumulated midpoints. */
  const quantile = (places: number[], weights: number[], p: number): number => {
    const order = places.map((_, i) => i).sort((i, j) => places[i]! - places[j]!)
    let sum = 0
    let before = -Infinity
    let beforeSum = 0
    for (const i of order) {
      if (weights[i]! === 0) continue
      const at = sum + weights[i]! / 2
      if (at >= p)
        return before === -Infinity ? places[i]! : before + ((places[i]! - before) * (p - beforeSum)) / (at - beforeSum)
      ;[before, beforeSum] = [places[i]!, at]
      sum += weights[i]!
    }
    return before
  }
  const marginal = (g: number) => mu.map((_, j) => weight.reduce((sum, w, k) => sum + w * density[k]![g]![j]!, 0))
  const weakQuantile = (g: number, p: number) => {
    const cdf = (x: number) =>
      weight.reduce((sum, w, k) => {
        // Share of the row below x + 1.645 σ, each node standing for its cell.
        const at = (x + 1.645 * Math.exp(s[k]!) - grid.muFrom) / dm + 0.5
        const full = Math.min(mu.length, Math.max(0, Math.floor(at)))
        let below = 0
        for (let j = 0; j < full; j++) below += density[k]![g]![j]!
        if (full < mu.length && at > 0) below += (at - full) * density[k]![g]![full]!
        return sum + w * below
      }, 0)
    let [low, high] = [grid.muFrom - 1.645 * Math.exp(grid.sTo), grid.muTo]
    for (let i = 0; i < 40; i++) {
      const at = (low + high) / 2
      if (cdf(at) < p) low = at
      else high = at
    }
    return { value: Math.exp((low + high) / 2), chanceAbove: (required: number) => 1 - cdf(Math.log(required)) }
  }
  const pBest = names.map((_, g) =>
    weight.reduce((sum, w, k) => {
      const below = names.map(() => 0)
      let best = 0
      for (let j = 0; j < mu.length; j++) {
        let part = density[k]![g]![j]!
        for (let h = 0; h < names.length; h++) if (h !== g) part *= below[h]! + density[k]![h]![j]! / 2
        for (let h = 0; h < names.length; h++) below[h]! += density[k]![h]![j]!
        best += part
      }
      return sum + w * best
    }, 0),
  )
  return {
    names,
    scatter: (p: number) => Math.exp(quantile(s, weight, p)),
    typical: (g: number, p: number) => Math.exp(quantile(mu, marginal(g), p)),
    weak: weakQuantile,
    pBest,
    /** quantile of exp(μ_a − μ_b) by the distribution on the grid's differences */
    ratio: (a: number, b: number, p: number) => {
      const size = mu.length
      const sum = new Float64Array(2 * size - 1)
      weight.forEach((w, k) => {
        if (w < 1e-7) return
        for (let i = 0; i < size; i++) {
          const left = w * density[k]![a]![i]!
          if (left < 1e-12) continue
          for (let j = 0; j < size; j++) sum[i - j + size - 1]! += left * density[k]![b]![j]!
        }
      })
      return Math.exp(
        quantile(
          Array.from(sum, (_, i) => (i - size + 1) * dm),
          Array.from(sum),
          p,
        ),
      )
    },
  }
}
