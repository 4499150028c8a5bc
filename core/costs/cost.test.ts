import { describe, expect, it } from 'vitest'
import { cost, packGrams } from './cost'

const contact = { family: 'contact-water', packSize: 250, packUnit: 'ml', packPrice: 11 }
const job = { adhesive: contact, areaCm2: 40, coats: 1, waste: 0.1, minutes: 3, ratePerHour: 12, joints: 12 }

describe('cost of a joint', () => {
  it('agrees with the sum done by hand', () => {
    // 40 cm² × 2 faces × 140 g/m² = 1.12 g, + 10 % = 1.232 g; a pack of 250 ml is 270 g for 11; 3 min at 12/h is 0.60
    const sum = cost(job)
    expect(sum.glueG).toBeCloseTo(1.232, 10)
    expect(sum.perJoint).toBeCloseTo((1.232 / 270) * 11 + 0.6, 10)
    expect(sum.packs).toBe(1)
    expect(sum.total).toBeCloseTo(12 * sum.perJoint, 10)
    expect(sum.perJointWithRest).toBeCloseTo(11 / 12 + 0.6, 10)
  })
  it('counts packs whole, without opening one more for rounding', () => {
    const glue = { family: 'epoxy-slow', packSize: 22, packUnit: 'g', packPrice: 10, spreadGm2: 220 }
    const big = { adhesive: glue, areaCm2: 100, coats: 1, waste: 0, joints: 10 }
    expect(cost(big).glueG).toBeCloseTo(2.2, 10)
    expect(cost(big).packs).toBe(1)
    expect(cost({ ...big, joints: 11 }).packs).toBe(2)
  })
  it('a dear glue spread thin can be the cheaper joint', () => {
    const cheap = { family: 'construction-water', packSize: 310, packUnit: 'ml', packPrice: 5 }
    const dear = { family: 'ca-thin', packSize: 20, packUnit: 'g', packPrice: 6 }
    const one = (adhesive: typeof cheap) => cost({ adhesive, areaCm2: 40, coats: 1, waste: 0, joints: 1 })
    expect(dear.packPrice / packGrams(dear)).toBeGreaterThan(10 * (cheap.packPrice / packGrams(cheap)))
    expect(one(dear).perJoint / one(cheap).perJoint).toBeLessThan(4)
  })
  it('knows sticks, tapes and pieces, and refuses what it does not', () => {
    expect(packGrams({ family: 'hotmelt-low', packSize: 20, packUnit: 'stick', packPrice: 5 })).toBe(180)
    expect(packGrams({ family: 'tape-double', packSize: 25, packUnit: 'm', packPrice: 4 })).toBeCloseTo(
      25 * 0.012 * 100,
      10,
    )
    expect(() => packGrams({ family: 'ca-thin', packSize: 2, packUnit: 'bucket', packPrice: 4 })).toThrow(/not-one-of/)
    expect(() => cost({ ...job, areaCm2: -1 })).toThrow(/areaCm2/)
  })
  it('adds what is used up, to the joint and to the packs alike', () => {
    const input = {
      adhesive: { family: 'pva-white', packSize: 100, packUnit: 'g', packPrice: 10, spreadGm2: 100 },
      areaCm2: 100,
      coats: 3,
      waste: 0,
      joints: 4,
    }
    const bare = cost(input)
    // 100 cm² × 100 g/m² × 3 coats.
    expect(bare.glueG).toBeCloseTo(3, 12)
    const used = cost({ ...input, consumables: 0.5, minutes: 30, ratePerHour: 8 })
    expect(used.perJoint - bare.perJoint).toBeCloseTo(4.5, 12)
    expect(used.perJointWithRest - bare.perJointWithRest).toBeCloseTo(4.5, 12)
    expect(used.total).toBeCloseTo(4 * used.perJoint, 12)
    expect(used.packsPrice).toBe(10)
  })
})

describe('grams in a pack', () => {
  const grams = (family: string, packSize: number, packUnit: string, more = {}) =>
    packGrams({ family, packSize, packUnit, packPrice: 1, ...more })
  it('by weight and by volume, with the family’s density or its own', () => {
    expect(grams('pva-white', 250, 'g')).toBe(250)
    expect(grams('pva-white', 2, 'kg')).toBe(2000)
    expect(grams('pva-white', 250, 'ml')).toBeCloseTo(250 * 1.08, 9)
    expect(grams('pva-white', 2, 'l')).toBeCloseTo(2000 * 1.08, 9)
    expect(grams('pva-white', 250, 'ml', { densityGml: 1.2 })).toBeCloseTo(300, 9)
  })
  it('by the stick, by the metre of its own width, by the piece', () => {
    expect(grams('hotmelt-low', 20, 'stick')).toBe(180)
    // 10 m of 19 mm at 200 g/m²; a family whose row names no width is 12 mm wide.
    expect(grams('tape-foam', 10, 'm', { spreadGm2: 200 })).toBeCloseTo(10 * 0.019 * 200, 9)
    expect(grams('pva-white', 10, 'm', { spreadGm2: 200 })).toBeCloseTo(10 * 0.012 * 200, 9)
    expect(grams('dots', 100, 'piece', { spreadGm2: 150 })).toBeCloseTo(100 * 1e-4 * 150, 9)
    // What weighs nothing still covers its area.
    expect(grams('dots', 100, 'piece', { spreadGm2: 0 })).toBeCloseTo(0.01, 9)
  })
  it('and refuses what it does not know', () => {
    expect(() => grams('pva-white', 1, 'barrel')).toThrow(/not-one-of/)
    expect(() => grams('pva-white', 0, 'g')).toThrow(/not-positive/)
  })
})
