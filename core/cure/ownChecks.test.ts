import { describe, expect, it } from 'vitest'
import type { CureCheck } from '../records/coupon'
import { seededRandom, normalDraw } from '../planning/random'
import { firmBetween, nextLookS, ownCure, type Looked } from './ownChecks'

const MIN = 60_000
const looked = (...checks: [minutes: number, state: CureCheck['state']][]): Looked => ({
  closed: 1_000_000,
  checks: checks.map(([minutes, state]) => ({ at: 1_000_000 + minutes * MIN, state })),
})

describe('looks at a piece', () => {
  it.each([
    [
      [
        [10, 'slides'],
        [30, 'firm'],
      ],
      { kind: 'between', low: 600, high: 1800 },
    ],
    [
      [
        [10, 'wet'],
        [20, 'tacky'],
        [30, 'hard'],
        [40, 'hard'],
      ],
      { kind: 'between', low: 1200, high: 1800 },
    ],
    [[[30, 'firm']], { kind: 'atMost', high: 1800 }],
    [[[30, 'slides']], { kind: 'atLeast', low: 1800 }],
    // The order of the taps does not matter, a look before closing does not count.
    [
      [
        [30, 'firm'],
        [10, 'slides'],
        [-5, 'wet'],
      ],
      { kind: 'between', low: 600, high: 1800 },
    ],
  ] as [[number, CureCheck['state']][], object][])('%j are an interval', (checks, expected) =>
    expect(firmBetween(looked(...checks))).toMatchObject(expected),
  )
  it('say nothing where nobody looked', () => expect(firmBetween(looked())).toBeNull())
})

describe('own cure checks', () => {
  const five = (firm: number) => [5, 4, 3, 2, 1].map((n) => looked([firm - n, 'slides'], [firm + n, 'firm']))
  it('of five pieces move the predicted time to where they were firm, slower and faster', () => {
    const slow = ownCure(five(60), 1800, 86_400)!
    const fast = ownCure(five(15), 1800, 86_400)!
    // Five narrow intervals round one time: the model's median lies in the middle of them.
    expect(slow.firmS.median / 3600).toBeCloseTo(1, 1)
    expect(slow.factor).toBeCloseTo(2, 1)
    expect(slow.fullS).toBeCloseTo(86_400 * slow.factor, 6)
    expect(fast.factor).toBeLessThan(0.55)
    expect(slow.firmS.low90).toBeLessThan(slow.firmS.median)
    expect(slow.firmS.high90).toBeGreaterThan(slow.firmS.median)
  })
  it('find a known time again from looks every quarter of an hour, within their interval nine times in ten', () => {
    const random = seededRandom(4)
    let held = 0
    for (let k = 0; k < 60; k++) {
      const pieces = Array.from({ length: 5 }, () => {
        const firmMin = 50 * Math.exp(0.25 * normalDraw(random))
        const looks = Array.from({ length: 12 }, (_, i) => 15 * (i + 1))
        return looked(...looks.map((at) => [at, at >= firmMin ? 'firm' : 'slides'] as [number, CureCheck['state']]))
      })
      const { firmS } = ownCure(pieces, 1800, 86_400)!
      if (firmS.low90 <= 3000 && firmS.high90 >= 3000) held++
    }
    expect(held).toBeGreaterThanOrEqual(48)
  })
  it('that never saw it firm, or always, say no time of their own', () => {
    expect(ownCure([looked([30, 'slides'])], 1800, 86_400)).toBeNull()
    expect(ownCure([looked([20, 'firm'])], 1800, 86_400)).toBeNull()
    expect(ownCure([], 1800, 86_400)).toBeNull()
    expect(ownCure(five(60), Infinity, 86_400)).toBeNull()
  })
  it('ask for the next look where the piece is as likely firm as not', () => {
    expect(nextLookS(looked(), 1800, null)).toBe(1800)
    expect(nextLookS(looked([40, 'slides']), 1800, null)).toBe(3000)
    expect(nextLookS(looked([40, 'firm']), 1800, null)).toBeNull()
    expect(nextLookS(looked(), 1800, ownCure(five(60), 1800, 86_400))!).toBeGreaterThan(3300)
  })
})
