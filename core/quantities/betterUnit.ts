import { figureOf } from './figure'

/** What a unit is told in below a hundredth of it, and above 9999 of it; factor: one of it in the other. */
const others: Record<string, { small?: [unit: string, factor: number]; large?: [unit: string, factor: number] }> = {
  MPa: { small: ['kPa', 1000], large: ['GPa', 0.001] },
  kPa: { small: ['Pa', 1000] },
  'N/mm': { small: ['N/m', 1000], large: ['kN/mm', 0.001] },
  N: { small: ['mN', 1000], large: ['kN', 0.001] },
  mN: { small: ['µN', 1000] },
  'N·mm': { small: ['mN·mm', 1000], large: ['N·m', 0.001] },
  kgf: { small: ['gf', 1000] },
  lbf: { small: ['ozf', 16] },
  'mm²': { large: ['cm²', 0.01] },
  g: { small: ['mg', 1000], large: ['kg', 0.001] },
  kg: { small: ['g', 1000], large: ['t', 0.001] },
}
const LEAST = 0.01
const MOST = 9999
/** Below a tenth of the larger one's unit a figure keeps its own: 49 N beside 11.3 kN, not 0.049 kN. */
const LEAST_LIFTED = 0.1

/** A figure in the unit in which it reads best: 0.00919 MPa is 9.19 kPa. What has no other unit stays as it is. */
export function inBetterUnit(value: number, unit: string): { value: number; unit: string } {
  const other = others[unit]
  const size = Math.abs(value)
  const taken = size > 0 && size < LEAST ? other?.small : size > MOST ? other?.large : undefined
  return taken ? inBetterUnit(value * taken[1], taken[0]) : { value, unit }
}

/** The same as text with its unit, three significant figures. */
export function measured(value: number, unit: string): string {
  const better = inBetterUnit(value, unit)
  return `${figureOf(better.value)} ${better.unit}`
}

/**
 * Figures that one sentence compares, in one unit: that of the smallest, 8.80 N/m against 300 N/m, or where the largest
 * would get too many digits by it, that of the largest. Where no unit suits both, as so far apart, each in its own.
 */
export function measuredAlike(values: readonly number[], unit: string): string[] {
  const sizes = values.map(Math.abs).filter((size) => size > 0)
  if (!sizes.length) return values.map(() => measured(0, unit))
  const [least, most] = [Math.min(...sizes), Math.max(...sizes)]
  const factorBy = (size: number) => inBetterUnit(size, unit).value / size
  const lifted = least * factorBy(most)
  const by = most * factorBy(least) <= MOST ? least : lifted >= LEAST_LIFTED ? most : undefined
  if (by === undefined) return values.map((value) => measured(value, unit))
  return values.map((value) => `${figureOf(value * factorBy(by))} ${inBetterUnit(by, unit).unit}`)
}
