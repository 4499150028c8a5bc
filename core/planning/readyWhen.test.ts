import { describe, expect, it } from 'vitest'
import type { Step } from '../records/procedure'
import { hoursToPull } from './readyWhen'

const step = (kind: Step['kind'], hours: number): Step => ({
  id: kind,
  kind,
  text: kind,
  minS: hours * 3600,
  maxS: null,
})
const quick = { steps: [step('apply', 0), step('close', 0), step('cure', 1)] }
const slow = { steps: [step('coat', 0.5), step('wait', 0.25), step('close', 0), step('clamp', 2), step('cure', 24)] }
const dry = { exposure: null }

describe('when all can be pulled', () => {
  it('is the hands’ work and then the longest of open time and cure; a clamp runs within the cure', () => {
    expect(hoursToPull([quick, slow], [dry], 90)).toBeCloseTo(1.5 + 0.75 + 24, 9)
    expect(hoursToPull([quick], [dry], 0)).toBe(1)
    expect(hoursToPull([], [dry], 30)).toBe(0.5)
  })
  it('goes by the age that an arm asks for, and by its exposure', () => {
    expect(hoursToPull([slow], [{ ageS: 2 * 3600, exposure: null }], 0)).toBeCloseTo(2.75, 9)
    const cold = { exposure: { kind: 'cold' as const, amount: -5, hours: 12 } }
    expect(hoursToPull([quick, slow], [dry, cold], 0)).toBeCloseTo(24.75 + 12, 9)
  })
})
