import { CodedError } from '../../../core/errors'
import type { Direction } from '../../../core/knowledge/directions'
import { parseQuantity } from '../../../core/quantities/parse'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { places } from '../../../core/readings/datum'
import { lightestOf } from '../../../core/readings/lightest'
import { rungInterval } from '../../../core/readings/hands'
import { dimensionOfWay } from '../../../core/readings/load'
import { countingOf, gradingOf, type CouponSize, type TestId } from '../../../core/knowledge/testKinds'
import type { Bench } from '../../../core/records/bench'
import type { OutcomeRecord, Raw, Reading } from '../../../core/records/reading'
import { type End, type PullForm, readsMean, usualUnit } from './pullForm'

/** @throws CodedError naming the field */
function sizeFrom(form: PullForm): CouponSize {
  return Object.fromEntries(
    Object.entries(form.size).map(([key, text]) => {
      const area = key === 'areaMm2'
      return [key, parseQuantity(text ?? '', area ? 'area' : 'length', area ? 'mm²' : 'mm', key).inside]
    }),
  )
}

/** A count or a radius: more digits than a day has seconds are a slip. */
const countIn = (text: string, path: string) =>
  parseNumber(text, { path, field: 'The count', example: '120', least: 0, most: 1e6 })

/** @throws CodedError where it is no whole number */
function wholeIn(text: string, path: string, field: string): number {
  const value = parseNumber(text, { path, field, example: '40', least: path === 'before' ? 1 : 0, most: 100_000 })
  if (!Number.isInteger(value)) throw new CodedError('not-whole', path, { field, got: value })
  return value
}

/** What was read, from what was typed. @throws CodedError naming the field */
export function rawFrom(form: PullForm, test: TestId, bench: Bench): Raw {
  const kg = (text: string) => (text.trim() ? parseQuantity(text, 'mass', 'kg', 'tare').inside : 0)
  switch (form.way) {
    case 'grades': {
      const { what, some = false } = gradingOf(test)!
      const done = what.some(({ id }) => form.grades[id] !== undefined)
      const open = some && done ? undefined : what.find(({ id }) => form.grades[id] === undefined)
      if (open)
        throw new CodedError('missing', open.id, {
          field: `The grade for “${open.word}”`,
          purpose: 'comparing the pieces',
        })
      return { way: 'grades', grades: { ...form.grades }, afterH: form.afterH }
    }
    case 'count': {
      const held = form.held.trim() ? countIn(form.held, 'held') : 0
      const broke = form.broke.trim() ? countIn(form.broke, 'broke') : null
      const most = countingOf(test)!.end ?? Infinity
      for (const [path, got] of [
        ['held', held],
        ['broke', broke ?? 0],
      ] as const)
        if (got > most) throw new CodedError('out-of-range', path, { field: 'The reading', low: 0, high: most, got })
      return { way: 'count', held, broke }
    }
    case 'losses': {
      const before = wholeIn(form.held, 'before', 'The count before')
      const after = wholeIn(form.broke, 'after', 'The count after')
      if (after > before)
        throw new CodedError('out-of-range', 'after', { field: 'The count after', low: 0, high: before, got: after })
      return { way: 'losses', before, after }
    }
    case 'steps': {
      const held = form.held.trim() ? parseQuantity(form.held, 'mass', 'kg', 'held') : { inside: 0 }
      const broke = form.broke.trim() ? parseQuantity(form.broke, 'mass', 'kg', 'broke') : null
      if (broke && broke.inside <= held.inside)
        throw new CodedError('out-of-order', 'broke', { field: 'The steps', low: held.inside, high: broke.inside })
      return { way: 'steps', held: held.inside, broke: broke?.inside ?? null, unit: 'kg', tareKg: kg(form.tare) }
    }
    case 'hands': {
      if (form.rung === null) throw new CodedError('missing', 'rung', { field: 'The rung', purpose: 'a pull by hand' })
      try {
        const { lowN, highN } = rungInterval(form.rung, bench.hands)
        return { way: 'hands', rung: form.rung, lowN, highN }
      } catch (error) {
        if (error instanceof CodedError && error.code === 'uncalibrated-hands')
          return { way: 'hands', rung: form.rung, lowN: null, highN: null }
        throw error
      }
    }
    case 'trace':
      if (!form.trace)
        throw new CodedError('missing', 'trace', { field: 'The trace', purpose: 'a pull: read a gauge, or a file' })
      return { way: 'trace', ...form.trace, take: form.trace.take ?? (readsMean(test) ? 'steady' : 'peak') }
    default: {
      const typed = parseQuantity(form.text, dimensionOfWay(form.way), usualUnit(form.way, bench), 'value')
      const single = { value: typed.value, unit: typed.unit, tareKg: kg(form.tare) }
      if (form.way !== 'lever') return { way: form.way, ...single }
      const mm = (text: string, path: string) => parseQuantity(text, 'length', 'mm', path).inside
      return {
        way: 'lever',
        ...single,
        armLoadMm: mm(form.armLoad, 'arm of the load'),
        armJointMm: mm(form.armJoint, 'arm of the joint'),
      }
    }
  }
}

const hasPlaces = (form: PullForm) => places.some((place) => form.places[place] > 0)

/** @throws CodedError when nobody has said where it let go, or why the test went wrong */
function outcomeFrom(form: PullForm, test: TestId, bench: Bench): OutcomeRecord {
  switch (form.end) {
    case 'held':
      return { end: 'held' }
    case 'handling':
      return { end: 'handling', lightestN: lightestOf(test, sizeFrom(form), bench.gauge).value }
    case 'wet':
      return { end: 'wet', places: hasPlaces(form) ? { ...form.places } : null }
    case 'fault':
      if (!form.reason.trim())
        throw new CodedError('missing', 'reason', { field: 'What went wrong', purpose: 'a test that does not count' })
      return { end: 'fault', reason: form.reason.trim() }
    case 'broke':
      if (!hasPlaces(form))
        throw new CodedError('missing', 'places', {
          field: 'Where it let go',
          purpose: 'a pull: tap the place on the drawing',
        })
      return {
        end: 'broke',
        places: { ...form.places },
        ...(form.voids > 0 && { voids: form.voids }),
        ...(form.painted && { painted: form.painted }),
      }
  }
}

/** Wet glue, faults and handling losses may come without a load. */
const loadOptional = (end: End): boolean => end === 'wet' || end === 'fault' || end === 'handling'

const nothingTyped = (form: PullForm) =>
  form.way === 'hands'
    ? form.rung === null
    : form.way === 'grades'
      ? !Object.keys(form.grades).length
      : form.way === 'trace'
        ? !form.trace
        : form.way === 'steps' || form.way === 'count' || form.way === 'losses'
          ? !form.held && !form.broke
          : !form.text.trim()

export function readingParts(
  form: PullForm,
  test: TestId,
  bench: Bench,
  direction: Direction | null = null,
): Pick<Reading, 'raw' | 'outcome' | 'size' | 'note' | 'measured'> {
  // Of what is shaken no load is read.
  const none = direction === 'shake' || (loadOptional(form.end) && nothingTyped(form))
  const raw: Raw = none ? { way: 'none' } : rawFrom(form, test, bench)
  return {
    raw,
    outcome: outcomeFrom(form, test, bench),
    size: sizeFrom(form),
    note: form.note.trim(),
    ...(form.measured.length && { measured: [...form.measured] }),
  }
}
