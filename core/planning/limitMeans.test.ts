import { describe, expect, it } from 'vitest'
import { openBrief } from '../records/openBrief'
import type { ArmRead } from '../records/round'
import { limitInShort, limitMeans, limitWords } from './limitMeans'

const brief = { ...openBrief(), widthMm: 20, lengthMm: 30 }
const lap = { test: 'lap-shear' as const, size: { widthMm: 12, overlapMm: 5 } }

describe('what a pass limit means', () => {
  it('is a force on the coupon by its size, and one on the real joint by its own', () => {
    // 0.5 MPa over 12 × 5 mm is 30 N, over 20 × 30 mm 300 N.
    const { couponN, jointN } = limitMeans(0.5, lap, brief)
    expect(couponN).toBeCloseTo(30, 9)
    expect(jointN).toBeCloseTo(300, 9)
  })
  it('is force over width in peel', () => {
    const { couponN, jointN } = limitMeans(0.4, { test: 't-peel', size: { widthMm: 25 } }, brief)
    expect(couponN).toBeCloseTo(10, 9)
    expect(jointN).toBeCloseTo(8, 9)
  })
  it('is unknown where a size is open, and where the test weighs nothing', () => {
    expect(limitMeans(0.5, { test: 'lap-shear', size: {} }, openBrief())).toEqual({ couponN: null, jointN: null })
    expect(limitWords(0.5, { test: 'lap-shear', size: {} }, openBrief())).toBeNull()
    expect(limitWords(20, { test: 'flex', size: {} }, brief)).toBeNull()
  })
  it('is said in short with its unit and the force on the coupon', () => {
    expect(limitInShort(0.00919, lap)).toBe('9.19 kPa, 0.55 N on this coupon')
    expect(limitInShort(20, { test: 'flex', size: {} })).toBe('20.0 cycles')
  })
  it('is said as its way of reading shows it: less on a lever, as weight where weights or water hang', () => {
    const by = (read: ArmRead) => limitWords(0.5, { ...lap, read }, openBrief())
    expect(by({ way: 'lever', ratio: 2 })).toBe(
      'On its lever of 2 to 1 the scale says 15.0 N (1.53 kgf), 30.0 N (3.06 kgf) on this coupon.',
    )
    expect(by({ way: 'mass' })).toBe('On this coupon that is 3.06 kg hung, hook and tray counted.')
    expect(by({ way: 'water' })).toBe('On this coupon that is 3.06 kg of bucket and water together.')
  })
  it('is said in newton and kilogram-force', () =>
    expect(limitWords(0.5, lap, brief)).toBe(
      'On this coupon the scale says 30.0 N (3.06 kgf); one real joint then carries 300 N (30.6 kgf).',
    ))
})
