import { reactive } from 'vue'
import { JOINT_ARM_MM } from '../../../core/coupons/reading'
import { thinned } from '../../../core/formats/traceCsv'
import type { TracePoint } from '../../../core/readings/trace'
import { digitsOf } from '../../../core/quantities/figure'
import type { Place } from '../../../core/readings/datum'
import type { Rung } from '../../../core/knowledge/rungs'
import { type Way } from '../../../core/readings/load'
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
import type { Painted, Reading } from '../../../core/records/reading'
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
export const readsMean = (test: TestId): boolean => formulaOf(test)?.id === 'peel'

/** What a number without a unit is taken for: the maker’s own scale reads in one. */
export function usualUnit(way: Way, { gauge }: Pick<Bench, 'gauge'>): string {
  return way === 'mass' ? 'kg' : way === 'water' ? 'l' : (gauge.unit ?? 'N')
}
