import { describe, expect, it } from 'vitest'
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
  it('keeps the peak when it is thinned', () => {
    const long = Array.from({ length: 9000 }, (_, i) => ({ s: i, n: i === 4321 ? 99 : Math.sin(i), mm: null }))
    expect(thinned(long, 500)).toHaveLength(500)
    expect(Math.max(...thinned(long, 500).map((point) => point.n))).toBe(99)
  })
})
