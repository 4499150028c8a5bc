import { describe, expect, it } from 'vitest'
import { nextJointCode, openBrief } from './openBrief'

describe('a brief before anything was said', () => {
  it('has every word open', () => {
    const { a, b, ...words } = openBrief()
    expect(new Set(Object.values(words))).toEqual(new Set([null]))
    for (const side of [a, b]) expect(new Set(Object.values(side))).toEqual(new Set([null]))
    expect(a).not.toBe(b)
  })
})

describe('the next code of a joint', () => {
  it('goes on from the highest, with the letter of the first, and begins at one', () => {
    expect(nextJointCode([])).toBe('J1')
    expect(nextJointCode([], 'K')).toBe('K1')
    expect(nextJointCode(['H1', 'H7', 'H3'])).toBe('H8')
    expect(nextJointCode(['H12', 'H9'])).toBe('H13')
  })
  it('leaves codes of another form out of the count', () => {
    expect(nextJointCode(['Hx', 'H2'])).toBe('H3')
  })
})
