import { describe, expect, it } from 'vitest'
import { parseNumber } from './parseNumber'
import { understood } from './parseNumber'

describe('a number that can be read in two ways', () => {
  it.each([
    ['1.250', 1.25],
    ['1.250 kg', 1.25],
    ['-12.500', -12.5],
    ['1.250,5', 1250.5],
    ['1,250.5', 1250.5],
    ['1 000', 1000],
    ['1’000 mm', 1000],
    ['1,000,000', 1_000_000],
  ])('%s is said to be read as %d, and is', (text, as) => {
    expect(understood(text)).toEqual({ as })
    if (!/[a-z]/.test(text)) expect(parseNumber(text)).toBe(as)
  })

  it('a comma before three digits is taken for neither', () => {
    expect(understood('1,250 kg')).toEqual({ either: ['1250', '1.250'] })
    expect(() => parseNumber('1,250')).toThrow('ambiguous-number')
  })

  it.each(['', '12', '6,5', '0.25', '12.5 kg', '1.25', '1234.567', 'a note of 1.250', '2026-11-27', '5 250'])(
    '%s is read in one way only, or is none of this',
    (text) => {
      const read = understood(text)
      if (text === '5 250') expect(read).toEqual({ as: 5250 })
      else expect(read).toBeNull()
    },
  )
})
