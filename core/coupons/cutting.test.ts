import { MaxRectsPacker } from 'maxrects-packer'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { bondedAreaOf, cutList, piecesOf, withSpares } from './pieces'
import { nest, settings, type Nesting, type Wanted } from './nest'
import { NECK_FACTOR, pairFor, printedCoupon } from './printedCoupon'
import { couponHalf, stlOfPair, trianglesOf } from './stl'

describe('what is to be cut', () => {
  it('a lap of 25 × 12: two strips of 25 × 52, a tenth more and at least one', () => {
    expect(piecesOf('lap-shear', { widthMm: 25, overlapMm: 12 })).toEqual([
      { side: 'a', widthMm: 25, lengthMm: 52 },
      { side: 'b', widthMm: 25, lengthMm: 52 },
    ])
    expect([withSpares(4), withSpares(10), withSpares(11), withSpares(30)]).toEqual([5, 11, 13, 33])
    const list = cutList(
      [
        { test: 'lap-shear', size: { widthMm: 25, overlapMm: 12 } },
        { test: 't-peel', size: { widthMm: 25 } },
      ],
      12,
    )
    expect(list.map(({ side, lengthMm, needed, count }) => [side, lengthMm, needed, count])).toEqual([
      ['a', 150, 12, 14],
      ['a', 52, 12, 14],
      ['b', 150, 12, 14],
      ['b', 52, 12, 14],
    ])
  })
  it('knows the glued area of each test by its geometry', () => {
    expect(bondedAreaOf('lap-shear', { widthMm: 25, overlapMm: 12 })).toBe(300)
    expect(bondedAreaOf('torsion-round', { diameterMm: 10 })).toBeCloseTo(78.54, 2)
    expect(bondedAreaOf('torsion-ring', { diameterMm: 20, innerDiameterMm: 14 })).toBeCloseTo(160.22, 2)
    expect(bondedAreaOf('peel-90', { widthMm: 20 })).toBe(2000)
  })
})

const random = seededRandom(1907)
const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
const list = (): Wanted[] =>
  Array.from({ length: between(1, 4) }, () => ({
    widthMm: between(12, 40),
    lengthMm: between(40, 150),
    count: between(3, 25),
  }))
const apart = (nesting: Nesting, kerf: number) =>
  nesting.sheets.every(({ pieces, widthMm, heightMm }) =>
    pieces.every(
      (p, i) =>
        p.xMm >= 0 &&
        p.yMm >= 0 &&
        p.xMm + p.widthMm <= widthMm + 1e-9 &&
        p.yMm + p.heightMm <= heightMm + 1e-9 &&
        pieces
          .slice(i + 1)
          .every(
            (q) =>
              p.xMm + p.widthMm + kerf <= q.xMm + 1e-9 ||
              q.xMm + q.widthMm + kerf <= p.xMm + 1e-9 ||
              p.yMm + p.heightMm + kerf <= q.yMm + 1e-9 ||
              q.yMm + q.heightMm + kerf <= p.yMm + 1e-9,
          ),
    ),
  )
const counted = (nesting: Nesting) => nesting.sheets.reduce((sum, { pieces }) => sum + pieces.length, 0)

describe('nesting on sheets', () => {
  it.each(Array.from({ length: 50 }, (_, i) => [i]))(
    'list %i: no more waste than the packer’s own best, kerf, grain and counts kept',
    (i) => {
      const wanted = list()
      const grain = i % 2 === 0
      const kerf = [0, 1, 2, 3][i % 4]!
      const [widthMm, heightMm] = [between(180, 420), between(180, 420)]
      const ours = nest(wanted, [{ widthMm, heightMm, count: null }], kerf, grain)
      const total = wanted.reduce((sum, { count }) => sum + count, 0)
      expect(counted(ours) + ours.left).toBe(total)
      expect(ours.left).toBe(0)
      expect(apart(ours, kerf)).toBe(true)
      if (grain)
        expect(
          ours.sheets
            .flatMap(({ pieces }) => pieces)
            .every(
              ({ turned, widthMm: w, heightMm: h }) =>
                !turned && wanted.some((one) => one.widthMm === w && one.lengthMm === h),
            ),
        ).toBe(true)
      // The packer by itself, with each of its settings.
      const sheets = settings.map((option) => {
        const packer = new MaxRectsPacker(widthMm, heightMm, kerf, { ...option, allowRotation: !grain, border: 0 })
        packer.addArray(
          wanted.flatMap((one) =>
            Array.from({ length: one.count }, () => ({ x: 0, y: 0, width: one.widthMm, height: one.lengthMm })),
          ) as never,
        )
        return packer.bins.length
      })
      const pieces = wanted.reduce((sum, one) => sum + one.widthMm * one.lengthMm * one.count, 0)
      const waste = (n: number) => n * widthMm * heightMm - pieces
      expect(waste(ours.sheets.length)).toBeLessThanOrEqual(1.15 * waste(Math.min(...sheets)) + 1e-6)
      expect(ours.waste).toBeCloseTo(waste(ours.sheets.length) / (ours.sheets.length * widthMm * heightMm), 9)
    },
  )
  it('takes the maker’s offcuts first, and buys only for the rest', () => {
    const wanted = [{ widthMm: 25, lengthMm: 50, count: 12 }]
    const nested = nest(
      wanted,
      [
        { widthMm: 110, heightMm: 105, count: 1 },
        { widthMm: 300, heightMm: 400, count: null },
      ],
      2,
      true,
    )
    // 4 across (25 × 4 + 3 × 2 = 106) and 2 along (50 × 2 + 2 = 102): eight on the offcut
    expect(nested.sheets.map(({ widthMm, pieces }) => [widthMm, pieces.length])).toEqual([
      [110, 8],
      [300, 4],
    ])
  })
  it('says what fits nowhere', () => {
    expect(
      nest([{ widthMm: 200, lengthMm: 300, count: 2 }], [{ widthMm: 100, heightMm: 100, count: 3 }], 1, false),
    ).toMatchObject({ left: 2, sheets: [], waste: 0 })
    expect(
      nest([{ widthMm: 90, lengthMm: 10, count: 1 }], [{ widthMm: 20, heightMm: 100, count: 1 }], 0, true).left,
    ).toBe(1)
    expect(
      nest([{ widthMm: 90, lengthMm: 10, count: 1 }], [{ widthMm: 20, heightMm: 100, count: 1 }], 0, false).left,
    ).toBe(0)
    expect(() => nest([], [{ widthMm: 0, heightMm: 5, count: 1 }], 0, true)).toThrow(/not-positive/)
  })
})

describe('the printed coupon', () => {
  const coupon = printedCoupon(8)
  const triangles = trianglesOf(couponHalf(coupon))
  it('is a closed, correctly wound solid: every edge is run once in each direction', () => {
    const edges = new Map<string, number>()
    for (const [a, b, c] of triangles)
      for (const [from, to] of [
        [a, b],
        [b, c],
        [c, a],
      ] as const)
        edges.set(`${from} ${to}`, (edges.get(`${from} ${to}`) ?? 0) + 1)
    for (const [edge, times] of edges) {
      const [from, to] = edge.split(' ')
      expect(times, edge).toBe(1)
      expect(edges.get(`${to} ${from}`), `${edge} back`).toBe(1)
    }
    // Outwards: the volume by the divergence theorem is positive, and that of its boxes less its hole to within 1 %.
    const volume = triangles.reduce(
      (sum, [p, q, r]) =>
        sum +
        (p[0] * (q[1] * r[2] - q[2] * r[1]) - p[1] * (q[0] * r[2] - q[2] * r[0]) + p[2] * (q[0] * r[1] - q[1] * r[0])) /
          6,
      0,
    )
    const { holeMm } = coupon
    const [neckMm] = coupon.neckMm
    const solid =
      8 * 8 * 4 + neckMm * neckMm * (49 - 4) + (18 - neckMm) * neckMm * 18 - (Math.PI * holeMm ** 2 * neckMm) / 4
    expect(volume / solid).toBeCloseTo(1, 1.5)
  })
  it('has the bonded area that is stated, to within 0.05 mm, on a stronger neck', () => {
    const face = triangles.flat().filter(([, , z]) => Math.abs(z) < 1e-6)
    const span = (k: 0 | 1) => Math.max(...face.map((p) => p[k])) - Math.min(...face.map((p) => p[k]))
    expect(Math.abs(span(0) - coupon.bondMm[0])).toBeLessThan(0.05)
    expect(Math.abs(span(1) - coupon.bondMm[1])).toBeLessThan(0.05)
    expect(coupon.neckMm[0] * coupon.neckMm[1]).toBeGreaterThanOrEqual(NECK_FACTOR * coupon.bondMm[0] ** 2)
  })
  it('comes as a binary STL of the pair', () => {
    const bytes = stlOfPair(coupon)
    const count = new DataView(bytes.buffer).getUint32(80, true)
    expect(count).toBe(2 * triangles.length)
    expect(bytes.length).toBe(84 + 50 * count)
    expect(() => printedCoupon(0)).toThrow(/not-positive/)
  })
  it('has the face that was planned, a rectangle where the test has one, and says of which test', () => {
    const { coupon, test } = pairFor([
      { test: 'lap-shear', size: { widthMm: 25, overlapMm: 12 } },
      { test: 'snap-rect', size: { widthMm: 20, thicknessMm: 3, spanMm: 80 } },
      { test: 'tension', size: { areaMm2: 100 } },
    ])
    expect([coupon.bondMm, test]).toEqual([[20, 3], 'snap-rect'])
    const face = trianglesOf(couponHalf(coupon))
      .flat()
      .filter(([, , z]) => Math.abs(z) < 1e-6)
    const span = (k: 0 | 1) => Math.max(...face.map((p) => p[k])) - Math.min(...face.map((p) => p[k]))
    expect([span(0), span(1)].map((mm) => Math.round(mm * 100) / 100)).toEqual([20, 3])
    expect(pairFor([{ test: 'tension', size: { areaMm2: 400 } }]).coupon.bondMm).toEqual([20, 20])
    expect(pairFor([{ test: 'tension', size: { widthMm: 30, overlapMm: 10 } }]).coupon.bondMm).toEqual([30, 10])
    // A said area goes before sides that stand beside it.
    expect(pairFor([{ test: 'tension', size: { areaMm2: 400, widthMm: 30, overlapMm: 10 } }]).coupon.bondMm).toEqual([
      20, 20,
    ])
    expect(pairFor([{ test: 'tension', size: { widthMm: 30 } }]).coupon.bondMm[0]).not.toBe(30)
    expect(pairFor([{ test: 'torsion-rect', size: { widthMm: 12, thicknessMm: 4 } }]).coupon.bondMm).toEqual([12, 4])
    expect(pairFor([{ test: 'edge-pull', size: { widthMm: 25, thicknessMm: 3 } }]).coupon.bondMm).toEqual([25, 3])
    expect(pairFor([{ test: 'lap-shear', size: {} }])).toMatchObject({ coupon: { bondMm: [8, 8] }, test: null })
  })
  it('is long enough to lie on both supports of a snap, or to reach the arm of a cantilever', () => {
    for (const spanMm of [40, 80, 120, 200]) {
      const { coupon } = pairFor([{ test: 'snap-rect', size: { widthMm: 20, thicknessMm: 3, spanMm } }])
      const zs = trianglesOf(couponHalf(coupon)).flatMap((triangle) => triangle.map(([, , z]) => z))
      expect(2 * Math.max(...zs), `${spanMm} mm`).toBeGreaterThanOrEqual(spanMm + 20)
    }
    expect(pairFor([{ test: 'snap-rect', size: { widthMm: 20, thicknessMm: 3, armMm: 150 } }]).coupon.armMm).toBe(150)
    expect(pairFor([{ test: 'torsion-rect', size: { widthMm: 12, thicknessMm: 4, armMm: 50 } }]).coupon.armMm).toBe(40)
  })
})
