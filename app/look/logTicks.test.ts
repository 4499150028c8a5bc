import { describe, expect, it } from 'vitest'
import { logTicks } from './logTicks'

describe('ticks of a logarithmic axis', () => {
  it('say their whole value', () => {
    expect(logTicks(Math.log10(0.4), Math.log10(12)).words).toEqual(['0.5', '1', '2', '5', '10'])
    expect(logTicks(Math.log10(0.03), Math.log10(0.11)).words).toContain('0.05')
  })
  it('are few on any axis, also one from next to nothing to beyond all bounds', () => {
    for (const [from, to] of [
      [-6, 9],
      [-320, 8],
      [0, 0.01],
      [-2, 3],
    ] as const) {
      const { values, words } = logTicks(from, to)
      expect(values.length).toBeLessThanOrEqual(20)
      expect(words.join(' ')).not.toMatch(/e|NaN/)
      expect([...values].sort((x, y) => x - y)).toEqual(values)
    }
  })
})
