/** One procedure at one σ: places of μ, rising, with their weights, and what its worth is there. */
export interface Row {
  x: readonly number[]
  w: readonly number[]
  d: readonly number[]
  /** mean of d */
  mean: number
}

/** What is known before the next reading: for each σ its weight and every procedure. */
export interface Ahead {
  sigma: readonly number[]
  weight: readonly number[]
  /** by σ, by procedure */
  rows: readonly (readonly Row[])[]
  /** of each procedure, what the reading cannot change of its worth */
  rest: readonly number[]
}

export const rowOf = ({ x, w }: Pick<Row, 'x' | 'w'>, worth: (mu: number) => number): Row => {
  const d = x.map(worth)
  return { x, w, d, mean: w.reduce((sum, one, i) => sum + one * d[i]!, 0) }
}

/** The next reading is averaged over so many places a standard deviation of the tightest scatter that counts. */
const PER_SIGMA = 6
/** A scatter with less weight does not set how fine that is. */
const SETS_GRAIN = 0.01
const MOST_PLACES = 1500
/** A reading further off than so many scatters tells nothing of a place of μ. */
const NEAR = 6
/** How far beyond what a procedure may be, in scatters, the next reading may lie. */
const REACH = 5

/** What each procedure is worth today. */
export const valuesNow = ({ rows, weight, rest }: Ahead): number[] =>
  rest.map((one, q) => rows.reduce((sum, row, n) => sum + weight[n]! * row[q]!.mean, one))

/**
 * The mean value of the best choice after further exact readings of procedure g (preposterior analysis, methods.md 9).
 * Of several readings their mean is what tells; that they also tell of σ is left out.
 * @param more how many readings
 */
export function valueAfter({ rows, sigma, weight, rest }: Ahead, g: number, more = 1): number {
  const scatter = sigma.map((one) => one / Math.sqrt(more))
  const edges = rows.flatMap((row, n) => {
    const { x, w } = row[g]!
    // Places of μ that count for something, with the reach of the scatter.
    const counts = x.filter((_, i) => w[i]! > 1e-7)
    const reach = REACH * scatter[n]!
    return weight[n]! > 1e-4 ? [Math.min(...counts) - reach, Math.max(...counts) + reach] : []
  })
  const [from, to] = [Math.min(...edges), Math.max(...edges)]
  const tightest = Math.min(...scatter.filter((_, n) => weight[n]! > SETS_GRAIN))
  const places = Math.min(MOST_PLACES, Math.ceil(((to - from) / tightest) * PER_SIGMA))
  const step = (to - from) / places
  let [sum, mass] = [0, 0]
  const own = rows.map((row) => row[g]!)
  // The places of μ rise, and so does the reading: what lies too far below it stays so.
  const first = new Uint32Array(rows.length)
  const worth = new Float64Array(rest.length)
  for (let j = 0; j <= places; j++) {
    const t = from + j * step
    worth.fill(0)
    let density = 0
    for (let n = 0; n < rows.length; n++) {
      const { x, w, d } = own[n]!
      const near = NEAR * scatter[n]!
      while (first[n]! < x.length && x[first[n]!]! < t - near) first[n]! += 1
      let [p, pd] = [0, 0]
      for (let i = first[n]!; i < x.length && x[i]! <= t + near; i++) {
        const z = (t - x[i]!) / scatter[n]!
        const share = w[i]! * Math.exp(-0.5 * z * z)
        p += share
        pd += share * d[i]!
      }
      if (p === 0) continue
      const by = weight[n]! / scatter[n]!
      density += by * p
      for (let q = 0; q < rest.length; q++) worth[q]! += by * (q === g ? pd : p * rows[n]![q]!.mean)
    }
    let best = -Infinity
    for (let q = 0; q < rest.length; q++) best = Math.max(best, worth[q]! + density * rest[q]!)
    sum += best
    mass += density
  }
  return mass > 0 ? sum / mass : 0
}
