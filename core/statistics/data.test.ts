import { describe, expect, it } from 'vitest'
import { grouped, type ModelReading } from './data'
import { ratiosFrom } from './ratioFrom'

const ln = Math.log
const readings: ModelReading[] = [
  { procedure: 'B', kind: 'exact', value: 4 },
  { procedure: 'A', kind: 'atLeast', low: 9 },
  { procedure: 'B', kind: 'exact', value: 1 },
  { procedure: 'A', kind: 'atLeast', low: 3 },
  { procedure: 'A', kind: 'atLeast', low: 9 },
  { procedure: 'B', kind: 'between', low: 2, high: 8 },
  { procedure: 'B', kind: 'between', low: 2, high: 8 },
  { procedure: 'B', kind: 'between', low: 1, high: 4 },
  { procedure: 'C', kind: 'between', low: 0, high: 5 },
  { procedure: 'C', kind: 'atMost', high: 2 },
]

describe('readings as the model takes them', () => {
  it('stand by procedure in the order in which they came, the same bounds counted', () => {
    const { groups } = grouped(readings)
    expect(groups.map(({ procedure, n, exact }) => [procedure, n, exact])).toEqual([
      ['B', 5, 2],
      ['A', 3, 0],
      ['C', 2, 0],
    ])
    const [b, a, c] = groups
    expect(b!.mean).toBeCloseTo(ln(2), 12)
    // Both lie ln 2 from their mean.
    expect(b!.squares).toBeCloseTo(2 * ln(2) ** 2, 12)
    expect(b!.between).toEqual([
      [ln(1), ln(4), 1],
      [ln(2), ln(8), 2],
    ])
    expect(a!.atLeast).toEqual([
      [ln(3), 1],
      [ln(9), 2],
    ])
    expect([a!.mean, a!.squares, a!.atMost, a!.between]).toEqual([0, 0, [], []])
    // From nothing to something is at most that.
    expect(c!.atMost).toEqual([
      [ln(2), 1],
      [ln(5), 1],
    ])
    expect(c!.between).toEqual([])
  })
  it('have their prior middle at the mean of values, bounds and geometric mids', () => {
    // ln of 4, 9, 1, 3, 9, 4, 4, 2, 5, 2: the mids of 2 to 8 and of 1 to 4 are 4 and 2.
    const wanted = [4, 9, 1, 3, 9, 4, 4, 2, 5, 2].reduce((sum, value) => sum + ln(value), 0) / 10
    expect(grouped(readings).m0).toBeCloseTo(wanted, 12)
    expect(grouped([])).toEqual({ groups: [], m0: 0 })
  })
  it('give the same, to the bit, in whatever order a procedure’s came', () => {
    const b = (list: readonly ModelReading[]) => grouped(list).groups.find(({ procedure }) => procedure === 'B')
    expect(b([...readings].reverse())).toEqual(b(readings))
    expect(grouped([...readings].reverse()).m0).toBe(grouped(readings).m0)
    // Sums of these differ in their last bits by the order in which they are added.
    const many = [3.1, 1e5, 0.07, 2.9e-4, 41, 1.03, 7e3, 0.6, 12.7, 5e-6].map((value): ModelReading => ({
      procedure: 'D',
      kind: 'exact',
      value,
    }))
    expect(grouped([...many].reverse())).toEqual(grouped(many))
  })
})

describe('a comparison', () => {
  const ratio = { of: 'A', to: 'B', median: 2, low90: 1.25, high90: 4, pGreater: 0.98, toldApart: true }
  it('is turned round for the other procedure, and left out for one that is not in it', () => {
    expect(ratiosFrom('A', [ratio])).toEqual([ratio])
    expect(ratiosFrom('B', [ratio])).toEqual([
      { of: 'B', to: 'A', median: 0.5, low90: 0.25, high90: 0.8, pGreater: expect.closeTo(0.02, 12), toldApart: true },
    ])
    expect(ratiosFrom('C', [ratio])).toEqual([])
  })
})
