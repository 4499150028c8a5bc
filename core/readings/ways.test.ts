import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import type { TestId } from '../knowledge/testKinds'
import type { Raw, Reading } from '../records/reading'
import { countingReadings } from './counting'
import { datumOf } from './datum'
import { interpret, loadOf, readOf, sizeOf } from './interpret'
import { parseResult } from './parseResult'
import { steadyPeelN } from './trace'

const G = 9.80665
const places = { tornA: 0, offA: 100, glue: 0, offB: 0, tornB: 0 }
const broke = { end: 'broke' as const, places }
const lap = { widthMm: 25, overlapMm: 12 }
const read = (raw: Raw, test: TestId = 'lap-shear', outcome: Reading['outcome'] = broke, size: object = lap) =>
  interpret({ raw, outcome, size, setAside: null }, test)

describe('ways to read a load', () => {
  it('steps of weights bound it, hook and tray with them; open at the top when nothing broke it', () => {
    const steps = (held: number, brokeAt: number | null, tareKg?: number): Raw =>
      ({ way: 'steps', held, broke: brokeAt, unit: 'kg', ...(tareKg === undefined ? {} : { tareKg }) }) as Raw
    expect(loadOf(steps(3, 4, 0.2), 'lap-shear', lap)).toEqual({ low: 3.2 * G, high: 4.2 * G })
    expect(loadOf(steps(3, 4), 'lap-shear', lap)).toEqual({ low: 3 * G, high: 4 * G })
    // The first step broke it: it may have held nothing, the hook counts only with a step that held.
    expect(loadOf(steps(0, 4, 0.2), 'lap-shear', lap)).toEqual({ low: 0, high: 4.2 * G })
    expect(loadOf(steps(3, null, 0.2), 'lap-shear', lap)).toEqual({ low: 3.2 * G, high: null })
    expect(read(steps(3, 4)).datum).toEqual({ kind: 'between', low: (3 * G) / 300, high: (4 * G) / 300 })
    expect(read(steps(0, 4)).datum).toEqual({ kind: 'atMost', high: (4 * G) / 300 })
    expect(read(steps(3, null)).datum).toEqual({ kind: 'atLeast', low: (3 * G) / 300 })
  })
  it('hands bound it by their calibration, and give an order only without one', () => {
    const hands = (lowN: number | null, highN: number | null): Raw => ({ way: 'hands', rung: 'one-hand', lowN, highN })
    expect(loadOf(hands(20, 45), 'lap-shear', lap)).toEqual({ low: 20, high: 45 })
    expect(loadOf(hands(null, null), 'lap-shear', lap)).toBeNull()
    expect(read(hands(null, null)).datum).toEqual({ kind: 'leftOut', why: 'order-only' })
    expect(read(hands(null, null), 'lap-shear', { end: 'held' }).datum).toEqual({ kind: 'leftOut', why: 'order-only' })
    // Wet or lost in handling it stays what it is, calibrated or not.
    expect(read(hands(null, null), 'lap-shear', { end: 'wet', places: null }).datum).toEqual({
      kind: 'leftOut',
      why: 'wet',
    })
    expect(read(hands(null, null), 'lap-shear', { end: 'handling', lightestN: 3 }).datum).toEqual({
      kind: 'atMost',
      high: 3 / 300,
    })
    expect(read(hands(20, 45)).datum).toEqual({ kind: 'between', low: 20 / 300, high: 45 / 300 })
  })
  it('a trace gives its peak, or the steady part of a peel', () => {
    const points = [0, 1, 2, 3, 4, 5, 6, 7, 8].map((s): [number, number, null] => [s, s === 1 ? 90 : 40, null])
    const trace = (take: 'peak' | 'steady'): Raw => ({ way: 'trace', file: 'pull.csv', take, points })
    expect(loadOf(trace('peak'), 't-peel', { widthMm: 25 })).toEqual({ value: 90 })
    expect(loadOf(trace('steady'), 't-peel', { widthMm: 25 })).toEqual({ value: 40 })
  })
  it('counts count as they are; radii become strains, the smaller the larger', () => {
    const count = (held: number, brokeAt: number | null): Raw => ({ way: 'count', held, broke: brokeAt })
    expect(loadOf(count(120, 150), 'flex', {})).toEqual({ low: 120, high: 150 })
    expect(loadOf(count(0, 5), 'drop', {})).toEqual({ low: 0, high: 5 })
    expect(loadOf(count(7, null), 'drop', {})).toEqual({ low: 7, high: null })
    // 100 t / (2R + t): 4 mm round 38 and round 18.
    expect(loadOf(count(38, 18), 'bend', { thicknessMm: 4 })).toEqual({ low: 5, high: 10 })
    expect(loadOf(count(38, null), 'bend', { thicknessMm: 4 })).toEqual({ low: 5, high: null })
    // No radius held: no strain is known to do no harm.
    expect(loadOf(count(0, 18), 'bend', { thicknessMm: 4 })).toEqual({ low: 0, high: 10 })
    expect(read(count(38, 18), 'bend', broke, { thicknessMm: 4 }).datum).toEqual({ kind: 'between', low: 5, high: 10 })
  })
  it('nothing read is no load; what is counted or read passes through', () => {
    expect(loadOf({ way: 'none' }, 'lap-shear', lap)).toBeNull()
    expect(loadOf({ way: 'grades', grades: { stain: 2 }, afterH: 1 }, 'spot', {})).toBeNull()
    expect(readOf(null, 'lap-shear', lap)).toBeNull()
    expect(readOf({ value: 7 }, 'drop', {})).toEqual({ value: 7 })
    expect(readOf({ value: 300 }, 'lap-shear', lap)).toEqual({ value: 1 })
    expect(readOf({ low: 300, high: 600 }, 'lap-shear', lap)).toEqual({ low: 1, high: 2 })
    expect(readOf({ low: 300, high: null }, 'lap-shear', lap)).toEqual({ low: 1, high: null })
  })
  it('divides by what was measured, and by the plan where nothing was', () => {
    expect(sizeOf({ widthMm: 24, overlapMm: null }, { widthMm: 25, overlapMm: 12, armMm: 50 })).toEqual({
      widthMm: 24,
      overlapMm: 12,
      armMm: 50,
    })
    expect(sizeOf({}, { widthMm: 25 })).toEqual({ widthMm: 25 })
  })
})

describe('a handling loss', () => {
  it('counts as at most the lightest that the test reads, in its own unit', () => {
    const lost = (test: TestId, lightestN: number, size: object) =>
      read({ way: 'none' }, test, { end: 'handling', lightestN }, size).datum
    expect(lost('lap-shear', 3, lap)).toEqual({ kind: 'atMost', high: 0.01 })
    expect(lost('t-peel', 5, { widthMm: 25 })).toEqual({ kind: 'atMost', high: 0.2 })
    expect(lost('drop', 1, {})).toEqual({ kind: 'atMost', high: 1 })
  })
})

describe('what no joint comes near', () => {
  const value = (n: number, unit = 'N') => read({ way: 'gauge', value: n, unit })
  it('is kept with the fault named, and is no datum', () => {
    const nothing = value(0)
    expect(nothing.datum).toEqual({ kind: 'leftOut', why: 'unusable' })
    expect(nothing.fault).toMatchObject({ code: 'no-load' })
    // Bounds are one millionth and ten million, in the unit of the test: N over 300 mm².
    for (const [newtons, usable] of [
      [3e-4 * 1.001, true],
      [3e-4 * 0.999, false],
      [3e9 * 0.999, true],
      [3e9 * 1.001, false],
    ] as const) {
      const got = value(newtons)
      expect(got.datum.kind, String(newtons)).toBe(usable ? 'exact' : 'leftOut')
      expect(got.fault === null, String(newtons)).toBe(usable)
      if (!usable) expect(got.fault).toMatchObject({ code: 'out-of-range' })
    }
  })
  it('is looked for at every bound of an interval', () => {
    const between = (held: number, brokeAt: number | null) =>
      read({ way: 'steps', held, broke: brokeAt, unit: 'kg' } as Raw).fault?.code
    expect(between(1, 2)).toBeUndefined()
    expect(between(1e-9, 2)).toBe('out-of-range')
    expect(between(1, 1e9)).toBe('out-of-range')
    expect(between(1e9, null)).toBe('out-of-range')
    expect(between(0, 1e9)).toBe('out-of-range')
  })
  it('is set aside where the maker has said so, whatever it says', () => {
    const raw: Raw = { way: 'gauge', value: 0, unit: 'N' }
    const aside = interpret({ raw, outcome: broke, size: {}, setAside: 'slipped' }, 'lap-shear')
    expect(aside.datum).toEqual({ kind: 'leftOut', why: 'set-aside' })
    const odd = interpret({ raw: null as unknown as Raw, outcome: broke, size: lap, setAside: null }, 'lap-shear')
    expect(odd.fault).toMatchObject({ code: 'wrong-shape' })
  })
})

describe('the kind of datum', () => {
  it('turns at half an area torn, and at bounds that touch', () => {
    const torn = (tornA: number) =>
      datumOf({ value: 2 }, { end: 'broke', places: { ...places, tornA, offA: 100 - tornA } }).kind
    expect([torn(49), torn(50)]).toEqual(['exact', 'atLeast'])
    expect(() => datumOf({ low: 2, high: 2 }, broke)).toThrow(/out-of-order/)
    expect(datumOf({ low: 0, high: null }, { end: 'held' })).toEqual({ kind: 'leftOut', why: 'order-only' })
    expect(datumOf({ value: 0 }, { end: 'held' })).toEqual({ kind: 'leftOut', why: 'order-only' })
    // Half a percent is a slip of rounding, more is not.
    expect(datumOf({ value: 2 }, { end: 'broke', places: { ...places, offA: 100.5 } }).kind).toBe('exact')
    expect(() => datumOf({ value: 2 }, { end: 'broke', places: { ...places, offA: 100.6 } })).toThrow(/hundred/)
  })
})

describe('the reading that counts', () => {
  const one = (id: string, coupon: string, at: number, setAside: string | null = null) =>
    ({ id, coupon, at, setAside }) as Reading
  const ids = (...readings: Reading[]) => countingReadings(readings).map(({ id }) => id)
  it('is the first of a coupon, in whatever order they come', () => {
    expect(ids(one('a', 'x', 1), one('b', 'y', 2))).toEqual(['a', 'b'])
    expect(ids(one('a', 'x', 1), one('b', 'x', 2))).toEqual(['a'])
    expect(ids(one('b', 'x', 2), one('a', 'x', 1))).toEqual(['a'])
    expect(ids(one('a', 'x', 1), one('b', 'x', 1))).toEqual(['a'])
  })
  it('is one that is not set aside where there is one', () => {
    expect(ids(one('a', 'x', 1, 'slipped'), one('b', 'x', 2))).toEqual(['b'])
    expect(ids(one('b', 'x', 2), one('a', 'x', 1, 'slipped'))).toEqual(['b'])
    expect(ids(one('b', 'x', 2, 'no'), one('a', 'x', 1, 'no'))).toEqual(['a'])
  })
})

describe('a pass limit as typed', () => {
  it('takes the units of its test, or a count in its own word', () => {
    expect(parseResult('2', 'lap-shear')).toBe(2)
    expect(parseResult('500 kPa', 'lap-shear')).toBeCloseTo(0.5, 12)
    expect(parseResult('180', 'lay-flat')).toBe(180)
    expect(() => parseResult('205', 'lay-flat')).toThrow()
    expect(parseResult('3 N/cm', 't-peel')).toBeCloseTo(0.3, 12)
    expect(parseResult('500 cycles', 'flex')).toBe(500)
    expect(parseResult('0.000001', 'flex')).toBe(1e-6)
  })
  it('and nothing else: no other unit, nothing that anything passes', () => {
    const fault = (text: string, test: TestId) => {
      try {
        return parseResult(text, test)
      } catch (error) {
        return (error as CodedError).code
      }
    }
    expect(fault('3 N/mm', 'lap-shear')).toBe('wrong-kind-of-unit')
    expect(fault('3 MPa', 't-peel')).toBe('wrong-kind-of-unit')
    expect(fault('0', 'lap-shear')).toBe('not-positive')
    expect(fault('0', 't-peel')).toBe('not-positive')
    expect(fault('0.0000009', 'flex')).toBe('out-of-range')
    expect(fault('500 drops', 'flex')).not.toBe(500)
  })
})

describe('the steady part of a peel', () => {
  const at = (mm: number | null, s: number, n: number) => ({ s, n, mm })
  it('leaves out the first quarter and the last tenth: by travel where every point has it, else by time', () => {
    // Travel runs at another pace than time: half of the travel lies in the last two seconds.
    const points = [0, 1, 2, 3, 4, 20, 40, 60, 80].map((mm, s) => at(mm, s, s < 5 ? 10 : 30))
    expect(steadyPeelN(points).meanN).toBeCloseTo(30, 9)
    const timed = points.map((point, i) => (i === 3 ? { ...point, mm: null } : point))
    // From 2 to 7.2 of eight seconds: two at 10 N, one that rises to 30 N, 2.2 at 30 N.
    expect(steadyPeelN(timed).meanN).toBeCloseTo((20 + 20 + 66) / 5.2, 9)
  })
  it('takes points in any order, and wants four of them over some way', () => {
    const points = [0, 1, 2, 3, 4, 5, 6, 7, 8].map((s) => at(null, s, s === 4 ? 50 : 20))
    const there = steadyPeelN(points).meanN
    expect(steadyPeelN([...points].reverse()).meanN).toBeCloseTo(there, 12)
    expect(() => steadyPeelN(points.slice(0, 3))).toThrow(/trace-too-short/)
    expect(() => steadyPeelN(points.map((point) => ({ ...point, s: 5 })))).toThrow(/trace-too-short/)
    expect(() => steadyPeelN([])).toThrow(/trace-too-short/)
  })
})
