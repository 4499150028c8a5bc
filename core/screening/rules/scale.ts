/**
 * A scale in steps: the push of the first bound that the value does not pass, else the last.
 * @param value what is judged
 * @param bounds ascending
 * @param pushes decibans, one more than bounds
 */
export function graded(value: number, bounds: readonly number[], pushes: readonly number[]): number {
  const at = bounds.findIndex((bound) => value <= bound)
  return pushes[at < 0 ? bounds.length : at]!
}
