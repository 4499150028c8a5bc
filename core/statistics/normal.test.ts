import { describe, expect, it } from 'vitest'
import { logDensity, logPhi, logPhiBetween, phiCdf } from './normal'

const density = (z: number) => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)

/** Φ about its middle: ½ + φ(z)·(z + z³/3 + z⁵/15 + …), which converges for every z. */
function series(z: number): number {
  let term = z
  let sum = z
  for (let k = 1; k < 400; k++) {
    term *= (z * z) / (2 * k + 1)
    sum += term
  }
  return 0.5 + density(z) * sum
}
/** ln of the tail below −z, z > 0, by Laplace's continued fraction φ(z) / (z + 1/(z + 2/(z + 3/…))). */
function logTail(z: number): number {
  let fraction = z
  for (let k = 4000; k > 0; k--) fraction = z + k / fraction
  return -0.5 * z * z - 0.5 * Math.log(2 * Math.PI) - Math.log(fraction)
}
/** ln of the integral of the density, by Simpson's rule about its highest place. */
function logIntegral(low: number, high: number): number {
  const nearest = low > 0 ? low : high < 0 ? high : 0
  const steps = 20_000
  const h = (high - low) / steps
  let sum = 0
  for (let i = 0; i <= steps; i++) {
    const x = low + i * h
    sum += (i === 0 || i === steps ? 1 : i % 2 ? 4 : 2) * Math.exp((nearest * nearest - x * x) / 2)
  }
  return Math.log((sum * h) / 3) - 0.5 * nearest * nearest - 0.5 * Math.log(2 * Math.PI)
}

describe('the normal distribution', () => {
  it('is the series about the middle', () => {
    // The places at which the approximation changes are ±0.663 and ±5.66.
    for (const z of [-2, -1.3, -0.67, -0.66, -0.3, 0, 0.01, 0.5, 0.66, 0.67, 1, 1.644853626951, 2.5, 4, 5.5]) {
      expect(phiCdf(z)).toBeCloseTo(series(z), 13)
      expect(Math.exp(logPhi(z))).toBeCloseTo(series(z), 13)
    }
  })
  it('is a table’s at the places that everybody knows', () => {
    expect(phiCdf(0)).toBe(0.5)
    expect(phiCdf(1.2815515655446)).toBeCloseTo(0.9, 12)
    expect(phiCdf(1.6448536269515)).toBeCloseTo(0.95, 12)
    expect(phiCdf(-1.9599639845401)).toBeCloseTo(0.025, 12)
    expect(logDensity(0)).toBeCloseTo(Math.log(0.3989422804014327), 14)
    expect(logDensity(-3)).toBeCloseTo(Math.log(0.0044318484119380075), 12)
  })
  it('is the continued fraction far in either tail, where a plain sum is nothing or one', () => {
    for (const z of [3, 4, 5.6, 5.7, 8, 15, 40, 200, 1e4]) {
      expect(Math.abs(logPhi(-z) / logTail(z) - 1)).toBeLessThan(1e-12)
      expect(Math.abs(logPhi(z) - Math.log1p(-Math.exp(logTail(z))))).toBeLessThan(1e-15)
    }
    expect(phiCdf(-8)).toBeCloseTo(Math.exp(logTail(8)), 25)
    expect(phiCdf(9)).toBe(1)
  })
  it('between two places is the integral, in the middle, across it, in either tail, wide or narrow', () => {
    for (const [low, high] of [
      [-1, 2],
      [0.2, 0.3],
      [-0.3, -0.2],
      [1, 1.0001],
      [-1.0001, -1],
      [3, 6],
      [-6, -3],
      [9, 9.01],
      [12, 13],
      [-13, -12],
      [0, 0.5],
      [-0.5, 0],
    ] as const)
      expect(Math.abs(logPhiBetween(low, high) - logIntegral(low, high))).toBeLessThan(1e-9)
  })
})
