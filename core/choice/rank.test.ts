import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { desirability, rank, type RankCriterion, type RankProcedure, type School } from './rank'

const shear: RankCriterion = { id: 'shear', weight: 3, better: 'more', scale: 'log', must: 1, plenty: 4 }
const cost: RankCriterion = { id: 'cost', weight: 1, better: 'less', scale: 'linear', must: 2, plenty: 0.5 }
const bend: RankCriterion = {
  id: 'bend',
  weight: 2,
  better: 'band',
  scale: 'linear',
  mustLow: 20,
  low: 45,
  high: 90,
  mustHigh: 120,
}

describe('how desirable a value is', () => {
  it.each([
    [shear, 0.99, 0],
    [shear, 1, 0],
    [shear, 2, 0.5],
    [shear, 4, 1],
    [shear, 40, 1],
    [cost, 2.1, 0],
    [cost, 1.25, 0.5],
    [cost, 0.5, 1],
    [bend, 19, 0],
    [bend, 32.5, 0.5],
    [bend, 45, 1],
    [bend, 90, 1],
    [bend, 105, 0.5],
    [bend, 121, 0],
  ])('%#', (criterion, x, want) => expect(desirability(criterion, x)).toBeCloseTo(want, 12))
})

const two: RankProcedure[] = [
  { procedure: 'A', draws: { shear: [4, 2, 0.5] }, fixed: { cost: 0.5 } },
  { procedure: 'B', draws: { shear: [2, 2, 2] }, fixed: { cost: 1.25 } },
]
const of = (school: School, criteria: RankCriterion[], procedures = two) =>
  Object.fromEntries(rank(school, criteria, procedures).map((one) => [one.procedure, one]))

describe('three schools on the same draws', () => {
  it('by points: by hand', () => {
    const { A, B } = of('points', [shear, cost])
    // A: (3·1+1)/4, (3·½+1)/4, (0+1)/4; B: (3·½+½)/4 each.
    expect(A!.score).toBeCloseTo((1 + 0.625 + 0.25) / 3, 12)
    expect(B!.score).toBeCloseTo(0.5, 12)
    expect([A!.pBest, B!.pBest]).toEqual([expect.closeTo(2 / 3, 12), expect.closeTo(1 / 3, 12)])
    expect(A!.expectedLoss).toBeCloseTo(0.25 / 3, 12)
    expect(B!.expectedLoss).toBeCloseTo((0.5 + 0.125) / 3, 12)
  })

  it('by the weakest link a miss sinks it', () => {
    const { A, B } = of('weakest-link', [shear, cost])
    expect(B!.score).toBeCloseTo(0.5, 12)
    expect(A!.score).toBeCloseTo((1 + 0.5 ** 0.75 + 0) / 3, 12)
    expect(A!.pBest).toBeCloseTo(2 / 3, 12)
  })

  it('by knocking out: who misses a must is out, the heaviest decides, near ones go on', () => {
    const { A, B } = of('knock-out', [shear, cost])
    // Draw 1: A on shear. Draw 2: alike on shear, A cheaper. Draw 3: A misses its must.
    expect([A!.score, B!.score]).toEqual([expect.closeTo(2 / 3, 12), expect.closeTo(1 / 3, 12)])
    expect(A!.expectedLoss).toBeCloseTo(1 / 3, 12)
    // Exactly at its must is in; within a twentieth of the best goes on; several at the end share.
    const near = [
      { procedure: 'A', fixed: { shear: 1, cost: 1.25 } },
      { procedure: 'B', fixed: { shear: 1.02, cost: 1.25 } },
      { procedure: 'C', fixed: { shear: 0.999, cost: 0.1 } },
    ]
    const shared = of('knock-out', [shear, cost], near)
    expect([shared['A']!.score, shared['B']!.score, shared['C']!.score]).toEqual([0.5, 0.5, 0])
    const nobody = of('knock-out', [shear], [{ procedure: 'A', fixed: { shear: 0.1 } }])
    expect(nobody['A']).toMatchObject({ score: 0, pBest: 0, expectedLoss: 1 })
  })

  it('share ties, win nothing with nothing, and weigh nothing with a weight of nought', () => {
    const same = [
      { procedure: 'A', fixed: { shear: 2 } },
      { procedure: 'B', fixed: { shear: 2 } },
    ]
    expect(of('points', [shear], same)['A']).toMatchObject({ pBest: 0.5, expectedLoss: 0 })
    const none = same.map((one) => ({ ...one, fixed: { shear: 0.2 } }))
    expect(of('points', [shear], none)['A']).toMatchObject({ score: 0, pBest: 0, expectedLoss: 0 })
    const light = { ...cost, weight: 0 }
    const missed = [{ procedure: 'A', fixed: { shear: 4, cost: 99 } }]
    for (const school of ['points', 'weakest-link', 'knock-out'] as const)
      expect(of(school, [shear, light], missed)['A']).toMatchObject({ score: 1, pBest: 1, out: null })
  })

  it('name the must that is missed in most draws, with its median', () => {
    const { A, B } = of(
      'points',
      [shear, cost, bend],
      [
        { procedure: 'A', draws: { shear: [0.5, 0.6, 3], bend: [10, 11, 12] }, fixed: { cost: 1 } },
        { procedure: 'B', draws: { shear: [0.5, 2, 3], bend: [10, 60, 60] }, fixed: { cost: 1 } },
      ],
    )
    expect(A!.out).toEqual({ criterion: 'bend', value: 11 })
    expect(B!.out).toBeNull()
  })

  it('mark what nothing beats on all, by medians', () => {
    const marked = of(
      'points',
      [shear, cost, bend],
      [
        { procedure: 'strong', fixed: { shear: 9, cost: 2, bend: 60 } },
        { procedure: 'cheap', fixed: { shear: 2, cost: 0.2, bend: 60 } },
        { procedure: 'beaten', fixed: { shear: 1.9, cost: 0.3, bend: 130 } },
        { procedure: 'twin', fixed: { shear: 2, cost: 0.2, bend: 80 } },
      ],
    )
    expect(Object.values(marked).map(({ pareto }) => pareto)).toEqual([true, true, false, true])
  })

  it('equal a plain reckoning on random cases', () => {
    const random = seededRandom(8)
    for (let turn = 0; turn < 60; turn++) {
      const criteria = [shear, cost, bend].map((one) => ({ ...one, weight: Math.floor(random() * 4) }))
      const procedures = ['A', 'B', 'C'].map((procedure) => ({
        procedure,
        draws: {
          shear: Array.from({ length: 50 }, () => 0.5 + 5 * random()),
          bend: Array.from({ length: 50 }, () => 10 + 120 * random()),
        },
        fixed: { cost: 2.4 * random() },
      }))
      const all = criteria.reduce((sum, { weight }) => sum + weight, 0)
      const found = rank('points', criteria, procedures)
      procedures.forEach(({ draws, fixed }, p) => {
        let sum = 0
        for (let i = 0; i < 50; i++) {
          const row = [draws.shear[i]!, fixed.cost, draws.bend[i]!]
          if (all) sum += criteria.reduce((s, one, c) => s + one.weight * desirability(one, row[c]!), 0) / all
        }
        expect(found[p]!.score).toBeCloseTo(sum / 50, 10)
      })
      const won = rank('knock-out', criteria, procedures).reduce((sum, { score }) => sum + score, 0)
      expect(won).toBeLessThanOrEqual(1 + 1e-9)
    }
  })

  it('ask again for what is missing, of another length, or upside down', () => {
    const bad = (criteria: RankCriterion[], procedures: RankProcedure[]) => () => rank('points', criteria, procedures)
    expect(bad([shear, cost], [{ procedure: 'A', fixed: { shear: 1 } }])).toThrow(
      expect.objectContaining({ code: 'missing', path: 'procedures.0.cost' }),
    )
    const uneven = [
      { procedure: 'A', draws: { shear: [1, 2] } },
      { procedure: 'B', draws: { shear: [1] } },
    ]
    expect(bad([shear], uneven)).toThrow(expect.objectContaining({ code: 'wrong-shape' }))
    expect(bad([{ ...shear, plenty: 0.5 }], [])).toThrow(expect.objectContaining({ code: 'out-of-order' }))
    expect(bad([{ ...shear, must: 0 }], [])).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(bad([{ ...shear, weight: -1 }], [])).toThrow(expect.objectContaining({ code: 'negative' }))
  })
})
