import { describe, expect, it } from 'vitest'
import { seededRandom } from '../planning/random'
import { durationWords, windowWords, withinWords } from './durations'

/** What words say, s: read back by hand, apart from the code that wrote them. */
function secondsOf(words: string): number {
  const [, figure, unit] = /^([\d.]+) (s|min|h|days)$/.exec(words)!
  return Number(figure) * { s: 1, min: 60, h: 3600, days: 86_400 }[unit as 's' | 'min' | 'h' | 'days']
}

describe('a length of time', () => {
  it.each([
    [40, '40 s'],
    [89.4, '89 s'],
    [90, '2 min'],
    [1200, '20 min'],
    [5399, '90 min'],
    [5400, '1.5 h'],
    [86_400, '24 h'],
    [172_799, '48 h'],
    [172_800, '2 days'],
    [259_200, '3 days'],
    [400 * 86_400, '1.1 years'],
    [Infinity, 'for ever'],
    [1e12, 'over 99 years'],
  ])('of %d s is %s', (s, words) => expect(durationWords(s)).toBe(words))
  it.each([
    [89.9, '89 s'],
    [210, '3 min'],
    [5399, '89 min'],
    [7199, '1.9 h'],
    [172_799, '47.9 h'],
    [190_000, '2.1 days'],
    [Infinity, 'for ever'],
  ])('that is a limit of %d s is never said longer: %s', (s, words) => expect(withinWords(s)).toBe(words))
})

describe('a window', () => {
  it.each([
    [600, 2400, '10 to 40 min'],
    [30, 300, '30 s to 5 min'],
    [60, 60, '60 s'],
    [210, 290, '4 min'],
    [610, 2450, '11 to 40 min'],
    [29.2, 80.9, '30 to 80 s'],
    [5400, 7300, '1.5 to 2 h'],
    [5500, 40_000, '1.6 to 11 h'],
    [90 * 60, 3 * 86_400, '1.5 h to 3 days'],
    [200, 230, '200 to 230 s'],
    [600, Infinity, '10 min or more'],
  ])('from %d to %d s is %s', (from, to, words) => expect(windowWords(from, to)).toBe(words))
  it('is never said wider than it is', () => {
    const random = seededRandom(4)
    for (let k = 0; k < 500; k++) {
      const from = Math.exp(random() * 12)
      const to = from * (1 + random() * 20)
      const [first, last = first] = windowWords(from, to).split(' to ') as [string, string?]
      const unit = last.slice(last.indexOf(' '))
      expect(secondsOf(first.includes(' ') ? first : first + unit) + 1e-6).toBeGreaterThanOrEqual(from)
      expect(secondsOf(last) - 1e-6).toBeLessThanOrEqual(to)
    }
  })
})
