import { reactive } from 'vue'
import { JOINT_ARM_MM } from '../../../core/coupons/reading'
import { CodedError } from '../../../core/errors'
import { thinned } from '../../../core/formats/traceCsv'
import type { TracePoint } from '../../../core/readings/trace'
import type { Direction } from '../../../core/knowledge/directions'
import { digitsOf } from '../../../core/quantities/figure'
import { parseNumber, parseQuantity } from '../../../core/quantities/parse'
import type { Place } from '../../../core/readings/datum'
import { places } from '../../../core/readings/datum'
import { lightestOf } from '../../../core/readings/lightest'
import type { Rung } from '../../../core/knowledge/rungs'
import { rungInterval } from '../../../core/readings/hands'
import { dimensionOfWay, type Way } from '../../../core/readings/load'
import {
  countsLosses,
  formulaOf,
  gradingOf,
  type CouponSize,
  type SizeKey,
  type TestId,
} from '../../../core/knowledge/testKinds'
import type { Grade } from '../../../core/readings/grades'
import type { Bench } from '../../../core/records/bench'
import type { OutcomeRecord, Painted, Raw, Reading } from '../../../core/records/reading'
import type { ArmRead } from '../../../core/records/round'

export type FormWay = Way | 'steps' | 'hands' | 'trace' | 'count' | 'grades' | 'losses'
/** nothing; a fresh coupon is glued in its place; it is whole, and pulled again */
export type AfterFault = 'nothing' | 'spare' | 'again'
export type End = 'broke' | 'held' | 'handling' | 'wet' | 'fault'

/** What is typed and tapped for one pull, before it is a reading. Texts stay as typed until they are logged. */
export interface PullForm {
  way: FormWay
  text: string
  tare: string
  armLoad: string
  armJoint: string
  held: string
  broke: string
  rung: Rung | null
  grades: Record<string, Grade>
  afterH: number | null
  /** of a gauge or a file */
  trace: {
    file: string
    points: [number, number, number | null][]
    simulated?: boolean
    steady?: [number, number]
    /** what is read off it; left out: as its test asks */
    take?: 'peak' | 'steady'
  } | null
  end: End
  places: Record<Place, number>
  /** of the bonded area, %: voids and what was never wetted */
  voids: number
  /** the face as it was painted; null: the places came from elsewhere */
  painted: Painted | null
  /** figures measured on a photo */
  measured: { what: string; value: number; unit: string }[]
  reason: string
  /** of a fault: what is done about it in the same stroke */
  then: AfterFault
  note: string
  size: Partial<Record<SizeKey, string>>
}

export const noPlaces = (): Record<Place, number> => ({ tornA: 0, offA: 0, glue: 0, offB: 0, tornB: 0 })

/** The way in which a test is read, the usual one where it leaves a choice. */
function wayOf(test: TestId, usual: FormWay | undefined): FormWay {
  if (gradingOf(test)) return 'grades'
  if (countsLosses(test)) return 'losses'
  if (!formulaOf(test)) return 'count'
  return usual && usual !== 'count' && usual !== 'grades' && usual !== 'losses' ? usual : 'gauge'
}

/** @param planned how the plan says that its load is read */
export function emptyForm(test: TestId, size: CouponSize, usual?: FormWay, planned?: ArmRead): PullForm {
  const lever = planned?.way === 'lever' ? planned.ratio : null
  return reactive<PullForm>({
    way: wayOf(test, planned?.way ?? usual),
    text: '',
    tare: '',
    armLoad: lever ? `${digitsOf(lever * JOINT_ARM_MM)} mm` : '',
    armJoint: lever ? `${JOINT_ARM_MM} mm` : '',
    held: '',
    broke: '',
    rung: null,
    grades: {},
    afterH: gradingOf(test)?.looks[0]?.hours ?? null,
    trace: null,
    end: gradingOf(test) || countsLosses(test) ? 'held' : 'broke',
    places: noPlaces(),
    voids: 0,
    painted: null,
    measured: [],
    reason: '',
    then: 'nothing',
    note: '',
    size: Object.fromEntries(
      Object.entries(size)
        .filter(([, value]) => value != null)
        .map(([key, value]) => [key, digitsOf(value)]),
    ),
  })
}

/** A logged reading back in the form, to correct it. */
export function formOf(reading: Reading, test: TestId): PullForm {
  const form = emptyForm(test, reading.size)
  const { raw, outcome } = reading
  if (raw.way !== 'none') form.way = raw.way
  if ('value' in raw) form.text = `${digitsOf(raw.value)} ${raw.unit}`
  if ('tareKg' in raw && raw.tareKg) form.tare = `${digitsOf(raw.tareKg)} kg`
  if (raw.way === 'lever') {
    form.armLoad = `${digitsOf(raw.armLoadMm)} mm`
    form.armJoint = `${digitsOf(raw.armJointMm)} mm`
  }
  if (raw.way === 'steps' || raw.way === 'count') {
    const unit = raw.way === 'steps' ? ` ${raw.unit}` : ''
    form.held = `${digitsOf(raw.held)}${unit}`
    form.broke = raw.broke === null ? '' : `${digitsOf(raw.broke)}${unit}`
  }
  if (raw.way === 'hands') form.rung = raw.rung
  if (raw.way === 'grades') Object.assign(form, { grades: { ...raw.grades }, afterH: raw.afterH })
  if (raw.way === 'losses') Object.assign(form, { held: String(raw.before), broke: String(raw.after) })
  if (raw.way === 'trace') {
    const { file, points, simulated, steady, take } = raw
    form.trace = { file, points, take, ...(simulated && { simulated }), ...(steady && { steady }) }
  }
  form.end = outcome.end
  if ('places' in outcome && outcome.places) form.places = { ...outcome.places }
  if (outcome.end === 'broke') Object.assign(form, { voids: outcome.voids ?? 0, painted: outcome.painted ?? null })
  form.measured = [...(reading.measured ?? [])]
  if (outcome.end === 'fault') form.reason = outcome.reason
  form.note = reading.note
  return form
}

/** Points of a trace that are kept with a reading. */
const KEPT_POINTS = 1500

/** A trace as it is kept: thinned so that what its test reads off it, a peak or a mean, stays what it was. */
export const keptTrace = (
  test: TestId,
  file: string,
  points: readonly TracePoint[],
): NonNullable<PullForm['trace']> => ({
  file,
  points: thinned(points, KEPT_POINTS, readsMean(test) ? 'means' : 'extremes').map(({ s, n, mm }) => [s, n, mm]),
})
/** Of a peel the mean of its steady part is read, of everything else the peak. */
const readsMean = (test: TestId): boolean => formulaOf(test)?.id === 'peel'

/** @throws CodedError naming the field */
function sizeFrom(form: PullForm): CouponSize {
  return Object.fromEntries(
    Object.entries(form.size).map(([key, text]) => {
      const area = key === 'areaMm2'
      return [key, parseQuantity(text ?? '', area ? 'area' : 'length', area ? 'mm²' : 'mm', key).inside]
    }),
  )
}

/** What a number without a unit is taken for: the maker’s own scale reads in one. */
export function usualUnit(way: Way, { gauge }: Pick<Bench, 'gauge'>): string {
  return way === 'mass' ? 'kg' : way === 'water' ? 'l' : (gauge.unit ?? 'N')
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
      const { what } = gradingOf(test)!
      const open = what.find(({ id }) => form.grades[id] === undefined)
      if (open)
        throw new CodedError('missing', open.id, {
          field: `The grade for “${open.word}”`,
          purpose: 'comparing the pieces',
        })
      return { way: 'grades', grades: { ...form.grades }, afterH: form.afterH }
    }
    case 'count': {
      const held = form.held.trim() ? countIn(form.held, 'held') : 0
      return { way: 'count', held, broke: form.broke.trim() ? countIn(form.broke, 'broke') : null }
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
