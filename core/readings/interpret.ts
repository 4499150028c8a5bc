import type { OutcomeRecord, Raw, Reading } from '../records/reading'
import { asUnit } from '../quantities/parse'
import { STANDARD_GRAVITY, toInside } from '../quantities/units'
import { datumOf, type Datum, type LeftOut, type Outcome, type Read } from './datum'
import { bendStrain } from './flex'
import { loadN } from './load'
import { strength, type CouponSize } from './strength'
import { testKinds, type TestId } from './tests'
import { peakN, steadyPeelN } from './trace'

/** A load in N (or a count), read as one value or as an interval whose open top is null. */
export type Load = Read

/** The sizes that a coupon's load is divided by: measured ones first, the round's for the rest. */
export const sizeOf = (measured: CouponSize, planned: CouponSize): CouponSize => ({
  ...planned,
  ...Object.fromEntries(Object.entries(measured).filter(([, value]) => value != null)),
})

/** What was read, as a load at the joint; null when nothing was (or only an order). */
export function loadOf(raw: Raw, test: TestId, size: CouponSize): Load | null {
  switch (raw.way) {
    case 'none':
    case 'grades':
      return null
    case 'count':
      return countLoad(raw, test, size)
    case 'hands':
      return raw.lowN === null ? null : { low: raw.lowN, high: raw.highN }
    case 'steps': {
      const unit = asUnit(raw.unit, 'mass', 'unit')
      const weight = (value: number) => (toInside(value, unit, 'mass') + (raw.tareKg ?? 0)) * STANDARD_GRAVITY
      return { low: raw.held > 0 ? weight(raw.held) : 0, high: raw.broke === null ? null : weight(raw.broke) }
    }
    case 'trace': {
      const points = raw.points.map(([s, n, mm]) => ({ s, n, mm }))
      return { value: raw.take === 'steady' ? steadyPeelN(points).meanN : peakN(points) }
    }
    default:
      return { value: loadN(raw) }
  }
}

/** Bend: radii become strains (the smaller radius is the larger strain). Flex and drop: the counts themselves. */
function countLoad(raw: Extract<Raw, { way: 'count' }>, test: TestId, size: CouponSize): Load {
  if (test !== 'bend') return raw.broke === null ? { low: raw.held, high: null } : { low: raw.held, high: raw.broke }
  const percent = (radiusMm: number) => 100 * bendStrain(size.thicknessMm ?? NaN, radiusMm)
  return { low: raw.held > 0 ? percent(raw.held) : 0, high: raw.broke === null ? null : percent(raw.broke) }
}

/** A load turned into the unit of the test; the bounds of an interval one by one. */
export function readOf(load: Load | null, test: TestId, size: CouponSize): Read | null {
  const { force } = testKinds[test]
  if (load === null || force === null) return load
  const turned = (n: number) => strength(force, n, size)
  return 'value' in load
    ? { value: turned(load.value) }
    : { low: turned(load.low), high: load.high === null ? null : turned(load.high) }
}

function outcomeOf(outcome: OutcomeRecord, test: TestId, size: CouponSize): Outcome {
  if (outcome.end === 'handling') {
    const { force } = testKinds[test]
    return { end: 'handling', lightest: force === null ? outcome.lightestN : strength(force, outcome.lightestN, size) }
  }
  if (outcome.end === 'wet') return { end: 'wet' }
  return outcome
}

export interface Interpreted {
  load: Load | null
  read: Read | null
  datum: Datum | LeftOut
  unit: string
  size: CouponSize
}

/**
 * A logged pull, worked out anew from what was read (methods.md 1 and 2).
 * @throws CodedError when a size or a load is missing
 */
export function interpret(reading: Pick<Reading, 'raw' | 'outcome' | 'size' | 'setAside'>, test: TestId): Interpreted {
  const load = loadOf(reading.raw, test, reading.size)
  const read = readOf(load, test, reading.size)
  const { unit } = testKinds[test]
  const rest = { load, read, unit, size: reading.size }
  if (reading.setAside) return { ...rest, datum: { kind: 'leftOut', why: 'set-aside' } }
  // Grades are looked at beside each other, not weighed as strengths.
  if (reading.raw.way === 'grades' && reading.outcome.end === 'held')
    return { ...rest, datum: { kind: 'leftOut', why: 'graded' } }
  // A rung without calibration is an order only; it is kept and shown, and says nothing to the model.
  if (
    read === null &&
    reading.raw.way === 'hands' &&
    (reading.outcome.end === 'broke' || reading.outcome.end === 'held')
  )
    return { ...rest, datum: { kind: 'leftOut', why: 'order-only' } }
  return { ...rest, datum: datumOf(read, outcomeOf(reading.outcome, test, reading.size)) }
}
