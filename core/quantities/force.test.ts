import { expect, it } from 'vitest'
import { forceAndWeight, forceWords } from './force'

// 1 kgf = 9.80665 N; 1 lbf = 0.45359237 kg × 9.80665 m/s² = 4.44822 N (ISO 80000-4 and the international pound).
it('tells a load in the unit of the maker’s scale, small and large ones in the one that reads well', () => {
  expect(forceWords(28.439)).toBe('28.4 N')
  expect(forceWords(28.439285, 'kgf')).toBe('2.90 kgf')
  expect(forceWords(4.4482216 * 6.39, 'lbf')).toBe('6.39 lbf')
  expect(forceWords(0.04, 'kgf')).toBe('4.08 gf')
  expect(forceAndWeight(9.80665)).toBe('9.81 N (1.00 kgf)')
  expect(forceAndWeight(9.80665, 'kgf')).toBe('1.00 kgf')
})
