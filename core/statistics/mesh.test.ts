import { describe, expect, it } from 'vitest'
import { COARSE, cdfOf, meshOf, pointsOf, type LogCurve } from './mesh'

const EULER = 0.5772156649015329

/** Densities whose integral and distribution function have a closed form, with a mean and a variance. */
const known: {
  name: string
  curve: LogCurve
  logZ: number
  cdf: (x: number) => number
  mean: number
  variance: number
}[] = [
  {
    name: 'a logistic one about 2, three times wider than one',
    curve: (x) => {
      const u = (x - 2) / 3
      return { log: -u - 2 * Math.log1p(Math.exp(-u)), slope: (-1 + 2 / (1 + Math.exp(u))) / 3 }
    },
    logZ: Math.log(3),
    cdf: (x) => 1 / (1 + Math.exp(-(x - 2) / 3)),
    mean: 2,
    variance: (Math.PI ** 2 / 3) * 9,
  },
  {
    name: 'a lopsided one (Gumbel)',
    curve: (x) => ({ log: -x - Math.exp(-x), slope: Math.exp(-x) - 1 }),
    logZ: 0,
    cdf: (x) => Math.exp(-Math.exp(-x)),
    mean: EULER,
    variance: Math.PI ** 2 / 6,
  },
  {
    name: 'one with an edge in its middle (Laplace), a thousandth of one high',
    curve: (x) => ({ log: Math.log(0.001) - Math.abs(x + 5), slope: x > -5 ? -1 : 1 }),
    logZ: Math.log(0.002),
    cdf: (x) => (x < -5 ? 0.5 * Math.exp(x + 5) : 1 - 0.5 * Math.exp(-x - 5)),
    mean: -5,
    variance: 2,
  },
]

describe.each(known)('the mesh of $name', ({ curve, logZ, cdf, mean, variance }) => {
  // Far to the left of the peak, far to the right, and a guess of its width that is much too large or too small.
  it.each([
    [-30, 1],
    [40, 1],
    [0, 20],
    [1, 0.05],
  ])('has its integral, its distribution and its mean, begun at %f with a width of %f', (start, scale) => {
    const mesh = meshOf(curve, start, scale)
    expect(mesh.logZ).toBeCloseTo(logZ, 4)
    for (const x of [-40, -8, -5, -4.2, -1, 0, 0.3, 1, 2, 2.5, 5, 9, 30, 80])
      expect(Math.abs(cdfOf(mesh, x) - cdf(x))).toBeLessThan(5e-5)
    const { x, w } = pointsOf(mesh)
    const average = (f: (at: number) => number) => x.reduce((sum, at, i) => sum + w[i]! * f(at), 0)
    expect(average(() => 1)).toBeCloseTo(1, 4)
    expect(average((at) => at)).toBeCloseTo(mean, 3)
    expect(average((at) => (at - mean) ** 2) / variance).toBeCloseTo(1, 3)
  })
  it('never falls from left to right, from nothing to all', () => {
    const mesh = meshOf(curve, 0, 1)
    const steps = Array.from({ length: 2000 }, (_, i) => cdfOf(mesh, -60 + i * 0.06))
    steps.forEach((value, i) => expect(value).toBeGreaterThanOrEqual(steps[i - 1] ?? 0))
    expect(cdfOf(mesh, mesh.x[0]! - 1)).toBe(0)
    expect(cdfOf(mesh, mesh.x.at(-1)! + 1)).toBe(1)
  })
  it('goes out to where next to nothing is left, with its nodes in order, and not far beyond', () => {
    const { x, f, sum } = meshOf(curve, 0, 1)
    x.forEach((at, i) => expect(at).toBeGreaterThan(x[i - 1] ?? -Infinity))
    sum.forEach((at, i) => expect(at).toBeGreaterThanOrEqual(sum[i - 1] ?? 0))
    for (const edge of [f[0]!, f.at(-1)!]) {
      expect(edge).toBeLessThan(Math.exp(-33.9))
      expect(curve(edge === f[0] ? x[0]! : x.at(-1)!).log - Math.log(Math.max(...f))).toBeGreaterThan(-60)
    }
  })
  it('has as few nodes for a thing a thousand times narrower, or wider, as for itself', () => {
    const usual = meshOf(curve, 0, 1).x.length
    expect(usual).toBeLessThan(400)
    for (const k of [1e-3, 1e3]) {
      const scaled: LogCurve = (x) => {
        const { log, slope } = curve(x / k)
        return { log, slope: slope / k }
      }
      const { x, logZ: whole } = meshOf(scaled, 0, k)
      expect(x.length / usual).toBeGreaterThan(0.9)
      expect(x.length / usual).toBeLessThan(1.1)
      expect(whole).toBeCloseTo(logZ + Math.log(k), 4)
    }
  })
  it('is looser and smaller where only the place is wanted', () => {
    const [fine, loose] = [meshOf(curve, 0, 1), meshOf(curve, 0, 1, COARSE)]
    expect(loose.x.length).toBeLessThan(fine.x.length / 2)
    expect(Math.abs(loose.logZ - logZ)).toBeLessThan(0.02)
  })
})
