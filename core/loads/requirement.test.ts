import { describe, expect, it } from 'vitest'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import type { TestId } from '../knowledge/testKinds'
import { jointAreaMm2, jointSize, openingMm, requiredLoad, requiredStrength, strengthPerN } from './requirement'

const said = (patch: Partial<Brief>): Brief => ({ ...openBrief(), ...patch })

describe('the load that one joint must carry', () => {
  it.each([
    ['still', 1],
    ['walked', 2],
    ['danced', 3],
    ['dropped', 5],
  ] as const)('of 0.8 kg, half on this joint, %s: weight × share × g × %i', (motion, factor) => {
    expect(requiredLoad(said({ weightKg: 0.8, share: 0.5, motion }))).toEqual({
      n: expect.closeTo(0.8 * 0.5 * 9.80665 * factor, 9) as number,
      weightKg: 0.8,
      share: 0.5,
      factor,
      motionOpen: false,
    })
  })
  it('is that of the whole weight hanging still, and says so, where share and motion are open', () => {
    const load = requiredLoad(said({ weightKg: 2 }))!
    expect(load.n).toBeCloseTo(19.6133, 9)
    expect(load).toMatchObject({ share: 1, factor: 1, motionOpen: true })
  })
  it('is open while the weight is, and nothing for a weight of nothing', () => {
    expect(requiredLoad(said({ motion: 'danced' }))).toBeNull()
    expect(requiredLoad(said({ weightKg: 0 }))!.n).toBe(0)
    expect(requiredStrength(said({ weightKg: 0, widthMm: 20, lengthMm: 10 }), 'lap-shear')).toBeNull()
  })
})

describe('the strength that the real joint needs', () => {
  // 0.8 kg, half of it, danced with: 0.8 × 0.5 × 9.80665 × 3 = 11.76798 N.
  const n = 11.76798
  const [w, l, arm] = [24, 12, 150]
  const joint = { weightKg: 0.8, share: 0.5, motion: 'danced', widthMm: w, lengthMm: l, leverMm: arm } as const
  const moment = n * arm
  // Formulas of a handbook, with the joint's own sizes (methods.md 1).
  it.each<[TestId, number]>([
    ['lap-shear', n / (w * l)],
    ['tension', n / (w * l)],
    ['t-peel', n / w],
    ['peel-90', n / w],
    ['peel-180', n / w],
    ['cleavage', n / w],
    ['snap-rect', (6 * moment) / (w * l ** 2)],
    ['snap-round', (32 * moment) / (Math.PI * w ** 3)],
    ['torsion-round', (16 * moment) / (Math.PI * w ** 3)],
    ['torsion-rect', (moment * (3 + (1.8 * l) / w)) / (w * l ** 2)],
  ])('by %s', (test, wanted) => {
    expect(requiredStrength(said(joint), test)).toBeCloseTo(wanted, 6)
    expect(strengthPerN(said(joint), test)! * n).toBeCloseTo(wanted, 6)
  })
  it('bends about its thinner side, however it was typed in', () => {
    const turned = said({ ...joint, widthMm: l, lengthMm: w })
    expect(jointSize(turned, 'snap-rect')).toMatchObject({ widthMm: 24, thicknessMm: 12 })
    expect(requiredStrength(turned, 'snap-rect')).toBeCloseTo((6 * moment) / (24 * 12 ** 2), 6)
    expect(requiredStrength(turned, 'torsion-rect')).toBeCloseTo((moment * (3 + 1.8 / 2)) / (24 * 12 ** 2), 6)
  })
  it('opens an edge, a strip or a block of pages along its seam, however it was typed in', () => {
    // A book of 5 mm, 210 mm high: its pages are pulled over the height.
    for (const geometry of ['butt-edge', 'edge-strip'] as const)
      for (const [widthMm, lengthMm] of [
        [5, 210],
        [210, 5],
      ] as const) {
        const seam = said({ weightKg: 0.05, motion: 'still', geometry, widthMm, lengthMm })
        const load = 0.05 * 9.80665
        for (const test of ['page-pull', 't-peel', 'cleavage'] as const)
          expect(requiredStrength(seam, test), test).toBeCloseTo(load / 210, 9)
        expect(requiredStrength(seam, 'edge-pull')).toBeCloseTo(load / (210 * 5), 9)
        expect(requiredStrength(seam, 'edge-shear')).toBeCloseTo(load / (210 * 5), 9)
        expect(requiredStrength(seam, 'lap-shear')).toBeCloseTo(load / (210 * 5), 9)
      }
    expect(openingMm(said({ geometry: 'butt-edge', widthMm: 5 }))).toBeNull()
    expect(openingMm(said({ geometry: 'lap', widthMm: 5 }))).toBe(5)
  })
  it('is open while a size, the lever or the weight is, and for tests that weigh no load', () => {
    expect(jointAreaMm2(said({ widthMm: 24 }))).toBeNull()
    expect(jointAreaMm2(said({ lengthMm: 12 }))).toBeNull()
    expect(jointSize(said({ widthMm: 24 }), 'snap-rect').thicknessMm).toBeNull()
    expect(requiredStrength(said({ ...joint, lengthMm: null }), 'lap-shear')).toBeNull()
    expect(requiredStrength(said({ ...joint, leverMm: null }), 'snap-round')).toBeNull()
    expect(requiredStrength(said({ ...joint, weightKg: null }), 'lap-shear')).toBeNull()
    expect(requiredStrength(said(joint), 'flex')).toBeNull()
    expect(requiredStrength(said(joint), 'drop')).toBeNull()
  })
})
