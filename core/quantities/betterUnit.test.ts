import { describe, expect, it } from 'vitest'
import { inBetterUnit, measured, measuredAlike } from './betterUnit'
import { parseQuantity } from './parse'

describe('a figure in the unit in which it reads best', () => {
  it.each([
    [0.00919, 'MPa', '9.19 kPa'],
    [0.0883, 'MPa', '0.088 MPa'],
    [0.01, 'MPa', '0.010 MPa'],
    [12_500, 'MPa', '12.5 GPa'],
    [0.004, 'N/mm', '4.00 N/m'],
    [0.35, 'N/mm', '0.35 N/mm'],
    [0.002, 'N', '2.00 mN'],
    [9999, 'N', '9999 N'],
    [12_000, 'N', '12.0 kN'],
    [0.003, 'kg', '3.00 g'],
    [0, 'MPa', '0 MPa'],
    [0.005, 'cycles', '0.0050 cycles'],
  ])('%s %s is %s', (value, unit, said) => expect(measured(value, unit)).toBe(said))
  it('says the same as the field that takes it', () => {
    for (const value of [0.00919, 0.0001, 0.5]) {
      const better = inBetterUnit(value, 'MPa')
      const typed = `${better.value} ${better.unit}`
      expect(parseQuantity(typed, 'strength', 'MPa').inside).toBeCloseTo(value, 12)
    }
  })
  it('goes on to the next unit where one is not enough', () => {
    expect(inBetterUnit(0.0000001, 'MPa')).toEqual({ value: expect.closeTo(0.1, 9) as number, unit: 'Pa' })
    expect(measured(0.0000095, 'N')).toBe('9.50 µN')
    expect(measured(160_000, 'mm²')).toBe('1600 cm²')
    expect(measured(15_000, 'N·mm')).toBe('15.0 N·m')
    expect(measured(0.004, 'kgf')).toBe('4.00 gf')
    expect(measured(0.0055, 'g')).toBe('5.50 mg')
  })
  it('takes one unit for figures that are compared: that of the smallest, unless the largest outgrows it', () => {
    expect(measuredAlike([0.0092, 0.3], 'N/mm')).toEqual(['9.20 N/m', '300 N/m'])
    expect(measuredAlike([0.3, 0.0092], 'N/mm')).toEqual(['300 N/m', '9.20 N/m'])
    expect(measuredAlike([0.32, 0.012], 'N/mm')).toEqual(['0.32 N/mm', '0.012 N/mm'])
    expect(measuredAlike([0.004, 0.002], 'N/mm')).toEqual(['4.00 N/m', '2.00 N/m'])
    expect(measuredAlike([5, 12_000], 'N')).toEqual(['5.00 N', '12.0 kN'])
    expect(measuredAlike([0.009, 9], 'N')).toEqual(['9.00 mN', '9000 mN'])
    expect(measuredAlike([0.009, 10], 'N')).toEqual(['9.00 mN', '10.0 N'])
    expect(measuredAlike([0.0057, 196], 'N/mm')).toEqual(['5.70 N/m', '196 N/mm'])
    expect(measuredAlike([900, 12_000], 'N')).toEqual(['0.90 kN', '12.0 kN'])
    expect(measuredAlike([49, 11_300], 'N')).toEqual(['49.0 N', '11.3 kN'])
    expect(measuredAlike([-3, 2], 'N')).toEqual(['-3.00 N', '2.00 N'])
    expect(measuredAlike([0, 0.002], 'N')).toEqual(['0 mN', '2.00 mN'])
    expect(measuredAlike([0, 0], 'N')).toEqual(['0 N', '0 N'])
  })
})
