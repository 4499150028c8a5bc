import { STANDARD_GRAVITY } from '../quantities/units'
import { positive } from '../quantities/require'

/** Strain of the outer fibre on a mandrel: ε = t/(2R + t), thickness and radius in mm (methods.md 1). */
export function bendStrain(thicknessMm: number, radiusMm: number): number {
  const t = positive(thicknessMm, 'thicknessMm', 'The thickness', 'a bend')
  return t / (2 * positive(radiusMm, 'radiusMm', 'The radius', 'a bend') + t)
}

/** Radius (mm) of a free length g (mm) bent by an angle (degrees): R = g/θ. */
export function radiusFromAngle(freeLengthMm: number, angleDeg: number): number {
  const g = positive(freeLengthMm, 'freeLengthMm', 'The free length', 'a bend by angle')
  return g / ((positive(angleDeg, 'angleDeg', 'The angle', 'a bend by angle') * Math.PI) / 180)
}

/** Energy of one drop, J: m·g·h, mass in kg, height in mm. */
export function dropEnergyJ(massKg: number, heightMm: number): number {
  return (
    positive(massKg, 'massKg', 'The mass', 'a drop') *
    STANDARD_GRAVITY *
    (positive(heightMm, 'heightMm', 'The height', 'a drop') / 1000)
  )
}
