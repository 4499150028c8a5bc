import { describe, expect, it } from 'vitest'
import { buildDemoBench } from '../../../demo/bench'
import { placeOf } from '../../bench/settled'
import type { Reading } from '../../../core/records/reading'
import { emptyForm } from './pullForm'
import { rawFrom } from './pullRead'

const bench = buildDemoBench(Date.parse('2026-11-24T18:05:00')).bench[0]!

describe('grades', () => {
  it('of work after curing are only those of what was tried; of other looks all', () => {
    const graded = (test: 'work' | 'spot', grades: Record<string, 0 | 1 | 2>) =>
      rawFrom({ ...emptyForm(test, {}), grades }, test, bench)
    expect(graded('work', { paint: 1 })).toMatchObject({ way: 'grades', grades: { paint: 1 } })
    expect(() => graded('work', {})).toThrow()
    expect(() => graded('spot', { melt: 2 })).toThrow()
  })
  it('never read as something that did not break', () => {
    const reading = {
      raw: { way: 'grades', grades: { paint: 1 }, afterH: null },
      outcome: { end: 'held' },
    } as unknown as Reading
    expect(placeOf(reading, 'work')).toBe('paint: so-so')
    expect(placeOf(reading)).toBe('looked at')
  })
})

describe('counts', () => {
  it('end where the test does: a block opens to 180° and no further', () => {
    const opened = (held: string, broke = '') =>
      rawFrom({ ...emptyForm('lay-flat', {}), held, broke }, 'lay-flat', bench)
    expect(opened('180')).toEqual({ way: 'count', held: 180, broke: null })
    expect(() => opened('205')).toThrow()
    expect(() => opened('120', '181')).toThrow()
    expect(rawFrom({ ...emptyForm('flex', {}), held: '500' }, 'flex', bench)).toMatchObject({ held: 500 })
  })
})
