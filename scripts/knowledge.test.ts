import { describe, expect, it } from 'vitest'
// @ts-expect-error a plain script, without types
import { generated, outOfDate } from './knowledge.mjs'

describe('the shipped tables', () => {
  it('are what the CSV tables of the repository say', () => {
    expect(Object.keys(generated() as object)).toEqual([
      'families.json',
      'materials.json',
      'strengths.json',
      'undo.json',
    ])
    expect(outOfDate()).toEqual([])
  })
})
