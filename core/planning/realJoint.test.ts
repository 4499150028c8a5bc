import { describe, expect, it } from 'vitest'
import { families, familyOf } from '../knowledge/families'
import { openBrief } from '../records/openBrief'
import type { Procedure } from '../records/procedure'
import { usualSteps } from './draft/usual'
import { realJoint, realJointWords } from './realJoint'

const procedure = (id: string, patch: Partial<Procedure> = {}): Procedure =>
  ({
    family: id,
    coats: 1,
    spreadGm2: null,
    dilution: null,
    blend: null,
    steps: usualSteps(familyOf(id), null, null),
    ...patch,
  }) as unknown as Procedure
const brief = (widthMm: number | null, lengthMm: number, count: number | null = null) => ({
  ...openBrief(),
  widthMm,
  lengthMm,
  count,
})

describe('a procedure at the size of the real joints', () => {
  it('lays grams by area, faces, coats and a tenth of waste', () => {
    const glue = familyOf('contact-solvent')
    expect(glue.faces).toBe('both')
    const of = realJoint(procedure('contact-solvent', { spreadGm2: 200, coats: 2 }), glue, brief(50, 100, 6))!
    // 50 cm² is 0.005 m²: × 200 g/m² × 2 faces × 2 coats × 1.1 = 4.4 g.
    expect(of.eachG).toBeCloseTo(4.4, 9)
    expect(of.allG).toBeCloseTo(26.4, 9)
    expect(of.mixes).toEqual([])
    expect(realJointWords(of)[0]).toBe(
      '6 joints of 50 × 100 mm: 4.40 g of glue each, 26.4 g in all, 10 % lost included.',
    )
    expect(realJoint(procedure('contact-solvent'), glue, brief(null, 100))).toBeNull()
  })
  it('serves every joint by one mix or another, none later than its pot life lets it', () => {
    const glue = familyOf('epoxy-fast')
    for (const joints of [1, 7, 40, 999_999]) {
      const of = realJoint(procedure('epoxy-fast'), glue, brief(40, 50, joints))!
      expect(of.mixes.reduce((sum, one) => sum + one.times * one.joints, 0)).toBe(joints)
      expect(of.mixes.length).toBeLessThanOrEqual(2)
      for (const one of of.mixes) {
        // 20 cm² at 10 cm² a second are 2 s, and 30 s to line it up and close it; seven tenths of the pot life.
        expect(one.joints * 32).toBeLessThanOrEqual(Math.max(32, 0.7 * glue.potLifeS!))
        expect(one.grams).toBeGreaterThanOrEqual(5)
      }
    }
  })
  it('says the mixes that are alike once', () => {
    const of = realJoint(procedure('epoxy-fast'), familyOf('epoxy-fast'), brief(40, 50, 40))!
    const [line] = realJointWords(of).filter((one) => one.startsWith('Mixes'))
    expect(line).toMatch(/^Mixes: \d+ of [\d.]+ g for \d+ joints each, 1 of [\d.]+ g for \d+ joints?; use each within /)
  })
  it('speaks of skin only where a film skins: not of what waits open, is mixed or sticks as it is', () => {
    for (const id of ['contact-solvent', 'epoxy-fast', 'tape-double']) {
      const of = realJoint(procedure(id), { ...familyOf(id), openS: 300 }, brief(40, 50))!
      expect([of.skinsS, of.atOnce], id).toEqual([null, null])
    }
  })
  it('takes no glue for a weld, and says so', () => {
    const [weld] = families.filter(({ spreadGm2 }) => spreadGm2 === 0)
    const of = realJoint(procedure(weld!.id), weld!, brief(5, 80))!
    expect(realJointWords(of)[0]).toBe('1 joint of 5 × 80 mm: no glue.')
  })
  it('warns where a face is too large to be covered before it skins', () => {
    const glue = { ...familyOf('pva-white'), openS: 300 }
    const small = realJoint(procedure('pva-white'), glue, brief(40, 50))!
    // 2 s to cover and 30 s to close: nine in five minutes.
    expect(small.atOnce).toBe(9)
    const large = realJoint(procedure('pva-white'), glue, brief(600, 600))!
    expect(large).toMatchObject({ coverS: 360, atOnce: 0 })
    expect(realJointWords(large).at(-1)).toContain('lay it in strips')
    expect(realJointWords(large)[0]).toMatch(/^1 joint of 600 × 600 mm: [\d.]+ g of glue each, 10 % lost/)
  })
})
