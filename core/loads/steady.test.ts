import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { hangsStill, steadyShare, steadyWords } from './steady'

describe('a load that stays', () => {
  it('leaves a tenth of what creeps and a third of the rest for good, more for a day', () => {
    const [melt, tape, epoxy] = ['hotmelt-low', 'tape-double', 'epoxy-slow'].map((id) => familyOf(id))
    for (const soft of [melt!, tape!]) expect(steadyShare(soft, 'years')).toBeCloseTo(0.1, 12)
    expect(steadyShare(epoxy!, 'years')).toBeCloseTo(1 / 3, 12)
    const lives = ['temporary', 'mend', 'show', 'years'] as const
    for (const family of [melt!, tape!, epoxy!]) {
      const shares = lives.map((life) => steadyShare(family, life))
      expect(shares).toEqual([...shares].sort((x, y) => y - x))
      for (const share of shares) expect(share).toBeLessThan(0.8)
      expect(steadyShare(family, null)).toBe(Math.min(...shares))
    }
    // A day: log 24 of log 26 280 hours on the way from 0.4 to 0.1.
    expect(steadyShare(melt!, 'temporary')).toBeCloseTo(0.4 * 0.25 ** (3.17805 / 10.17656), 5)
    expect(steadyWords(null)).toBe('a load that hangs on it for good')
  })
  it('is a weight that hangs still, or of which no motion was said', () => {
    const hangs = (weightKg: number | null, motion: 'still' | 'walked' | null, share: number | null = null) =>
      hangsStill({ weightKg, motion, share })
    expect([hangs(1, 'still'), hangs(1, null), hangs(1, 'walked'), hangs(0, 'still'), hangs(null, 'still')]).toEqual([
      true,
      true,
      false,
      false,
      false,
    ])
    expect(hangs(1, 'still', 0)).toBe(false)
  })
})
