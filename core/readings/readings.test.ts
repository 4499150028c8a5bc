import { describe, expect, it } from 'vitest'
import { CodedError } from '../errors'
import { checkPlaces, datumOf, type FailurePlaces } from './datum'
import { bendStrain } from '../knowledge/testKinds/bendStrain'
import { quantileType7, rungInterval } from './hands'
import { loadN } from './load'
import { strength } from './strength'
import { peakN, steadyPeelN, type TracePoint } from './trace'

const codeOf = (run: () => unknown) => {
  try {
    run()
  } catch (error) {
    return error instanceof CodedError ? [error.code, error.path] : error
  }
  return 'no error'
}
const g = 9.80665

describe('from what was read to newtons', () => {
  // Values worked out by hand from the definitions in methods.md 1.
  it.each([
    ['kgf gauge', { way: 'gauge', value: 9.5, unit: 'kgf' }, 93.163175],
    ['luggage scale in kg', { way: 'gauge', value: 9.5, unit: 'kg' }, 93.163175],
    ['pounds', { way: 'gauge', value: 6.5, unit: 'lb' }, 28.913440499],
    ['grams', { way: 'gauge', value: 250, unit: 'g' }, 2.4516625],
    ['hung mass with its hook', { way: 'mass', value: 3, unit: 'kg', tareKg: 0.2 }, 31.38128],
    ['water in a bucket', { way: 'water', value: 2.5, unit: 'l', tareKg: 0.4 }, (2.5 * 0.998 + 0.4) * g],
    ['water in ml', { way: 'water', value: 750, unit: 'ml' }, 0.75 * 0.998 * g],
    ['lever', { way: 'lever', value: 20, unit: 'N', armLoadMm: 300, armJointMm: 50 }, 120],
    [
      'lever with a hung weight, tray and heavy beam',
      { way: 'lever', value: 2, unit: 'kg', tareKg: 0.1, armLoadMm: 400, armJointMm: 80, beamKg: 0.5, beamArmMm: 200 },
      (2.1 * g * 400 + 0.5 * g * 200) / 80,
    ],
  ] as const)('%s', (_, reading, expected) => expect(loadN(reading)).toBeCloseTo(expected, 8))

  it.each([
    ['an unknown unit', { way: 'gauge', value: 1, unit: 'stone' }, ['unknown-unit', 'unit']],
    ['a volume for a mass', { way: 'mass', value: 1, unit: 'l' }, ['wrong-kind-of-unit', 'unit']],
    ['a negative tare', { way: 'mass', value: 1, unit: 'kg', tareKg: -1 }, ['negative', 'tareKg']],
    ['a negative reading', { way: 'gauge', value: -1, unit: 'N' }, ['negative', 'value']],
    ['no arm', { way: 'lever', value: 1, unit: 'N', armJointMm: 5 }, ['missing', 'armLoadMm']],
    [
      'a beam without its arm',
      { way: 'lever', value: 1, unit: 'N', armJointMm: 5, armLoadMm: 5, beamKg: 1 },
      ['missing', 'beamArmMm'],
    ],
    ['not a number', { way: 'gauge', value: NaN, unit: 'N' }, ['not-a-number', 'value']],
  ] as const)('refuses %s', (_, reading, expected) => expect(codeOf(() => loadN(reading))).toEqual(expected))
})

describe('from load to strength', () => {
  it.each([
    ['lap-shear', { widthMm: 25, overlapMm: 12 }, 100 / 300],
    ['tension', { areaMm2: 400 }, 0.25],
    ['tension', { widthMm: 20, overlapMm: 10 }, 0.5],
    ['tension', { diameterMm: 10 }, 100 / (Math.PI * 25)],
    ['peel', { widthMm: 25 }, 4],
    ['cleavage', { widthMm: 20 }, 5],
    ['snap-rect', { widthMm: 20, thicknessMm: 5, spanMm: 80 }, (6 * 2000) / 500],
    ['snap-rect', { widthMm: 20, thicknessMm: 5, armMm: 30 }, (6 * 3000) / 500],
    ['snap-round', { diameterMm: 8, armMm: 30 }, (32 * 3000) / (Math.PI * 512)],
    ['torsion-round', { diameterMm: 8, armMm: 50 }, (16 * 5000) / (Math.PI * 512)],
    ['torsion-rect', { widthMm: 5, thicknessMm: 20, armMm: 50 }, (5000 * (3 + 1.8 * 0.25)) / (20 * 25)],
  ] as const)('%s of 100 N', (test, size, expected) => expect(strength(test, 100, size)).toBeCloseTo(expected, 10))

  it('a ring whose hole closes is a round, and a thin ring follows the shell formula', () => {
    const round = strength('torsion-round', 100, { diameterMm: 20, armMm: 50 })
    expect(strength('torsion-ring', 100, { diameterMm: 20, innerDiameterMm: 0.001, armMm: 50 })).toBeCloseTo(round, 9)
    // τ = T/(2π r² t) at mid radius: a textbook closed form for thin walls.
    const thin = strength('torsion-ring', 100, { diameterMm: 20.1, innerDiameterMm: 19.9, armMm: 50 })
    expect(thin / (5000 / (2 * Math.PI * 100 * 0.1))).toBeCloseTo(1, 1)
  })
  it('a square follows the exact series of Saint-Venant within 2 %', () => {
    // τ_max = T/(0.2082·a³) for a square (Timoshenko).
    expect(
      strength('torsion-rect', 100, { widthMm: 10, thicknessMm: 10, armMm: 10 }) / (1000 / (0.2082 * 1000)),
    ).toBeCloseTo(1, 1)
  })
  it.each([
    ['lap-shear', { widthMm: -25, overlapMm: 12 }, ['not-positive', 'widthMm']],
    ['lap-shear', { widthMm: 25 }, ['missing', 'overlapMm']],
    ['tension', {}, ['missing', 'areaMm2']],
    ['torsion-round', { diameterMm: 8 }, ['missing', 'armMm']],
    ['torsion-ring', { diameterMm: 8, innerDiameterMm: 9, armMm: 1 }, ['out-of-order', 'innerDiameterMm']],
    ['snap-rect', { widthMm: 5, thicknessMm: 5 }, ['missing', 'spanMm']],
  ] as const)('%s refuses %o', (test, size, expected) =>
    expect(codeOf(() => strength(test, 1, size))).toEqual(expected),
  )

  it('bends and drops', () => {
    expect(bendStrain(2, 24)).toBeCloseTo(0.04, 12)
  })
})

describe('hands and traces', () => {
  const calibration = { 'shaken-off': [1, 2, 3], 'one-finger': [10, 12, 14, 16, 18], 'two-hands': [120, 150] }
  it('bounds a rung by the 10th and 90th percentile of the maker’s own pulls', () => {
    expect(quantileType7([4, 1, 3, 2], 0.5)).toBe(2.5)
    expect(rungInterval('one-finger', calibration)).toEqual({ lowN: 10.8, highN: 17.2 })
    expect(rungInterval('falls-off', calibration)).toEqual({ lowN: 0, highN: 1.2 })
    expect(rungInterval('would-not-come', calibration)).toEqual({ lowN: 10.8, highN: null })
  })
  it('refuses a grip that was not pulled often enough', () => {
    expect(codeOf(() => rungInterval('two-hands', calibration))).toEqual(['uncalibrated-hands', 'two-hands'])
    expect(codeOf(() => rungInterval('would-not-come', {}))).toEqual(['uncalibrated-hands', 'would-not-come'])
  })
  const ramp = (length: number, load: (mm: number) => number): TracePoint[] =>
    Array.from({ length: 201 }, (_, i) => ({ s: i / 10, n: load((i / 200) * length), mm: (i / 200) * length }))
  it('takes the peak', () => expect(peakN(ramp(10, (mm) => 5 - (mm - 5) ** 2))).toBeCloseTo(5, 6))
  it('averages the steady part: without the first 25 mm and the last tenth', () => {
    // Load = travel on 200 mm: the mean from 25 to 180 is 102.5.
    expect(steadyPeelN(ramp(200, (mm) => mm))).toEqual({
      meanN: expect.closeTo(102.5, 6),
      from: 25,
      to: 180,
      axis: 'mm',
    })
    // On 40 mm the first quarter (10 mm) is less than 25.
    expect(steadyPeelN(ramp(40, (mm) => mm)).meanN).toBeCloseTo(23, 6)
  })
  it('does not count a pause', () => {
    const still = Array.from({ length: 50 }, (_, i) => ({ s: 20 + i, n: 0, mm: 100 }))
    expect(steadyPeelN([...ramp(200, () => 8), ...still]).meanN).toBeCloseTo(8, 1)
  })
  it('says when a trace is too short', () => expect(codeOf(() => peakN([]))).toEqual(['trace-too-short', 'trace']))
})

describe('what kind of datum a pull is', () => {
  const at = (places: Partial<FailurePlaces>): FailurePlaces => ({
    tornA: 0,
    offA: 0,
    glue: 0,
    offB: 0,
    tornB: 0,
    ...places,
  })
  const broke = (places: Partial<FailurePlaces>) => ({ end: 'broke', places: at(places) }) as const
  it('reads a break in the glue as exact, by steps as between', () => {
    expect(datumOf({ value: 4 }, broke({ glue: 80, offB: 20 }))).toEqual({ kind: 'exact', value: 4 })
    expect(datumOf({ low: 3, high: 4 }, broke({ glue: 100 }))).toEqual({ kind: 'between', low: 3, high: 4 })
    expect(datumOf({ low: 0, high: 4 }, broke({ glue: 100 }))).toEqual({ kind: 'atMost', high: 4 })
  })
  it('reads a torn part as "at least", from half of the area on', () => {
    expect(datumOf({ value: 4 }, broke({ tornA: 30, tornB: 20, glue: 50 }))).toEqual({ kind: 'atLeast', low: 4 })
    expect(datumOf({ value: 4 }, broke({ tornA: 49, glue: 51 }))).toEqual({ kind: 'exact', value: 4 })
    expect(datumOf({ low: 3, high: 4 }, broke({ tornA: 100 }))).toEqual({ kind: 'atLeast', low: 3 })
  })
  it('reads an unbroken coupon as "at least", a loss in handling as "at most"', () => {
    expect(datumOf({ value: 9 }, { end: 'held' })).toEqual({ kind: 'atLeast', low: 9 })
    expect(datumOf({ low: 9, high: null }, broke({ glue: 100 }))).toEqual({ kind: 'atLeast', low: 9 })
    expect(datumOf(null, { end: 'handling', lightest: 0.1 })).toEqual({ kind: 'atMost', high: 0.1 })
  })
  it('leaves wet glue and test faults out of the model, and never drops them silently', () => {
    expect(datumOf({ value: 4 }, { end: 'wet' })).toEqual({ kind: 'leftOut', why: 'wet' })
    expect(datumOf({ value: 4 }, { end: 'fault', reason: 'grip slipped' })).toEqual({ kind: 'leftOut', why: 'fault' })
  })
  it('wants a reading where load was carried, and places that add up', () => {
    expect(codeOf(() => datumOf(null, broke({ glue: 100 })))).toEqual(['missing', 'value'])
    expect(codeOf(() => checkPlaces(at({ glue: 90 })))).toEqual(['not-hundred-percent', 'places'])
    expect(codeOf(() => checkPlaces(at({ glue: 110, offA: -10 })))).toEqual(['negative', 'places.offA'])
  })
})
