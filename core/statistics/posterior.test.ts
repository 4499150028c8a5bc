import { describe, expect, it } from 'vitest'
import { normalDraw, seededRandom } from '../planning/random'
import { PRIOR_SD } from './conditional'
import { posteriorOf } from './posterior'
import { scatterQuantiles } from './summary'

const QUANTILES = [0.05, 0.5, 0.95]
type Readings = Parameters<typeof posteriorOf>[0]
const exact = (logs: Readonly<Record<string, readonly number[]>>): Readings =>
  Object.entries(logs).flatMap(([procedure, ys]) =>
    ys.map((y) => ({ procedure, kind: 'exact' as const, value: Math.exp(y) })),
  )

/**
 * Quantiles of σ for exact readings, where each procedure's ys are jointly normal about m0 with covariance σ²·I + τ²·1
 * (determinant lemma), on 40,000 even steps of ln σ.
 */
function direct(logs: Readonly<Record<string, readonly number[]>>): number[] {
  const groups = Object.values(logs)
  const all = groups.flat()
  const m0 = all.reduce((sum, y) => sum + y, 0) / all.length
  const parts = groups.map((ys) => {
    const mean = ys.reduce((sum, y) => sum + y, 0) / ys.length
    return { n: ys.length, mean, squares: ys.reduce((sum, y) => sum + (y - mean) ** 2, 0) }
  })
  const h = 20 / 40_000
  const places = Array.from({ length: 40_000 }, (_, i) => -12 + (i + 0.5) * h)
  const log = places.map((s) => {
    const within = Math.exp(2 * s)
    return parts.reduce(
      (sum, { n, mean, squares }) => {
        const along = within + n * PRIOR_SD ** 2
        return sum - 0.5 * ((n - 1) * 2 * s + Math.log(along) + squares / within + (n * (mean - m0) ** 2) / along)
      },
      -0.5 * ((s - Math.log(0.25)) / 0.5) ** 2,
    )
  })
  const top = log.reduce((a, b) => Math.max(a, b))
  const f = log.map((one) => Math.exp(one - top))
  const whole = f.reduce((sum, one) => sum + one, 0)
  return QUANTILES.map((p) => {
    let sum = 0
    const i = f.findIndex((one) => (sum += one) >= p * whole)
    return Math.exp(places[i]! + h * (0.5 - (sum - p * whole) / f[i]!))
  })
}

const random = seededRandom(5)
const drawn = (n: number, mean: number, sd: number) => Array.from({ length: n }, () => mean + sd * normalDraw(random))

describe('the scatter of exact readings', () => {
  it.each<[string, Record<string, number[]>]>([
    ['one reading', { A: [1.2] }],
    ['two procedures of three', { A: [0.1, 0.3, 0.2], B: [1.4, 1.1, 1.5] }],
    ['four far apart', { A: [-2, 2], B: [7, -3] }],
    ['four hundred almost alike', { A: drawn(200, 1, 0.001), B: drawn(200, 1.2, 0.001) }],
    ['ten thousand, so that the hill is narrow', { A: drawn(10_000, 0.4, 0.06) }],
    ['forty that differ beyond belief', { A: drawn(40, 0, 60) }],
  ])('is that of their joint normal: %s', (_, logs) => {
    const posterior = posteriorOf(exact(logs))
    const got = scatterQuantiles(posterior, QUANTILES)
    direct(logs).forEach((wanted, i) => expect(Math.abs(got[i]! / wanted - 1)).toBeLessThan(2e-4))
    // The grid holds the whole hill and not much more.
    expect(posterior.weight.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12)
    const highest = Math.max(...posterior.weight)
    expect(posterior.weight[0]! / highest).toBeLessThan(1e-11)
    expect(posterior.weight.at(-1)! / highest).toBeLessThan(1e-11)
    expect(posterior.weight.filter((one) => one > 1e-9).length).toBeGreaterThan(30)
    expect(posterior.s).toHaveLength(posterior.weight.length)
  })
  it('tells how far the work is, forward and never past the end', () => {
    const told: number[] = []
    posteriorOf(exact({ A: [0, 0.1] }), { onProgress: (done) => told.push(done) })
    expect(told.length).toBeGreaterThan(5)
    told.forEach((done, i) => expect(done).toBeGreaterThan(told[i - 1] ?? 0))
    expect(told.at(-1)).toBeLessThanOrEqual(1)
  })
})
