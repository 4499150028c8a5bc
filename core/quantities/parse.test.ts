import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import { sayError } from '../messages'
import { parseMoney, showMoney } from './money'
import { parseQuantity } from './parse'
import { fromInside, knownUnits, toInside, type Dimension } from './units'

const inside = (text: string, dimension: Dimension, fallback?: string) =>
  parseQuantity(text, dimension, fallback).inside
const failure = (text: string, dimension: Dimension) => {
  try {
    parseQuantity(text, dimension)
  } catch (error) {
    return error as CodedError
  }
  throw new Error('expected an error')
}

describe('what people type', () => {
  it.each([
    ['9.5 kgf', 'force', 93.163175], ['6,5 lb', 'force', 28.913440499], ['2 1/2 in', 'length', 63.5], ['2½"', 'length', 63.5],
    ['½ in', 'length', 12.7], ['1/4 inch', 'length', 6.35], ['12MM', 'length', 12], ['1.250,5 g', 'mass', 1.2505], ['1,250.5 g', 'mass', 1.2505],
    ['1 kg 250 g', 'mass', 1.25], ['5 ft 3 in', 'length', 1600.2], ['3 lb 4 oz', 'mass', 1.474175],
    ['-5 °C', 'temperature', -5], ['−5 C', 'temperature', -5], ['122 °F', 'temperature', 50], ['1 h 30 min', 'time', 5400],
    ['2 l', 'volume', 2], ['500ml', 'volume', 0.5], ['0,250 kg', 'mass', 0.25], ['1e3 N', 'force', 1000], ['.5 kg', 'mass', 0.5], ['40 cm2', 'area', 4000],
    ['90 deg', 'angle', 90], ['3kg', 'force', 29.41995],
  ] as const)('%s', (text, dimension, expected) => expect(inside(text, dimension)).toBeCloseTo(expected, 6)) // prettier-ignore

  it('takes the field’s own unit for a bare number, and keeps what was typed', () => {
    expect(parseQuantity('12', 'length', 'mm')).toEqual({ value: 12, unit: 'mm', inside: 12 })
    expect(parseQuantity('6,5 lb', 'force').value).toBe(6.5)
    expect(parseQuantity('6,5 lb', 'force').unit).toBe('lb')
  })

  it('says which units are known when one is not, and when it is of another kind', () => {
    expect(failure('5 stones', 'force').code).toBe('unknown-unit')
    expect(sayError(failure('5 stones', 'force'))).toMatch(/stones.*Known units: N, kN/)
    expect(sayError(failure('5 litres', 'force'))).toMatch(/measures a volume, but a force is needed/)
    expect(sayError(failure('heavy', 'mass'))).toMatch(/such as 3 kg; got “heavy”/)
    expect(sayError(failure('7', 'mass'))).toMatch(/Known units: kg, g, lb/)
  })

  it('refuses a number that can be read in two ways', () => {
    expect(sayError(failure('1,250 g', 'mass'))).toBe('“1,250 g” can be read in two ways. Write 1250 or 1.250.')
    expect(failure('1,2,3 g', 'mass').code).toBe('not-a-number')
    expect(failure('1/0 in', 'length').code).toBe('not-a-number')
  })

  it('comes back from every unit', () => {
    const dimensions: Dimension[] = [
      'force',
      'mass',
      'volume',
      'length',
      'area',
      'time',
      'temperature',
      'angle',
      'torque',
    ]
    fc.assert(
      fc.property(
        fc.constantFrom(...dimensions),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (dimension, value) => {
          for (const unit of knownUnits(dimension))
            expect(fromInside(toInside(value, unit, dimension), unit, dimension)).toBeCloseTo(value, 6)
        },
      ),
    )
  })

  it('never throws anything but a coded error', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          expect(Number.isFinite(parseQuantity(text, 'force', 'N').inside)).toBe(true)
        } catch (error) {
          expect(error).toBeInstanceOf(CodedError)
        }
      }),
    )
  })

  it('reads and shows money', () => {
    expect(parseMoney('0,40 €')).toBe(0.4)
    expect(parseMoney('£3')).toBe(3)
    expect(showMoney(12)).toBe('12.00')
    expect(showMoney(0.0123)).toBe('0.012')
    expect(() => parseMoney('-3')).toThrow(CodedError)
  })
})
