import { describe, expect, it } from 'vitest'
import { familyOf } from '../knowledge/families'
import { packOf } from './pack'

const family = { ...familyOf('pva-white'), packSize: 100, packUnit: 'ml' as const, packPrice: 4 }

describe('the pack that is counted', () => {
  it('is the usual one of the family where there is no product', () =>
    expect(packOf(null, family)).toEqual({ packSize: 100, packUnit: 'ml', packPrice: 4 }))

  it('is the product’s, with its unit', () =>
    expect(packOf({ packSize: 250, packUnit: 'g', packPrice: 11.5 }, family)).toEqual({
      packSize: 250,
      packUnit: 'g',
      packPrice: 11.5,
    }))

  it('takes the family’s unit with the family’s size, whatever unit the product says', () =>
    expect(packOf({ packSize: null, packUnit: 'piece', packPrice: 9 }, family)).toEqual({
      packSize: 100,
      packUnit: 'ml',
      packPrice: 9,
    }))

  it('takes the family’s price where the product has none; a gift costs nothing', () => {
    expect(packOf({ packSize: 250, packUnit: 'g', packPrice: null }, family).packPrice).toBe(4)
    expect(packOf({ packSize: 250, packUnit: 'g', packPrice: 0 }, family).packPrice).toBe(0)
  })
})
