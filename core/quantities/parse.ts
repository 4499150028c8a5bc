import { CodedError } from '../errors'
import { bounds, dimensionOf, findUnit, insideUnit, knownUnits, leastOf, toInside, type Dimension } from './units'
import { MOST, shortened, beginning, checkBounds } from './parseNumber'

export interface Quantity {
  /** as typed, in `unit` */
  value: number
  unit: string
  /** in the unit inside: N, kg, l, mm, mm², s, °C, ° */
  inside: number
}

const examples: Record<Dimension, string> = {
  force: '9.5 kgf',
  mass: '3 kg',
  volume: '2.5 l',
  length: '2 1/2 in',
  area: '40 cm²',
  time: '20 min',
  temperature: '50 °C',
  angle: '45°',
  torque: '0.4 N·m',
  strength: '0.3 MPa',
  peel: '2 N/mm',
}
const kinds: Record<Dimension, string> = {
  force: 'a force',
  mass: 'a mass',
  volume: 'a volume',
  length: 'a length',
  area: 'an area',
  time: 'a time',
  temperature: 'a temperature',
  angle: 'an angle',
  torque: 'a turning moment',
  strength: 'a strength',
  peel: 'a load on a width',
}

/**
 * What a maker typed ("9.5 kgf", "6,5 lb", "2 1/2 in", "1 kg 250 g") as a quantity of one dimension.
 * @param fallback the unit when only a number was typed; without it a bare number is refused with the known units
 * @param path the field, also as a sentence names it
 * @throws CodedError not-a-number, ambiguous-number, unknown-unit, wrong-kind-of-unit, out-of-range
 */
export function parseQuantity(text: string, dimension: Dimension, fallback?: string, path = ''): Quantity {
  const quantity = readQuantity(text, dimension, fallback, path)
  const [least, most] = bounds[dimension]
  checkBounds(quantity.value, { least: -MOST, most: MOST }, path, 'The number')
  const field = `${capital(kinds[dimension])}, in ${insideUnit(dimension)},`
  const smallest = leastOf(dimension)
  const tiny = quantity.inside !== 0 && Math.abs(quantity.inside) < smallest
  checkBounds(quantity.inside, { least: tiny ? smallest : least, most }, path, field)
  return quantity
}

/**
 * A time as a maker types it, in whole seconds, as a clock at the bench tells them.
 * @param fallback the unit when only a number was typed
 * @throws CodedError as parseQuantity; out-of-range for less than half a second that is not nothing
 */
export function parseSeconds(text: string, path = '', fallback = 'min'): number {
  const { inside } = parseQuantity(text, 'time', fallback, path)
  const seconds = Math.round(inside)
  if (inside > 0 && seconds === 0) {
    const [, most] = bounds.time
    throw new CodedError('out-of-range', path, { field: 'A time, in s,', low: 1, high: most, got: text.trim() })
  }
  return seconds
}

const capital = (text: string) => text.replace(/^./, (first) => first.toUpperCase())

function readQuantity(text: string, dimension: Dimension, fallback: string | undefined, path: string): Quantity {
  const { value, rest } = beginning(text, path, { wanted: 'a number with its unit', example: examples[dimension] })
  const known = knownUnits(dimension).join(', ')
  if (rest === '') {
    if (fallback === undefined) throw new CodedError('unknown-unit', path, { got: 'none', known })
    return { value, unit: fallback, inside: toInside(value, fallback, dimension) }
  }
  const compound = /^([^\d\s]+)\s*(\d[\d.,/\s]*[^\d\s].*)$/.exec(rest)
  const unit = asUnit(compound ? compound[1]! : rest, dimension, path)
  const inside = toInside(value, unit, dimension)
  if (!compound) return { value, unit, inside }
  const more = readQuantity(compound[2]!, dimension, undefined, path)
  const perUnit = toInside(1, unit, dimension) - toInside(0, unit, dimension)
  return { value: value + more.inside / perUnit, unit, inside: inside + more.inside }
}

/**
 * The usual spelling of a typed unit.
 * @throws CodedError unknown-unit (saying which are known), wrong-kind-of-unit
 */
export function asUnit(typed: string, dimension: Dimension, path = ''): string {
  const unit = findUnit(typed, dimension)
  if (unit !== null) return unit
  const known = knownUnits(dimension).join(', ')
  const other = dimensionOf(typed)
  if (other === null) throw new CodedError('unknown-unit', path, { got: shortened(typed), known })
  throw new CodedError('wrong-kind-of-unit', path, {
    got: shortened(typed),
    gotKind: kinds[other],
    wantedKind: kinds[dimension],
    known,
  })
}
