import { CodedError } from '../errors'
import { digitsOf } from './figure'

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

/** Nobody types a longer number; what is longer was pasted by mistake. */
const LONGEST = 60
/** What a plain number may be when a field says nothing else. */
export const MOST = 1e9
/** Closer to nothing than any quantity at a bench: a slip of the keyboard, not a zero. */
const LEAST_SIZE = 1e-6

export const shortened = (text: string) => {
  const bare = text.trim()
  return bare.length > 40 ? `${bare.slice(0, 40)}…` : bare || 'nothing'
}

const MIXED = /(\d+)\s+(\d+)\s*\/\s*(\d+)/
const FRACTION = /(\d+)\s*\/\s*(\d+)/
const PLAIN = /(\d{1,3}(?:[ '’]\d{3})+(?!\d)(?:[.,]\d+)?|\d[\d,.]*(?:e[+-]?\d+)?|[.,]\d+)/
const NUMBER = new RegExp(`^([+\\-−]?)\\s*(?:${MIXED.source}|${FRACTION.source}|${PLAIN.source})`, 'i')

/** What an error says was expected. */
interface Wanted {
  wanted: string
  example: string
}
/**
 * The number that a text begins with, and what stands after it, trimmed.
 * @throws CodedError not-a-number, ambiguous-number
 */
export function beginning(text: string, path: string, wanted: Wanted): { value: number; rest: string } {
  const no = () => new CodedError('not-a-number', path, { got: shortened(text), ...wanted })
  if (text.length > LONGEST) throw no()
  const plain = text
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${vulgar[sign]!}`)
    .trim()
  const match = NUMBER.exec(plain)
  if (!match) throw no()
  const [whole, sign, mixed, over, under, top, bottom, digits] = match
  const rest = plain.slice(whole.length).trim()
  let value: number
  if (mixed !== undefined) value = Number(mixed) + Number(over) / Number(under)
  else if (top !== undefined) value = Number(top) / Number(bottom)
  else value = readDigits(digits!, text, path)
  if (!Number.isFinite(value)) throw no()
  return { value: sign === '-' || sign === '−' ? 0 - value : value, rest }
}

/** Groups of three with one sign between them, and a decimal part behind the other sign. */
const grouped = (text: string, thousands: string, decimal: string): number => {
  const [whole = '', part, ...more] = text.split(decimal)
  const groups = whole.split(thousands)
  const right = groups.slice(1).every((group) => /^\d{3}$/.test(group)) && /^\d{1,3}$/.test(groups[0]!)
  return right && more.length === 0 && (part === undefined || /^\d+$/.test(part))
    ? Number(`${groups.join('')}.${part ?? '0'}`)
    : NaN
}

/** NaN for digits that are no number. @throws CodedError ambiguous-number */
function readDigits(digits: string, text: string, path: string): number {
  const between = /[ '’]/.exec(digits)?.[0]
  if (between) return grouped(digits.replace(',', '.'), between, '.')
  const comma = digits.lastIndexOf(',')
  const point = digits.lastIndexOf('.')
  // Both: the later one is the decimal sign.
  if (comma >= 0 && point >= 0) return comma > point ? grouped(digits, '.', ',') : grouped(digits, ',', '.')
  if (digits.split(',').length > 2) return grouped(digits, ',', '.')
  if (digits.split('.').length > 2) return grouped(digits, '.', ',')
  if (/^[1-9]\d{0,2},\d{3}$/.test(digits))
    throw new CodedError('ambiguous-number', path, {
      got: shortened(text),
      whole: digits.replace(',', ''),
      decimal: digits.replace(',', '.'),
    })
  return Number(digits.replace(',', '.'))
}

/** Two marks, or one before exactly three digits: another maker would read another number. */
const TWO_WAYS = /^[+\-−]?[1-9]\d{0,2}(?:[.,'’ \u00a0\u202f]\d{3})+(?!\d)(?:[.,]\d+)?/

/**
 * What is made of a number that can be read in two ways: "1.250 kg" begins with 1.25, "1.250,5" with 1250.5; "1,250" is
 * taken for neither.
 * @returns null where there is one way only, or no number
 */
export function understood(text: string): { as: number } | { either: [whole: string, decimal: string] } | null {
  const begins = TWO_WAYS.exec(text.trim())
  if (!begins) return null
  try {
    return { as: beginning(text, '', { wanted: '', example: '' }).value }
  } catch (error) {
    if (!(error instanceof CodedError) || error.code !== 'ambiguous-number') return null
    return { either: [String(error.facts['whole']), String(error.facts['decimal'])] }
  }
}

export interface NumberField {
  /** the field as an error names it, for programs and for people */
  path?: string
  field?: string
  example?: string
  least?: number
  most?: number
  /** only whole numbers */
  whole?: boolean
  /** a word that may stand after the number: "cycles", "%" */
  unit?: string
}

/**
 * A plain number as people write it: "6,5", "2 1/2", "½", "1e3", "1 000", "1,250.5". A single comma before exactly
 * three digits ("1,250") is refused, since it is 1250 to one maker and 1.25 to another; so is anything behind the
 * number.
 * @param of bounds (default ±1e9), and how an error names the field
 * @throws CodedError not-a-number, ambiguous-number, rest-not-read, out-of-range, not-whole
 */
export function parseNumber(text: string, of: NumberField = {}): number {
  const { path = '', field = 'The number', least = -MOST, most = MOST, whole = false, unit } = of
  const { example = whole ? '12' : '12.5' } = of
  const wanted = whole ? 'a whole number' : 'a number'
  const { value, rest } = beginning(text, path, { wanted, example })
  if (rest !== '' && rest.toLowerCase() !== unit?.toLowerCase())
    throw new CodedError('rest-not-read', path, { got: shortened(text), rest: shortened(rest), example })
  checkBounds(value, { least, most }, path, field)
  if (whole && !Number.isInteger(value)) throw new CodedError('not-whole', path, { field, got: digitsOf(value) })
  return value
}

export function checkBounds(
  value: number,
  { least, most }: { least: number; most: number },
  path: string,
  field: string,
) {
  const tiny = value !== 0 && Math.abs(value) < LEAST_SIZE
  if (value < least || value > most || tiny)
    throw new CodedError('out-of-range', path, {
      field,
      low: digitsOf(tiny ? Math.max(LEAST_SIZE, least) : least),
      high: digitsOf(most),
      got: tiny ? 'a number closer to 0' : digitsOf(value),
    })
}
