import { describe, expect, it } from 'vitest'
import { currencyHere } from './currencyHere'

describe('the currency of a new bench', () => {
  it.each([
    ['en-US', 'USD'],
    ['en-GB', 'GBP'],
    ['de-CH', 'CHF'],
    ['fr-CA', 'CAD'],
    ['de', 'EUR'],
    ['ja', 'JPY'],
    ['es-419', 'EUR'],
    ['', 'EUR'],
    ['not a tag', 'EUR'],
  ])('in %s is %s', (language, currency) => expect(currencyHere(language)).toBe(currency))
})
