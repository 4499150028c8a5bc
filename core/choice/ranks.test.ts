import { describe, expect, it } from 'vitest'
import { analyse } from '../statistics/analyse'
import type { OutcomeRecord, Raw } from '../records/reading'
import type { Arm } from '../records/round'
import { rankOf, ranked, RANKS_APART, type Ranked } from './ranks'
import { exposedName, keptPairs, keptQuestion } from './shareKept'

const none = { tornA: 0, offA: 0, glue: 0, offB: 0, tornB: 0 }
const hands = (rung: 'falls-off' | 'shaken-off' | 'one-hand' | 'two-hands' | 'would-not-come'): Raw => ({
  way: 'hands',
  rung,
  lowN: null,
  highN: null,
})
const broke = (place: keyof typeof none): OutcomeRecord => ({ end: 'broke', places: { ...none, [place]: 100 } })
const pull = (procedure: string, raw: Raw, outcome: OutcomeRecord) =>
  rankOf(procedure, { raw, outcome, setAside: null })!

describe('pulls without a figure', () => {
  it('are ordered by how hard they were pulled, then by how they let go', () => {
    const order = [
      pull('A', hands('falls-off'), broke('offA')),
      pull('A', hands('one-hand'), broke('offA')),
      pull('A', hands('one-hand'), broke('glue')),
      pull('A', hands('one-hand'), broke('offB')),
      pull('A', hands('one-hand'), broke('tornA')),
      pull('A', hands('two-hands'), broke('offA')),
      pull('A', hands('would-not-come'), { end: 'held' }),
    ]
    for (let i = 1; i < order.length; i++) {
      const result = ranked([
        { ...order[i]!, procedure: 'X' },
        { ...order[i - 1]!, procedure: 'Y' },
      ])!
      expect(result.procedures.map(({ procedure }) => procedure)).toEqual(['X', 'Y'])
    }
    expect(pull('A', { way: 'none' }, { end: 'wet', places: null }).ladder).toBe('would not cure')
    expect(rankOf('A', { raw: { way: 'none' }, outcome: { end: 'fault', reason: 'slip' }, setAside: null })).toBeNull()
    expect(rankOf('A', { raw: hands('one-hand'), outcome: broke('glue'), setAside: 'wrong one' })).toBeNull()
  })

  const of = (procedure: string, scores: readonly number[]): Ranked[] =>
    scores.map((score) => ({ procedure, ladder: null, rung: null, score: [score, 0] }))
  it('tell apart what is clearly better: by the exact permutation test of a textbook', () => {
    // All of A above all of B, 4 and 4: one of 70 ways.
    const clear = ranked([...of('A', [5, 6, 7, 8]), ...of('B', [1, 2, 3, 4])])!
    expect(clear.procedures[0]).toMatchObject({ procedure: 'A', wins: 1, pulls: 4 })
    expect(clear.chance).toBeCloseTo(1 / 70, 12)
    expect(clear.chance).toBeLessThan(RANKS_APART)
    // Two and two can never be told apart so: one of 6 ways at best.
    expect(ranked([...of('A', [3, 4]), ...of('B', [1, 2])])!.chance).toBeCloseTo(1 / 6, 12)
  })

  it('count ties half, and say nothing of one alone', () => {
    const tied = ranked([...of('A', [1, 1]), ...of('B', [1, 1])])!
    expect(tied.procedures.map(({ wins }) => wins)).toEqual([0.5, 0.5])
    expect(tied.chance).toBe(1)
    expect(ranked(of('A', [1, 2]))).toBeNull()
    const mixed = ranked([
      pull('A', hands('one-hand'), broke('tornB')),
      pull('A', { way: 'none' }, { end: 'wet', places: null }),
      pull('B', hands('shaken-off'), broke('offA')),
    ])!
    expect(mixed.procedures.find(({ procedure }) => procedure === 'A')!.steps).toEqual({
      'tore the part': 1,
      'would not cure': 1,
    })
  })
})

describe('the share kept after an exposure', () => {
  const arm = (id: string, more: Partial<Arm> = {}): Arm => ({
    id,
    test: 'tension',
    exposure: null,
    size: { areaMm2: 100 },
    passLimit: null,
    passSetAt: null,
    lateChanges: [],
    ...more,
  })
  const wet = { kind: 'wash', amount: 3, hours: 3 } as const
  it('is that of the ratios of the strength model, of procedures that have both', () => {
    const arms = [arm('dry'), arm('wet', { exposure: wet }), arm('young', { ageS: 3600 })]
    const [pair] = keptPairs({ arms })
    expect(keptPairs({ arms }).length).toBe(1)
    expect([pair!.exposed.id, pair!.dry.id]).toEqual(['wet', 'dry'])
    expect(keptPairs({ arms: [arms[1]!, arms[2]!] })).toEqual([])
    const pulls: [string, string, number][] = [
      ['A', 'dry', 100],
      ['A', 'dry', 110],
      ['A', 'wet', 60],
      ['A', 'wet', 70],
      ['B', 'dry', 90],
      ['C', 'wet', 80],
    ]
    const coupons = pulls.map(([procedure, of], i) => ({ id: `${i}`, procedure, arm: of, size: {} }) as never)
    const readings = pulls.map(
      ([, , value], i) =>
        ({
          id: `r${i}`,
          coupon: `${i}`,
          at: i,
          raw: { way: 'gauge', value, unit: 'N' },
          outcome: broke('glue'),
          size: { areaMm2: 100 },
          early: null,
          note: '',
          setAside: null,
          corrected: [],
        }) as never,
    )
    const question = keptQuestion(pair!, coupons, readings)
    expect(question.ratios).toEqual([[exposedName('A'), 'A']])
    expect(question.readings.map(({ procedure }) => procedure)).toEqual(['A', 'A', 'A exposed', 'A exposed'])
    const [ratio] = analyse(question).ratios
    // √(0.6·0.7 / (1.0·1.1)), drawn a little to one by the prior.
    expect(ratio!.median).toBeCloseTo(Math.sqrt(42 / 110), 1)
    expect(ratio!.low90).toBeLessThan(ratio!.median)
  })
})
