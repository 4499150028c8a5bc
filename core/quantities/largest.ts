/** The largest of a list of any length: spread into `Math.max`, a long one overflows. −Infinity for none. */
export const largest = (values: readonly number[]): number =>
  values.reduce((most, value) => (value > most ? value : most), -Infinity)
