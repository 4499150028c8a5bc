import { describe, expect, it } from 'vitest'
import { clockTime, countdown, dateName, dayName, momentName } from './times'

const at = (text: string) => new Date(text).getTime()

describe('times in words', () => {
  it.each([
    [-5, '00:00'],
    [252_000, '04:12'],
    [3_599_400, '59:59'],
    [3_600_000, '1 h 00'],
    [7_500_000, '2 h 05'],
    [48 * 3_600_000, '2.0 days'],
  ])('%d ms are left: %s', (ms, words) => expect(countdown(ms)).toBe(words))
  it('name a day only where it is not today, and a year only where it may be another', () => {
    const now = at('2026-11-28T10:00')
    expect(clockTime(at('2026-11-28T09:05'))).toBe('09:05')
    expect(momentName(at('2026-11-28T18:46'), now)).toBe('18:46')
    expect(momentName(at('2026-12-12T18:46'), now)).toBe('Sat 12 Dec, 18:46')
    expect(momentName(at('2027-04-17T08:00'), now)).toBe('Sat 17 Apr, 08:00')
    expect(momentName(at('2025-12-12T18:46'), now)).toBe('Fri 12 Dec 2025, 18:46')
    expect(momentName(at('2028-01-01T00:00'), now)).toBe('Sat 1 Jan 2028, 00:00')
  })
  it('name a calendar day as it stands in the calendar', () => {
    expect(dayName('2026-12-12')).toBe('Sat 12 Dec')
    expect(dateName('2026-10-19')).toBe('19 October 2026')
  })
})
