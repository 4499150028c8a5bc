import { describe, expect, it } from 'vitest'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { demands } from './demand'

const asked = (patch: Partial<Brief>) => demands({ ...openBrief(), ...patch })
// 0.3 kg danced: 0.3 × 9.80665 × 3 = 8.825985 N, worked by hand.
const danced = { weightKg: 0.3, motion: 'danced' as const }

describe('required load by mode', () => {
  it('a sideways or straight pull is the force itself, and says its stress where the size is known', () => {
    const [shear] = asked({ ...danced, loads: ['shear'], widthMm: 20, lengthMm: 10 })
    expect(shear!.value).toBeCloseTo(8.825985, 6)
    expect(shear!.sum.join(' ')).toMatch(/0\.044 MPa/)
  })
  it('peel and prising go by the width', () => {
    const [peel] = asked({ ...danced, loads: ['peel'], widthMm: 25 })
    expect(peel).toMatchObject({ unit: 'N/mm' })
    expect(peel!.value).toBeCloseTo(8.825985 / 25, 9)
  })
  it('twist and snap go by the lever, and ask for it while it is open', () => {
    expect(asked({ ...danced, loads: ['torsion'] })[0]).toMatchObject({ value: null, open: 'leverMm' })
    expect(asked({ ...danced, loads: ['bend'], leverMm: 120 })[0]!.value).toBeCloseTo(8.825985 * 120, 6)
  })
  it('takes the share of one joint', () =>
    expect(asked({ ...danced, share: 0.5, loads: ['tension'] })[0]!.value).toBeCloseTo(8.825985 / 2, 6))
  it('flexing is an angle or a radius; a radius gives the stretch of the outer face', () => {
    expect(asked({ loads: ['flex'] })[0]).toMatchObject({ value: null, open: 'flexDeg' })
    expect(asked({ loads: ['flex'], flexDeg: 60 })[0]).toMatchObject({ value: 60, unit: '°' })
    const open = openBrief()
    const [flex] = asked({ loads: ['flex'], bendRadiusMm: 20, a: { ...open.a, thicknessMm: 5 } })
    // t/(2R + t) = 5/45
    expect(flex!.sum.join(' ')).toMatch(/11\.1 %/)
  })
  it('says what is open when no weight is known, and nothing when no load is', () => {
    expect(asked({ loads: ['shear'] })[0]).toMatchObject({ value: null, open: 'weightKg' })
    expect(asked({})).toEqual([])
  })
})
