import { describe, expect, it } from 'vitest'
import { dabLayout } from './dabs'

describe('dabs of a fast glue', () => {
  it.each([
    [25, 12],
    [20, 120],
    [8, 40],
    [200, 300],
    [12, 12],
  ])('on %d × %d mm take 8 %% of the face, lie on it and apart', (widthMm, lengthMm) => {
    const { dabs, diameterMm, lostMm2 } = dabLayout(widthMm, lengthMm)
    expect(lostMm2).toBeCloseTo(0.08 * widthMm * lengthMm, 9)
    expect((dabs.length * Math.PI * diameterMm ** 2) / 4).toBeCloseTo(lostMm2, 9)
    for (const { xMm, yMm } of dabs) {
      expect(Math.min(xMm, lengthMm - xMm)).toBeGreaterThanOrEqual(diameterMm / 2)
      expect(Math.min(yMm, widthMm - yMm)).toBeGreaterThanOrEqual(diameterMm / 2)
    }
    dabs.forEach((p, i) =>
      dabs.slice(i + 1).forEach((q) => expect(Math.hypot(p.xMm - q.xMm, p.yMm - q.yMm)).toBeGreaterThan(diameterMm)),
    )
  })
  it.each([
    // Two rows from 12 mm on; rows stand in by a twentieth of the width, 1.5 mm at most.
    [11.9, 40, 1, 11.9 / 20],
    [12, 40, 2, 0.6],
    [20, 40, 2, 1],
    [60, 40, 2, 1.5],
  ])('on %d × %d mm lie in %d rows', (widthMm, lengthMm, rows, inMm) => {
    const { dabs, diameterMm } = dabLayout(widthMm, lengthMm)
    expect(new Set(dabs.map(({ yMm }) => yMm)).size).toBe(rows)
    expect(Math.min(...dabs.map(({ xMm }) => xMm))).toBeCloseTo(diameterMm / 2 + inMm, 9)
    expect(Math.min(...dabs.map(({ yMm }) => yMm))).toBeCloseTo(rows === 1 ? widthMm / 2 : diameterMm / 2 + inMm, 9)
  })
  it.each([
    [80, 2],
    [81, 3],
    [161, 4],
  ])('along %d mm stand %d', (lengthMm, along) => expect(dabLayout(20, lengthMm).dabs).toHaveLength(2 * along))
  it('holds a long side down between its corners', () => expect(dabLayout(20, 170).dabs).toHaveLength(8))
})
