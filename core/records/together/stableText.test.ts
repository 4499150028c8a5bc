import { describe, expect, it } from 'vitest'
import { markOf, stableText } from './stableText'

describe('a value as one text', () => {
  it('is the same whatever the order of its keys, and with what is left out', () => {
    expect(stableText({ b: 1, a: [2, { d: null, c: 'x' }] })).toBe('{"a":[2,{"c":"x","d":null}],"b":1}')
    expect(stableText({ a: 1, b: undefined })).toBe('{"a":1}')
    expect(stableText([undefined, null])).toBe('[null,null]')
  })
  it('differs where anything in it does', () => {
    const values = [{ a: 1 }, { a: '1' }, { a: [1] }, { a: null }, { b: 1 }, [1], 1, '1', true, null, {}, []]
    expect(new Set(values.map(stableText)).size).toBe(values.length)
  })
})

describe('the mark of a text', () => {
  it('is the FNV-1a hash, here worked out in whole numbers of any length', () => {
    const fnv = (text: string, seed: bigint) => {
      let hash = seed
      for (const sign of text) hash = ((hash ^ BigInt(sign.charCodeAt(0))) * 0x01000193n) & 0xffffffffn
      return hash.toString(36)
    }
    for (const text of ['', 'a', 'Lantern heron', 'H2-A1 of 24 November', 'x'.repeat(500)])
      expect(markOf(text)).toBe(`${fnv(text, 0x811c9dc5n)}${fnv(text, 0x9dc5811cn)}`)
  })
})
