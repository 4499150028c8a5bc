import { describe, expect, it } from 'vitest'
import { evenly, useDrawnInPart } from './drawInPart'

const numbers = (count: number) => Array.from({ length: count }, (_, i) => i)

describe('long lists', () => {
  it('are drawn in part until the rest is asked for', () => {
    const { shown, rest, whole } = useDrawnInPart(() => numbers(20_000), 20)
    expect([shown.value.length, rest.value]).toEqual([20, 19_980])
    whole.value = true
    expect([shown.value.length, rest.value]).toEqual([20_000, 0])
    expect(useDrawnInPart(() => numbers(3), 20)).toMatchObject({ shown: { value: [0, 1, 2] }, rest: { value: 0 } })
  })
  it('are thinned evenly, first and last kept, none twice', () => {
    expect(evenly(numbers(9), 5)).toEqual([0, 2, 4, 6, 8])
    expect(evenly(numbers(5), 5)).toEqual([0, 1, 2, 3, 4])
    const thin = evenly(numbers(20_000), 120)
    expect([thin.length, thin[0], thin.at(-1), new Set(thin).size]).toEqual([120, 0, 19_999, 120])
  })
})
