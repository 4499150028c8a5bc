import { CodedError } from '../errors'
import { positive } from '../quantities/require'

/** Tests whose load is turned into a strength (methods.md 1); a contract id each. */
export const forceTests = [
  'lap-shear',
  'tension',
  'peel',
  'cleavage',
  'torsion-round',
  'torsion-ring',
  'torsion-rect',
  'snap-rect',
  'snap-round',
] as const
export type ForceTest = (typeof forceTests)[number]
export type StrengthUnit = 'MPa' | 'N/mm'

/** Measured sizes of one coupon, mm and mm². Which are needed depends on the test. */
export interface CouponSize {
  widthMm?: number | null
  overlapMm?: number | null
  areaMm2?: number | null
  thicknessMm?: number | null
  diameterMm?: number | null
  innerDiameterMm?: number | null
  /** where the force acts: twist, and snap as a cantilever */
  armMm?: number | null
  /** between supports: snap with the load at mid-span */
  spanMm?: number | null
}

export const unitOf = (test: ForceTest): StrengthUnit => (test === 'peel' || test === 'cleavage' ? 'N/mm' : 'MPa')

const need = (size: CouponSize, key: keyof CouponSize, field: string, purpose: string) =>
  positive(size[key], key, field, purpose)

/** Straight pull: the bonded area as given, or width × overlap, or the round spot of a diameter, mm². */
function bondedAreaMm2(size: CouponSize): number {
  if (size.areaMm2 == null && size.widthMm != null && size.overlapMm != null)
    return need(size, 'widthMm', 'The width', 'the area') * need(size, 'overlapMm', 'The length', 'the area')
  if (size.areaMm2 == null && size.diameterMm != null)
    return (Math.PI * need(size, 'diameterMm', 'The diameter', 'the area') ** 2) / 4
  return need(size, 'areaMm2', 'The bonded area', 'a straight pull')
}

function bendingMomentNmm(size: CouponSize, forceN: number): number {
  if (size.spanMm != null) return (forceN * need(size, 'spanMm', 'The span', 'a snap at mid-span')) / 4
  if (size.armMm != null) return forceN * need(size, 'armMm', 'The arm', 'a snap as a cantilever')
  throw new CodedError('missing', 'spanMm', {
    field: 'The span between supports, or the arm of a cantilever,',
    purpose: 'a snap test',
  })
}

function ringMPa(size: CouponSize, torqueNmm: number): number {
  const outer = need(size, 'diameterMm', 'The outer diameter', 'a twisted ring')
  const inner = need(size, 'innerDiameterMm', 'The inner diameter', 'a twisted ring')
  if (inner >= outer)
    throw new CodedError('out-of-order', 'innerDiameterMm', { field: 'The ring', low: inner, high: outer })
  return (16 * torqueNmm * outer) / (Math.PI * (outer ** 4 - inner ** 4))
}

/**
 * Rectangle a ≥ b, whichever of width and thickness is larger; Roark's approximation, within 4 % of the exact series.
 */
function rectangleMPa(size: CouponSize, torqueNmm: number): number {
  const one = need(size, 'widthMm', 'The width', 'a twisted rectangle')
  const two = need(size, 'thicknessMm', 'The thickness', 'a twisted rectangle')
  const [a, b] = [Math.max(one, two), Math.min(one, two)]
  return (torqueNmm * (3 + (1.8 * b) / a)) / (a * b * b)
}

const torque = (size: CouponSize, forceN: number) => forceN * need(size, 'armMm', 'The arm', 'a twist')

/**
 * Load to strength (methods.md 1). Models: ISO 6922 (straight pull), ISO 4587 (lap shear), ISO 11339 and 8510 (peel);
 * a bench coupon, no conformity claimed.
 * @param forceN at the joint, N
 * @returns MPa, or N/mm for peel and cleavage (unitOf)
 * @throws CodedError naming the size that is missing or not positive
 */
export function strength(test: ForceTest, forceN: number, size: CouponSize): number {
  switch (test) {
    case 'tension':
      return forceN / bondedAreaMm2(size)
    case 'lap-shear':
      return (
        forceN / (need(size, 'widthMm', 'The width', 'lap shear') * need(size, 'overlapMm', 'The overlap', 'lap shear'))
      )
    case 'peel':
    case 'cleavage':
      return forceN / need(size, 'widthMm', 'The width', test)
    case 'torsion-round':
      return (16 * torque(size, forceN)) / (Math.PI * need(size, 'diameterMm', 'The diameter', 'a twisted round') ** 3)
    case 'torsion-ring':
      return ringMPa(size, torque(size, forceN))
    case 'torsion-rect':
      return rectangleMPa(size, torque(size, forceN))
    case 'snap-rect': {
      const width = need(size, 'widthMm', 'The width', 'a snapped rectangle')
      return (
        (6 * bendingMomentNmm(size, forceN)) /
        (width * need(size, 'thicknessMm', 'The thickness', 'a snapped rectangle') ** 2)
      )
    }
    case 'snap-round':
      return (
        (32 * bendingMomentNmm(size, forceN)) /
        (Math.PI * need(size, 'diameterMm', 'The diameter', 'a snapped round') ** 3)
      )
    default:
      throw new CodedError('not-one-of', 'test', { got: String(test), known: forceTests.join(', ') })
  }
}

/** The formula of a test in words, for Why. */
export const formulaOf: Record<ForceTest, string> = {
  'lap-shear': 'τ = F / (w · L)',
  tension: 'σ = F / A',
  peel: 'F / w',
  cleavage: 'F / w',
  'torsion-round': 'τ = 16 · F · arm / (π · d³)',
  'torsion-ring': 'τ = 16 · F · arm · D / (π · (D⁴ − d⁴))',
  'torsion-rect': 'τ = F · arm · (3 + 1.8 · b/a) / (a · b²)',
  'snap-rect': 'σ = 6 · M / (w · t²), M = F · span / 4 or F · arm',
  'snap-round': 'σ = 32 · M / (π · d³), M = F · span / 4 or F · arm',
}
