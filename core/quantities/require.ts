import { CodedError } from '../errors'

type Given = number | null | undefined

/** A field that must be there and more than zero. @throws CodedError missing, not-a-number, not-positive */
export function positive(value: Given, path: string, field: string, purpose: string): number {
  if (value === null || value === undefined) throw new CodedError('missing', path, { field, purpose })
  if (!Number.isFinite(value))
    throw new CodedError('not-a-number', path, { wanted: 'a number', got: String(value), example: '12.5' })
  if (value <= 0) throw new CodedError('not-positive', path, { field, got: value })
  return value
}

/** A field that must be there and not below zero. @throws CodedError missing, not-a-number, negative */
export function notNegative(value: Given, path: string, field: string, purpose: string): number {
  if (value === null || value === undefined) throw new CodedError('missing', path, { field, purpose })
  if (!Number.isFinite(value))
    throw new CodedError('not-a-number', path, { wanted: 'a number', got: String(value), example: '12.5' })
  if (value < 0) throw new CodedError('negative', path, { field, got: value })
  return value
}

/** A field that must lie between two values. @throws CodedError not-a-number, out-of-range */
export function within(value: number, low: number, high: number, path: string, field: string, unit: string): number {
  if (!Number.isFinite(value))
    throw new CodedError('not-a-number', path, { wanted: 'a number', got: String(value), example: '12.5' })
  if (value < low || value > high)
    throw new CodedError('out-of-range', path, { field, low, high: `${high} ${unit}`, got: `${value} ${unit}` })
  return value
}
