import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { bottleTrend, handTrend, TREND_PULLS, trendOf } from './trends'

const MONTH = 30.44 * 86_400_000
/** Standard normal by the sum of twelve. */
const normal = (random: () => number) => Array.from({ length: 12 }, random).reduce((sum, one) => sum + one, -6)
const point = (n: number, at: number, ln: number | null, stock: string | null = 'k') => ({
  coupon: `c${n}`,
  label: `H1-A${n}`,
  at,
  stock,
  ln,
})

describe('a trend', () => {
  it('is the slope by least squares, as worked by hand, with its factor', () => {
    // x −2…2 about their mean, y = 0.1 x + (0.1, −0.2, 0, 0.2, −0.1): slope 0.1 + Σxe/Σxx = 0.1 + 0/10
    const y = [0.1, -0.2, 0, 0.2, -0.1].map((e, i) => 0.1 * (i - 2) + e)
    const more = y.map((ln, i) => ({ group: 'a', x: i, ln }))
    const twice = [...more, ...more.map((one) => ({ ...one, group: 'b', ln: one.ln + 5 }))]
    const trend = trendOf(twice, seededRandom(1))!
    expect(trend.pulls).toBe(10)
    expect(Math.log(trend.factor)).toBeCloseTo(0.1, 9)
    // left: 2 · 0.1 over 10 − 2 − 1; Σxx = 20
    const se = Math.sqrt(0.2 / 7 / 20)
    expect(Math.log(trend.high90)).toBeCloseTo(0.1 + 1.6448536 * se, 6)
  })

  it('is said when the data carry it, and of mere chance in about one case of twenty at most', () => {
    const random = seededRandom(4)
    const of = (slope: number) =>
      trendOf(
        Array.from({ length: 12 }, (_, i) => ({ group: `g${i % 2}`, x: i, ln: slope * i + 0.3 * normal(random) })),
        random,
      )!.carried
    const count = (slope: number) => Array.from({ length: 200 }, () => of(slope)).filter(Boolean).length
    expect(count(0)).toBeLessThanOrEqual(20)
    expect(count(0.1)).toBeGreaterThan(150)
  })

  it('of many pulls has the chance that drawing orders comes to', () => {
    const random = seededRandom(12)
    for (const [slope, groups] of [
      [0, 1],
      [0.004, 1],
      [0.012, 70],
      [-0.016, 70],
    ] as const) {
      const points = Array.from({ length: 420 }, (_, i) => ({
        group: `g${i % groups}`,
        x: Math.floor(i / 30),
        // One in twenty lies far off: not normal.
        ln: slope * Math.floor(i / 30) + (i % 20 ? 0.2 : 0.8) * normal(random),
      }))
      // Drawn here, on the slope itself: y shuffled within its group, 1,500 times.
      const members = Array.from({ length: groups }, (_, g) => points.filter(({ group }) => group === `g${g}`))
      const sum = (of: typeof members) =>
        of.reduce((all, list) => {
          const mean = list.reduce((part, { x }) => part + x, 0) / list.length
          return all + list.reduce((part, { x, ln }) => part + (x - mean) * ln, 0)
        }, 0)
      const seen = Math.abs(sum(members))
      let asStrong = 0
      for (let n = 0; n < 1500; n++) {
        const mixed = members.map((list) => {
          const order = list.map(({ ln }) => ({ ln, at: random() })).sort((x, y) => x.at - y.at)
          return list.map((one, i) => ({ ...one, ln: order[i]!.ln }))
        })
        if (Math.abs(sum(mixed)) >= seen) asStrong++
      }
      expect(Math.abs(trendOf(points, random)!.chance - asStrong / 1500)).toBeLessThan(0.03)
    }
  })

  it('needs six pulls that differ in what it goes with', () => {
    const few = Array.from({ length: TREND_PULLS - 1 }, (_, i) => ({ group: 'a', x: i, ln: i }))
    expect(trendOf(few, seededRandom(1))).toBeNull()
    expect(
      trendOf(
        Array.from({ length: 9 }, (_, i) => ({ group: 'a', x: 1, ln: i })),
        seededRandom(1),
      ),
    ).toBeNull()
    expect(trendOf([...few, { group: 'b', x: 9, ln: 1 }], seededRandom(1))).toBeNull()
  })

  it('of a bottle goes with the months it was open when the piece was glued', () => {
    const random = seededRandom(7)
    const points = Array.from({ length: 16 }, (_, i) => point(i, i * MONTH, -0.1 * i + 0.05 * normal(random)))
    const opened = (id: string) => (id === 'k' ? 0 : null)
    const trend = bottleTrend([{ key: 'a', points }], opened, random)!
    expect(trend.factor).toBeCloseTo(Math.exp(-0.1), 1)
    expect(trend.carried).toBe(true)
    expect(
      bottleTrend([{ key: 'a', points: points.map((one) => ({ ...one, stock: null })) }], opened, random),
    ).toBeNull()
    expect(bottleTrend([{ key: 'a', points: points.map((one) => ({ ...one, at: -1 })) }], opened, random)).toBeNull()
  })

  it('of a hand is a scatter that shrinks', () => {
    const random = seededRandom(9)
    const rows = (steadier: number) =>
      Array.from({ length: 8 }, (_, round) => ({
        key: `r${round}`,
        points: Array.from({ length: 6 }, (_, i) =>
          point(round * 6 + i, round * 6 + i, normal(random) * 0.5 * Math.exp(-steadier * round)),
        ),
      }))
    const better = handTrend(rows(0.4), random)!
    expect(better).toMatchObject({ pulls: 48, carried: true })
    expect(better.factor).toBeLessThan(0.8)
    expect(handTrend(rows(0), random)!.carried).toBe(false)
  })
})
