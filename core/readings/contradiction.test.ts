import { describe, expect, it } from 'vitest'
import { insert, update } from '../records/entry'
import type { RecordReader } from '../records/integrity'
import { readingSchema, type Raw, type Reading } from '../records/reading'
import type { TestId } from '../knowledge/testKinds'
import { checkReadings } from './checkReadings'
import { contradictionOf } from './contradiction'

const places = { tornA: 0, offA: 0, glue: 100, offB: 0, tornB: 0 }
const gauge: Raw = { way: 'gauge', value: 20, unit: 'N' }
const pull = (raw: unknown, size: object, more: object = {}): Reading =>
  ({
    id: 'x',
    coupon: 'c',
    at: 1,
    raw,
    outcome: { end: 'broke', places },
    size,
    early: null,
    note: '',
    setAside: null,
    corrected: [],
    ...more,
  }) as Reading
const lap = { widthMm: 25, overlapMm: 12 }
const parses = (reading: unknown) => readingSchema.safeParse(reading).success

describe('a reading that cannot be', () => {
  it.each<[string, unknown]>([
    ['a lever without arms', { way: 'lever', value: 3, unit: 'kg' }],
    ['a lever with an arm of nothing', { way: 'lever', value: 3, unit: 'kg', armLoadMm: 0, armJointMm: 40 }],
    ['a beam without its arm', { way: 'lever', value: 3, unit: 'N', armLoadMm: 9, armJointMm: 4, beamKg: 2 }],
    ['steps upside down', { way: 'steps', held: 3, broke: 2, unit: 'kg' }],
    ['steps that broke at what they held', { way: 'steps', held: 2, broke: 2, unit: 'kg' }],
    ['a gauge in millimetres', { ...gauge, unit: 'mm' }],
    ['water in kilograms', { way: 'water', value: 2, unit: 'kg' }],
    ['a mass in newton', { way: 'mass', value: 2, unit: 'N' }],
    ['a unit that is none', { ...gauge, unit: 'constructor' }],
    ['a hand whose low is high', { way: 'hands', rung: 'one-hand', lowN: 90, highN: 40 }],
    ['grades of nothing', { way: 'grades', grades: {}, afterH: null }],
    ['more left than there were', { way: 'losses', before: 3, after: 4 }],
    ['a value below nothing', { ...gauge, value: -1 }],
  ])('%s does not parse', (_, raw) => {
    expect(parses(pull(raw, lap))).toBe(false)
  })

  it.each([
    [{ ...places, glue: 92 }, false],
    [{ ...places, glue: 101 }, false],
    [{ ...places, glue: 99.6 }, true],
    [{ tornA: 33.3, offA: 33.3, glue: 33.3, offB: 0, tornB: 0 }, true],
    [{ ...places, glue: 150, offA: -50 }, false],
  ])('places %o parse: %s', (at, fine) => {
    expect(parses(pull(gauge, lap, { outcome: { end: 'broke', places: at } }))).toBe(fine)
  })

  it.each<[string, Reading, TestId, string]>([
    ['a twist without an arm', pull(gauge, { diameterMm: 10 }), 'torsion-round', 'armMm'],
    [
      'a ring that is solid',
      pull(gauge, { diameterMm: 9, innerDiameterMm: 9, armMm: 50 }),
      'torsion-ring',
      'innerDiameterMm',
    ],
    ['a lap without its overlap', pull(gauge, { widthMm: 25 }), 'lap-shear', 'overlapMm'],
    ['a count of what is weighed', pull({ way: 'count', held: 3, broke: 4 }, lap), 'lap-shear', 'raw.way'],
    ['a weight of what is counted', pull(gauge, {}), 'flex', 'raw.way'],
    ['a weight of what is looked at', pull(gauge, {}), 'spot', 'raw.way'],
    ['losses of what is pulled', pull({ way: 'losses', before: 9, after: 3 }, lap), 'lap-shear', 'raw.way'],
    [
      'a grade of what is not looked at',
      pull({ way: 'grades', grades: { warp: 1 }, afterH: 1 }, {}, { outcome: { end: 'held' } }),
      'spot',
      'raw.grades.warp',
    ],
    ['a grade that broke', pull({ way: 'grades', grades: { melt: 1 }, afterH: 1 }, {}), 'spot', 'outcome.end'],
    ['radii upside down', pull({ way: 'count', held: 4, broke: 9 }, { thicknessMm: 2 }), 'bend', 'high'],
    ['a load where it was only shaken', pull(gauge, lap, { direction: 'shake' }), 'lap-shear', 'raw.way'],
    ['nothing read of what broke', pull({ way: 'none' }, lap), 'lap-shear', 'value'],
    ['a load of nothing', pull({ ...gauge, value: 0 }, lap), 'lap-shear', 'value'],
  ])('%s contradicts its test, at its field', (_, reading, test, field) => {
    const found = contradictionOf(reading, test)
    expect(found?.field).toBe(field)
    expect(found!.why.length).toBeGreaterThan(10)
    expect(contradictionOf({ ...reading, setAside: 'a slip' }, test)).toBeNull()
  })

  it.each<[string, Reading, TestId]>([
    ['a pull', pull(gauge, lap), 'lap-shear'],
    ['a twist', pull(gauge, { diameterMm: 10, armMm: 50 }), 'torsion-round'],
    ['shaken and whole', pull({ way: 'none' }, lap, { direction: 'shake', outcome: { end: 'held' } }), 'lap-shear'],
    ['wet, with no load', pull({ way: 'none' }, lap, { outcome: { end: 'wet', places: null } }), 'lap-shear'],
    ['an order by hand', pull({ way: 'hands', rung: 'one-hand', lowN: null, highN: null }, lap), 'lap-shear'],
    ['radii', pull({ way: 'count', held: 9, broke: 4 }, { thicknessMm: 2 }), 'bend'],
    ['grades', pull({ way: 'grades', grades: { melt: 2 }, afterH: 1 }, {}, { outcome: { end: 'held' } }), 'spot'],
  ])('%s goes together with its test', (_, reading, test) => {
    expect(contradictionOf(reading, test)).toBeNull()
  })
})

describe('the check of an entry', () => {
  const rows = {
    coupon: { id: 'c', round: 'r', arm: 'arm' },
    round: { id: 'r', arms: [{ id: 'arm', test: 'torsion-round' }] },
  } as Record<string, unknown>
  const records = {
    get: (table: string) => rows[table] ?? null,
    all: () => [],
    of: () => [],
  } as unknown as RecordReader
  const good = pull(gauge, { diameterMm: 10, armMm: 50 })
  const bad = pull(gauge, { diameterMm: 10 })

  it('refuses a reading that contradicts its test and leaves one alone that did before', () => {
    expect(() => checkReadings([insert('reading', good)], records)).not.toThrow()
    expect(() => checkReadings([insert('reading', bad)], records)).toThrow('wrong-shape at reading x armMm')
    expect(() => checkReadings([update('reading', good, { size: { diameterMm: 10 } })], records)).toThrow('wrong-shape')
    expect(() => checkReadings([update('reading', bad, { note: 'seen' })], records)).not.toThrow()
  })
})
