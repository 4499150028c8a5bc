import { describe, expect, it } from 'vitest'
import { emptyBench } from '../../records/emptyBench'
import { lightestOf } from '../../readings/lightest'
import { formulaOf, testIds, testKinds, testsFor } from './index'

describe('tests that answer a load', () => {
  it('are peeled as the sides allow: two arms, one arm, or prised open', () => {
    expect(testsFor(['peel'], { aBends: true, bBends: true })[0]).toBe('t-peel')
    expect(testsFor(['peel'], { aBends: true, bBends: false })).toEqual(['peel-90', 'peel-180'])
    expect(testsFor(['peel'], { aBends: false, bBends: false })).toEqual(['cleavage'])
    expect(testsFor(['peel'])[0]).toBe('t-peel')
    expect(testsFor([])).toEqual(['lap-shear'])
    expect(testsFor(['shear', 'peel', 'shear'], { aBends: false, bBends: false })).toEqual([
      'lap-shear',
      'edge-shear',
      'cleavage',
    ])
  })
})

describe('the least that a test reads', () => {
  const { gauge } = emptyBench('b', 'x', 0)
  it('is in the unit of the test: newtons only where a load is read', () => {
    for (const id of testIds) {
      const { value, unit } = lightestOf(id, {}, gauge)
      expect(unit, id).toBe(formulaOf(id) === null ? testKinds[id].unit : 'N')
      expect(value, id).toBeGreaterThan(0)
    }
    expect(lightestOf('t-peel', {}, gauge).value).toBe(gauge.resolutionN)
    expect(lightestOf('flex', {}, gauge).value).toBe(1)
    // 4 mm round a jar of 100 mm radius: 4 / 204.
    expect(lightestOf('bend', { thicknessMm: 4 }, gauge).value).toBeCloseTo((100 * 4) / 204, 10)
  })
})
