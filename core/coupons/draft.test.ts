import { describe, expect, it } from 'vitest'
import { families } from '../knowledge/families'
import { materialClasses, materialClassOf } from '../knowledge/materials'
import { typicalStrength } from '../knowledge/strengths'
import { testIds, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import { seededRandom, type Random } from '../planning/random'
import type { ArmRead } from '../records/round'
import type { Side } from './bond'
import { couponDepthMm } from './depth'
import { draftCoupon, type CouponWish } from './draft'
import { expectedN, partCarriesN } from './expected'

const side = (name: 'a' | 'b', id: string, thicknessMm?: number): Side => {
  const material = materialClassOf(id)
  return { name, material, thicknessMm: thicknessMm ?? material.typicalThicknessMm }
}
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
const foretold = testIds.filter((id) => testKinds[id].foretold)

/** The table's row of the weaker face, read anew. */
function weaker(a: string, b: string, family: string, key: 'bondMPa' | 'peelNPerMm') {
  const rows = [typicalStrength(a, family)!, typicalStrength(b, family)!]
  return rows[0]![key] <= rows[1]![key] ? rows[0]! : rows[1]!
}

describe('the load expected of a coupon, by hand', () => {
  const sides = [side('a', 'metal', 3), side('b', 'metal', 3)] as const
  const thick = [side('a', 'metal', 20), side('b', 'metal', 20)] as const
  const row = weaker('metal', 'metal', 'epoxy-slow', 'bondMPa')
  const [low, high] = [-1.645, 1.645].map((z) => row.bondMPa * Math.exp(z * row.cv))
  it.each<[TestId, CouponSize, number]>([
    ['lap-shear', { widthMm: 20, overlapMm: 10 }, 200],
    ['tension', { areaMm2: 150 }, 150],
    // T = F·arm, τ = 16·T/(π·d³)
    ['torsion-round', { diameterMm: 10, armMm: 50 }, (Math.PI * 1000) / (16 * 50)],
    // M = F·span/4, σ = 6·M/(w·t²)
    ['snap-rect', { widthMm: 20, thicknessMm: 5, spanMm: 80 }, (20 * 25 * 4) / (6 * 80)],
    ['snap-round', { diameterMm: 8, spanMm: 80 }, (Math.PI * 512 * 4) / (32 * 80)],
    // Four times the mean at the edge of a line 25 mm deep: F = σ·w·25/4.
    ['cleavage', { widthMm: 20 }, (20 * 25) / 4],
  ])('%s', (test, size, newtonPerMPa) => {
    const found = expectedN(test, size, thick, 'epoxy-slow')!
    expect(found[0]).toBeCloseTo(low! * newtonPerMPa, 6)
    expect(found[1]).toBeCloseTo(high! * newtonPerMPa, 6)
  })
  it('is no more than a part carries away from the bond', () => {
    const [, most] = expectedN('cleavage', { widthMm: 20 }, sides, 'epoxy-slow')!
    expect(most).toBeCloseTo((materialClassOf('metal').tensileMPa * 20 * 9) / 150, 6)
  })
  it('is a peel’s own in peel, and nothing where nothing is known', () => {
    const cloth = [side('a', 'fabric-cotton', 0.5), side('b', 'fabric-cotton', 0.5)] as const
    const peel = weaker('fabric-cotton', 'fabric-cotton', 'fabric-glue', 'peelNPerMm')
    const [from] = expectedN('t-peel', { widthMm: 25 }, cloth, 'fabric-glue')!
    expect(from).toBeCloseTo(25 * peel.peelNPerMm * Math.exp(-1.645 * peel.cv), 6)
    expect(expectedN('t-peel', { widthMm: 25 }, cloth, 'unknown')).toBeNull()
    expect(expectedN('bend', { thicknessMm: 5 }, cloth, 'fabric-glue')).toBeNull()
    expect(expectedN('snap-rect', { widthMm: 20 }, cloth, 'fabric-glue')).toBeNull()
  })
  it('is what a part carries in its own section', () => {
    const { tensileMPa } = materialClassOf('metal')
    expect(partCarriesN('lap-shear', { widthMm: 20, overlapMm: 10 }, sides[0])).toBeCloseTo(tensileMPa * 60, 6)
    // Bent off at 25 mm: M = σ·w·t²/6.
    expect(partCarriesN('cleavage', { widthMm: 20 }, sides[0])).toBeCloseTo((tensileMPa * 20 * 9) / 150, 6)
    const twist = partCarriesN('torsion-round', { diameterMm: 10, armMm: 50 }, sides[0])
    expect(twist).toBeCloseTo(((tensileMPa / Math.sqrt(3)) * Math.PI * 1000) / (16 * 50), 6)
    expect(partCarriesN('snap-rect', { widthMm: 20, thicknessMm: 5, spanMm: 80 }, sides[0])).toBeCloseTo(
      tensileMPa * ((20 * 25 * 4) / (6 * 80)),
      6,
    )
    expect(partCarriesN('edge-pull', { widthMm: 20, thicknessMm: 3 }, sides[0])).toBeCloseTo(tensileMPa * 60, 6)
    expect(partCarriesN('edge-shear', { overlapMm: 20, thicknessMm: 3 }, sides[0])).toBeCloseTo(
      (tensileMPa / Math.sqrt(3)) * 60,
      6,
    )
    expect(partCarriesN('t-peel', { widthMm: 20 }, sides[0])).toBe(Infinity)
    expect(partCarriesN('bend', { thicknessMm: 5 }, sides[0])).toBe(Infinity)
  })
  it('splits wood along its grain under the spot, and shears it along the grain, not across its fibres', () => {
    // 20 × 20 mm at 3.5 MPa pulled across: a kilonewton and a half, where the grain’s own 80 MPa would say 32.
    const stick = side('a', 'wood', 20)
    expect(partCarriesN('tension', { areaMm2: 400 }, stick)).toBeCloseTo(3.5 * 400, 6)
    expect(partCarriesN('torsion-round', { diameterMm: 10, armMm: 50 }, stick)).toBeCloseTo(
      (10 * Math.PI * 1000) / (16 * 50),
      6,
    )
    expect(partCarriesN('lap-shear', { widthMm: 20, overlapMm: 10 }, stick)).toBeCloseTo(80 * 20 * 20, 6)
  })
  it('breaks a sheet that is pulled out of its block across its whole height', () => {
    // 0.1 mm of paper at 40 MPa over 100 mm, not the half newton at which it runs on from a nick.
    expect(partCarriesN('page-pull', { widthMm: 100 }, side('a', 'paper', 0.1))).toBeCloseTo(400, 6)
  })
})

describe('how deep a coupon lies', () => {
  it.each<[TestId, CouponSize, boolean, number]>([
    ['lap-shear', { widthMm: 25, overlapMm: 12 }, false, 6],
    ['lap-shear', { widthMm: 25, overlapMm: 12 }, true, 12],
    ['tension', { areaMm2: 400 }, false, 10],
    ['tension', { areaMm2: 400 }, true, 20],
    ['t-peel', { widthMm: 25 }, false, 12.5],
    ['cleavage', { widthMm: 40 }, false, 12.5],
    ['torsion-round', { diameterMm: 10 }, false, 5],
    ['torsion-ring', { diameterMm: 20, innerDiameterMm: 14 }, false, 1.5],
    ['snap-rect', { widthMm: 20, thicknessMm: 5 }, false, 2.5],
    ['bend', { thicknessMm: 5 }, false, 12.5],
  ])('%s %j, taped %s', (test, size, taped, mm) => expect(couponDepthMm(test, size, taped)).toBeCloseTo(mm, 9))
})

/** What a way of reading can tell, worked out anew: five steps to the end, a lever's ratio times that. */
function span(read: ArmRead, { limitN, resolutionN }: CouponWish['gauge']): [number, number] {
  const times = read.way === 'lever' ? read.ratio : 1
  if (read.way === 'mass') return [0.5 * 9.80665, 20 * 9.80665]
  if (read.way === 'water') return [0.02 * 9.80665, 10 * 9.80665]
  return [5 * resolutionN * times, limitN * times]
}

describe('10,000 random coupons of all kinds', () => {
  const random = seededRandom(1011)
  const gauges = [
    { limitN: 490, resolutionN: 0.5 },
    { limitN: 49, resolutionN: 0.01 },
    { limitN: 200, resolutionN: 2 },
  ]
  const counts = { readable: 0, bondFirst: 0, asDeep: 0, lever: 0, all: 0 }
  const made = Array.from({ length: 10_000 }, () => {
    const test = pick(random, foretold)
    const { sizes } = testKinds[test]
    const wish: CouponWish = {
      test,
      sides: [
        side('a', pick(random, materialClasses).id, pick(random, [undefined, 0.5, 2, 6])),
        side('b', pick(random, materialClasses).id, pick(random, [undefined, 0.5, 2, 6])),
      ],
      families: [pick(random, families).id, ...(random() < 0.5 ? [pick(random, families).id] : [])],
      gauge: pick(random, gauges),
      size: sizes,
      depthMm: random() < 0.3 ? pick(random, [4, 10, 25, 60]) : null,
    }
    return { wish, coupon: draftCoupon(wish) }
  })
  it('say the load that the tables foretell', () => {
    for (const { wish, coupon } of made.slice(0, 2000)) {
      const loads = wish.families.map((family) => expectedN(wish.test, coupon.size, wish.sides, family)!)
      expect(coupon.expectedN).toEqual([
        Math.min(...loads.map(([low]) => low)),
        Math.max(...loads.map(([, high]) => high)),
      ])
    }
  })
  it('lie inside what their way of reading can read, or say that nothing reads them', () => {
    for (const { wish, coupon } of made) {
      const [from, to] = span(coupon.read, wish.gauge)
      const [low, high] = coupon.expectedN!
      expect(coupon.readable).toBe(low >= from && high <= to)
      counts.all++
      counts.readable += Number(coupon.readable)
      counts.lever += Number(coupon.read.way === 'lever')
    }
    // The tables' weakest and strongest are a thousandfold apart: most, not all, have a size.
    expect(counts.readable / counts.all).toBeGreaterThan(0.9)
    expect(counts.lever).toBeGreaterThan(50)
  })
  it('have their bond give way first where it is said so', () => {
    for (const { wish, coupon } of made.filter((one) => one.coupon.bondFirst)) {
      counts.bondFirst++
      const most = Math.min(...wish.sides.map((one) => partCarriesN(wish.test, coupon.size, one)))
      expect(coupon.expectedN![1]).toBeLessThanOrEqual(0.7 * most * (1 + 1e-9))
    }
    expect(counts.bondFirst).toBeGreaterThan(1500)
  })
  it('are as deep as the joint within a tenth, where that counts and it is said so', () => {
    for (const { wish, coupon } of made.filter(({ wish: { depthMm } }) => depthMm !== null)) {
      const mm = couponDepthMm(wish.test, coupon.size, coupon.taped)
      expect(coupon.asDeep).toBe(Math.abs(mm / wish.depthMm! - 1) <= 0.1)
      counts.asDeep += Number(coupon.asDeep)
    }
    expect(counts.asDeep).toBeGreaterThan(1000)
  })
  it('keep the usual size and the gauge where those serve', () => {
    const plain = draftCoupon({
      test: 'lap-shear',
      sides: [side('a', 'wood', 6), side('b', 'wood', 6)],
      families: ['pva-tacky'],
      gauge: { limitN: 4000, resolutionN: 0.5 },
      size: { widthMm: 25, overlapMm: 12 },
      depthMm: null,
    })
    expect(plain).toMatchObject({ size: { widthMm: 25, overlapMm: 12 }, read: { way: 'gauge' }, taped: false })
  })
  it('go to a smaller size before a lever, and to a lever before weights', () => {
    const strong = (gauge: CouponWish['gauge']) =>
      draftCoupon({
        test: 'lap-shear',
        sides: [side('a', 'metal', 3), side('b', 'metal', 3)],
        families: ['epoxy-slow'],
        gauge,
        size: { widthMm: 25, overlapMm: 12 },
        depthMm: null,
      })
    const small = strong({ limitN: 2500, resolutionN: 0.5 })
    expect(small.read).toEqual({ way: 'gauge' })
    expect(small.size.widthMm! * small.size.overlapMm!).toBeLessThan(300)
    const levered = strong({ limitN: 490, resolutionN: 0.5 })
    expect(levered.read.way).toBe('lever')
  })
})
