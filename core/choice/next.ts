import { CodedError } from '../errors'
import { averagingPoints, PRIOR_SD, type Conditional } from '../statistics/conditional'
import { grouped, type ModelReading } from '../statistics/data'
import { posteriorOf } from '../statistics/posterior'
import { WEAK_Z } from '../statistics/summary'
import { desirability, type Directed } from './rank'

export interface NextQuestion {
  /** what the weak joint must hold, and what is plenty, in the unit of the readings */
  required: number
  plenty: number
  readings: readonly ModelReading[]
  /** procedures of which one more coupon may be made; one without a reading yet counts as the prior has it */
  options: readonly string[]
}

export interface NextAnswer {
  /** what would be chosen today, and what that is worth, 0…1; null with no reading and no option */
  now: { choice: string; value: number } | null
  options: {
    procedure: string
    /** what it is worth today */
    value: number
    /** what the best choice is worth more, on average, after one more exact reading of it */
    gain: number
  }[]
}

/** σ of the posterior’s grid with less weight than this add nothing that is seen. */
const NEGLIGIBLE = 1e-6
/** The next reading is averaged over so many places a standard deviation of the tightest scatter that counts. */
const PER_SIGMA = 6
/** A scatter with less weight does not set how fine that is. */
const SETS_GRAIN = 0.01
const MOST_PLACES = 1500
/** How far beyond what a procedure may be, in scatters, the next reading may lie. */
const REACH = 5

/** One procedure at one σ: places of μ with their weights, and how desirable its weak joint is there. */
interface Row {
  x: readonly number[]
  w: readonly number[]
  d: readonly number[]
  /** mean of d */
  mean: number
}

/**
 * What one more coupon is worth (preposterior analysis, methods.md 9): the mean, over what it may read, of the value of
 * the best choice after it, less that of the best choice now. The prior’s m0 stays that of today’s readings. By
 * quadrature, so that the same input gives the same output.
 * @throws CodedError not-positive, out-of-order
 */
export function nextBest({ required, plenty, readings, options }: NextQuestion): NextAnswer {
  if (!(required > 0))
    throw new CodedError('not-positive', 'required', { field: 'The required strength', got: required })
  if (!(plenty > required))
    throw new CodedError('out-of-order', 'plenty', { field: 'Required and plenty', low: required, high: plenty })
  const criterion: Directed = {
    id: 'strength',
    weight: 1,
    better: 'more',
    scale: 'log',
    must: required,
    plenty,
  }
  if (!readings.length) return { now: null, options: options.map((procedure) => ({ procedure, value: 0, gain: 0 })) }
  const posterior = posteriorOf(readings)
  const { m0 } = grouped(readings)
  const known = posterior.groups.map(({ procedure }) => procedure)
  const names = [...known, ...options.filter((name) => !known.includes(name))]
  const prior: Conditional = { kind: 'normal', logZ: 0, mean: m0, sd: PRIOR_SD }
  const ks = posterior.weight.flatMap((weight, k) => (weight > NEGLIGIBLE ? [k] : []))
  const sigma = ks.map((k) => Math.exp(posterior.s[k]!))
  const total = ks.reduce((sum, k) => sum + posterior.weight[k]!, 0)
  const weight = ks.map((k) => posterior.weight[k]! / total)
  /** by σ, by procedure */
  const rows = ks.map((k, n) =>
    names.map((_, g): Row => {
      const { x, w } = averagingPoints(posterior.conditionals[k]![g] ?? prior, sigma[n]!)
      const d = x.map((mu) => desirability(criterion, Math.exp(mu - WEAK_Z * sigma[n]!)))
      return { x, w, d, mean: w.reduce((sum, one, i) => sum + one * d[i]!, 0) }
    }),
  )
  const value = names.map((_, g) => rows.reduce((sum, row, n) => sum + weight[n]! * row[g]!.mean, 0))
  const best = value.indexOf(Math.max(...value))
  const gainOf = (g: number): number => {
    const after = valueAfter(rows, sigma, weight, g, names.length)
    return Math.max(0, after - value[best]!)
  }
  return {
    now: { choice: names[best]!, value: value[best]! },
    options: options.map((procedure) => {
      const g = names.indexOf(procedure)
      return { procedure, value: value[g]!, gain: gainOf(g) }
    }),
  }
}

/** The mean value of the best choice after one more exact reading of procedure g. */
function valueAfter(
  rows: readonly (readonly Row[])[],
  sigma: readonly number[],
  weight: readonly number[],
  g: number,
  count: number,
): number {
  const edges = rows.flatMap((row, n) => {
    const { x, w } = row[g]!
    // Places of μ that count for something, with the reach of the scatter.
    const counts = x.filter((_, i) => w[i]! > 1e-7)
    return weight[n]! > 1e-4 ? [Math.min(...counts) - REACH * sigma[n]!, Math.max(...counts) + REACH * sigma[n]!] : []
  })
  const [from, to] = [Math.min(...edges), Math.max(...edges)]
  const tightest = Math.min(...sigma.filter((_, n) => weight[n]! > SETS_GRAIN))
  const places = Math.min(MOST_PLACES, Math.ceil(((to - from) / tightest) * PER_SIGMA))
  const step = (to - from) / places
  let [sum, mass] = [0, 0]
  for (let j = 0; j <= places; j++) {
    const t = from + j * step
    const worth = new Array<number>(count).fill(0)
    let density = 0
    for (let n = 0; n < rows.length; n++) {
      const { x, w, d } = rows[n]![g]!
      let [p, pd] = [0, 0]
      for (let i = 0; i < x.length; i++) {
        const z = (t - x[i]!) / sigma[n]!
        if (z > 8 || z < -8) continue
        const share = w[i]! * Math.exp(-0.5 * z * z)
        p += share
        pd += share * d[i]!
      }
      const by = weight[n]! / sigma[n]!
      density += by * p
      for (let q = 0; q < count; q++) worth[q]! += by * (q === g ? pd : p * rows[n]![q]!.mean)
    }
    sum += Math.max(...worth)
    mass += density
  }
  return mass > 0 ? sum / mass : 0
}
