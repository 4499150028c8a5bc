import { describe, expect, it } from 'vitest'
import { earlierPulls } from '../choice/earlierPulls'
import { modelReadings } from '../evidence/modelReadings'
import { directions, directionsBefore, type Direction } from '../knowledge/directions'
import type { OutcomeRecord, Raw, Reading } from '../records/reading'
import { closedBy, earlierOf, earlierWords, endsPiece, nextDirection } from './earlier'
import { faultOf, faultRows } from './faults'
import { interpret } from './interpret'

const places = { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 }
const broke: OutcomeRecord = { end: 'broke', places }
const held = { end: 'held' } as OutcomeRecord
let at = 0
const reading = (
  direction: Direction | null,
  n: number | null,
  outcome: OutcomeRecord = held,
  more: Partial<Reading> = {},
): Reading => ({
  id: String(at),
  coupon: 'one',
  at: at++,
  raw: n === null ? { way: 'none' } : ({ way: 'gauge', value: n, unit: 'N' } as Raw),
  outcome,
  size: { widthMm: 25, overlapMm: 12 },
  early: null,
  note: '',
  setAside: null,
  corrected: [],
  ...(direction && { direction }),
  ...more,
})

describe('three ways on one piece', () => {
  it('come in their order, each once; a fault counts as done, what is set aside or pulled again does not', () => {
    const arm = { first: ['shake', 'straight', 'twist'] as Direction[] }
    expect(nextDirection(arm, [])).toBe('shake')
    expect(nextDirection({}, [])).toBeNull()
    const shaken = reading('shake', null)
    expect(nextDirection(arm, [shaken])).toBe('straight')
    const all = [
      shaken,
      reading('straight', 20, held, { setAside: 'wrong hook' }),
      reading('straight', 20, { end: 'fault', reason: 'x' }, { again: true }),
    ]
    expect(nextDirection(arm, earlierOf('one', all))).toBe('straight')
    const done = [...all, reading('straight', 25), reading('twist', 9, broke)]
    expect(nextDirection(arm, earlierOf('one', done))).toBeNull()
    expect(earlierWords(earlierOf('one', done))).toBe('shaken, pulled straight, twisted')
    expect(earlierOf('another', done)).toEqual([])
  })

  it('are told by their load, in newton, whatever the own test divides by', () => {
    expect(interpret(reading('straight', 60, broke), 'lap-shear')).toMatchObject({
      unit: 'N',
      datum: { kind: 'exact', value: 60 },
    })
    expect(interpret(reading('straight', 60), 'flex').datum).toEqual({ kind: 'atLeast', low: 60 })
    expect(interpret(reading('twist', null, { end: 'handling', lightestN: 0.5 }), 'lap-shear').datum).toEqual({
      kind: 'atMost',
      high: 0.5,
    })
    // Shaken, nothing is read: an order, held or not.
    for (const outcome of [held, broke])
      expect(interpret(reading('shake', null, outcome), 'lap-shear').datum).toEqual({
        kind: 'leftOut',
        why: 'order-only',
      })
  })

  it('never count as three coupons, and what they ended is said of the own test', () => {
    const own = reading(null, 90, broke)
    const all = [reading('shake', null), reading('straight', 40), reading('twist', 12), own]
    expect(modelReadings({ test: 'lap-shear' }, [{ id: 'one', procedure: 'A' }], all)).toEqual([
      { procedure: 'A', kind: 'exact', value: 90 / 300 },
    ])
    // Still wet: “not yet” once it is cured, missed in a test at an age.
    const wet = reading(null, null, { end: 'wet', places: null })
    const read = (ageS?: number | null) =>
      modelReadings({ test: 'lap-shear', ageS }, [{ id: 'one', procedure: 'A' }], [wet])
    expect([read(), read(null)]).toEqual([[], []])
    expect(read(86_400)).toEqual([{ procedure: 'A', kind: 'atMost', high: 0.1 / 300 }])
    expect(
      [held, broke, { end: 'wet', places: null } as OutcomeRecord].map((outcome) => endsPiece({ outcome })),
    ).toEqual([false, true, true])
    expect(endsPiece({ outcome: { end: 'fault', reason: 'slipped' } })).toBe(false)
    // Shaken off is at most the least that the test reads; let go under another load says nothing of this one.
    const closing = (direction: Direction) => reading(null, null, closedBy(direction, 3))
    expect(interpret(closing('shake'), 'lap-shear').datum).toEqual({ kind: 'atMost', high: 3 / 300 })
    expect(interpret(closing('straight'), 'lap-shear').datum).toEqual({ kind: 'leftOut', why: 'fault' })
    expect(closing('straight').outcome).toMatchObject({ reason: expect.stringMatching(/pulled straight, before/) })
  })

  it('are shown procedure by procedure: pieces, how many held, at what the others let go', () => {
    const of = (
      coupon: string,
      direction: Direction,
      n: number | null,
      outcome: OutcomeRecord = held,
      more: Partial<Reading> = {},
    ) => reading(direction, n, outcome, { coupon, ...more })
    const rows = earlierPulls(
      [
        of('1', 'straight', 40),
        of('2', 'straight', 70, broke),
        of('3', 'straight', 30, broke),
        of('4', 'straight', 10, broke, { setAside: 'wrong piece' }),
        of('5', 'straight', 9, { end: 'fault', reason: 'slipped' }),
        of('1', 'shake', null),
        of('6', 'straight', 5, broke),
        // corrected by a later reading of the same direction: the piece still counts once
        of('1', 'straight', 44),
        reading(null, 99, broke, { coupon: '1' }),
      ],
      new Map([...'12345'].map((id) => [id, 'A'])),
      'lap-shear',
    )
    expect(rows).toEqual([
      { procedure: 'A', direction: 'shake', pieces: 1, held: 1, letGoN: [] },
      { procedure: 'A', direction: 'straight', pieces: 3, held: 1, letGoN: [30, 70] },
    ])
  })

  it('are offered as far as they differ from the test itself', () => {
    expect(directionsBefore('lap-shear')).toEqual(['shake', 'straight', 'twist'])
    expect(directionsBefore('tension')).toEqual(['shake', 'sideways', 'twist'])
    expect(directionsBefore('t-peel')).toEqual([...directions])
    expect(directionsBefore('spot')).toEqual([])
    expect(directionsBefore('trims')).toEqual([])
  })
})

describe('a fault', () => {
  it('is known by its words, whoever types them, and only a whole piece is pulled again', () => {
    for (const row of faultRows) expect(faultOf(` ${row.word.toUpperCase()} `)).toBe(row)
    expect(faultOf('the dog ate it')).toBeNull()
    expect(faultRows.filter(({ again }) => again).map(({ word }) => word)).toEqual([
      'grip slipped',
      'pulled the wrong way round',
    ])
  })
})
