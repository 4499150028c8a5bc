/** The rungs of a pull by hand, weakest first (methods.md 1). */
export const rungs = ['falls-off', 'shaken-off', 'one-finger', 'one-hand', 'two-hands', 'would-not-come'] as const
export type Rung = (typeof rungs)[number]
export const rungWords: Record<Rung, string> = {
  'falls-off': 'falls off',
  'shaken-off': 'shaken off',
  'one-finger': 'one finger',
  'one-hand': 'one hand',
  'two-hands': 'two hands',
  'would-not-come': 'would not come',
}
/** The grips a maker pulls on the scale; the outer rungs follow from them. */
export const grips = ['shaken-off', 'one-finger', 'one-hand', 'two-hands'] as const
export type Grip = (typeof grips)[number]
