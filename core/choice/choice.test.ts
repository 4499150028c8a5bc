import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import type { Brief } from '../records/joint'
import { openBrief } from '../records/openBrief'
import { analyse } from '../statistics/analyse'
import type { ModelReading } from '../statistics/data'
import { headline, passVerdict } from './headline'
import { marginOf } from './real/margin'
import { exposuresNamed } from './real/surroundings'
import { requiredLoad, requiredStrength } from '../loads/requirement'

const brief = (patch: Partial<Brief>): Brief => ({ ...openBrief(), ...patch })
const exact = (procedure: string, ...values: number[]): ModelReading[] =>
  values.map((value) => ({ procedure, kind: 'exact', value }))

describe('what the joint must carry', () => {
  it('is weight × share × g × motion, and open while the weight is open', () => {
    expect(requiredLoad(brief({ weightKg: 0.12, motion: 'danced' }))!.n).toBeCloseTo(0.12 * 9.80665 * 3, 10)
    expect(requiredLoad(brief({ weightKg: 4, share: 0.5, motion: 'dropped' }))!.n).toBeCloseTo(
      4 * 0.5 * 9.80665 * 5,
      10,
    )
    expect(requiredLoad(brief({ weightKg: 1 }))).toMatchObject({ factor: 1, motionOpen: true })
    expect(requiredLoad(brief({}))).toBeNull()
  })
  it('becomes a strength over the real bonded size', () => {
    const joint = brief({ weightKg: 4, motion: 'danced', widthMm: 30, lengthMm: 14 })
    expect(requiredStrength(joint, 'lap-shear')).toBeCloseTo((4 * 9.80665 * 3) / 420, 10)
    expect(requiredStrength(joint, 'peel-180')).toBeCloseTo((4 * 9.80665 * 3) / 30, 10)
    // No lever is said, so neither a twist nor a snap asks a figure; counts and grades never do.
    for (const test of ['torsion-round', 'snap-rect', 'bend', 'proof', 'looks'] as const)
      expect(requiredStrength(joint, test)).toBeNull()
    // With one: an edge 30 × 14 mm snapped by 117.68 N at 50 mm: 6·F·l/(w·t²), the smaller side the thickness.
    const snapped = { ...joint, leverMm: 50 }
    const force = 4 * 9.80665 * 3
    expect(requiredStrength(snapped, 'snap-rect')).toBeCloseTo((6 * force * 50) / (30 * 14 ** 2), 8)
    expect(requiredStrength(snapped, 'torsion-round')).toBeCloseTo((16 * force * 50) / (Math.PI * 30 ** 3), 8)
    expect(requiredStrength(snapped, 'torsion-ring')).toBeNull()
    expect(requiredStrength(brief({ weightKg: 4, widthMm: 30 }), 'lap-shear')).toBeNull()
  })
})

describe('margin of the real joint', () => {
  const joint = brief({ weightKg: 4, motion: 'danced', widthMm: 30, lengthMm: 14, heatC: 50, water: 'splash' })
  it('is the weak joint’s lower bound × the real size over the required load, and names what was not tested', () => {
    const margin = marginOf(joint, 'lap-shear', 0.71, { widthMm: 25, overlapMm: 12 }, familyOf('epoxy-slow'))!
    expect(margin.dryN).toBeCloseTo(0.71 * 420, 10)
    // Slow epoxy, to 70 °C: a straight line from all at 23 °C to half at 70; splashed, 0.9.
    const left = (1 - (0.5 * (50 - 23)) / (70 - 23)) * 0.9
    expect(familyOf('epoxy-slow').serviceMaxC).toBe(70)
    expect(margin.holdsN).toBeCloseTo(0.71 * 420 * left, 9)
    expect(margin.times).toBeCloseTo((0.71 * 420 * left) / (4 * 9.80665 * 3), 9)
    expect(margin.notTested).toEqual(['50 °C', 'splashes'])
    expect(margin.capped).toBe(false)
  })
  it('does not call untested what coupons were pulled after', () => {
    const asked = brief({ ...joint, heatC: 50, coldC: -15, water: 'wash', life: 'years' })
    const heat = (amount: number) => ({ kind: 'heat' as const, amount, hours: 2 })
    expect(exposuresNamed(asked)).toEqual(['50 °C', '−15 °C cold', 'washing or rain', 'years'])
    expect(exposuresNamed(asked, [heat(45)])).toContain('50 °C')
    expect(exposuresNamed(asked, [heat(50), { kind: 'cold', amount: -18, hours: 12 }])).toEqual([
      'washing or rain',
      'years',
    ])
    expect(exposuresNamed(asked, [{ kind: 'soak', amount: 24, hours: 24 }])).not.toContain('washing or rain')
    expect(exposuresNamed({ ...asked, water: 'soak' }, [{ kind: 'wash', amount: 3, hours: 6 }])).toContain('soaking')
    const margin = marginOf(asked, 'lap-shear', 1, { overlapMm: 12 }, familyOf('epoxy-slow'), { met: [heat(60)] })!
    expect(margin.notTested).toEqual(['−15 °C cold', 'washing or rain', 'years'])
  })
  it('caps a rigid glue’s overlap at three times the tested one', () => {
    const long = { ...joint, lengthMm: 100 }
    expect(marginOf(long, 'lap-shear', 1, { overlapMm: 12 }, familyOf('epoxy-slow'))).toMatchObject({
      bondedSize: 30 * 36,
      capped: true,
    })
    expect(marginOf(long, 'lap-shear', 1, { overlapMm: 12 }, familyOf('contact-water'))).toMatchObject({
      bondedSize: 3000,
      capped: false,
    })
  })
  it('goes by sizes and lever for a snap, and is one where the weak joint just bears what is required', () => {
    const snapped = { ...joint, leverMm: 50 }
    const needed = (6 * 4 * 9.80665 * 3 * 50) / (30 * 14 ** 2)
    const margin = marginOf(snapped, 'snap-rect', needed, { widthMm: 20 }, familyOf('epoxy-slow'))!
    expect(margin.dryN).toBeCloseTo(4 * 9.80665 * 3, 8)
    const dry = { ...snapped, heatC: null, water: null }
    expect(marginOf(dry, 'snap-rect', needed, { widthMm: 20 }, familyOf('epoxy-slow'))!.times).toBeCloseTo(1, 10)
    expect(marginOf(joint, 'snap-rect', needed, {}, familyOf('epoxy-slow'))).toBeNull()
    expect(marginOf(snapped, 'flex', needed, {}, familyOf('epoxy-slow'))).toBeNull()
  })
  it('takes the width for peel, and says nothing where a size is open', () => {
    expect(marginOf(joint, 't-peel', 2, { widthMm: 25 }, familyOf('contact-water'))).toMatchObject({
      bondedSize: 30,
      sizeUnit: 'mm',
    })
    expect(marginOf(brief({ weightKg: 4 }), 'lap-shear', 1, {}, familyOf('ca-gel'))).toBeNull()
    expect(exposuresNamed(brief({ heatC: 20, water: 'no', coldC: -10, life: 'years' }))).toEqual([
      '−10 °C cold',
      'years',
    ])
  })
})

describe('what is said of a round', () => {
  const all = (...readings: ModelReading[]) => {
    const names = [...new Set(readings.map((r) => r.procedure))]
    const ratios = names.flatMap((a, i) => names.slice(i + 1).map((b): [string, string] => [a, b]))
    return analyse({ required: 1, readings, ratios })
  }
  it('says who is clear, who is ahead, and what cannot be told apart yet', () => {
    expect(headline(all(...exact('A', 5, 6, 5.5), ...exact('B', 1, 1.2, 1.1)))).toMatchObject({
      leader: 'A',
      state: 'clear',
      tied: [],
    })
    expect(headline(all(...exact('A', 5, 6, 5.5), ...exact('B', 5.1, 5.9, 5.2)))).toMatchObject({
      state: 'open',
      tied: ['B'],
    })
    expect(headline(all(...exact('A', 5)))).toMatchObject({ state: 'only' })
    expect(headline({ scatter: null, procedures: [], ratios: [] })).toBeNull()
  })
  it('says holds only when nine in ten chances do', () => {
    const [strong, near, weak] = all(
      ...exact('S', 5, 6, 5.5),
      ...exact('N', 1.1, 1.5, 1.3),
      ...exact('W', 0.4, 0.5, 0.45),
    ).procedures
    expect(passVerdict(strong!)).toBe('holds')
    expect(passVerdict(near!)).toBe('careful')
    expect(passVerdict(weak!)).toBe('fails')
    expect(passVerdict({ ...weak!, pMeets: null })).toBe('unknown')
    // A limit below the least that can be read: what came apart in handling is no joint all the same.
    expect(passVerdict({ pMeets: 0.99, open: 'below', atMost: 2 })).toBe('fails')
    expect(passVerdict({ pMeets: 0.99, open: null, atMost: 1 })).toBe('careful')
    expect(passVerdict({ pMeets: 0.99, open: null, atMost: 0 })).toBe('holds')
  })
})
