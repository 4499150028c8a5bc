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
})
