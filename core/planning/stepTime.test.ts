import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { HOLD_BY_HAND_S } from './steps'
import { usualSteps } from './draft/usual'
import { stepTime } from './stepTime'

describe('how long a step lasts', () => {
  it('is said of waiting, holding, clamping and curing, and follows the numbers, not the words', () => {
    const wait = usualSteps(familyOf('contact-solvent'), null, null).find(({ kind }) => kind === 'wait')!
    expect(stepTime(wait)).toBe('10 to 40 min')
    expect(stepTime({ ...wait, minS: 30 })).toBe('30 s to 40 min')
    expect(stepTime({ kind: 'apply', minS: 60, maxS: null })).toBeNull()
    // A mix has its pot life, or takes what it takes; only a wait has a window.
    expect(stepTime({ kind: 'mix', minS: 0, maxS: 210 })).toBe('use within 3 min')
    expect(stepTime({ kind: 'mix', minS: 0, maxS: null })).toBeNull()
    expect(stepTime({ kind: 'hold', minS: 60, maxS: 600 })).toBe('60 s')
    expect(stepTime({ kind: 'wait', minS: 60, maxS: 60 })).toBe('60 s')
    expect(stepTime({ kind: 'wait', minS: 60, maxS: null })).toBe('60 s')
    expect(stepTime({ kind: 'cure', minS: 0, maxS: null })).toBeNull()
  })
})

describe('the usual steps of every family', () => {
  const pairs = [
    ['wood', 'wood'],
    ['foam-eva', 'fabric-cotton'],
    ['print-pla', 'metal'],
  ] as const
  it.each(families.map(({ id }) => [id]))(
    '%s: nobody holds still for longer than two minutes, and no time stands in the words',
    (id) => {
      for (const [a, b] of pairs) {
        const family = familyOf(id)
        const steps = usualSteps(family, materialClassOf(a), materialClassOf(b))
        for (const step of steps) {
          if (step.kind === 'hold') expect(step.minS).toBeLessThanOrEqual(HOLD_BY_HAND_S)
          if (!step.kind.startsWith('prepare')) expect(step.text).not.toMatch(/\d+(\.\d+)? ?(s|min|h|days?)\b/)
        }
        // What is longer is fixed in place, once, for as long as the glue needs.
        const fixed = steps.filter(({ kind }) => kind === 'clamp')
        expect(fixed.length).toBeLessThanOrEqual(1)
        if (family.holdS > HOLD_BY_HAND_S) expect(fixed[0]!.minS).toBeGreaterThanOrEqual(family.holdS)
        expect(steps.at(-1)!.kind).toBe('cure')
        // From closing on, holding and clamping together last until it can be handled, where it is clamped at all.
        const held = steps
          .filter(({ kind }) => kind === 'hold' || kind === 'clamp' || kind === 'light')
          .reduce((sum, { minS }) => sum + minS, 0)
        expect(held).toBeGreaterThanOrEqual(family.holdS)
      }
    },
  )
})
