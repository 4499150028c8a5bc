import { describe, expect, it } from 'vitest'
import { nextLetter } from './letters'

const after = (letters: string) => nextLetter([...letters].map((letter) => ({ letter })))
const ALL = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

describe('the letter of the next procedure', () => {
  it('comes behind the highest, in whatever order they stand', () => {
    expect(after('')).toBe('A')
    expect(after('AD')).toBe('E')
    expect(after('DA')).toBe('E')
    expect(after('Y')).toBe('Z')
  })
  it('is one that none bears once Z is taken', () => {
    expect(after('Z')).toBe('A')
    expect(after('ABZ')).toBe('C')
    expect(after(ALL.replace('M', ''))).toBe('M')
  })
  it('is none once all are in use', () => expect(after(ALL)).toBeNull())
})
