import { describe, expect, it } from 'vitest'
import { couponLabel, glueOrder, pullOrder } from './order'
import { normalDraw, seededRandom } from './random'
import { chanceToRank } from './replicates'

describe('how many coupons', () => {
  it('agrees with a simulation of 100,000 rounds to 0.01', () => {
    for (const [n, ratio, scatter] of [
      [3, 1.3, 0.25],
      [5, 1.5, 0.4],
      [1, 2, 0.25],
    ] as const) {
      const random = seededRandom(n * 100)
      const mean = (mu: number) =>
        Array.from({ length: n }, () => mu + scatter * normalDraw(random)).reduce((a, b) => a + b, 0) / n
      let right = 0
      for (let i = 0; i < 100_000; i++) if (mean(Math.log(ratio)) > mean(0)) right++
      expect(Math.abs(chanceToRank(n, ratio, scatter) - right / 100_000)).toBeLessThan(0.01)
    }
  })
  it('is a coin toss for equal glues, the same both ways round, and grows with n', () => {
    expect(chanceToRank(4, 1)).toBeCloseTo(0.5, 12)
    expect(chanceToRank(4, 1.4)).toBeCloseTo(chanceToRank(4, 1 / 1.4), 12)
    expect(chanceToRank(8, 1.4)).toBeGreaterThan(chanceToRank(4, 1.4))
    expect(() => chanceToRank(0, 1.4)).toThrow()
  })
})

describe('in what order', () => {
  const letters = ['A', 'B', 'C', 'D']
  it('puts one of each procedure into every block, the same for the same seed', () => {
    const order = glueOrder(letters, 5, 4417)
    expect(order).toHaveLength(20)
    for (let block = 1; block <= 5; block++)
      expect(
        order
          .filter((c) => c.block === block)
          .map((c) => c.letter)
          .sort(),
      ).toEqual(letters)
    expect(glueOrder(letters, 5, 4417)).toEqual(order)
    expect(glueOrder(letters, 5, 4418)).not.toEqual(order)
  })
  it('shuffles fairly: chi-square of first places over 10,000 seeds', () => {
    const first = new Map<string, number>()
    const pulled = new Map<string, number>()
    for (let seed = 0; seed < 10_000; seed++) {
      const order = glueOrder(letters, 1, seed)
      const key = order.map((c) => c.letter).join('')
      first.set(key, (first.get(key) ?? 0) + 1)
      const pull = pullOrder(letters, seed).join('')
      pulled.set(pull, (pulled.get(pull) ?? 0) + 1)
    }
    const chiSquare = (counts: Map<string, number>) =>
      [...counts.values()].reduce((sum, n) => sum + (n - 10_000 / 24) ** 2 / (10_000 / 24), 0)
    // 23 degrees of freedom: 99.9 % point 49.7
    expect(first.size).toBe(24)
    expect(chiSquare(first)).toBeLessThan(49.7)
    expect(chiSquare(pulled)).toBeLessThan(49.7)
  })
  it('labels a coupon by joint, procedure and block, and refuses an empty plan', () => {
    expect(couponLabel('H2', 'B', 3)).toBe('H2-B3')
    expect(() => glueOrder([], 3, 1)).toThrow()
    expect(() => glueOrder(letters, 1.5, 1)).toThrow()
  })
})
