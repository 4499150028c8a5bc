import { describe, expect, it } from 'vitest'
import { logLikelihood, type Reading } from './__tests__/bruteForce'
import { averagingPoints, cdfAt, conditionalOf, PRIOR_SD, rangeOf } from './conditional'
import { grouped } from './data'
import { COARSE } from './mesh'

const exact = (...values: number[]): Reading[] => values.map((value) => ({ procedure: 'A', kind: 'exact', value }))
const torn: Reading = { procedure: 'A', kind: 'atLeast', low: 6 }
const weak: Reading = { procedure: 'A', kind: 'atMost', high: 4 }
const step: Reading = { procedure: 'A', kind: 'between', low: 3, high: 5 }

/** The whole of prior times likelihood over μ, and of it up to a place, by steps of a 400th of the narrower width. */
function summed(readings: readonly Reading[], sigma: number, m0: number) {
  const h = Math.min(PRIOR_SD, sigma) / 400
  const places = Array.from({ length: Math.ceil(24 / h) }, (_, i) => m0 - 12 + (i + 0.5) * h)
  const logs = places.map((mu) =>
    readings.reduce(
      (sum, one) => sum + logLikelihood(one, mu, sigma),
      -0.5 * ((mu - m0) / PRIOR_SD) ** 2 - Math.log(PRIOR_SD) - 0.5 * Math.log(2 * Math.PI),
    ),
  )
  const top = logs.reduce((a, b) => Math.max(a, b))
  const f = logs.map((log) => Math.exp(log - top))
  const whole = f.reduce((sum, one) => sum + one, 0)
  const share = (x: number, place: number) => Math.min(1, Math.max(0, (x - place) / h + 0.5))
  return {
    logZ: top + Math.log(whole * h),
    mean: f.reduce((sum, one, i) => sum + one * places[i]!, 0) / whole,
    below: (x: number) => f.reduce((sum, one, i) => sum + one * share(x, places[i]!), 0) / whole,
  }
}
const of = (readings: readonly Reading[], sigma: number, m0: number, tolerance?: number) =>
  conditionalOf(grouped(readings).groups[0]!, sigma, m0, tolerance)

describe('what is known of one procedure at a fixed scatter', () => {
  it.each<[string, Reading[]]>([
    ['one reading', exact(5)],
    ['three of them', exact(5, 7, 4)],
    ['a torn coupon', [torn]],
    ['a coupon that let go at once', [weak]],
    ['steps', [step, step]],
    ['some of each', [...exact(5, 7), torn, torn, weak, step]],
  ])('is prior times likelihood, in whole and up to a place: %s', (_, readings) => {
    for (const [sigma, m0] of [
      [0.25, 1.5],
      [0.08, 0.2],
      [1.1, 2.4],
    ] as const) {
      const got = of(readings, sigma, m0)
      const wanted = summed(readings, sigma, m0)
      expect(got.logZ, `logZ at ${sigma}`).toBeCloseTo(wanted.logZ, 4)
      for (const off of [-1, -0.3, -0.05, 0, 0.02, 0.2, 0.9])
        expect(Math.abs(cdfAt(got, wanted.mean + off) - wanted.below(wanted.mean + off))).toBeLessThan(1e-4)
      const { x, w } = averagingPoints(got, 0.1)
      expect(x.reduce((sum, at, i) => sum + w[i]! * at, 0)).toBeCloseTo(wanted.mean, 4)
      // Where only its place is wanted it may be a fiftieth off.
      expect(Math.abs(of(readings, sigma, m0, COARSE).logZ - wanted.logZ)).toBeLessThan(0.02)
    }
  })
  it.each<[string, Reading[]]>([
    ['a normal', exact(5, 6)],
    ['a mesh', [...exact(5), torn]],
  ])('lies whole in its range, and the range is not much wider: %s', (_, readings) => {
    for (const sigma of [0.05, 2]) {
      const c = of(readings, sigma, 1.5)
      const [from, to] = rangeOf(c)
      expect(cdfAt(c, from)).toBeLessThan(1e-12)
      expect(1 - cdfAt(c, to)).toBeLessThan(1e-12)
      const [early, late] = [from + 0.25 * (to - from), to - 0.25 * (to - from)]
      expect(cdfAt(c, late) - cdfAt(c, early)).toBeGreaterThan(0.9)
      expect(cdfAt(c, late) - cdfAt(c, early)).toBeLessThan(1)
    }
  })
})

describe('places that average over a normal', () => {
  const normal = of(exact(5), 0.3, 1)
  if (normal.kind !== 'normal') throw new Error('an exact reading makes a normal')
  const { mean, sd } = normal
  it.each([0.5, 0.1, 0.05])('see a partner that is %d times as wide', (share) => {
    const finest = share * sd
    const { x, w } = averagingPoints(normal, finest)
    expect(w.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12)
    for (const off of [0, 0.37 * sd, -1.2 * sd]) {
      // The mean of exp(−(μ − c)² / 2f²) over N(m, s²) is f / √(f² + s²) · exp(−(m − c)² / 2(f² + s²)).
      const bell = x.reduce((sum, at, i) => sum + w[i]! * Math.exp(-((at - mean - off) ** 2) / (2 * finest ** 2)), 0)
      const wide = finest ** 2 + sd ** 2
      expect(bell / ((finest / Math.sqrt(wide)) * Math.exp(-(off ** 2) / (2 * wide)))).toBeCloseTo(1, 6)
    }
  })
  it('are few for a wide partner, and never more than are worth it', () => {
    expect(averagingPoints(normal, 10).x.length).toBeLessThan(60)
    expect(averagingPoints(normal, 1e-9).x.length).toBeLessThan(1000)
    expect(averagingPoints(normal, 0.1 * sd).x.length).toBeLessThan(400)
  })
})
