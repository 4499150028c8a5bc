import { describe, expect, it } from 'vitest'
import { keepsMore, keptShare, lossesOf } from './losses'

/**
 * Beta(kept + ½, lost + ½) by another way: over θ with p = sin²θ its density is sin^(2 kept) · cos^(2 lost), smooth
 * even where nothing was lost; Simpson's rule on a fine grid.
 */
function bySine(kept: number, lost: number, n = 40_000) {
  const h = Math.PI / 2 / n
  const density = (theta: number) => Math.sin(theta) ** (2 * kept) * Math.cos(theta) ** (2 * lost)
  const parts = Array.from({ length: n }, (_, i) => {
    const [a, b] = [i * h, (i + 1) * h]
    return (h / 6) * (density(a) + 4 * density((a + b) / 2) + density(b))
  })
  const sum = parts.reduce((one, other) => one + other, 0)
  const quantile = (q: number) => {
    let below = 0
    for (let i = 0; i < n; i++) {
      const next = below + parts[i]! / sum
      if (next >= q) return Math.sin((i + (q - below) / (next - below)) * h) ** 2
      below = next
    }
    return 1
  }
  return { quantile, parts: parts.map((part) => part / sum) }
}

describe('what is lost of many small things', () => {
  it.each([
    [37, 3],
    [40, 0],
    [0, 12],
    [3, 5],
    [900, 30],
  ])('keeps %i and loses %i: its share and interval as by another integration', (kept, lost) => {
    const expected = bySine(kept, lost)
    const found = keptShare(kept, lost)
    expect(found.median).toBeCloseTo(expected.quantile(0.5), 3)
    expect(found.low90).toBeCloseTo(expected.quantile(0.05), 3)
    expect(found.high90).toBeCloseTo(expected.quantile(0.95), 3)
  })

  it('knows nothing before anything is counted: the arcsine law in closed form', () => {
    expect(keptShare(0, 0).low90).toBeCloseTo(Math.sin((Math.PI / 2) * 0.05) ** 2, 4)
    expect(keptShare(0, 0).median).toBeCloseTo(0.5, 4)
  })

  it('says how surely one keeps more than another', () => {
    expect(keepsMore({ before: 40, lost: 3 }, { before: 40, lost: 3 })).toBeCloseTo(0.5, 3)
    const [x, y] = [bySine(39, 1).parts, bySine(34, 6).parts]
    let [below, chance] = [0, 0]
    x.forEach((part, i) => {
      chance += part * (below + y[i]! / 2)
      below += y[i]!
    })
    expect(keepsMore({ before: 40, lost: 1 }, { before: 40, lost: 6 })).toBeCloseTo(chance, 3)
    expect(keepsMore({ before: 40, lost: 6 }, { before: 40, lost: 1 })).toBeCloseTo(1 - chance, 3)
  })

  it('takes the pieces of a procedure together; what is set aside or went wrong stays out', () => {
    const at = (coupon: string, before: number, after: number, more: object = {}) => ({
      coupon,
      raw: { way: 'losses' as const, before, after },
      outcome: { end: 'held' as const },
      setAside: null,
      ...more,
    })
    const found = lossesOf(
      [
        at('1', 40, 37),
        at('2', 40, 40),
        at('3', 40, 20),
        at('4', 40, 0, { setAside: 'counted twice' }),
        at('5', 40, 0, { outcome: { end: 'fault', reason: 'washed hot' } }),
      ],
      new Map([
        ['1', 'A'],
        ['2', 'A'],
        ['3', 'B'],
        ['4', 'B'],
        ['5', 'A'],
      ]),
    )
    expect(found.map(({ procedure, pieces, before, lost }) => [procedure, pieces, before, lost])).toEqual([
      ['A', 2, 80, 3],
      ['B', 1, 40, 20],
    ])
  })
})
