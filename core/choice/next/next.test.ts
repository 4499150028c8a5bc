import { describe, expect, it } from 'vitest'
import { logLower } from '../../statistics/__tests__/bruteForce'
import type { ModelReading } from '../../statistics/data'
import { nextBest } from './next'

const REQUIRED = 8
const PLENTY = 24

/** By plain brute force: even grids over ln σ, μ and the next reading, all of it worked out anew for each of them. */
function brute(readings: readonly ModelReading[], options: readonly string[]) {
  const names = [...new Set([...readings.map(({ procedure }) => procedure), ...options])]
  const mid = (r: ModelReading) =>
    r.kind === 'exact'
      ? Math.log(r.value)
      : r.kind === 'atLeast'
        ? Math.log(r.low)
        : r.kind === 'atMost'
          ? Math.log(r.high)
          : 0.5 * (Math.log(r.low) + Math.log(r.high))
  const m0 = readings.reduce((sum, r) => sum + mid(r), 0) / readings.length
  const sigmas = Array.from({ length: 45 }, (_, k) => Math.exp(Math.log(0.25) - 2 + (k * 4) / 44))
  const [from, to, steps] = [m0 - 4.5, m0 + 4.5, 360]
  const mus = Array.from({ length: steps + 1 }, (_, j) => from + ((to - from) * j) / steps)
  const log = (r: ModelReading, mu: number, sigma: number) => {
    const z = (v: number) => (Math.log(v) - mu) / sigma
    if (r.kind === 'exact') return -0.5 * z(r.value) ** 2 - Math.log(sigma)
    if (r.kind === 'atLeast') return logLower(-z(r.low))
    if (r.kind === 'atMost') return logLower(z(r.high))
    return Math.log(Math.exp(logLower(z(r.high))) - Math.exp(logLower(z(r.low))))
  }
  const d = (x: number) => Math.min(1, Math.max(0, (x - Math.log(REQUIRED)) / (Math.log(PLENTY) - Math.log(REQUIRED))))
  // Joint weights of σ, and of each procedure its μ given σ, not normalised by it.
  const table = sigmas.map((sigma) => ({
    sigma,
    prior: Math.exp(-((Math.log(sigma) - Math.log(0.25)) ** 2) / 0.5),
    rows: names.map((name) =>
      mus.map((mu) =>
        Math.exp(
          readings.reduce(
            (sum, r) => sum + (r.procedure === name ? log(r, mu, sigma) : 0),
            -((mu - m0) ** 2) / (2 * 2.25),
          ),
        ),
      ),
    ),
  }))
  const sum = (list: readonly number[]) => list.reduce((x, y) => x + y, 0)
  const cells = table.map(({ sigma, prior, rows }) => {
    const z = rows.map(sum)
    return {
      sigma,
      weight: prior * z.reduce((x, y) => x * y, 1),
      rows: rows.map((row, g) => row.map((v) => v / z[g]!)),
      e: rows.map((row, g) => sum(row.map((v, j) => v * d(mus[j]! - 1.645 * sigma))) / z[g]!),
    }
  })
  const all = sum(cells.map(({ weight }) => weight))
  const value = names.map((_, g) => sum(cells.map(({ weight, e }) => (weight / all) * e[g]!)))
  const now = Math.max(...value)
  const gains = options.map((name) => {
    const g = names.indexOf(name)
    let [after, mass] = [0, 0]
    for (let t = m0 - 5.5; t <= m0 + 5.5; t += 0.04) {
      const worth = names.map(() => 0)
      for (const { sigma, weight, rows, e } of cells) {
        if (weight / all < 1e-6) continue
        let [p, pd] = [0, 0]
        rows[g]!.forEach((v, j) => {
          const share = v * Math.exp(-0.5 * ((t - mus[j]!) / sigma) ** 2)
          p += share
          pd += share * d(mus[j]! - 1.645 * sigma)
        })
        const by = weight / sigma
        mass += by * p
        names.forEach((_, q) => (worth[q]! += by * (q === g ? pd : p * e[q]!)))
      }
      after += Math.max(...worth)
    }
    return after / mass - now
  })
  return { names, value, now, gains }
}

const exact = (procedure: string, ...values: number[]): ModelReading[] =>
  values.map((value) => ({ procedure, kind: 'exact', value }))

describe('what one more coupon is worth', () => {
  it.each([
    ['two that are near', [...exact('A', 14, 17, 12), ...exact('B', 15, 11)]],
    ['one clearly better', [...exact('A', 30, 34, 28, 31), ...exact('B', 9, 10)]],
    [
      'parts that tore, and steps',
      [
        ...exact('A', 12, 15),
        { procedure: 'B', kind: 'atLeast', low: 13 },
        { procedure: 'B', kind: 'between', low: 9, high: 16 },
        ...exact('C', 7, 9, 10),
      ],
    ],
  ] as [string, ModelReading[]][])(
    'is that of brute force: %s',
    (_, readings) => {
      const options = [...new Set(readings.map(({ procedure }) => procedure))]
      const want = brute(readings, options)
      const found = nextBest({ required: REQUIRED, plenty: PLENTY, readings, options })
      expect(found.now!.choice).toBe(want.names[want.value.indexOf(want.now)])
      expect(found.now!.value).toBeCloseTo(want.now, 2)
      found.options.forEach(({ gain }, i) => {
        const off = Math.abs(gain - want.gains[i]!)
        expect(off).toBeLessThan(Math.max(0.002, 0.1 * want.gains[i]!))
      })
    },
    120_000,
  )

  it('is never below nought, and more for what is hardly known', () => {
    const readings = [...exact('A', 14, 15, 16, 14, 15, 16, 15, 14), ...exact('B', 14)]
    const { options } = nextBest({ required: REQUIRED, plenty: PLENTY, readings, options: ['A', 'B', 'new'] })
    expect(options.every(({ gain }) => gain >= 0)).toBe(true)
    expect(options[1]!.gain).toBeGreaterThan(5 * options[0]!.gain)
    expect(options[2]!.gain).toBeGreaterThan(0)
  })

  it('says nothing of nothing, and asks for a plenty above what is required', () => {
    expect(nextBest({ required: 8, plenty: 24, readings: [], options: ['A'] })).toEqual({
      now: null,
      options: [{ procedure: 'A', value: 0, gain: 0 }],
    })
    const bad = (required: number, plenty: number) => () =>
      nextBest({ required, plenty, readings: exact('A', 9), options: ['A'] })
    expect(bad(0, 5)).toThrow(expect.objectContaining({ code: 'not-positive' }))
    expect(bad(8, 8)).toThrow(expect.objectContaining({ code: 'out-of-order' }))
  })
})
