import { CodedError } from '../errors'
import { parseNumber } from './parse'

/**
 * An amount of money as typed ("0.40", "0,40 €", "£3"), without judging the currency: a bench has one.
 * @throws CodedError not-a-number, negative
 */
export function parseMoney(text: string, path = ''): number {
  const { value } = parseNumber(text.replace(/[^\d.,'’/\s+−-]/g, ''), path, '0.40')
  if (value < 0) throw new CodedError('negative', path, { field: 'A price', got: value })
  return value
}

/** Two decimals, or three significant ones below ten cents, so that a cheap joint does not read 0.00. */
export function showMoney(amount: number, currency = ''): string {
  const size = Math.abs(amount)
  const digits =
    amount !== 0 && size < 0.01 ? '< 0.01' : amount !== 0 && size < 0.1 ? amount.toPrecision(2) : amount.toFixed(2)
  return currency ? `${digits} ${currency}` : digits
}
