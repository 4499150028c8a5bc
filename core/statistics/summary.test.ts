import { describe, expect, it } from 'vitest'
import { logLower } from './__tests__/bruteForce'
import type { Conditional } from './conditional'
import { meshOf } from './mesh'
import type { Posterior } from './posterior'
import { chanceAbove, chanceBest, ratioOf, scatterQuantiles, strengthQuantiles } from './summary'

type Normal = [mean: number, sd: number]
const phi = (z: number) => Math.exp(logLower(z))
const normal = ([mean, sd]: Normal): Conditional => ({ kind: 'normal', logZ: 0, mean, sd })
/** The same, but known on a mesh only. */
const meshed = ([mean, sd]: Normal): Conditional => {
  const mesh = meshOf((x) => ({ log: -0.5 * ((x - mean) / sd) ** 2, slope: (mean - x) / sd ** 2 }), mean, sd)
  return { kind: 'mesh', logZ: mesh.logZ, mesh }
}
/** A posterior made by hand: a few scatters with their weights, and what is known of each procedure at each. */
const made = (rows: { s: number; weight: number; of: Conditional[] }[]): Posterior => ({
  groups: (rows[0]?.of ?? []).map((_, g) => ({ procedure: `${g}` }) as Posterior['groups'][number]),
  s: rows.map(({ s }) => s),
  weight: rows.map(({ weight }) => weight),
  conditionals: rows.map(({ of }) => of),
})
/** Where an increasing function passes p. */
function passes(f: (x: number) => number, p: number): number {
  let [low, high] = [-60, 60]
  for (let i = 0; i < 70; i++)
    [low, high] = f((low + high) / 2) < p ? [(low + high) / 2, high] : [low, (low + high) / 2]
  return low
}

// At the greater scatter procedure 0 lies far below and procedure 2 far above: both ends of every range count.
const rows: { s: number; weight: number; at: Normal[] }[] = [
  {
    s: Math.log(0.2),
    weight: 0.6,
    at: [
      [1, 0.3],
      [1.4, 0.2],
      [0.8, 0.5],
    ],
  },
  {
    s: Math.log(0.9),
    weight: 0.4,
    at: [
      [-9, 0.1],
      [2, 0.7],
      [12, 0.4],
    ],
  },
]
const all = (cdf: (at: Normal[], s: number) => number) =>
  rows.reduce((sum, { s, weight, at }) => sum + weight * cdf(at, s), 0)
const kinds: [string, (one: Normal) => Conditional][] = [
  ['normals', normal],
  ['meshes', meshed],
]

describe.each(kinds)('summaries of %s at two scatters', (_, as) => {
  const posterior = made(rows.map(({ s, weight, at }) => ({ s, weight, of: at.map(as) })))
  it('give the quantiles and the chance of what a share of joints exceeds', () => {
    for (const z of [0, 1.645])
      for (const g of [0, 1, 2]) {
        const cdf = (x: number) => all((at, s) => phi((x + z * Math.exp(s) - at[g]![0]) / at[g]![1]))
        const ps = [0.05, 0.3, 0.5, 0.95]
        strengthQuantiles(posterior, g, z, ps).forEach((got, i) =>
          expect(Math.log(got)).toBeCloseTo(passes(cdf, ps[i]!), 3),
        )
        expect(chanceAbove(posterior, g, z, Math.exp(1.1))).toBeCloseTo(1 - cdf(1.1), 4)
      }
  })
  it('give the ratio of two, however far apart', () => {
    for (const [a, b] of [
      [0, 1],
      [1, 0],
      [2, 0],
      [0, 2],
    ] as const) {
      const cdf = (d: number) => all((at) => phi((d - at[a]![0] + at[b]![0]) / Math.hypot(at[a]![1], at[b]![1])))
      const ps = [0.05, 0.3, 0.7, 0.95]
      const { quantiles, pGreater } = ratioOf(posterior, a, b, ps)
      quantiles.forEach((got, i) => expect(Math.log(got)).toBeCloseTo(passes(cdf, ps[i]!), 3))
      expect(pGreater).toBeCloseTo(1 - cdf(0), 4)
    }
  })
  it('give each its chance to be the strongest, in all 1', () => {
    const h = 0.002
    const wanted = [0, 1, 2].map((g) =>
      all((at) => {
        let sum = 0
        for (let x = -14; x < 16; x += h) {
          const own = Math.exp(-0.5 * ((x - at[g]![0]) / at[g]![1]) ** 2) / (at[g]![1] * Math.sqrt(2 * Math.PI))
          sum += own * at.reduce((part, [mean, sd], other) => (other === g ? part : part * phi((x - mean) / sd)), h)
        }
        return sum
      }),
    )
    chanceBest(posterior).forEach((got, g) => expect(got).toBeCloseTo(wanted[g]!, 3))
    // Of weights that do not add up, as where the least are left out, the chances still do.
    const half = { ...posterior, weight: posterior.weight.map((one) => one / 2) }
    expect(chanceBest(half).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 10)
    chanceBest(half).forEach((got, g) => expect(got).toBeCloseTo(wanted[g]!, 3))
  })
})

describe('quantiles of the scatter', () => {
  it('are those of the density between the nodes of the grid', () => {
    const [mean, sd] = [-1.2, 0.4]
    const s = Array.from({ length: 64 }, (_, k) => mean - 7 * sd + (14 * sd * k) / 63)
    const raw = s.map((at) => Math.exp(-0.5 * ((at - mean) / sd) ** 2))
    const total = raw.reduce((sum, one) => sum + one, 0)
    const posterior = { ...made([]), s, weight: raw.map((one) => one / total) }
    const ps = [0.001, 0.05, 0.2, 0.5, 0.77, 0.95, 0.999]
    scatterQuantiles(posterior, ps).forEach((got, i) => {
      const wanted = passes((x) => phi((x - mean) / sd), ps[i]!)
      expect(Math.abs(Math.log(got) - wanted)).toBeLessThan(3e-4)
    })
  })
})
