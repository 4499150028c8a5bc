import { describe, expect, it } from 'vitest'
import { emptyBench } from './emptyBench'
import { schemas } from './schemas'

const taken = (parts: object) => schemas.bench.safeParse({ ...emptyBench('me', 'Bench', 1), ...parts }).success

describe('a bench', () => {
  it('is taken as it begins', () => {
    expect(taken({})).toBe(true)
  })
  it('stands in a room that people work in', () => {
    const room = (tempC: number, rh: number) => taken({ room: { tempC, rh, at: 1_800_000_000_000 } })
    for (const [tempC, rh] of [
      [-30, 0],
      [60, 100],
      [17.5, 58],
    ] as const)
      expect(room(tempC, rh)).toBe(true)
    for (const [tempC, rh] of [
      [-30.1, 50],
      [60.1, 50],
      [20, -0.1],
      [20, 100.1],
      [NaN, 50],
    ] as const)
      expect(room(tempC, rh)).toBe(false)
  })
})
