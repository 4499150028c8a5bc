import { describe, expect, it } from 'vitest'
import { gradeWords, worstGrades } from './grades'
import { interpret } from './interpret'
import { gradingOf, testIds, testKinds, testsFor } from '../knowledge/testKinds'

describe('graded tests', () => {
  const grades = { melt: 2, cloud: 1, stain: 0, bleed: 2, cockle: 2, paint: 2 }
  it('say what was seen, the bad first, and nothing where all is good', () => {
    expect(gradeWords('spot', grades)).toBe('stains: plainly, clouds or crazes: a trace')
    expect(gradeWords('work', { carve: 2, sand: 2 })).toBe('all good')
    expect(gradeWords('lap-shear', grades)).toBe('')
  })
  it('count the worst piece of each thing, and know what was never looked at', () => {
    expect(worstGrades('spot', [grades, { ...grades, stain: 2, cloud: 2 }])).toEqual({
      melt: 2,
      cloud: 1,
      stain: 0,
      bleed: 2,
      cockle: 2,
      paint: 2,
    })
    expect(worstGrades('work', [{ carve: 1 }])).toEqual({
      carve: 1,
      sand: null,
      'hot-wire': null,
      paint: null,
      wash: null,
    })
  })
  it('are kept and are no strength; wet ones and faults stay what they are', () => {
    const reading = {
      raw: { way: 'grades' as const, grades, afterH: 24 },
      outcome: { end: 'held' as const },
      size: {},
      setAside: null,
    }
    expect(interpret(reading, 'spot').datum).toEqual({ kind: 'leftOut', why: 'graded' })
    expect(interpret({ ...reading, setAside: 'wrong scrap' }, 'spot').datum).toEqual({
      kind: 'leftOut',
      why: 'set-aside',
    })
    expect(interpret({ ...reading, outcome: { end: 'wet', places: null } }, 'spot').datum).toEqual({
      kind: 'leftOut',
      why: 'wet',
    })
  })
  it('answer no load of a brief by themselves, and have ids of their own', () => {
    const graded = testIds.filter((test) => gradingOf(test))
    expect(graded).toEqual(['spot', 'work', 'looks'])
    for (const test of graded) {
      expect(testsFor(['shear', 'peel', 'flex', 'impact'])).not.toContain(test)
      const { what } = gradingOf(test)!
      expect(new Set(what.map(({ id }) => id)).size).toBe(what.length)
    }
  })
})

describe('a proof load', () => {
  const held = (low: number, broke: number | null) =>
    interpret(
      {
        raw: { way: 'count', held: low, broke },
        outcome:
          broke === null
            ? { end: 'held' }
            : { end: 'broke', places: { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 } },
        size: {},
        setAside: null,
      },
      'proof',
    ).datum
  it('says between the factor it held and the one it let go at, or at least', () => {
    expect(held(2, 3)).toEqual({ kind: 'between', low: 2, high: 3 })
    expect(held(3, null)).toEqual({ kind: 'atLeast', low: 3 })
    expect(testKinds.proof.unit).toBe('× the load')
  })
})
