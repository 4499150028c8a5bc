import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { materialClassOf } from '../knowledge/materials'
import { usualSteps } from './draft/usual'
import { eveningOf } from './evening'

const step = (kind: Parameters<typeof eveningOf>[0][number]['kind'], minS = 0, once = false) => ({ kind, minS, once })
const pva = { ...familyOf('pva-white'), faces: 'one' as const, form: 'medium' as const }

describe('pieces in an evening', () => {
  it('by hand: 20 cm² laid in 2 s, 30 s to close, held 45 s, a minute to prepare each side', () => {
    const steps = [step('prepare-a'), step('prepare-b'), step('apply'), step('close'), step('hold', 45)]
    // 60 + 60 + 2 + 30 + 45 = 197 s: 54 in 180 min, most of it preparing.
    expect(eveningOf(steps, pva, 20, 100, 180)).toEqual({ eachS: 197, pieces: 54, binds: 'preparing', evenings: 2 })
  })

  it('small ones are prepared by the tray, and then holding binds', () => {
    const steps = [step('prepare-a'), step('prepare-b'), step('apply'), step('close'), step('hold', 60)]
    // 3 + 3 + 0.05 + 30 + 60 = 96.05 s: 149 in 240 min, and 500 take four evenings.
    const one = eveningOf(steps, pva, 0.5, 500, 240, true)
    expect(one).toMatchObject({ pieces: 149, binds: 'holding', evenings: 4 })
    expect(one.eachS).toBeCloseTo(96.05, 9)
    // Coupons of that size are prepared one by one.
    expect(eveningOf(steps, pva, 0.5, 500, 240).eachS).toBeCloseTo(120 + 0.05 + 90, 9)
  })

  it('nobody stands by what is fixed in place or cures; what is done once is not each piece’s', () => {
    const plain = [step('apply'), step('close')]
    const { eachS } = eveningOf(plain, pva, 20, 1, 180)
    expect(eveningOf([...plain, step('cure', 86_400)], pva, 20, 1, 180).eachS).toBe(eachS)
    expect(eveningOf([...plain, step('wait', 900)], pva, 20, 1, 180).eachS).toBe(eachS)
    expect(eveningOf([...plain, step('clamp', 3600)], pva, 20, 1, 180).eachS).toBe(eachS + 30)
    expect(eveningOf([step('mix', 0, true), ...plain], pva, 20, 1, 180).eachS).toBe(eachS)
    // Held for longer than anyone holds: no more than that is stood by.
    expect(eveningOf([...plain, step('light', 600)], pva, 20, 1, 180).eachS).toBe(eachS + 120)
  })

  it('is one piece at least, and one evening for no more than it holds', () => {
    const steps = usualSteps(familyOf('epoxy-slow'), materialClassOf('wood'), materialClassOf('wood'))
    expect(eveningOf(steps, familyOf('epoxy-slow'), 50_000, 3, 1)).toMatchObject({ pieces: 1, evenings: 3 })
    const { pieces } = eveningOf(steps, familyOf('epoxy-slow'), 20, 1, 180)
    expect(eveningOf(steps, familyOf('epoxy-slow'), 20, pieces, 180).evenings).toBe(1)
    expect(eveningOf(steps, familyOf('epoxy-slow'), 20, pieces + 1, 180).evenings).toBe(2)
  })
})
