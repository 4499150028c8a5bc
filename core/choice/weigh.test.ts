import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { analyse } from '../statistics/analyse'
import type { ModelReading } from '../statistics/data'
import { forecastDraws, strengthDraws } from './draws'
import { desirability, rank, schools, type Band, type Directed, type RankCriterion } from './rank'
import { prepare, weigh, winnerOf } from './weigh'
import { disagreements, front, medianOf, movesOf, neededBySecond, valueAt } from './whatIf'

const more = (id: string, must: number, plenty: number, scale: 'log' | 'linear' = 'log', weight = 1): Directed => ({
  id,
  weight,
  better: 'more',
  scale,
  must,
  plenty,
})
const less = (id: string, must: number, plenty: number, weight = 1): Directed => ({
  id,
  weight,
  better: 'less',
  scale: 'log',
  must,
  plenty,
})
const band: Band = {
  id: 'bend',
  weight: 1,
  better: 'band',
  scale: 'linear',
  mustLow: 20,
  low: 45,
  high: 90,
  mustHigh: 120,
}
const fixed = (criteria: readonly RankCriterion[], rows: Record<string, number[]>) =>
  prepare(
    criteria,
    Object.keys(rows),
    Object.values(rows).map((own) => own.map((one) => Float64Array.of(one))),
  )

describe('what is weighed fast', () => {
  it('is what the definition says, on random cases with ties, bands, misses and weights of nought', () => {
    const random = seededRandom(3)
    for (let turn = 0; turn < 40; turn++) {
      const criteria: RankCriterion[] = [more('shear', 1, 4), less('cost', 2, 0.5), band, more('looks', 0, 2, 'linear')]
      const weights = criteria.map(() => Math.floor(random() * 4))
      const names = ['A', 'B', 'C', 'D']
      const n = 60
      const values = names.map(() => [
        Float64Array.from({ length: n }, () => 0.6 + 5 * random()),
        Float64Array.from({ length: n }, () => 0.3 + 2.2 * random()),
        Float64Array.from({ length: n }, () => 10 + 120 * random()),
        new Float64Array(n).fill(Math.floor(random() * 3)),
      ])
      const prepared = prepare(criteria, names, values)
      for (const school of schools) {
        const want = rank(
          school,
          criteria.map((one, c) => ({ ...one, weight: weights[c]! })),
          names.map((procedure, p) => ({
            procedure,
            draws: Object.fromEntries(criteria.map(({ id }, c) => [id, [...values[p]![c]!]])),
          })),
        )
        const got = weigh(school, prepared, weights)
        got.forEach((one, p) => {
          expect(one.score, school).toBeCloseTo(want[p]!.score, 10)
          expect(one.pBest, school).toBeCloseTo(want[p]!.pBest, 10)
          expect(one.expectedLoss, school).toBeCloseTo(want[p]!.expectedLoss, 10)
        })
      }
    }
  })

  it('says how far a weight may move: by points where the two lines cross', () => {
    const criteria = [more('shear', 1, 4), less('cost', 4, 1)]
    // A: shear 1, cost 0; B: shear 0, cost 1. With equal weights it is a tie, so weigh 3 to 1.
    const prepared = fixed(criteria, { A: [4, 4], B: [1, 1] })
    const alone = criteria.map(({ id }, c) => ({ id, members: [c] }))
    const [shear, cost] = movesOf('points', prepared, [3, 1], alone)
    expect(shear).toMatchObject({ group: 'shear', up: null })
    expect(shear!.down).toBeGreaterThan(0.94)
    expect(shear!.down).toBeLessThanOrEqual(1)
    expect(cost!.down).toBeNull()
    expect(cost!.up).toBeGreaterThanOrEqual(3)
    expect(cost!.up).toBeLessThan(3.06)
  })

  it('marks whom nothing beats, as the definition does', () => {
    const random = seededRandom(12)
    const criteria = [more('shear', 1, 4), less('cost', 2, 0.5), band]
    for (let turn = 0; turn < 40; turn++) {
      const rows = Object.fromEntries(
        ['A', 'B', 'C', 'D'].map((name) => [
          name,
          [1 + Math.floor(3 * random()), 0.5 + Math.floor(3 * random()), 20 + 20 * Math.floor(6 * random())],
        ]),
      )
      const want = rank(
        'points',
        criteria,
        Object.entries(rows).map(([procedure, own]) => ({
          procedure,
          fixed: Object.fromEntries(criteria.map(({ id }, c) => [id, own[c]!])),
        })),
      )
      expect(front(fixed(criteria, rows))).toEqual(
        want.filter(({ pareto }) => pareto).map(({ procedure }) => procedure),
      )
    }
  })

  it('says what the second would have to be, alone, to come first; and it does come first there', () => {
    const criteria = [more('shear', 1, 4), less('cure', 48, 12), more('looks', 0, 2, 'linear')]
    const rows = { A: [3.2, 20, 1], B: [2, 16, 2] }
    const weights = [3, 1, 1]
    const needed = neededBySecond(fixed(criteria, rows), weights)
    expect(needed.map(({ procedure, criterion }) => [procedure, criterion])).toContainEqual(['B', 'shear'])
    for (const { criterion, needed: value } of needed) {
      const c = criteria.findIndex(({ id }) => id === criterion)
      const better = criteria[c]!.better === 'more' ? 1.001 : 0.999
      const at = (times: number) =>
        winnerOf(
          weigh(
            'points',
            fixed(criteria, { ...rows, B: rows.B.map((x, i) => (i === c ? value * times : x)) }),
            weights,
          ),
        )
      expect(at(better)).toBe('B')
      expect(at(2 - better)).toBe('A')
    }
    expect(neededBySecond(fixed(criteria, { A: rows.A }), weights)).toEqual([])
  })

  it('gives the value back at which something is so desirable', () => {
    for (const criterion of [more('x', 2, 9), less('x', 9, 2), more('x', 0, 2, 'linear')])
      for (const d of [0.1, 0.5, 0.93]) expect(desirability(criterion, valueAt(criterion, d)!)).toBeCloseTo(d, 12)
    expect(valueAt(band, 0.5)).toBeNull()
    expect(valueAt(more('x', 2, 9), 1.2)).toBeNull()
  })
})

describe('where the schools disagree', () => {
  const criteria = [more('shear', 1, 4), less('cure', 24, 6)]
  const told = (rows: Record<string, number[]>, weights: number[]) => {
    const prepared = fixed(criteria, rows)
    const winners = Object.fromEntries(
      schools.map((school) => [school, winnerOf(weigh(school, prepared, weights))]),
    ) as Record<(typeof schools)[number], string | null>
    return { winners, why: disagreements(prepared, weights, winners) }
  }

  it('points forgive a must that is missed, the others do not', () => {
    const { winners, why } = told({ slow: [4, 30], even: [1.9, 12] }, [3, 1])
    expect(winners).toEqual({ points: 'slow', 'weakest-link': 'even', 'knock-out': 'even' })
    expect(why).toEqual(
      ['weakest-link', 'knock-out'].map((strict) => ({
        forgiving: 'points',
        strict,
        procedure: 'slow',
        criterion: 'cure',
        missesMust: true,
      })),
    )
  })

  it('knocking out takes the heaviest first: what falls behind there is out, though its sum is larger', () => {
    const { winners, why } = told({ quick: [2.6, 6], strong: [3.4, 22] }, [3, 2])
    expect(winners.points).toBe('quick')
    expect(winners['knock-out']).toBe('strong')
    expect(why.find(({ strict }) => strict === 'knock-out')).toMatchObject({
      procedure: 'quick',
      criterion: 'shear',
      missesMust: false,
    })
  })

  it('say nothing where they agree, or where nobody wins', () => {
    expect(told({ A: [4, 6], B: [2, 12] }, [1, 1]).why).toEqual([])
    expect(told({ A: [0.5, 30], B: [0.4, 40] }, [1, 1]).why).toEqual([])
  })
})

describe('draws', () => {
  const readings: ModelReading[] = [
    ...[10, 12, 11.2].map((value) => ({ procedure: 'A', kind: 'exact' as const, value })),
    ...[7, 9].map((value) => ({ procedure: 'B', kind: 'exact' as const, value })),
    { procedure: 'B', kind: 'atLeast', low: 8 },
    { procedure: 'C', kind: 'atMost', high: 6 },
    { procedure: 'C', kind: 'between', low: 3, high: 5 },
  ]

  it('are those of the strength model: quantiles of weak and typical, and who is best', () => {
    const n = 40_000
    const { procedures } = analyse({ required: null, readings, ratios: [] })
    const found = strengthDraws(readings, n, 5)
    for (const summary of procedures) {
      const own = found.get(summary.procedure)!
      const at = (list: Float64Array, q: number) => Math.exp(Float64Array.from(list).sort()[Math.floor(q * n)]!)
      expect(at(own.typical, 0.5) / summary.typical.median).toBeCloseTo(1, 1)
      expect(at(own.weak, 0.5) / summary.weakJoint.median).toBeCloseTo(1, 1)
      expect(Math.abs(Math.log(at(own.weak, 0.05) / summary.weakJoint.low95))).toBeLessThan(0.04)
      let best = 0
      for (let i = 0; i < n; i++)
        if ([...found.values()].every(({ typical }) => typical[i]! <= own.typical[i]!)) best += 1
      expect(Math.abs(best / n - summary.pBest)).toBeLessThan(0.01)
    }
    expect([...strengthDraws(readings, 50, 5).get('A')!.weak]).toEqual([
      ...strengthDraws(readings, 50, 5).get('A')!.weak,
    ])
    expect(strengthDraws([], 10, 1).size).toBe(0)
  })

  it('of what was not pulled are its forecast', () => {
    const list = forecastDraws({ mean: 1, sd: 0.4 }, 40_000, 2)
    expect(medianOf(list)).toBeCloseTo(1, 1)
    const variance = list.reduce((sum, one) => sum + (one - 1) ** 2, 0) / list.length
    expect(Math.sqrt(variance)).toBeCloseTo(0.4, 2)
  })
})
