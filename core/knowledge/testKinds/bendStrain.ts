import { positive } from '../../quantities/require'

/** Strain of the outer fibre on a mandrel: ε = t/(2R + t), thickness and radius in mm (methods.md 1). */
export function bendStrain(thicknessMm: number, radiusMm: number): number {
  const t = positive(thicknessMm, 'thicknessMm', 'The thickness', 'a bend')
  return t / (2 * positive(radiusMm, 'radiusMm', 'The radius', 'a bend') + t)
}
