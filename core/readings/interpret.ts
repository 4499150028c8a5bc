import type { OutcomeRecord, Raw, Reading } from '../records/reading'
import { CodedError } from '../errors'
import { figureOf } from '../quantities/figure'
import { asUnit } from '../quantities/parse'
import { STANDARD_GRAVITY, toInside } from '../quantities/units'
import { datumOf, type Datum, type LeftOut, type Outcome, type Read, type WhyLeftOut } from './datum'
import { loadN } from './load'
import { countingOf, formulaOf, testKinds, type CouponSize, type TestId } from '../knowledge/testKinds'
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
    case 'losses':
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
      return { value: raw.take === 'steady' ? steadyPeelN(points, raw.steady ?? null).meanN : peakN(points) }
    }
    default:
      return { value: loadN(raw) }
  }
}

/** Counts as they are, or as the test makes a result of them: of two radii the smaller is the larger strain. */
function countLoad(raw: Extract<Raw, { way: 'count' }>, test: TestId, size: CouponSize): Load {
  const result = countingOf(test)?.result ?? ((counted: number) => counted)
  return {
    low: raw.held > 0 ? result(raw.held, size) : 0,
    high: raw.broke === null ? null : result(raw.broke, size),
  }
}

/** A load turned into the unit of the test; the bounds of an interval one by one. */
export function readOf(load: Load | null, test: TestId, size: CouponSize): Read | null {
  const formula = formulaOf(test)
  if (load === null || formula === null) return load
  const turned = (n: number) => formula.strength(n, size)
  return 'value' in load
    ? { value: turned(load.value) }
    : { low: turned(load.low), high: load.high === null ? null : turned(load.high) }
}

function outcomeOf(outcome: OutcomeRecord, test: TestId, size: CouponSize): Outcome {
  if (outcome.end === 'handling') {
    const formula = formulaOf(test)
    return { end: 'handling', lightest: formula ? formula.strength(outcome.lightestN, size) : outcome.lightestN }
  }
  if (outcome.end === 'wet') return { end: 'wet' }
  return outcome
}

const inNewton = (outcome: OutcomeRecord): Outcome =>
  outcome.end === 'handling' ? { end: 'handling', lightest: outcome.lightestN } : outcome

export interface Interpreted {
  load: Load | null
  read: Read | null
  datum: Datum | LeftOut
  unit: string
  size: CouponSize
  /** why it makes no strength (datum: unusable); null when it does, or need not */
  fault: CodedError | null
}

/** Strengths outside of this, in the unit of any test, come from a slip: no joint of a maker is near them. */
const USABLE = { low: 1e-6, high: 1e7 }

type Pulled = Pick<Reading, 'raw' | 'outcome' | 'size' | 'setAside' | 'direction'>

/**
 * A logged pull, worked out anew from what was read (methods.md 1 and 2). It never throws: a reading that cannot be
 * worked out keeps its place, with the fault named.
 */
export function interpret(reading: Pulled, test: TestId): Interpreted {
  const rest = { unit: reading.direction ? 'N' : testKinds[test].unit, size: reading.size, fault: null }
  try {
    return { ...rest, ...workedOut(reading, test) }
  } catch (error) {
    const why = reading.setAside ? 'set-aside' : 'unusable'
    return { ...rest, load: null, read: null, datum: { kind: 'leftOut', why }, fault: asFault(error) }
  }
}

const asFault = (error: unknown): CodedError =>
  error instanceof CodedError
    ? error
    : new CodedError('wrong-shape', '', { field: 'The reading', detail: String(error) })

function workedOut(reading: Pulled, test: TestId): Pick<Interpreted, 'load' | 'read' | 'datum'> {
  const load = loadOf(reading.raw, test, reading.size)
  // What the piece was put through before its own test is told by its load alone.
  const read = reading.direction ? load : readOf(load, test, reading.size)
  const out = (why: WhyLeftOut): Pick<Interpreted, 'load' | 'read' | 'datum'> => ({
    load,
    read,
    datum: { kind: 'leftOut', why },
  })
  if (reading.setAside) return out('set-aside')
  // Grades are looked at beside each other, not weighed as strengths.
  if (reading.raw.way === 'grades' && reading.outcome.end === 'held') return out('graded')
  if (reading.raw.way === 'losses' && reading.outcome.end === 'held') return out('losses')
  // A rung without calibration is an order only; it is kept and shown, and says nothing to the model.
  const came = reading.outcome.end === 'broke' || reading.outcome.end === 'held'
  const byOrder = reading.raw.way === 'hands' || reading.direction === 'shake'
  if (read === null && byOrder && came) return out('order-only')
  const outcome = reading.direction ? inNewton(reading.outcome) : outcomeOf(reading.outcome, test, reading.size)
  return { load, read, datum: usable(datumOf(read, outcome)) }
}

/** @throws CodedError no-load for a pull of nothing; out-of-range for what no joint comes near */
function usable(datum: Datum | LeftOut): Datum | LeftOut {
  if (datum.kind === 'leftOut') return datum
  const bounds = [
    ...('value' in datum ? [datum.value] : []),
    ...('low' in datum ? [datum.low] : []),
    ...('high' in datum ? [datum.high] : []),
  ]
  for (const value of bounds) {
    if (value === 0) throw new CodedError('no-load', 'value')
    if (!(value >= USABLE.low && value <= USABLE.high))
      throw new CodedError('out-of-range', 'value', { field: 'The strength', ...USABLE, got: figureOf(value) })
  }
  return datum
}
