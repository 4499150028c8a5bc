import { CodedError } from '../errors'
import { dimensionOf, findUnit, knownUnits, toInside, type Dimension } from './units'

export interface Quantity {
  /** as typed, in `unit` */
  value: number
  unit: string
  /** in the unit inside: N, kg, l, mm, mm², s, °C, ° */
  inside: number
}

const examples: Record<Dimension, string> = {
  force: '9.5 kgf', mass: '3 kg', volume: '2.5 l', length: '2 1/2 in', area: '40 cm²',
  time: '20 min', temperature: '50 °C', angle: '45°', torque: '0.4 N·m',
} // prettier-ignore
const kinds: Record<Dimension, string> = {
  force: 'a force', mass: 'a mass', volume: 'a volume', length: 'a length', area: 'an area',
  time: 'a time', temperature: 'a temperature', angle: 'an angle', torque: 'a turning moment',
} // prettier-ignore
const vulgar: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const NUMBER = /^([+\-−]?)\s*(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d[\d,.'’]*(?:e[+-]?\d+)?|[.,]\d+))/i

/**
 * A plain number as people write it: "6,5", "2 1/2", "½", "1e3", "1,250.5". A single comma before exactly three digits
 * ("1,250") is refused, since it is 1250 to one maker and 1.25 to another.
 * @returns the number and what stands after it, trimmed
 * @throws CodedError not-a-number, ambiguous-number
 */
export function parseNumber(text: string, path = '', example = '12.5'): { value: number; rest: string } {
  const plain = text
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${vulgar[sign]!}`)
    .trim()
  const match = NUMBER.exec(plain)
  if (!match) throw new CodedError('not-a-number', path, { got: text.trim() || 'nothing', example })
  const [whole, sign, mixed, over, under, top, bottom, digits] = match
  const rest = plain.slice(whole.length).trim()
  let value: number
  if (mixed !== undefined) value = Number(mixed) + Number(over) / Number(under)
  else if (top !== undefined) value = Number(top) / Number(bottom)
  else value = readDigits(digits!, text, path, example)
  if (!Number.isFinite(value)) throw new CodedError('not-a-number', path, { got: text.trim(), example })
  return { value: sign === '-' || sign === '−' ? -value : value, rest }
}

function readDigits(digits: string, text: string, path: string, example: string): number {
  const bare = digits.replace(/['’]/g, '')
  const comma = bare.lastIndexOf(',')
  const point = bare.lastIndexOf('.')
  if (comma >= 0 && point >= 0) {
    // Both: the later one is the decimal sign.
    const [thousands, decimal] = comma > point ? ['.', ','] : [',', '.']
    return Number(bare.split(thousands).join('').replace(decimal, '.'))
  }
  const commas = bare.split(',').length - 1
  if (commas > 1) return Number(/^\d{1,3}(,\d{3})+$/.test(bare) ? bare.split(',').join('') : NaN)
  if (commas === 1 && /^[1-9]\d{0,2},\d{3}$/.test(bare))
    throw new CodedError('ambiguous-number', path, {
      got: text.trim(),
      whole: bare.replace(',', ''),
      decimal: bare.replace(',', '.'),
    })
  const value = Number(bare.replace(',', '.'))
  if (Number.isNaN(value)) throw new CodedError('not-a-number', path, { got: text.trim(), example })
  return value
}

/**
 * What a maker typed ("9.5 kgf", "6,5 lb", "2 1/2 in", "1 kg 250 g") as a quantity of one dimension.
 * @param fallback the unit when only a number was typed; without it a bare number is refused with the known units
 * @throws CodedError not-a-number, ambiguous-number, unknown-unit, wrong-kind-of-unit
 */
export function parseQuantity(text: string, dimension: Dimension, fallback?: string, path = ''): Quantity {
  const { value, rest } = parseNumber(text, path, examples[dimension])
  const known = knownUnits(dimension).join(', ')
  if (rest === '') {
    if (fallback === undefined) throw new CodedError('unknown-unit', path, { got: 'none', known })
    return { value, unit: fallback, inside: toInside(value, fallback, dimension) }
  }
  const compound = /^([^\d\s]+)\s*(\d[\d.,/\s]*[^\d\s].*)$/.exec(rest)
  const unit = asUnit(compound ? compound[1]! : rest, dimension, path)
  const inside = toInside(value, unit, dimension)
  if (!compound) return { value, unit, inside }
  const more = parseQuantity(compound[2]!, dimension, undefined, path)
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
  if (other === null) throw new CodedError('unknown-unit', path, { got: typed.trim(), known })
  throw new CodedError('wrong-kind-of-unit', path, {
    got: typed.trim(),
    gotKind: kinds[other],
    wantedKind: kinds[dimension],
    known,
  })
}
