import { describe, expect, it } from 'vitest'
import { readingSchema } from './reading'

/** Whether a pull with these parts may be kept. */
const kept = (parts: object) =>
  readingSchema.safeParse({
    ...{
      id: 'x1',
      coupon: 'c1',
      at: 1_800_000_000_000,
      size: {},
      early: null,
      note: '',
      setAside: null,
      corrected: [],
    },
    ...{ raw: { way: 'none' }, outcome: { end: 'held' } },
    ...parts,
  }).success
const raw = (value: object) => kept({ raw: value })

describe('a count of what was lost', () => {
  const losses = (before: number, after: number) => raw({ way: 'losses', before, after })
  it('has no more left than there were, and there were some', () => {
    expect(losses(40, 37)).toBe(true)
    expect(losses(40, 40)).toBe(true)
    expect(losses(1, 0)).toBe(true)
    expect(losses(40, 41)).toBe(false)
    expect(losses(0, 0)).toBe(false)
    expect(losses(40, -1)).toBe(false)
    expect(losses(100_000, 0)).toBe(true)
    expect(losses(100_001, 0)).toBe(false)
    expect(losses(2.5, 1)).toBe(false)
  })
})

describe('weights by steps, and pulls by hand', () => {
  it('let go above what held', () => {
    const steps = (held: number, broke: number | null) => raw({ way: 'steps', held, broke, unit: 'kg', tareKg: 0 })
    expect(steps(3, 4)).toBe(true)
    expect(steps(3, null)).toBe(true)
    expect(steps(3, 3)).toBe(false)
    expect(steps(4, 3)).toBe(false)
  })
  it('lie between a lower and an upper load, or between none', () => {
    const hands = (lowN: number | null, highN: number | null) => raw({ way: 'hands', rung: 'one-hand', lowN, highN })
    expect(hands(40, 60)).toBe(true)
    expect(hands(40, null)).toBe(true)
    expect(hands(null, null)).toBe(true)
    expect(hands(null, 60)).toBe(false)
    expect(hands(60, 60)).toBe(false)
  })
})

describe('a face that was painted', () => {
  const painted = (columns: number, rows: number, cells: string) =>
    kept({
      outcome: {
        end: 'broke',
        places: { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 },
        painted: { columns, rows, cells },
      },
    })
  it('has a known letter for every cell', () => {
    expect(painted(3, 2, 'Aag.Bw')).toBe(true)
    expect(painted(3, 2, 'Aag.B')).toBe(false)
    expect(painted(3, 2, 'Aag.BwA')).toBe(false)
    expect(painted(3, 2, 'Aag.Bx')).toBe(false)
    expect(painted(50, 50, 'g'.repeat(2500))).toBe(true)
    expect(painted(51, 50, 'g'.repeat(2550))).toBe(false)
  })
})

describe('where it let go', () => {
  const broke = (tornA: number, offA: number, glue: number, offB: number, tornB: number) =>
    kept({ outcome: { end: 'broke', places: { tornA, offA, glue, offB, tornB } } })
  it('adds up to a hundred, but for what rounding takes or gives', () => {
    expect(broke(20, 20, 20, 20, 20)).toBe(true)
    expect(broke(0, 0, 100, 0, 0)).toBe(true)
    expect(broke(33.3, 33.3, 33.3, 0, 0)).toBe(true)
    expect(broke(0, 33.5, 67, 0, 0)).toBe(true)
    expect(broke(0, 33.6, 67, 0, 0)).toBe(false)
    expect(broke(10, 10, 10, 10, 59.4)).toBe(false)
    for (const at of [0, 1, 2, 3, 4]) {
      const places = [0, 0, 0, 0, 0]
      places[at] = 100
      expect(broke(...(places as [number, number, number, number, number]))).toBe(true)
      places[at] = 92
      expect(broke(...(places as [number, number, number, number, number]))).toBe(false)
    }
    expect(broke(-10, 110, 0, 0, 0)).toBe(false)
  })
})
