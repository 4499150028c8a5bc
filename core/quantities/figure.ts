/** Below this a figure says only that it is below: no scale at a bench tells it from nothing. */
const LEAST = 1e-6

/** Three significant figures inside a sentence, without exponent: 0.32, 1.25, 44.1, 118, "under 0.000001". */
export function figureOf(value: number): string {
  if (!Number.isFinite(value)) return value > 0 ? 'beyond all bounds' : 'not a number'
  const size = Math.abs(value)
  if (size === 0) return '0'
  if (size < LEAST) return value > 0 ? 'under 0.000001' : '0'
  if (size >= 100) return plainDigits(value)
  if (size >= 1) return value.toFixed(size >= 10 ? 1 : 2)
  // Two significant figures below one; toPrecision would turn to an exponent below 1e-6.
  return value.toFixed(Math.min(8, 1 - Math.floor(Math.log10(size))))
}

/** Whole digits also where a number's own text would turn to an exponent (from 1e21 on). */
const plainDigits = (value: number) =>
  Math.abs(value) < 1e21 ? value.toFixed(0) : BigInt(Math.round(value)).toString()

/** A number as it was given, all its digits, without exponent: 0.0000001, 1250, 12.5. */
export function digitsOf(value: number): string {
  const text = String(value)
  if (!text.includes('e') || !Number.isFinite(value)) return text
  if (Math.abs(value) >= 1) return plainDigits(value)
  return value.toFixed(20).replace(/0+$/, '').replace(/\.$/, '')
}

/**
 * A number as it was said, six significant digits at most; what another unit made endless is no surer than four: 3 lb
 * is 1.361 kg, 3/8 in is 9.525 mm.
 */
export function digitsSaid(value: number): string {
  const whole = Number(value.toPrecision(12))
  return digitsOf(Number(whole.toPrecision(6)) === whole ? whole : Number(whole.toPrecision(4)))
}
