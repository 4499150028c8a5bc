import { CodedError } from '../../errors'
import type { CouponSize, TestKind } from './kind'
import { disc, need, widthOf } from './sizes'

const torque = (size: CouponSize, forceN: number) => forceN * need(size, 'armMm', 'a twist')

function ringMPa(size: CouponSize, torqueNmm: number): number {
  const outer = need(size, 'diameterMm', 'a twisted ring', 'The outer diameter')
  const inner = need(size, 'innerDiameterMm', 'a twisted ring')
  if (inner >= outer)
    throw new CodedError('out-of-order', 'innerDiameterMm', { field: 'The ring', low: inner, high: outer })
  return (16 * torqueNmm * outer) / (Math.PI * (outer ** 4 - inner ** 4))
}

/**
 * Rectangle a ≥ b, whichever of width and thickness is larger; Roark's approximation, within 4 % of the exact series.
 */
function rectangleMPa(size: CouponSize, torqueNmm: number): number {
  const one = need(size, 'widthMm', 'a twisted rectangle')
  const two = need(size, 'thicknessMm', 'a twisted rectangle')
  const [a, b] = [Math.max(one, two), Math.min(one, two)]
  return (torqueNmm * (3 + (1.8 * b) / a)) / (a * b * b)
}

const how: TestKind['how'] = [
  'Clamp one part, fix a bar across the other.',
  'Pull the bar at its arm, square to it.',
  'Read the peak; measure the arm.',
]
const rest = {
  unit: 'MPa',
  loads: ['torsion'],
  how,
  bondLengthMm: () => 0,
  foretold: { by: 'bond', times: 1 },
} as const

export const torsionRound: TestKind<'torsion-round'> = {
  ...rest,
  name: 'twist, round',
  gloss: 'a round joint turned about its axis',
  reads: {
    by: 'load',
    formula: {
      id: 'torsion-round',
      unit: 'MPa',
      words: 'τ = 16 · F · arm / (π · d³)',
      strength: (forceN, size) =>
        (16 * torque(size, forceN)) / (Math.PI * need(size, 'diameterMm', 'a twisted round') ** 3),
    },
  },
  sizes: { diameterMm: 10, armMm: 50 },
  drawing: 'rod',
  bondedMm2: (size) => disc(size.diameterMm ?? 10),
  piece: (size) => ({ widthMm: size.diameterMm ?? 10, lengthMm: 50 }),
}
export const torsionRing: TestKind<'torsion-ring'> = {
  ...rest,
  name: 'twist, ring',
  gloss: 'a ring-shaped joint turned about its axis',
  reads: {
    by: 'load',
    formula: {
      id: 'torsion-ring',
      unit: 'MPa',
      words: 'τ = 16 · F · arm · D / (π · (D⁴ − d⁴))',
      strength: (forceN, size) => ringMPa(size, torque(size, forceN)),
    },
  },
  sizes: { diameterMm: 20, innerDiameterMm: 14, armMm: 50 },
  drawing: 'rod',
  bondedMm2: (size) => disc(size.diameterMm ?? 20) - disc(size.innerDiameterMm ?? 14),
  piece: (size) => ({ widthMm: size.diameterMm ?? 20, lengthMm: 40 }),
}
export const torsionRect: TestKind<'torsion-rect'> = {
  ...rest,
  name: 'twist, rectangle',
  gloss: 'a rectangular joint turned about its axis',
  reads: {
    by: 'load',
    formula: {
      id: 'torsion-rect',
      unit: 'MPa',
      words: 'τ = F · arm · (3 + 1.8 · b/a) / (a · b²)',
      strength: (forceN, size) => rectangleMPa(size, torque(size, forceN)),
    },
  },
  sizes: { widthMm: 20, thicknessMm: 5, armMm: 50 },
  drawing: 'edge',
  bondedMm2: (size) => widthOf(size, 20) * (size.thicknessMm ?? 5),
  piece: (size) => ({ widthMm: widthOf(size, 20), lengthMm: 50 }),
}
