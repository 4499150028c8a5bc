import { insert, update } from '../../../core/records/entry'
import { ageAtPullS, closedAt, curedFrom } from '../../../core/planning/gluing'
import type { Reading } from '../../../core/records/reading'
import type { Arm, Coupon, Procedure } from '../../../core/records/round'
import type { TestId } from '../../../core/knowledge/testKinds'
import { newId } from '../../bench/ids'
import { readingWords, readReading } from '../../bench/settled'
import { editOf, type useBench } from '../../bench/store'
import { readingParts, type PullForm } from './pullForm'

type Store = ReturnType<typeof useBench>

/**
 * How long a coupon had, and how long it should have had; null when it was cured. Never closed counts as no cure at
 * all.
 */
export function earlyBy(
  coupon: Coupon,
  procedure: Procedure,
  arm: Pick<Arm, 'ageS'> | null,
  now: number,
): { curedS: number; fullS: number } | null {
  const closed = closedAt(coupon, procedure)
  const cured = curedFrom(coupon, procedure, arm)
  const fullS = ageAtPullS(procedure, arm)
  if (closed === null || cured === null) return { curedS: 0, fullS }
  return cured <= now ? null : { curedS: Math.round((now - closed) / 1000), fullS }
}

/** @throws CodedError the fault of a reading that cannot be worked out: it is said while the coupon is still at hand */
export function usable(reading: Reading, test: TestId): void {
  const { fault } = readReading(reading, test)
  if (fault) throw fault
}

/**
 * Logs the pull of a coupon; what is wrong with it is thrown at once, before anything is written.
 * @throws CodedError when what was typed or tapped does not make a reading
 */
export function logPull(
  bench: Store,
  coupon: Coupon,
  procedure: Procedure,
  { test, ...arm }: Pick<Arm, 'test' | 'ageS'>,
  form: PullForm,
  now: number,
): Promise<boolean> {
  const parts = readingParts(form, test, bench.bench!)
  const reading: Reading = {
    id: newId(),
    coupon: coupon.id,
    at: now,
    ...parts,
    early: earlyBy(coupon, procedure, arm, now),
    setAside: null,
    corrected: [],
  }
  usable(reading, test)
  return bench.write(`Pull ${coupon.label}: ${readingWords(reading, test)}`, [insert('reading', reading)], true)
}

/**
 * Corrects a logged reading; what it was stays on it.
 * @param reading as it stood when the form was opened
 * @throws CodedError
 */
export function correctPull(
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
  usable(corrected, test)
  return bench.edit(
    `Reading ${label} corrected from ${was} to ${readingWords(corrected, test)}`,
    [editOf('reading', reading, corrected)],
    [],
    true,
  )
}

export const setAside = (bench: Store, label: string, reading: Reading, reason: string): Promise<boolean> =>
  bench.write(`Reading ${label} set aside: ${reason}`, [update('reading', reading, { setAside: reason })], true)
