import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { steadyPeelN } from '../readings/trace'
import { thinned, traceFromRows } from './traceCsv'

describe('a force trace from a file', () => {
  it('reads headings with units, and says which rows are bad', () => {
    const { points, bad } = traceFromRows([
      ['logger 3'],
      ['Time (s)', 'Force (kgf)', 'Travel [mm]'],
      ['0', '0', '0'],
      ['1', '1', '5'],
      ['2', 'oops', '10'],
      ['3', '2,5', '15'],
      [''],
      ['4', '0', '20'],
    ])
    expect(points).toHaveLength(4)
    expect(points[2]).toEqual({ s: 3, n: 2.5 * 9.80665, mm: 15 })
    expect(bad).toEqual([{ line: 5, why: 'oops' }])
  })
  it('takes seconds, newtons and no travel where nothing else is said', () => {
    expect(traceFromRows([['load'], ['1'], ['2'], ['3'], ['4']]).points[1]).toEqual({ s: 1, n: 2, mm: null })
  })
  it('refuses a file without a load, or with too little', () => {
    expect(() =>
      traceFromRows([
        ['a', 'b'],
        ['1', '2'],
      ]),
    ).toThrow(/wrong-shape/)
    expect(() => traceFromRows([['load'], ['1']])).toThrow(/trace-too-short/)
  })
  it('names a unit it does not know, and takes no count for a load', () => {
    const rows = (heading: string) => [[heading], ['1'], ['2'], ['3'], ['4']]
    expect(traceFromRows(rows('Force (daN)')).points[1]!.n).toBe(20)
    expect(() => traceFromRows(rows('Force (V)'))).toThrow(/unknown-unit/)
    expect(() => traceFromRows(rows('Force (mm)'))).toThrow(/wrong-kind-of-unit/)
    expect(() => traceFromRows(rows('n'))).toThrow(/wrong-shape/)
    expect(() => traceFromRows([['load'], ['-1'], ['-2'], ['-3'], ['-4']])).toThrow(/wrong-shape/)
  })
  it('keeps the peak when it is thinned', () => {
    const long = Array.from({ length: 9000 }, (_, i) => ({ s: i, n: i === 4321 ? 99 : Math.sin(i), mm: null }))
    const thin = thinned(long, 500, 'extremes')
    expect(thin.length).toBeLessThanOrEqual(500)
    expect(Math.max(...thin.map((point) => point.n))).toBe(99)
    expect(Math.min(...thin.map((point) => point.n))).toBe(Math.min(...long.map((point) => point.n)))
    expect(thin.map(({ s }) => s)).toEqual(thin.map(({ s }) => s).sort((x, y) => x - y))
  })
  it('keeps the mean of a noisy peel when it is thinned', () => {
    const random = seededRandom(9)
    // Stick and slip: long low stretches with sharp rises, 40 % up and down.
    const noisy = Array.from({ length: 20_000 }, (_, i) => ({
      s: i / 100,
      n: 10 + 4 * Math.abs(Math.sin(i / 37)) ** 6 + 4 * (random() - 0.5),
      mm: i / 200,
    }))
    const whole = steadyPeelN(noisy).meanN
    expect(steadyPeelN(thinned(noisy, 1500, 'means')).meanN / whole).toBeCloseTo(1, 3)
  })
})
