import { describe, expect, it } from 'vitest'
import { DAY_MS, dayOf, daysUntil, endOfDay, noonOf, startOfDay } from './days'

const at = (text: string) => new Date(text).getTime()

describe('a calendar day', () => {
  it('begins and ends by the clock on the wall, and is found again from any time in it', () => {
    expect(startOfDay('2026-12-12')).toBe(new Date(2026, 11, 12).getTime())
    expect(noonOf('2026-12-12')).toBe(new Date(2026, 11, 12, 12).getTime())
    expect(endOfDay('2026-12-12')).toBe(new Date(2026, 11, 13).getTime() - 1)
    for (const time of [startOfDay, noonOf, endOfDay]) expect(dayOf(time('2026-12-12'))).toBe('2026-12-12')
    expect(dayOf(endOfDay('2026-12-12') + 1)).toBe('2026-12-13')
    expect(dayOf(startOfDay('2027-01-01') - 1)).toBe('2026-12-31')
  })

  it('is so many days away as a wall calendar counts them, whatever the hour', () => {
    expect(daysUntil('2026-12-12', at('2026-12-12T00:01'))).toBe(0)
    expect(daysUntil('2026-12-12', at('2026-12-12T23:59'))).toBe(0)
    expect(daysUntil('2026-12-12', at('2026-12-11T23:59'))).toBe(1)
    expect(daysUntil('2026-12-12', at('2026-12-13T00:01'))).toBe(-1)
    expect(daysUntil('2027-03-01', at('2027-02-01T18:00'))).toBe(28)
    expect(daysUntil('2028-03-01', at('2028-02-01T18:00'))).toBe(29)
  })

  it('counts on where the clock is put forward or back', () => {
    let day = '2026-01-01'
    for (let n = 0; n < 365; n++) {
      expect(daysUntil(day, noonOf('2026-01-01'))).toBe(n)
      day = dayOf(noonOf(day) + DAY_MS)
    }
    expect(day).toBe('2027-01-01')
  })
})
