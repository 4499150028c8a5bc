import { expect, it } from 'vitest'
import { clashText } from './clashText'

it('says a pull in one line, a moment as a day, and any other field by its value', () => {
  const pull = {
    at: Date.now(),
    raw: { way: 'gauge', value: 41, unit: 'N' },
    outcome: { end: 'held' },
    size: { widthMm: 25, overlapMm: 12 },
  }
  expect(clashText(pull, ['pull'])).toMatch(/^41 N, did not break, pulled \d\d:\d\d; width 25 mm; overlap 12 mm$/)
  expect(clashText(Date.parse('2024-03-05T12:00:00'), ['startedAt'])).toMatch(/5 Mar.* 2024/)
  expect(clashText(55, ['brief', 'heatC'])).toBe('55')
  expect(clashText(null, ['note'])).toBe('open')
})
