import { describe, expect, it } from 'vitest'
import { families } from '../knowledge/families'
import { materialClasses, materialClassOf } from '../knowledge/materials'
import { testIds, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
import { seededRandom } from '../planning/random'
import type { Side } from './bond'
import { asDeep } from './depth'
import { draftCoupon, givesWayN, judge, tornBy, type CouponWish, type DraftedCoupon } from './draft'
import { expectedN, partCarriesN } from './expected'
import { readings } from './reading'

const side = (name: 'a' | 'b', id: string, thicknessMm?: number): Side => {
  const material = materialClassOf(id)
  return { name, material, thicknessMm: thicknessMm ?? material.typicalThicknessMm }
}
/** 20 steps to 0.8 of the limit by the gauge and on a lever; weights and water, its cup counted, from end to end. */
function readsWell({ read }: DraftedCoupon, { limitN, resolutionN }: CouponWish['gauge']): [number, number] {
  if (read.way === 'mass') return [0.5 * 9.80665, 20 * 9.80665]
  if (read.way === 'water') return [(0.02 + 0.01) * 9.80665, 10 * 9.80665]
  const times = read.way === 'lever' ? read.ratio : 1
  return [20 * resolutionN * times, 0.8 * limitN * times]
}
/** What counts of a coupon in the order in which it counts: read, deep, bond first, read well; told anew. */
function rank(made: DraftedCoupon, gauge: CouponWish['gauge']): number {
  const [from, to] = readsWell(made, gauge)
  const well = !made.expectedN || (made.expectedN[0] >= from && made.expectedN[1] <= to)
  return Number([made.readable, made.asDeep, made.bondFirst, well].map(Number).join(''))
}

describe('what is drafted', () => {
  const random = seededRandom(77)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const kinds = testIds.filter((id) => testKinds[id].foretold)
  it('is no worse than the usual size, or one made as deep as the joint, read in any way', () => {
    let better = 0
    for (let k = 0; k < 800; k++) {
      const test = pick(kinds)
      const wish: CouponWish = {
        test,
        sides: [side('a', pick(materialClasses).id), side('b', pick(materialClasses).id)],
        families: [pick(families).id],
        gauge: pick([
          { limitN: 490, resolutionN: 0.5 },
          { limitN: 49, resolutionN: 0.01 },
        ]),
        size: testKinds[test].sizes,
        depthMm: pick([null, 2, 3.5, 7, 13, 17, 22, 45]),
      }
      const drafted = rank(draftCoupon(wish), wish.gauge)
      const { size, depthMm } = wish
      const sizes: CouponSize[] = [size]
      if (depthMm !== null) {
        for (const mm of [depthMm, 2 * depthMm].filter((one) => one >= 3)) {
          if (size.overlapMm !== undefined) sizes.push({ ...size, overlapMm: mm })
          if (size.areaMm2 !== undefined) sizes.push({ ...size, areaMm2: mm * mm })
        }
        if (size.widthMm !== undefined && size.thicknessMm === undefined && 2 * depthMm >= 8)
          sizes.push({ ...size, widthMm: 2 * depthMm })
      }
      const usual = Math.max(...readings.map((read) => rank(judge(wish, size, read, false), wish.gauge)))
      better += Number(drafted > usual)
      const ranks = sizes.flatMap((one) =>
        readings.flatMap((read) =>
          (depthMm === null ? [false] : [false, true]).map((taped) => rank(judge(wish, one, read, taped), wish.gauge)),
        ),
      )
      expect(Math.max(...ranks), `${test} ${k}`).toBeLessThanOrEqual(drafted)
    }
    expect(better).toBeGreaterThan(150)
  })
  const metal = [side('a', 'metal', 3), side('b', 'metal', 3)] as const
  const draft = (test: TestId, patch: Partial<CouponWish>) =>
    draftCoupon({
      test,
      sides: metal,
      families: ['epoxy-slow'],
      gauge: { limitN: 490, resolutionN: 0.5 },
      size: testKinds[test].sizes,
      depthMm: null,
      ...patch,
    })
  it('has every size that its test asks for, also where none is usual', () => {
    for (const test of kinds) {
      const { size } = draft(test, { size: {} })
      for (const [key, value] of Object.entries(size)) expect(value, `${test} ${key}`).toBeGreaterThan(0)
      expect(Object.keys(size).sort()).toEqual(
        Object.keys(testKinds[test].sizes)
          .filter((key) => key !== 'thicknessMm' && key !== 'innerDiameterMm')
          .sort(),
      )
    }
  })
  it('is a thin rod where a thick one would end the gauge, and a ring of a size that can be turned', () => {
    expect(draft('torsion-round', {}).size.diameterMm).toBeLessThan(20)
    const ring = draft('torsion-ring', { families: ['pva-white'] }).size
    expect(ring.diameterMm).toBeGreaterThan(ring.innerDiameterMm!)
    expect(ring.diameterMm).toBeGreaterThanOrEqual(20)
  })
  it('keeps broad faces where a section is twisted or snapped, and foretells nothing of an unknown glue', () => {
    expect(draft('snap-rect', {}).size.widthMm).toBeGreaterThanOrEqual(15)
    expect(draft('lap-shear', { families: ['unknown'] })).toMatchObject({
      size: testKinds['lap-shear'].sizes,
      read: { way: 'gauge' },
      expectedN: null,
      readable: true,
      bondFirst: true,
    })
  })
})

describe('the side that gives way first', () => {
  const sides = [side('a', 'foam-eva', 5), side('b', 'metal', 3)] as const
  it('is the weak one, and none where nothing is foretold or a size is missing', () => {
    expect(tornBy('lap-shear', { widthMm: 20, overlapMm: 12 }, sides, 'epoxy-slow')?.name).toBe('a')
    expect(tornBy('lap-shear', { widthMm: 20, overlapMm: 12 }, sides, 'unknown')).toBeNull()
    expect(tornBy('torsion-round', { diameterMm: 10 }, sides, 'epoxy-slow')).toBeNull()
    expect(tornBy('bend', { thicknessMm: 5 }, sides, 'epoxy-slow')).toBeNull()
  })
})

describe('the load at which a side gives way', () => {
  const sides = [side('a', 'paper', 20), side('b', 'fabric-cotton', 0.3)] as const
  it('is no more than is expected at most: the paper beside the bond, however thick its block', () => {
    const size = { ...testKinds['page-pull'].sizes }
    const [, most] = expectedN('page-pull', size, sides, 'contact-water')!
    const load = givesWayN('page-pull', size, sides, 'contact-water', sides[0])
    expect(load).toBeLessThan(partCarriesN('page-pull', size, sides[0]))
    expect(load).toBeCloseTo(most, 6)
  })

  it('is its own section where that is less, and all of it where nothing is foretold', () => {
    const thin = [side('a', 'foam-eva', 1), side('b', 'metal', 3)] as const
    const size = { widthMm: 20, overlapMm: 60 }
    const own = partCarriesN('lap-shear', size, thin[0])
    expect(givesWayN('lap-shear', size, thin, 'epoxy-slow', thin[0])).toBe(own)
    expect(givesWayN('lap-shear', size, thin, 'unknown', thin[1])).toBe(partCarriesN('lap-shear', size, thin[1]))
  })
})

describe('as deep as the joint', () => {
  it.each([
    [10, 10, true],
    [11, 10, true],
    [9, 10, true],
    [11.01, 10, false],
    [8.99, 10, false],
    [3.3, 3, true],
  ])('%d mm against %d mm: %s', (mm, joint, is) => expect(asDeep(mm, joint)).toBe(is))
})
