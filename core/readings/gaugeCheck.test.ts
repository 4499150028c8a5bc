import { describe, expect, it } from 'vitest'
import { gaugeError, waterWeightN } from './gaugeCheck'

describe('a gauge held against a known weight', () => {
  it('of water: litres, bottle, gravity', () => {
    // 1.5 l of water at 0.998 kg/l and an empty bottle of 40 g.
    expect(waterWeightN(1.5, 0.04)).toBeCloseTo((1.497 + 0.04) * 9.80665, 9)
  })

  it('has the mean error of its checks, and is off beyond its step and three in a hundred', () => {
    const check = (trueN: number, readN: number) => ({ at: 0, trueN, readN, how: '' })
    expect(gaugeError({ checks: [], resolutionN: 1 })).toBeNull()
    expect(gaugeError({ checks: [check(10, 10.5), check(20, 20.6)], resolutionN: 0.1 })).toEqual({
      share: expect.closeTo(0.04, 9),
      checks: 2,
      off: true,
    })
    expect(gaugeError({ checks: [check(10, 10.2)], resolutionN: 0.1 })!.off).toBe(false)
    // A step of 1 N explains half a newton in 10.
    expect(gaugeError({ checks: [check(10, 10.4)], resolutionN: 1 })!.off).toBe(false)
    expect(gaugeError({ checks: [check(10, 9)], resolutionN: 1 })!.off).toBe(true)
  })
})
