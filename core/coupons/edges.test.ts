import { describe, expect, it } from 'vitest'
import { materialClassOf } from '../knowledge/materials'
import type { Bond, Side } from './bond'
import { lap } from './lapSize'
import { nest, packed, settings } from './nest'
import { peel } from './peelSize'
import { down, gaugeTrouble, tornAtTheBond } from './plan'
import { printedCoupon } from './printedCoupon'
import { tension } from './spotSize'
import { couponHalf, stlOfPair, trianglesOf } from './stl'

const side = (name: 'a' | 'b', id: string, thicknessMm: number): Side => ({
  name,
  material: materialClassOf(id),
  thicknessMm,
})
const bond = (low: number, high: number, a = Infinity, b = Infinity): Bond => ({ low, high, cap: { a, b } })
const wide: [number, number] = [0, 1e9]

describe('a lap by hand', () => {
  // Sheet of 60 MPa, whatever stands in the table: load per mm of width 0.7 · σ · t against τ · L.
  const tensile = materialClassOf('sheet-acrylic').tensileMPa
  const sheet = (name: 'a' | 'b', t: number) => side(name, 'sheet-acrylic', t)
  it('is as long as the thinner part allows, on whichever side it lies, and 25 mm at most', () => {
    const high = (0.7 * tensile * 2) / 10
    for (const [a, b] of [
      [2, 6],
      [6, 2],
    ])
      expect(lap([sheet('a', a!), sheet('b', b!)], bond(1, high), 20, wide)).toMatchObject({
        possible: true,
        overlapMm: 10,
        expectedN: [200, 200 * high],
        advice: [],
      })
    expect(lap([sheet('a', 50), sheet('b', 50)], bond(1, high), 20, wide).overlapMm).toBe(25)
  })
  it('is impossible below 3 mm, and possible at 3', () => {
    const at = (mm: number) => (0.7 * tensile * 2) / mm
    expect(lap([sheet('a', 2), sheet('b', 9)], bond(1, at(3)), 20, wide)).toMatchObject({
      possible: true,
      overlapMm: 3,
    })
    expect(lap([sheet('a', 2), sheet('b', 9)], bond(1, at(2.9)), 20, wide)).toMatchObject({
      possible: false,
      weakest: 'a',
    })
    expect(lap([sheet('a', 9), sheet('b', 2)], bond(1, at(2.9)), 20, wide).weakest).toBe('b')
  })
  it('stays within what the gauge reads, at both ends', () => {
    const parts: [Side, Side] = [sheet('a', 30), sheet('b', 30)]
    // 20 mm wide at 2 MPa: 40 N a mm of overlap.
    expect(lap(parts, bond(1, 2), 20, [0, 400])).toMatchObject({ possible: true, overlapMm: 10 })
    expect(lap(parts, bond(1, 2), 20, [0, 120])).toMatchObject({ possible: true, overlapMm: 3 })
    expect(lap(parts, bond(1, 2), 20, [0, 119])).toMatchObject({ possible: false })
    expect(lap(parts, bond(1, 2), 20, [200, 400])).toMatchObject({ possible: true, overlapMm: 10 })
    expect(lap(parts, bond(1, 2), 20, [201, 400])).toMatchObject({ possible: false, overlapMm: 10 })
  })
})

describe('what every plan asks', () => {
  it('rounds down to half a millimetre, and is not fooled by a hair', () => {
    expect([down(10.49), down(10.5), down(3.4999999999), down(0.2)]).toEqual([10, 10.5, 3.5, 0])
  })
  it('finds the softer part beside the bond', () => {
    const sides: [Side, Side] = [side('a', 'foam-eva', 5), side('b', 'felt', 2)]
    expect(tornAtTheBond(sides, bond(1, 2, 1.5, 1.2))!.name).toBe('b')
    expect(tornAtTheBond(sides, bond(1, 2, 1.1, 1.2))!.name).toBe('a')
    expect(tornAtTheBond(sides, bond(1, 2, 3, 1.2))!.name).toBe('b')
    expect(tornAtTheBond(sides, bond(1, 2, 2, 2))).toBeNull()
  })
  it('says what the gauge cannot read, and what would', () => {
    expect(gaugeTrouble(10, 400, [10, 400])).toEqual([])
    const [over] = gaugeTrouble(10, 800, [10, 400])
    // A limit of 500 N reads well to 400; 800 N want one of 1000.
    expect(over).toMatch(/ends at 500 N and up to 800 N.*one to 1000 N/)
    expect(gaugeTrouble(9, 400, [10, 400])).toHaveLength(1)
    expect(gaugeTrouble(9, 500, [10, 400])).toHaveLength(2)
  })
})

describe('a peel by hand', () => {
  it('goes by the weaker of the arms that bend, and stops where it would give way first', () => {
    const cloth = side('a', 'fabric-cotton', 0.5)
    const foam = side('b', 'foam-eva', 5)
    // 25 mm of 5 mm foam tears at 25 N: 0.7 of it is 17.5 N, 0.7 N/mm.
    expect(peel([cloth, foam], bond(0.1, 0.7), 25, wide)).toMatchObject({
      possible: true,
      widthMm: 25,
      overlapMm: null,
    })
    expect(peel([cloth, foam], bond(0.1, 0.71), 25, wide)).toMatchObject({ possible: false, weakest: 'b', widthMm: 25 })
    expect(
      peel([foam, cloth].map((one, i) => ({ ...one, name: 'ab'[i] as 'a' })) as [Side, Side], bond(0.1, 0.71), 25, wide)
        .weakest,
    ).toBe('a')
    // On a stiff part only the arm that bends counts: cotton slips at 150 N.
    expect(peel([cloth, side('b', 'metal', 1)], bond(0.1, 4.2), 25, wide).possible).toBe(true)
    const slipped = peel([cloth, side('b', 'metal', 1)], bond(0.1, 4.3), 25, wide)
    expect(slipped).toMatchObject({ possible: false, weakest: 'a', expectedN: [2.5, 107.5] })
    expect(slipped.advice.join(' ')).toMatch(/pull out of its weave first.*about 105 N/)
  })
  it('is refused for two stiff parts, a soft face and a gauge that is too coarse', () => {
    expect(peel([side('a', 'metal', 1), side('b', 'glass', 3)], bond(1, 2), 25, wide).advice[0]).toMatch(/cleavage/)
    const soft = peel([side('a', 'felt', 2), side('b', 'metal', 1)], bond(1, 2, 0.8), 25, wide)
    expect(soft).toMatchObject({ possible: false, weakest: 'a' })
    const coarse = peel([side('a', 'leather', 2), side('b', 'metal', 1)], bond(0.1, 0.2), 25, [10, 400])
    expect(coarse).toMatchObject({ possible: false, weakest: 'bond', widthMm: 25, expectedN: [2.5, 5] })
    expect(coarse.advice).toHaveLength(1)
  })
})

describe('a straight pull by hand', () => {
  const tensile = materialClassOf('foam-xps').tensileMPa
  const foam: [Side, Side] = [side('a', 'foam-xps', 20), side('b', 'metal', 3)]
  it('is a spot whose load the block carries, with 0.7 of it, masked where it is smaller than the block', () => {
    // (spot / 25)² = 0.7 · σ / τ: a quarter is a spot of 12.5 mm.
    const made = tension(foam, bond(0.1, 4 * 0.7 * tensile), 25, wide)
    expect(made).toMatchObject({ possible: true, widthMm: 25, overlapMm: 12.5 })
    expect(made.expectedN![0]).toBeCloseTo(12.5 ** 2 * 0.1, 9)
    expect(made.expectedN![1]).toBeCloseTo(12.5 ** 2 * 4 * 0.7 * tensile, 9)
    expect(made.advice.join()).toMatch(/^Glue a square spot of 12\.5 mm on a block of 25 mm/)
  })
  it('is the whole block where that carries it, and then is backed', () => {
    const made = tension(foam, bond(0.01, 0.7 * tensile * 0.99), 20, wide)
    expect(made).toMatchObject({ possible: true, overlapMm: 20 })
    expect(made.advice.join()).toMatch(/^Back soft parts/)
  })
  it('is as small as the gauge’s end asks, and no smaller than 3 mm', () => {
    expect(tension(foam, bond(0.1, 0.5), 25, [0, 50]).overlapMm).toBe(10)
    // 3 mm of 0.5 MPa are 4.5 N: read to 4.5, not to 4.4.
    expect(tension(foam, bond(0.1, 0.5), 25, [0, 4.5])).toMatchObject({ possible: true, overlapMm: 3 })
    const over = tension(foam, bond(0.1, 0.5), 25, [0, 4.4])
    expect(over).toMatchObject({ possible: false, weakest: 'bond', overlapMm: 3, expectedN: [0.9, 4.5] })
    expect(over.advice.join()).toMatch(/The gauge ends at 5\.50 N/)
    // The block of 25 mm at 0.1 MPa begins at 62.5 N.
    expect(tension(foam, bond(0.1, 0.2), 25, [62.5, 1e6]).possible).toBe(true)
    expect(tension(foam, bond(0.1, 0.2), 25, [63, 1e6])).toMatchObject({ possible: false, overlapMm: 25 })
  })
  it('is refused where the block tears before a spot of 3 mm', () => {
    // (3 / 10)² = 0.09 of the block.
    expect(tension(foam, bond(0.1, (0.7 * tensile) / 0.0899), 10, wide).possible).toBe(false)
    expect(tension(foam, bond(0.1, (0.7 * tensile) / 0.0901), 10, wide)).toMatchObject({ possible: true, overlapMm: 3 })
    expect(tension(foam, bond(0.1, (0.7 * tensile) / 0.05), 10, wide)).toMatchObject({
      weakest: 'a',
      overlapMm: 3,
      widthMm: 10,
    })
  })
})

describe('nesting by hand', () => {
  const sheet = (widthMm: number, heightMm: number, count: number | null) => ({ widthMm, heightMm, count })
  const pieces = (widthMm: number, lengthMm: number, count: number) => ({ widthMm, lengthMm, count })
  it('fills a sheet to the last millimetre, and turns pieces only without a grain', () => {
    const exact = nest([pieces(50, 100, 4)], [sheet(100, 200, 1)], 0, true)
    expect(exact).toMatchObject({ left: 0, waste: 0 })
    expect(exact.sheets[0]!.pieces).toHaveLength(4)
    // 100 wide and 50 tall: a piece of 50 × 100 lies on its side, or not at all.
    expect(nest([pieces(50, 100, 1)], [sheet(100, 50, 1)], 0, false)).toMatchObject({ left: 0, waste: 0 })
    expect(nest([pieces(50, 100, 1)], [sheet(100, 50, 1)], 0, true)).toMatchObject({ left: 1, sheets: [], waste: 0 })
    expect(nest([pieces(101, 50, 1)], [sheet(100, 100, 1)], 0, false).left).toBe(1)
    expect(nest([pieces(100, 100, 1)], [sheet(100, 100, 1)], 0, false).left).toBe(0)
  })
  it('takes the offcut that is used best first, then others, then bought sheets for the rest', () => {
    const small = sheet(50, 100, 1)
    const large = sheet(300, 300, 1)
    const one = nest([pieces(50, 100, 1)], [large, small], 0, true)
    expect(one.sheets.map(({ widthMm }) => widthMm)).toEqual([50])
    const more = nest([pieces(50, 100, 3)], [small, small, sheet(60, 110, null)], 0, true)
    expect(more.sheets.map(({ widthMm }) => widthMm)).toEqual([50, 50, 60])
    expect(more.left).toBe(0)
    expect(more.waste).toBeCloseTo(1 - 15000 / (5000 + 5000 + 6600), 9)
    // Two of the same offcut are two sheets; a third piece finds none.
    expect(nest([pieces(50, 100, 3)], [sheet(50, 100, 2)], 0, true)).toMatchObject({ left: 1 })
  })
  it('begins with the offcut that is used best wherever it lies in the list, passes over those too small', () => {
    const tight = sheet(50, 100, 1)
    const loose = sheet(80, 120, 1)
    const tiny = sheet(10, 10, 5)
    for (const own of [
      [tight, loose, tiny],
      [tiny, loose, tight],
      [loose, tiny, tight],
    ]) {
      expect(nest([pieces(50, 100, 1)], own, 0, true).sheets.map(({ widthMm }) => widthMm)).toEqual([50])
      // An offcut is used as often as it is there: the second piece lies on the other one, a third on none.
      const three = nest([pieces(50, 100, 3)], own, 0, true)
      expect(three.sheets.map(({ widthMm }) => widthMm)).toEqual([50, 80])
      expect(three.left).toBe(1)
    }
  })
  it('knows which of two sizes with a side in common still is to be cut', () => {
    const wanted = [pieces(20, 50, 2), pieces(20, 70, 3), pieces(30, 70, 1)]
    // The offcut takes the long ones, the bought sheets all that is left.
    const { sheets, left } = nest(wanted, [sheet(60, 70, 1), sheet(40, 80, null)], 0, true)
    const cut = sheets.flatMap((one) => one.pieces.map(({ widthMm, heightMm }) => `${widthMm} × ${heightMm}`))
    expect(left).toBe(0)
    expect(cut.sort()).toEqual(['20 × 50', '20 × 50', '20 × 70', '20 × 70', '20 × 70', '30 × 70'])
  })
  it('counts pieces of each size for themselves, and asks for nothing that is not wanted', () => {
    const both = nest([pieces(20, 30, 2), pieces(30, 20, 1)], [sheet(200, 200, 1)], 0, true)
    expect(both.sheets[0]!.pieces).toHaveLength(3)
    expect(both.left).toBe(0)
    expect(nest([pieces(20, 30, 0)], [sheet(200, 200, 1)], 0, true)).toEqual({ sheets: [], left: 0, waste: 0 })
    expect(nest([pieces(20, 30, 2), pieces(500, 500, 3)], [sheet(200, 200, 4)], 0, true)).toMatchObject({ left: 3 })
  })
  it('hands back what is too large, and refuses a sheet of no size', () => {
    const { sheets, left } = packed([pieces(20, 30, 2), pieces(99, 10, 1)], sheet(60, 60, 1), 0, true, settings[0]!)
    expect(sheets[0]!.pieces).toHaveLength(2)
    expect(left).toEqual([pieces(99, 10, 1)])
    expect(() => nest([], [sheet(0, 10, 1)], 0, true)).toThrow(/not-positive/)
    expect(() => nest([], [sheet(10, -1, 1)], 0, true)).toThrow(/not-positive/)
  })
  it('keeps the saw’s cut free between pieces', () => {
    expect(nest([pieces(50, 100, 2)], [sheet(100, 100, 1)], 0, true).left).toBe(0)
    expect(nest([pieces(50, 100, 2)], [sheet(100, 100, 1)], 1.5, true).left).toBe(1)
    expect(nest([pieces(50, 100, 2)], [sheet(101.5, 100, 1)], 1.5, true).left).toBe(0)
  })
})

describe('a printed pair', () => {
  const coupon = printedCoupon(10)
  const bytes = stlOfPair(coupon)
  const view = new DataView(bytes.buffer)
  const count = view.getUint32(80, true)
  const triangles = Array.from({ length: count }, (_, i) =>
    [0, 1, 2, 3].map((k) => [0, 1, 2].map((n) => view.getFloat32(84 + 50 * i + 12 * k + 4 * n, true))),
  )
  it('is a file of its length, of two like halves beside each other', () => {
    expect(bytes.length).toBe(84 + 50 * count)
    const half = trianglesOf(couponHalf(coupon))
    expect(count).toBe(2 * half.length)
    const xs = triangles.flatMap(([, ...corners]) => corners.map(([x]) => x!))
    // The head of 18 mm, 6 mm of air, the head of the other.
    expect(Math.min(...xs)).toBeCloseTo(-9, 3)
    expect(Math.max(...xs)).toBeCloseTo(18 + 6 + 9, 3)
  })
  it('stands on its bonded face and ends above its hole', () => {
    const zs = triangles.flatMap(([, ...corners]) => corners.map(([, , z]) => z!))
    expect(Math.min(...zs)).toBeCloseTo(0, 4)
    expect(Math.max(...zs)).toBeCloseTo(40 + 9, 3)
    expect(coupon.neckMm).toEqual([12.5, 12.5])
  })
  it('has unit normals that look outwards: those of a face agree with its corners', () => {
    for (const [normal, a, b, c] of triangles) {
      expect(Math.hypot(...normal!)).toBeCloseTo(1, 5)
      const [u, v] = [b!.map((x, i) => x - a![i]!), c!.map((x, i) => x - a![i]!)]
      const cross = [u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!]
      const dot = cross.reduce((sum, x, i) => sum + x * normal![i]!, 0)
      expect(dot / Math.hypot(...cross)).toBeCloseTo(1, 4)
    }
    // The bonded face looks down.
    const bottom = triangles.filter(([, ...corners]) => corners.every(([, , z]) => z === 0))
    expect(bottom.length).toBeGreaterThan(0)
    for (const [normal] of bottom) expect(normal![2]).toBeCloseTo(-1, 5)
  })
  it('holds no triangle without an area', () => {
    for (const [, a, b, c] of triangles) expect(new Set([String(a), String(b), String(c)]).size).toBe(3)
  })
})
