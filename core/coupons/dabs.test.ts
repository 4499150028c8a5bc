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
  it('holds a long side down between its corners', () => expect(dabLayout(20, 170).dabs).toHaveLength(8))
})
