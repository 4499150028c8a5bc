import { describe, expect, it } from 'vitest'
// @ts-expect-error a plain script, without types
import { generated, outOfDate } from './knowledge.mjs'

describe('the shipped tables', () => {
  it('are what the CSV tables of the repository say', () => {
    const names = Object.keys(generated() as object)
    expect(names).toEqual(expect.arrayContaining(['families.json', 'materials.json', 'strengths.json', 'undo.json']))
    expect(names).toEqual(expect.arrayContaining(['everyday.json', 'grip.json', 'weights.json']))
    expect(outOfDate()).toEqual([])
  })
})
