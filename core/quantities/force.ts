import { measured, measuredAlike } from './betterUnit'
import { fromInside, STANDARD_GRAVITY } from './units'

/** What a maker's scale may be read in. */
export const forceUnits = ['N', 'kgf', 'lbf'] as const
export type ForceUnit = (typeof forceUnits)[number]
export const forceUnitWords: Record<ForceUnit, string> = {
  N: 'newtons, N',
  kgf: 'kilograms on the scale, kgf',
  lbf: 'pounds on the scale, lbf',
}

/** A force in the unit that the maker's scale shows: “28.4 N”, “2.9 kgf”, “6.39 lbf”. @param n N */
export const forceWords = (n: number, unit: ForceUnit = 'N'): string => measured(fromInside(n, unit, 'force'), unit)

/** Forces that one sentence compares, in one unit. @param n N */
export const forcesAlike = (n: readonly number[], unit: ForceUnit = 'N'): string[] =>
  measuredAlike(
    n.map((one) => fromInside(one, unit, 'force')),
    unit,
  )

/** The same beside the weight that hangs on it, where the unit is none of weight: “28.4 N (2.9 kgf)”. */
export const forceAndWeight = (n: number, unit: ForceUnit = 'N'): string =>
  unit === 'N' ? `${forceWords(n)} (${measured(n / STANDARD_GRAVITY, 'kgf')})` : forceWords(n, unit)
