import { describe, expect, it } from 'vitest'
import type { PairEvidence } from '../evidence/pairEvidence'
import type { Decision } from '../records/decision'
import { accountByRule, brierScore, calibration, toldAndFound } from './account'
import { forecastResult, heldBy } from './forecasts'

const said = (chance: number, served: boolean) => ({ chance, served })

describe('forecasts held to account', () => {
  it('score as by hand: Brier’s mean of squares', () => {
    // (0.1² + 0.8² + 0.5² + 0) / 4 = 0.225
    expect(brierScore([said(0.9, true), said(0.8, false), said(0.5, true), said(0, false)])).toBeCloseTo(0.225, 12)
    expect(brierScore([said(1, true)])).toBe(0)
    expect(brierScore([])).toBeNull()
  })

  it('fall into five bins, with what was said and how often it came', () => {
    const told = [
      said(0.05, false),
      said(0.2, true),
      said(0.39, false),
      said(0.8, true),
      said(0.9, true),
      said(1, false),
    ]
    const bins = calibration(told)
    expect(bins.map(({ count }) => count)).toEqual([1, 2, 0, 0, 3])
    expect(bins.map(({ served }) => served)).toEqual([0, 1, 0, 0, 2])
    expect(bins[1]!.said).toBeCloseTo(0.295, 12)
    expect(bins[2]!.said).toBeNull()
    expect(bins[4]).toMatchObject({ from: 0.8, to: 1 })
    expect(bins[4]!.said).toBeCloseTo(0.9, 12)
  })

  it('name the rules that were wrong here, and how often', () => {
    const wet = { rule: 'wet', mode: 'stays', db: -6 }
    const made = { rule: 'made-for', mode: 'use', db: 6 }
    const rows = accountByRule([
      { served: true, reasons: [wet, made] },
      { served: true, reasons: [wet] },
      { served: false, reasons: [wet, made] },
    ])
    expect(rows).toEqual([
      { rule: 'wet', mode: 'stays', way: 'against', count: 3, wrong: 2 },
      { rule: 'made-for', mode: 'use', way: 'for', count: 2, wrong: 1 },
    ])
  })

  it('hold for sure, fail, or cannot be told', () => {
    expect(heldBy({ median: 5, low95: 4 }, 4)).toBe('held')
    expect(heldBy({ median: 3.9, low95: 2 }, 4)).toBe('failed')
    expect(heldBy({ median: 5, low95: 2 }, 4)).toBe('unclear')
  })
})

const decision = (patch: Partial<Decision> = {}, known: Partial<Decision['known']> = {}): Decision => ({
  id: 'd',
  joint: 'j',
  round: 'r',
  arm: 'a1',
  procedure: 'p1',
  reason: '',
  at: 5,
  known: {
    pulls: 6,
    typical: 6,
    weakLow: 4,
    weakMedian: 5,
    unit: 'MPa',
    margin: null,
    required: 3,
    forecasts: [
      { procedure: 'p1', chance: 0.9, db: 9.5 },
      { procedure: 'p2', chance: 0.7, db: 3.7 },
      { procedure: 'p3', chance: 0.5, db: 0 },
    ],
    ...known,
  },
  ...patch,
})
const found = (procedure: string, median: number, low95: number) =>
  ({ round: 'r', arm: 'a1', procedure, owner: null, limit: 1, weakJoint: { median, low95 } }) as PairEvidence

describe('what was said beside what came', () => {
  const evidence = [found('p1', 5, 4), found('p2', 2, 1), found('p3', 4, 2)]
  it('counts every procedure of the round that the pulls answered, once', () => {
    const { told, unclear } = toldAndFound(
      [decision({ id: 'later', at: 9 }, { forecasts: [{ procedure: 'p1', chance: 0.1, db: -9 }] }), decision()],
      evidence,
    )
    expect(told.map(({ procedure, chance, served }) => [procedure, chance, served])).toEqual([
      ['p1', 0.9, true],
      ['p2', 0.7, false],
    ])
    expect(unclear).toBe(1)
  })
  it('holds it against the limit of the decision, else of the arm', () => {
    const { told } = toldAndFound([decision({}, { required: undefined })], evidence)
    expect(told.map(({ served }) => served)).toEqual([true, true, true])
  })
  it('does not count another maker’s pulls, nor a round without pulls', () => {
    expect(toldAndFound([decision()], [{ ...found('p1', 5, 4), owner: 'm2' }])).toEqual({ told: [], unclear: 3 })
  })
  it('says the same of the chosen one as Choose does', () => {
    expect(forecastResult(decision())).toEqual({ chance: 0.9, held: 'held' })
    expect(forecastResult(decision({ procedure: 'p2' }, { weakLow: 1, weakMedian: 2 }))!.held).toBe('failed')
    expect(forecastResult(decision({}, { weakLow: 1 }))!.held).toBe('unclear')
    // Older decisions kept the lower bound alone.
    expect(forecastResult(decision({}, { weakLow: 1, weakMedian: undefined }))!.held).toBe('unclear')
    expect(forecastResult(decision({}, { required: null }))!.held).toBeNull()
    expect(forecastResult(decision({}, { forecasts: undefined }))).toBeNull()
  })
})
