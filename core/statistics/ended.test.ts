import { describe, expect, it } from 'vitest'
import { analyse } from './analyse'
import type { ModelReading } from './data'
import { asOdds, oddsOf, ofOdds } from './ended'

const angle = (procedure: string, value: number): ModelReading => ({ procedure, kind: 'exact', value })
const within = (procedure: string, low: number, high: number): ModelReading => ({
  procedure,
  kind: 'between',
  low,
  high,
})

describe('a figure with an end of its own', () => {
  it('is its odds, there and back', () => {
    // 120° of 180°: two to one.
    expect(oddsOf(120, 180)).toBeCloseTo(2, 12)
    expect(oddsOf(90, 180)).toBe(1)
    for (const x of [1, 45, 90, 160, 179]) expect(ofOdds(oddsOf(x, 180), 180)).toBeCloseTo(x, 9)
    expect(ofOdds(Infinity, 180)).toBe(180)
    expect(oddsOf(400, 180)).toBe(oddsOf(180, 180))
  })

  it('is at least that where it reached its end', () => {
    const at = oddsOf(179.5, 180)
    expect(asOdds([angle('A', 180)], 180)).toEqual([{ procedure: 'A', kind: 'atLeast', low: at }])
    expect(asOdds([angle('A', 90)], 180)).toEqual([{ procedure: 'A', kind: 'exact', value: 1 }])
    expect(asOdds([within('A', 90, 120)], 180)[0]).toMatchObject({ kind: 'between', low: 1 })
    expect(asOdds([within('A', 90, 180)], 180)).toEqual([{ procedure: 'A', kind: 'atLeast', low: 1 }])
    expect(asOdds([within('A', 180, 200)], 180)).toEqual([{ procedure: 'A', kind: 'atLeast', low: at }])
    expect(asOdds([{ procedure: 'A', kind: 'atLeast', low: 90 }], 180)[0]).toMatchObject({ low: 1 })
    expect(asOdds([{ procedure: 'A', kind: 'atMost', high: 90 }], 180)[0]).toMatchObject({ high: 1 })
  })

  it('never lies beyond its end, however few and good the readings', () => {
    for (const readings of [
      [angle('A', 180)],
      [angle('A', 175)],
      [angle('A', 179.9), angle('A', 180)],
      [{ procedure: 'A', kind: 'atLeast', low: 160 } as ModelReading],
    ]) {
      const { typical, weakJoint } = analyse({ required: 160, readings, end: 180 }).procedures[0]!
      for (const x of [typical.low90, typical.median, typical.high90, weakJoint.median, weakJoint.low95]) {
        expect(x).toBeGreaterThan(0)
        expect(x).toBeLessThanOrEqual(180)
      }
    }
  })

  it('tells 120° from a limit of 160°', () => {
    const readings = [118, 121, 120, 122].map((value) => angle('A', value))
    expect(analyse({ required: 160, readings, end: 180 }).procedures[0]!.pMeets!).toBeLessThan(0.05)
    const flat = [176, 178, 177, 176].map((value) => angle('A', value))
    expect(analyse({ required: 160, readings: flat, end: 180 }).procedures[0]!.pMeets!).toBeGreaterThan(0.5)
  })

  it('is what the model says of the odds themselves', () => {
    const readings = [angle('A', 120), angle('A', 140), angle('B', 90), angle('B', 100)]
    const odds = readings.map((one) => ({ ...one, value: oddsOf((one as { value: number }).value, 180) }))
    const [ended, plain] = [
      analyse({ required: 100, readings, ratios: [['A', 'B']], end: 180 }),
      analyse({ required: oddsOf(100, 180), readings: odds as ModelReading[], ratios: [['A', 'B']] }),
    ]
    ended.procedures.forEach((one, i) => {
      const of = plain.procedures[i]!
      expect(one.typical.median).toBeCloseTo((180 * of.typical.median) / (1 + of.typical.median), 9)
      expect(one.weakJoint.low95).toBeCloseTo((180 * of.weakJoint.low95) / (1 + of.weakJoint.low95), 9)
      expect(one.pMeets).toBeCloseTo(of.pMeets!, 12)
    })
    expect(ended.ratios).toEqual(plain.ratios)
  })
})
