import { insert, update } from '../../../core/records/entry'
import { closedAt, curedFrom } from '../../../core/planning/gluing'
import type { Reading } from '../../../core/records/reading'
import type { Coupon, Procedure } from '../../../core/records/round'
import type { TestId } from '../../../core/readings/tests'
import { newId } from '../../bench/ids'
import { readingWords, readReading } from '../../bench/settled'
import type { useBench } from '../../bench/store'
import { readingParts, type PullForm } from './pullForm'

type Store = ReturnType<typeof useBench>

/** How long a coupon had, and how long it should have had; null when it was cured. Never closed counts as no cure at all. */
export function earlyBy(coupon: Coupon, procedure: Procedure, now: number): { curedS: number; fullS: number } | null {
  const closed = closedAt(coupon, procedure)
  const cured = curedFrom(coupon, procedure)
  const fullS = procedure.steps.filter((step) => step.kind === 'cure').reduce((sum, step) => sum + step.minS, 0)
  if (closed === null || cured === null) return { curedS: 0, fullS }
  return cured <= now ? null : { curedS: Math.round((now - closed) / 1000), fullS }
}

/** Logs the pull of a coupon. @throws CodedError when what was typed or tapped does not make a reading */
export async function logPull(
  bench: Store,
  coupon: Coupon,
  procedure: Procedure,
  test: TestId,
  form: PullForm,
  now: number,
): Promise<boolean> {
  const parts = readingParts(form, test, bench.bench!)
  const reading: Reading = {
    id: newId(),
    coupon: coupon.id,
    at: now,
    ...parts,
    early: earlyBy(coupon, procedure, now),
    setAside: null,
    corrected: [],
  }
  readReading(reading, test)
  return bench.write(`Pull ${coupon.label}: ${readingWords(reading, test)}`, [insert('reading', reading)], true)
}

/** Corrects a logged reading; what it was stays on it. @throws CodedError */
export async function correctPull(
  bench: Store,
  label: string,
  reading: Reading,
  test: TestId,
  form: PullForm,
  now: number,
): Promise<boolean> {
  const parts = readingParts(form, test, bench.bench!)
  const was = readingWords(reading, test)
  const corrected: Reading = {
    ...reading,
    ...parts,
    setAside: null,
    corrected: [...reading.corrected, { at: now, was }],
  }
  readReading(corrected, test)
  return bench.write(
    `Reading ${label} corrected from ${was} to ${readingWords(corrected, test)}`,
    [update('reading', reading, corrected)],
    true,
  )
}

export const setAside = (bench: Store, label: string, reading: Reading, reason: string): Promise<boolean> =>
  bench.write(`Reading ${label} set aside: ${reason}`, [update('reading', reading, { setAside: reason })], true)
