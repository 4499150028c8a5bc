/** Three significant figures inside a sentence, without exponent: 0.32, 1.25, 44.1, 118. */
export function figureOf(value: number): string {
  const size = Math.abs(value)
  if (size === 0) return '0'
  return size >= 100 ? value.toFixed(0) : size >= 10 ? value.toFixed(1) : size >= 1 ? value.toFixed(2) : value.toPrecision(2) // prettier-ignore
}
