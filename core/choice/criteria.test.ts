import { describe, expect, it } from 'vitest'
import { openBrief } from '../records/openBrief'
import type { Raw, Reading } from '../records/reading'
import type { Arm, Round } from '../records/round'
import type { Coupon } from '../records/coupon'
import { criteriaOf, notWeighed, type CriteriaInput, type Item } from './criteria'
import { mustOf } from './rank'
import { allMoves, judge, prepareRound, standingOf } from './weighRound'

const arm = (id: string, more: Partial<Arm> = {}): Arm => ({
  id,
  test: 'lap-shear',
  exposure: null,
  size: { widthMm: 25, overlapMm: 12 },
  passLimit: 1,
  passSetAt: 0,
  lateChanges: [],
  ...more,
})
const arms = [
  arm('dry'),
  arm('wash', { exposure: { kind: 'wash', amount: 3, hours: 6 } }),
  arm('looks', { test: 'looks', passLimit: null }),
  arm('trims', { test: 'trims', passLimit: null, size: {} }),
]
const coupon = (id: string, of: string, procedure: string) => ({ id, label: id, arm: of, procedure }) as Coupon
let count = 0
const reading = (of: string, raw: Raw, end: 'broke' | 'held' = 'broke') =>
  ({
    id: String(count++),
    coupon: of,
    at: count,
    raw,
    outcome: end === 'held' ? { end } : { end, places: { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 } },
    size: { widthMm: 25, overlapMm: 12 },
    early: null,
    note: '',
    setAside: null,
    corrected: [],
  }) as Reading
const gauge = (n: number): Raw => ({ way: 'gauge', value: n, unit: 'N' })

const base = (more: Partial<CriteriaInput> = {}): CriteriaInput => ({
  brief: { ...openBrief(), readyH: 24, maxCost: 2 },
  a: 'foam-eva',
  b: 'fabric-cotton',
  round: { id: 'r', arms, procedures: ['A', 'B'], weights: null } as unknown as Round,
  coupons: [
    ...[1, 2, 3].flatMap((i) => ['A', 'B'].map((p) => coupon(`dry${p}${i}`, 'dry', p))),
    coupon('washA', 'wash', 'A'),
    coupon('looksA', 'looks', 'A'),
    coupon('trimsA', 'trims', 'A'),
    coupon('trimsB', 'trims', 'B'),
  ],
  readings: [
    ...[1, 2, 3].map((i) => reading(`dryA${i}`, gauge(600 + 40 * i))),
    ...[1, 2, 3].map((i) => reading(`dryB${i}`, gauge(900 + 40 * i))),
    reading('washA', gauge(340)),
    reading('looksA', { way: 'grades', grades: { clear: 2, line: 1 }, afterH: 24 }, 'held'),
    reading('trimsA', { way: 'losses', before: 40, after: 39 }, 'held'),
    reading('trimsB', { way: 'losses', before: 40, after: 20 }, 'held'),
  ],
  facts: [
    { procedure: 'A', family: 'contact-solvent', cureH: 12, handledH: 0.1, costPerJoint: 0.3, handsOnMinutes: 6 },
    { procedure: 'B', family: 'pva-white', cureH: 30, handledH: 1, costPerJoint: 0.1, handsOnMinutes: 3 },
  ],
  ...more,
})
const byId = (items: readonly Item[]) => Object.fromEntries(items.map((item) => [item.criterion.id, item]))

describe('what the choice can weigh', () => {
  it('is what was pulled, looked at, counted and known, each with its must from the brief', () => {
    const items = byId(criteriaOf(base()))
    expect(Object.keys(items).sort()).toEqual(
      ['arm dry', 'arm looks', 'arm trims', 'cost', 'cure', 'ease', 'kept wash'].sort(),
    )
    expect(items['arm dry']).toMatchObject({
      of: 'strength',
      said: true,
      criterion: { must: 1, plenty: 3, weight: 3, better: 'more', scale: 'log' },
      basis: { A: 'measured', B: 'measured' },
    })
    expect(items['cure']).toMatchObject({
      said: true,
      criterion: { must: 24, plenty: 6, better: 'less' },
      from: { values: { A: 12, B: 30 } },
      basis: { A: 'known', B: 'known' },
    })
    expect(mustOf(items['cost']!.criterion)).toBe(2)
    // Nobody said what hands-on time is bearable: four times the least.
    expect(items['ease']).toMatchObject({ said: false, criterion: { must: 12, plenty: 3 } })
    expect(items['kept wash']!.basis).toEqual({ A: 'measured', B: 'not tested' })
    expect(items['arm looks']).toMatchObject({ from: { values: { A: 1.5, B: 1 } }, basis: { B: 'not tested' } })
    // All of A’s dry ones tore: there is no reading that sets its upper side.
    const torn = base().readings.map((one) =>
      one.coupon.startsWith('dryA')
        ? { ...one, outcome: { end: 'broke' as const, places: { tornA: 100, offA: 0, glue: 0, offB: 0, tornB: 0 } } }
        : one,
    )
    expect(byId(criteriaOf(base({ readings: torn })))['arm dry']!.open).toEqual(['A'])
    expect(items['arm dry']!.open).toEqual([])
    // Two ways of lasting share the weight of durability.
    expect(items['arm trims']!.criterion.weight).toBe(0.5)
    expect(notWeighed(base(), criteriaOf(base()))).toEqual(['flexibility', 'later-work'])
  })

  it('asks for no more of an angle than 180°, and draws none beyond it', () => {
    const flat = arm('flat', { test: 'lay-flat', passLimit: 160, size: {} })
    const coupons = ['A', 'B'].map((procedure) => coupon(`flat${procedure}`, 'flat', procedure))
    const readings = [
      reading('flatA', { way: 'count', held: 178, broke: null }, 'held'),
      reading('flatB', { way: 'count', held: 118, broke: 122 }),
    ]
    const items = criteriaOf(base({ round: { ...base().round, arms: [flat] }, coupons, readings }))
    const item = byId(items)['arm flat']!
    expect(item).toMatchObject({ criterion: { must: 160, plenty: 180 }, from: { kind: 'strength', end: 180 } })
    const { values } = standingOf(prepareRound({ items: [item], procedures: ['A', 'B'], draws: 500, seed: 3 }))
    for (const one of ['A', 'B']) expect(values[one]!['arm flat']!.high90).toBeLessThanOrEqual(180)
    expect(values['A']!['arm flat']!.median).toBeGreaterThan(values['B']!['arm flat']!.median)
  })

  it('lets others stand beside a joint that costs nothing: a few cents are as cheap as anyone asks', () => {
    const { brief, facts } = base()
    const cost = (least: number) =>
      byId(
        criteriaOf(
          base({ brief: { ...brief, maxCost: null }, facts: facts.map((one) => ({ ...one, costPerJoint: least })) }),
        ),
      )['cost']!.criterion
    expect(cost(0)).toMatchObject({ must: 0.2, plenty: 0.05 })
    expect(cost(0.05)).toMatchObject({ must: 0.2, plenty: 0.05 })
    expect(cost(0.3)).toMatchObject({ must: 1.2, plenty: 0.3 })
  })

  it('takes the weights as set, asks for handling only where it was said, and proposes a missing limit', () => {
    const round = {
      ...base().round,
      arms: [arm('dry', { passLimit: null })],
      weights: { values: { strength: 5, cure: 4 }, setAt: 0, changedLate: null },
    } as unknown as Round
    const items = byId(criteriaOf(base({ round, brief: { ...openBrief(), handledH: 2 } })))
    expect(items['arm dry']).toMatchObject({ said: false, criterion: { weight: 5, must: 640 / 300 / 2 } })
    expect(items['cure']!.criterion.weight).toBe(2)
    expect(items['handled']!.criterion).toMatchObject({ must: 2, weight: 2 })
    // A week where no time was said.
    expect(mustOf(items['cure']!.criterion)).toBe(168)
    expect(mustOf(items['cost']!.criterion)).toBeCloseTo(0.4, 12)
  })

  it('fills in what was not pulled from the forecast, and never calls it measured', () => {
    const input = base()
    const readings = input.readings.filter(({ coupon: id }) => !id.startsWith('dryB'))
    const items = byId(criteriaOf({ ...input, readings }))
    expect(items['arm dry']!.basis).toEqual({ A: 'measured', B: 'forecast' })
    const { from } = items['arm dry']!
    if (from.kind !== 'strength') throw new Error('strengths expected')
    expect(Object.keys(from.forecast)).toEqual(['B'])
    // On materials that are open, nothing is known: as wide as can be.
    const open = byId(criteriaOf({ ...input, readings, a: null }))
    expect(open['arm dry']!.basis['B']).toBe('not tested')
    // Neither pulled nor known: it is no criterion.
    expect(byId(criteriaOf({ ...input, readings: [], a: null }))['arm dry']).toBeUndefined()
  })

  it('is judged by the three schools on the same draws: the slow cure is forgiven by points alone', () => {
    const input = base({
      round: {
        ...base().round,
        weights: {
          values: { strength: 5, cure: 2, cost: 2, ease: 2, durability: 0, looks: 0 },
          setAt: 0,
          changedLate: null,
        },
      } as unknown as Round,
    })
    const items = criteriaOf(input)
    const prepared = prepareRound({ items, procedures: ['A', 'B'], draws: 4000, seed: 1 })
    const weights = items.map(({ criterion }) => criterion.weight)
    const { winners, why } = judge(prepared, weights)
    expect(winners).toEqual({ points: 'B', 'weakest-link': 'A', 'knock-out': 'A' })
    expect(why).toContainEqual({
      forgiving: 'points',
      strict: 'knock-out',
      procedure: 'B',
      criterion: 'cure',
      missesMust: true,
    })
    const { values } = standingOf(prepared)
    expect(values['A']!['cure']).toMatchObject({ median: 12, low90: 12, high90: 12 })
    expect(values['A']!['cure']!.d).toBeCloseTo(Math.log(24 / 12) / Math.log(4), 10)
    // 640 to 720 N on 300 mm²: the weak joint lies below its middle.
    expect(values['A']!['arm dry']!.median).toBeLessThan(680 / 300)
    expect(values['A']!['arm dry']!.median).toBeGreaterThan(1)
    expect(values['A']!['arm trims']!.median).toBeCloseTo(0.97, 1)
    // With the weight of the cure high enough even points leave it.
    const alone = items.map(({ criterion }, c) => ({ id: criterion.id, members: [c] }))
    const cure = allMoves(prepared, weights, alone).points.find(({ group }) => group === 'cure')!
    expect(cure.up).toBeGreaterThan(2)
    const heavy = items.map(({ criterion }) => (criterion.id === 'cure' ? cure.up! + 0.1 : criterion.weight))
    expect(judge(prepared, heavy).winners.points).toBe('A')
  })

  it('weighs pulls that have only an order by what they win, and in a mixed round beside the strengths', () => {
    const hands = (of: string, rung: string) => reading(of, { way: 'hands', rung, lowN: null, highN: null } as Raw)
    const byHand = [1, 2, 3].flatMap((i) => [hands(`dryA${i}`, 'two-hands'), hands(`dryB${i}`, 'one-finger')])
    const only = criteriaOf(base({ readings: byHand }))
    const order = only.find(({ criterion }) => criterion.id === 'order dry')!
    expect(order).toMatchObject({ of: 'strength', basis: { A: 'measured', B: 'measured' } })
    expect(only.some(({ criterion }) => criterion.id === 'arm dry')).toBe(false)
    const prepared = prepareRound({ items: [order], procedures: ['A', 'B'], draws: 4000, seed: 1 })
    const { values } = standingOf(prepared)
    // Three of three against none of three, by Jeffreys: Beta(3.5, 0.5) has its mean at 7/8.
    expect(values['A']!['order dry']!.d).toBeCloseTo(7 / 8, 1)
    expect(values['B']!['order dry']!.d).toBeCloseTo(1 / 8, 1)
    const mixed = criteriaOf(base({ readings: [...byHand.slice(0, 4), reading('dryA3', gauge(700))] }))
    expect(mixed.map(({ criterion }) => criterion.id)).toEqual(expect.arrayContaining(['arm dry', 'order dry']))
    expect(mixed.find(({ criterion }) => criterion.id === 'arm dry')!.basis['B']).not.toBe('measured')
  })

  it('puts what the brief names and nobody pulled in by what is typical, with the test that would tell', () => {
    const asked = base({ brief: { ...openBrief(), readyH: 24, water: 'soak', coldC: -20, heatC: 25 } })
    const found = criteriaOf(asked).filter(({ criterion }) => criterion.id.startsWith('unmet'))
    expect(found.map(({ criterion }) => criterion.id)).toEqual(['unmet cold', 'unmet water'])
    for (const one of found) expect(one).toMatchObject({ of: 'durability', basis: { A: 'forecast', B: 'forecast' } })
    expect(found[1]!.test).toEqual({ like: 'dry', exposure: expect.objectContaining({ kind: 'soak' }) as object })
    // The wash arm stands in the round and answers rain: it was pulled, so that nothing is left open.
    const rain = criteriaOf(base({ brief: { ...openBrief(), water: 'wash' } }))
    expect(rain.some(({ criterion }) => criterion.id === 'unmet water')).toBe(false)
    expect(rain.find(({ criterion }) => criterion.id === 'kept wash')!.test).toEqual({ arm: 'wash' })
  })

  it('of harm counts the worst thing, and must not be plain', () => {
    const spots = [arm('dry'), arm('spot', { test: 'spot', passLimit: null })]
    const of = (grades: Record<string, number>) => {
      const input = base({
        round: { id: 'r', arms: spots, procedures: ['A', 'B'], weights: null } as unknown as Round,
        coupons: [coupon('dryA1', 'dry', 'A'), coupon('spotA', 'spot', 'A')],
        readings: [reading('spotA', { way: 'grades', grades, afterH: 24 } as Raw, 'held')],
      })
      const item = criteriaOf(input).find(({ criterion }) => criterion.id === 'arm spot')!
      return { must: mustOf(item.criterion), value: item.from.kind === 'fixed' ? item.from.values['A'] : null }
    }
    expect(of({ melt: 2, stain: 0 })).toEqual({ must: 1, value: 0 })
    expect(of({ melt: 2, stain: 1 })).toEqual({ must: 1, value: 1 })
  })
})
