import { parseNumber } from './parseNumber'

/** A currency before or after the amount: a sign, three capitals such as EUR, or a usual short word. */
const CURRENCY = String.raw`(?:\p{Sc}|[A-Z]{3}|kr\.?|zł|Kč|Fr\.?)`
const BEFORE = new RegExp(`^${CURRENCY}\\s*`, 'u')
const AFTER = new RegExp(`\\s*${CURRENCY}$`, 'u')

/**
 * An amount of money as typed ("0.40", "0,40 €", "£3", "1 000"), without judging the currency: a bench has one.
 * @throws CodedError not-a-number, ambiguous-number, rest-not-read, out-of-range
 */
export const parseMoney = (text: string, path = ''): number =>
  parseNumber(text.trim().replace(BEFORE, '').replace(AFTER, ''), {
    path,
    field: 'A price',
    example: '0.40',
    least: 0,
    most: 1e7,
  })
