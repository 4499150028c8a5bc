import { describe, expect, it } from 'vitest'
import { currencyHere } from './currencyHere'

describe('the currency of a new bench', () => {
  it.each([
    ['en-US', '$'],
    ['en-GB', '£'],
    ['de-CH', 'CHF'],
    ['fr-CA', '$'],
    ['de', '€'],
    ['ja', '¥'],
    ['es-419', '€'],
    ['', '€'],
    ['not a tag', '€'],
  ])('in %s is %s', (language, currency) => expect(currencyHere(language)).toBe(currency))
})
