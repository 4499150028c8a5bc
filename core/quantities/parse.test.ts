import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import { sayError } from '../messages'
import { parseMoney } from './parseMoney'
import { showMoney } from './money'
import { digitsOf } from './figure'
import { parseQuantity, parseSeconds } from './parse'
import { parseNumber } from './parseNumber'
import { fromInside, knownUnits, toInside, type Dimension } from './units'

const inside = (text: string, dimension: Dimension, fallback?: string) =>
  parseQuantity(text, dimension, fallback).inside
const failureOf = (read: () => unknown) => {
  try {
    read()
  } catch (error) {
    if (error instanceof CodedError) return error
    throw error
  }
  throw new Error('expected an error')
}
const failure = (text: string, dimension: Dimension) => failureOf(() => parseQuantity(text, dimension))

describe('what people type', () => {
  it.each([
    ['9.5 kgf', 'force', 93.163175],
    ['6,5 lb', 'force', 28.913440499],
    ['2 1/2 in', 'length', 63.5],
    ['2½"', 'length', 63.5],
    ['½ in', 'length', 12.7],
    ['1/4 inch', 'length', 6.35],
    ['12MM', 'length', 12],
    ['1.250,5 g', 'mass', 1.2505],
    ['1,250.5 g', 'mass', 1.2505],
    ['1 kg 250 g', 'mass', 1.25],
    ['5 ft 3 in', 'length', 1600.2],
    [`5' 3"`, 'length', 1600.2],
    ['3 lb 4 oz', 'mass', 1.474175],
    ['-5 °C', 'temperature', -5],
    ['−5 C', 'temperature', -5],
    ['122 °F', 'temperature', 50],
    ['1 h 30 min', 'time', 5400],
    ['2 l', 'volume', 2],
    ['500ml', 'volume', 0.5],
    ['0,250 kg', 'mass', 0.25],
    ['1e3 N', 'force', 1000],
    ['.5 kg', 'mass', 0.5],
    ['40 cm2', 'area', 4000],
    ['90 deg', 'angle', 90],
    ['3kg', 'force', 29.41995],
  ] as const)('%s', (text, dimension, expected) => expect(inside(text, dimension)).toBeCloseTo(expected, 6))

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

  it.each([
    ['1 000', 1000],
    ['1 000,5', 1000.5],
    ["1'250", 1250],
    ['1.250.000', 1250000],
    ['1,250,000', 1250000],
    ['1,250.5', 1250.5],
    ['2 1/2', 2.5],
    ['−7', -7],
    ['1e3', 1000],
    ['.5', 0.5],
    ['0', 0],
  ] as const)('the number %s', (text, expected) => expect(parseNumber(text)).toBe(expected))

  it.each([
    ['1,234', 'ambiguous-number'],
    ['5 kg', 'rest-not-read'],
    ['5 valueOf', 'rest-not-read'],
    ['1 00', 'rest-not-read'],
    ["1'0", 'rest-not-read'],
    ['1.2,3.4', 'not-a-number'],
    ['12 apples', 'rest-not-read'],
    ['1.2,3', 'not-a-number'],
    ['0x10', 'rest-not-read'],
    ['1e400', 'not-a-number'],
    ['1e-320', 'out-of-range'],
    ['1e10', 'out-of-range'],
    ['NaN', 'not-a-number'],
    ['Infinity', 'not-a-number'],
    ['', 'not-a-number'],
    ['٣', 'not-a-number'],
    ['1/0', 'not-a-number'],
    ['1'.repeat(80), 'not-a-number'],
    ['--5', 'not-a-number'],
    ['1/2 1/2', 'rest-not-read'],
  ] as const)('refuses %s as a number', (text, code) => expect(failureOf(() => parseNumber(text)).code).toBe(code))

  it('keeps a number within its field, and a word behind it when the field has that unit', () => {
    expect(parseNumber('55 %', { unit: '%', least: 0, most: 100 })).toBe(55)
    expect(sayError(failureOf(() => parseNumber('140', { field: 'Humidity', least: 0, most: 100 })))).toBe(
      'Humidity must lie between 0 and 100; got 140.',
    )
    expect(failureOf(() => parseNumber('2.5', { whole: true })).code).toBe('not-whole')
    expect(sayError(failureOf(() => parseQuantity('1e308 kN', 'force')))).toMatch(/must lie between|such as/)
    expect(failureOf(() => parseQuantity('5 toString', 'force')).code).toBe('unknown-unit')
    expect(failureOf(() => parseQuantity('5 valueOf', 'mass', 'kg')).code).toBe('unknown-unit')
    expect(failureOf(() => parseQuantity('-5 N', 'force')).code).toBe('out-of-range')
    expect(parseQuantity('2 daN', 'force').inside).toBe(20)
    expect(parseQuantity('300 kPa', 'strength').inside).toBeCloseTo(0.3, 12)
  })

  it('gives back as typed what it takes, or a sentence (property)', () => {
    const typed = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.stringMatching(/^[-+ ]?[0-9.,' ]{1,9}(e[0-9+-]{1,4})?( ?[a-zN%/²]{0,4})?$/),
    )
    fc.assert(
      fc.property(typed, (text) => {
        try {
          const value = parseNumber(text)
          expect(Number.isFinite(value)).toBe(true)
          expect(String(value)).not.toMatch(/e/)
          // Its digits, as they were typed, are the number's: nothing before, between or behind them was passed over.
          expect(parseNumber(digitsOf(value))).toBe(value)
          if (/^\d+$/.test(text)) expect(value).toBe(Number(text))
          expect(text.replace(/[\s\d.,'’+\-−/e½¼¾⅓⅔⅛⅜⅝⅞\u00a0\u202f\u2009]/gi, '')).toBe('')
        } catch (error) {
          if (!(error instanceof CodedError)) throw error
          if (!/undefined|NaN/.test(text)) expect(sayError(error)).not.toMatch(/undefined|NaN/)
        }
      }),
      { numRuns: 3000 },
    )
  })

  it('says what was wanted: with a unit or without, whole or not, and what is too close to nothing', () => {
    const said = (make: () => unknown) => sayError(failureOf(make))
    expect(said(() => parseQuantity('heavy', 'force'))).toBe(
      'Expected a number with its unit, such as 9.5 kgf; got “heavy”.',
    )
    expect(said(() => parseNumber('many'))).toBe('Expected a number, such as 12.5; got “many”.')
    expect(said(() => parseNumber('many', { whole: true }))).toBe('Expected a whole number, such as 12; got “many”.')
    for (const text of ['1e-320', '0.0000001', '-1e-9'])
      expect(said(() => parseNumber(text))).toBe(
        'The number must lie between 0.000001 and 1000000000; got a number closer to 0.',
      )
  })

  it('reads a time in whole seconds, minutes where no unit is typed, and none that no clock shows', () => {
    for (const [text, seconds] of [
      ['20', 1200],
      ['1 h 30 min', 5400],
      ['0', 0],
      ['0.6 s', 1],
      ['2.4 s', 2],
    ] as const)
      expect(parseSeconds(text)).toBe(seconds)
    expect(sayError(failureOf(() => parseSeconds('0.4 s')))).toMatch(
      /^A time, in s, must lie between 1 and .*got 0.4 s/,
    )
    expect(() => parseSeconds('0.000001 day')).toThrow(CodedError)
  })

  it('reads and shows money', () => {
    expect(parseMoney('0,40 €')).toBe(0.4)
    expect(parseMoney('£3')).toBe(3)
    expect(showMoney(12)).toBe('12.00')
    expect(showMoney(0.0123)).toBe('0.012')
    expect(() => parseMoney('-3')).toThrow(CodedError)
    expect(parseMoney('1 000')).toBe(1000)
    expect(parseMoney('EUR 12,50')).toBe(12.5)
    expect(parseMoney('12.50 kr')).toBe(12.5)
    for (const text of ['1e9 and 10', '5 kg', '1,234', '12 quid', '3 € 4', '£'])
      expect(() => parseMoney(text)).toThrow(CodedError)
  })
})
