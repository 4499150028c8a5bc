import { describe, expect, it } from 'vitest'
import { normalDraw, seededRandom } from '../../planning/random'
import type { ModelReading } from '../../statistics/data'
import { WEAK_Z } from '../../statistics/summary'
import { posteriorOf } from '../../statistics/posterior'
import { averagingPoints } from '../../statistics/conditional'
import type { Item } from '../item'
import { directed } from '../item'
import { nextBest } from './next'
import { nextTests } from './further'
import { exposedName } from '../shareKept'

const exact = (procedure: string, ...values: number[]): ModelReading[] =>
  values.map((value) => ({ procedure, kind: 'exact', value }))
const strength = (readings: ModelReading[], forecast = {}): Pick<Item, 'criterion' | 'from' | 'test'> => ({
  criterion: directed('arm dry', 'more', 'log', 8, 24),
  from: { kind: 'strength', readings, forecast },
  test: { arm: 'dry' },
})
const cost = (values: Record<string, number>): Pick<Item, 'criterion' | 'from' | 'test'> => ({
  criterion: directed('cost', 'less', 'log', 4, 1),
  from: { kind: 'fixed', values },
})
const near = [...exact('A', 13, 15, 17), ...exact('B', 12, 14, 18)]
const read = { required: 8, plenty: 24, readings: near, options: ['A', 'B'] }

const optionsOf = (input: Parameters<typeof nextTests>[0]) => nextTests(input).options

describe('what further coupons are worth', () => {
  it('is that of the next reading alone where nothing but strength counts', () => {
    const { options } = nextTests({ items: [strength(near)], procedures: ['A', 'B'], weights: [3], d: {} })
    const alone = nextBest(read)
    options.forEach(({ gains, procedure }, i) => {
      expect(procedure).toBe(alone.options[i]!.procedure)
      expect(gains[0]).toBeCloseTo(alone.options[i]!.gain, 12)
    })
  })

  it('is its share of the points, and nothing where the rest decides already', () => {
    const at = (dA: number) =>
      optionsOf({
        items: [strength(near), cost({ A: 1, B: 1 })],
        procedures: ['A', 'B'],
        weights: [3, 1],
        d: { A: { cost: dA }, B: { cost: 0.5 } },
      })
    const alone = nextBest(read)
    at(0.5).forEach(({ gains }, i) => expect(gains[0]).toBeCloseTo(0.75 * alone.options[i]!.gain, 10))
    expect(at(1)[0]!.gains[0]).toBeLessThan(0.3 * at(0.5)[0]!.gains[0]!)
    expect(nextTests({ items: [strength(near)], procedures: ['A', 'B'], weights: [0], d: {} })).toEqual({
      now: null,
      options: [],
    })
  })

  it('of two and three more is what drawing them says, and never less than of one', () => {
    const [a] = optionsOf({ items: [strength(near)], procedures: ['A', 'B'], weights: [1], d: {} })
    const [one, two, three] = a!.gains as [number, number, number]
    expect(two).toBeGreaterThan(one)
    expect(three).toBeGreaterThan(two)
    // By drawing: the truth from the posterior, k readings of it, the value after them by importance over the draws.
    const posterior = posteriorOf(near)
    const random = seededRandom(5)
    const pick = (weights: readonly number[]) => {
      let aim = random()
      return weights.findIndex((one) => (aim -= one) < 0)
    }
    const draws = Array.from({ length: 3000 }, () => {
      const k = Math.max(0, pick(posterior.weight))
      const sigma = Math.exp(posterior.s[k]!)
      const [muA, muB] = [0, 1].map((g) => {
        const { x, w } = averagingPoints(posterior.conditionals[k]![g]!, sigma)
        return x[Math.max(0, pick(w))]!
      }) as [number, number]
      const d = (mu: number) =>
        Math.min(1, Math.max(0, (mu - WEAK_Z * sigma - Math.log(8)) / (Math.log(24) - Math.log(8))))
      return { sigma, muA, dA: d(muA), dB: d(muB) }
    })
    const mean = (list: readonly number[]) => list.reduce((x, y) => x + y, 0) / list.length
    const now = Math.max(mean(draws.map(({ dA }) => dA)), mean(draws.map(({ dB }) => dB)))
    for (const [more, gain] of [
      [2, two],
      [3, three],
    ] as const) {
      const after = draws.slice(0, 700).map((truth) => {
        const read = Array.from({ length: more }, () => truth.muA + truth.sigma * normalDraw(random))
        let [sum, a, b] = [0, 0, 0]
        for (const { sigma, muA, dA, dB } of draws) {
          const like = Math.exp(read.reduce((log, y) => log - 0.5 * ((y - muA) / sigma) ** 2 - Math.log(sigma), 0))
          sum += like
          a += like * dA
          b += like * dB
        }
        return Math.max(a, b) / sum
      })
      // 700 rounds of drawing are known to about 0.006.
      expect(Math.abs(mean(after) - now - gain)).toBeLessThan(0.015)
    }
  })

  it('says what comes first by points today', () => {
    const d = { A: { 'arm dry': 0.6, cost: 0.2 }, B: { 'arm dry': 0.5, cost: 0.9 } }
    const { now } = nextTests({ items: [strength(near), cost({})], procedures: ['A', 'B'], weights: [3, 1], d })
    expect(now!.procedure).toBe('B')
    expect(now!.value).toBeCloseTo((3 * 0.5 + 0.9) / 4, 12)
  })

  it('finds an exposure that nobody pulled worth a test where the share kept is open', () => {
    const kept = (sd: number): Pick<Item, 'criterion' | 'from' | 'test'> => ({
      criterion: directed('unmet water', 'more', 'linear', 0.3, 0.9),
      from: {
        kind: 'kept',
        readings: near,
        forecast: { A: { mean: Math.log(0.6), sd }, B: { mean: Math.log(0.6), sd } },
      },
      test: { like: 'dry', exposure: { kind: 'wash', amount: 3, hours: 6 } },
    })
    const at = (sd: number) => {
      const d = Object.fromEntries(['A', 'B'].map((name) => [name, { 'arm dry': 0.5, 'unmet water': 0.5 }]))
      return optionsOf({ items: [strength(near), kept(sd)], procedures: ['A', 'B'], weights: [1, 3], d })
        .filter(({ item }) => item === 'unmet water')
        .map(({ gains }) => gains[0]!)
    }
    expect(Math.min(...at(0.5))).toBeGreaterThan(0.01)
    // What is known already is worth no test.
    expect(Math.max(...at(0.01))).toBeLessThan(0.002)
  })

  it('reads a share that was pulled as exposed over dry', () => {
    const readings = [...near, ...exact(exposedName('A'), 8), ...exact(exposedName('B'), 8.5)]
    const item: Pick<Item, 'criterion' | 'from' | 'test'> = {
      criterion: directed('kept wash', 'more', 'linear', 0.3, 0.9),
      from: { kind: 'kept', readings, forecast: {} },
      test: { arm: 'wash' },
    }
    const { options } = nextTests({ items: [item], procedures: ['A', 'B', 'C'], weights: [1], d: {} })
    // Nothing is known of C dry, so no exposed piece of it could be read against it.
    expect(options.map(({ procedure }) => procedure)).toEqual(['A', 'B'])
    for (const { gains } of options) {
      expect(gains[0]).toBeGreaterThan(0)
      expect(gains[2]).toBeGreaterThan(gains[0]!)
    }
  })
})
