import { digitsOf } from '../../core/quantities/figure'

/**
 * Ticks of a logarithmic axis with their whole value in words, 0.5, 1, 2, and never a lone "5": steps of 1, 2, 5 where
 * the axis is long, of every digit where it is short.
 * @param from and to of the axis, as powers of ten; at most so many decades are ticked that the words fit
 */
export function logTicks(from: number, to: number): { values: number[]; words: string[] } {
  const decades = to - from
  const steps = decades > 4 ? [1] : decades > 0.9 ? [1, 2, 5] : [1, 1.5, 2, 3, 4, 5, 6, 7, 8, 9]
  const values: number[] = []
  const apart = Math.max(1, Math.ceil(decades / 12))
  for (let power = Math.floor(from); power <= Math.ceil(to); power += apart)
    for (const step of steps) {
      const value = Number((step * 10 ** power).toPrecision(3))
      if (Math.log10(value) >= from - 1e-9 && Math.log10(value) <= to + 1e-9) values.push(value)
    }
  return { values, words: values.map(digitsOf) }
}
