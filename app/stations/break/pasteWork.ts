import { insert, type Change } from '../../../core/records/entry'
import { MOST_ROWS, pastedEnd, type PastedTable } from '../../../core/formats/pastedRows'
import { sayError } from '../../../core/messages'
import { exposureWords } from '../../../core/knowledge/exposures'
import { formulaOf, gradingOf } from '../../../core/knowledge/testKinds'
import { armOf } from '../../../core/planning/arms'
import { lacksExposure } from '../../../core/planning/exposing'
import { sizeOf } from '../../../core/readings/interpret'
import type { Reading } from '../../../core/records/reading'
import type { JointView } from '../../bench/jointView'
import { endedByPull } from '../../bench/exposing'
import { newId } from '../../bench/ids'
import { plural } from '../../look/figures'
import type { useBench } from '../../bench/store'
import { emptyForm, noPlaces } from './pullForm'
import { readingParts } from './pullRead'
import { earlyBy, usable } from './pulls'

type Store = ReturnType<typeof useBench>

export interface Pasted {
  readings: Reading[]
  bad: { line: number; why: string }[]
}

/** Pasted rows as readings of this round’s coupons; each row that is none is named with the reason. */
export function pastedReadings(bench: Store, view: JointView, table: PastedTable, now: number): Pasted {
  const coupons = new Map(view.coupons.map((one) => [one.label.toLowerCase(), one]))
  const pulled = new Set(view.readings.filter(({ setAside }) => setAside === null).map(({ coupon }) => coupon))
  const out: Pasted = { readings: [], bad: [] }
  const cell = (cells: readonly string[], index: number | null) => (index === null ? '' : (cells[index] ?? ''))
  const rest = table.rows[MOST_ROWS]
  if (rest) out.bad.push({ line: rest.line, why: `and what follows it: up to ${MOST_ROWS} rows are taken at a time` })
  for (const { line, cells } of table.rows.slice(0, MOST_ROWS)) {
    const bad = (why: string) => void out.bad.push({ line, why })
    const label = cell(cells, table.mapping.coupon)
    const coupon = coupons.get(label.toLowerCase())
    if (!label) bad('no coupon is named')
    else if (!coupon) bad(`there is no coupon ${label} in this round`)
    else if (pulled.has(coupon.id)) bad(`${coupon.label} has a reading already`)
    else {
      try {
        const reading = readingOf(bench, view, coupon.id, table, cells, now)
        if (typeof reading === 'string') bad(reading)
        else {
          out.readings.push(reading)
          pulled.add(coupon.id)
        }
      } catch (error) {
        bad(sayError(error))
      }
    }
  }
  return out
}

/** @returns the reading, or why the row is none @throws CodedError of a figure that cannot be read */
function readingOf(
  bench: Store,
  view: JointView,
  id: string,
  { mapping, unit }: PastedTable,
  cells: readonly string[],
  now: number,
): Reading | string {
  const coupon = view.coupons.find((one) => one.id === id)!
  const procedure = view.procedures.find((one) => one.id === coupon.procedure)!
  const arm = armOf(view.round!, coupon)
  const { test } = arm
  if (lacksExposure(coupon, arm))
    return `nothing is noted of what it goes through first, ${exposureWords(arm.exposure!)}`
  if (gradingOf(test)) return 'its test is looked at, not read: grade it by itself'
  const cell = (index: number | null) => (index === null ? '' : (cells[index] ?? ''))
  const [read, where] = [cell(mapping.reading), cell(mapping.where)]
  const end = pastedEnd(where)
  if (!where) return 'where it let go is not said: A, B, glue, torn A, torn B, held, wet, or fault and the reason'
  if (!end) return `“${where.slice(0, 40)}” is no place: A, B, glue, torn A, torn B, held, wet, or fault and the reason`
  const form = emptyForm(test, sizeOf(coupon.size, arm.size), 'gauge')
  form.end = end.end
  form.note = cell(mapping.note)
  if (end.end === 'broke') form.places = { ...noPlaces(), [end.place]: 100 }
  if (end.end === 'fault') form.reason = end.reason
  if (formulaOf(test)) form.text = /[a-z]/i.test(read) || !read ? read : `${read} ${unit}`.trim()
  else if (end.end === 'held') form.held = read
  else form.broke = read
  const reading: Reading = {
    id: newId(),
    coupon: id,
    at: now,
    ...readingParts(form, test, bench.bench!),
    early: earlyBy(coupon, procedure, arm, now),
    setAside: null,
    corrected: [],
  }
  usable(reading, test)
  return reading
}

/** All of them in one entry: one step back takes them back. */
export const logPasted = (bench: Store, view: JointView, readings: readonly Reading[]): Promise<boolean> =>
  bench.write(
    `${view.joint.code}: ${plural(readings.length, 'pull')} from a sheet`,
    readings.flatMap((one): Change[] => {
      const coupon = view.coupons.find(({ id }) => id === one.coupon)!
      return [insert('reading', one), ...endedByPull(coupon, armOf(view.round!, coupon), one.at)]
    }),
    true,
  )
