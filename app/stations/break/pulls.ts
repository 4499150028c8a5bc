import { directionRows, type Direction } from '../../../core/knowledge/directions'
import { closedBy, endsPiece } from '../../../core/readings/earlier'
import { lightestOf } from '../../../core/readings/lightest'
import { CodedError } from '../../../core/errors'
import { sayError } from '../../../core/messages'
import { insert, update, type Change } from '../../../core/records/entry'
import { PULL } from '../../../core/records/together/pull'
import { spareFor } from '../../../core/planning/pullQueue'
import { ageAtPullS, closedAt, curedFrom } from '../../../core/planning/gluing'
import type { Reading } from '../../../core/records/reading'
import type { Arm } from '../../../core/records/round'
import type { Coupon } from '../../../core/records/coupon'
import type { Procedure } from '../../../core/records/procedure'
import type { TestId } from '../../../core/knowledge/testKinds'
import { askAboutClash } from '../../bench/clash'
import { endedByPull } from '../../bench/exposing'
import { newId } from '../../bench/ids'
import { readingWords, readReading } from '../../bench/settled'
import type { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import type { PullForm } from './pullForm'
import { readingParts } from './pullRead'

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
export function logPull(bench: Store, pull: PullOf, form: PullForm, now: number): Promise<boolean> {
  const { coupon, procedure, arm, direction, coupons } = pull
  const again = form.end === 'fault' && form.then === 'again'
  const reading: Reading = {
    id: newId(),
    coupon: coupon.id,
    at: now,
    ...readingParts(form, testRead(pull.arm.test, pull.direction), bench.bench!, direction),
    ...(direction && { direction }),
    early: earlyBy(coupon, procedure, arm, now),
    ...(again && { again }),
    setAside: null,
    corrected: [],
  }
  usable(reading, arm.test)
  const spare = form.end === 'fault' && form.then === 'spare' ? [spareFor(coupon, coupons, newId(), now)] : []
  return logOrAsk(
    bench,
    `Pull ${coupon.label}: ${readingWords(reading, arm.test)}${spare.map(({ label }) => `; ${label} in its place`)}`,
    [
      insert('reading', reading),
      ...closing(bench, pull, reading, now),
      ...endedByPull(coupon, arm, now),
      ...spare.map((one): Change => insert('coupon', one)),
    ],
    reading,
  )
}

/** Why a reading gave way to another of the same pull. */
const GAVE_WAY = 'the same pull was logged in another tab too, and that one stands'

/**
 * Writes a pull. Where another tab was first with the same coupon, both are shown and the maker says which stands; the
 * other one is set aside, or what was typed stays in the form.
 * @returns whether the form is done with
 */
async function logOrAsk(bench: Store, label: string, changes: Change[], reading: Reading): Promise<boolean> {
  const refused = await bench.attempt(label, changes, true)
  if (!refused) return true
  const way = ({ direction }: Reading) => direction ?? null
  const other =
    refused instanceof CodedError && refused.code === 'taken'
      ? bench
          .of('reading', reading.coupon)
          .find((one) => one.setAside === null && !one.again && way(one) === way(reading))
      : undefined
  if (!other) {
    bench.tell(sayError(refused), 'bad')
    return false
  }
  const answer = await askAboutClash(label, [{ path: [PULL], opened: null, mine: reading, theirs: other }])
  if (answer !== 'mine') return answer === 'theirs'
  return bench.write(label, [update('reading', other, { setAside: GAVE_WAY }), ...changes], true)
}

/** A pull of one coupon: what it is, and what it is put through. */
export interface PullOf {
  coupon: Coupon
  procedure: Procedure
  arm: Arm
  /** null: its own test */
  direction: Direction | null
  /** of the round, those that are left out too */
  coupons: readonly Coupon[]
}

/** The test by whose ways a pull is read: an earlier direction has its own. */
export const testRead = (own: TestId, direction: Direction | null): TestId =>
  (direction && (directionRows[direction].read ?? 'tension')) || own

/** What an earlier direction that ended the piece leaves of its own test. */
function closing(bench: Store, { arm, direction }: PullOf, earlier: Reading, now: number): Change[] {
  if (!direction || !endsPiece(earlier)) return []
  const lightest = lightestOf(arm.test, arm.size, bench.bench!.gauge).value
  const own: Reading = {
    id: newId(),
    coupon: earlier.coupon,
    at: now,
    because: earlier.id,
    raw: { way: 'none' },
    outcome: closedBy(direction, lightest),
    size: { ...arm.size },
    early: earlier.early,
    note: '',
    setAside: null,
    corrected: [],
  }
  return [insert('reading', own)]
}

/**
 * Corrects a logged reading; what it was stays on it.
 * @param reading as it stood when the form was opened
 * @throws CodedError
 */
export function correctPull(
  bench: Store,
  pull: PullOf,
  reading: Reading,
  form: PullForm,
  now: number,
): Promise<boolean> {
  const { label } = pull.coupon
  const { test } = pull.arm
  const parts = readingParts(form, testRead(pull.arm.test, pull.direction), bench.bench!, pull.direction)
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
    afterwards(bench, pull, reading, corrected, now),
    true,
  )
}

/** What follows for the piece's own test when an earlier direction is corrected: it held after all, or it did not. */
function afterwards(bench: Store, pull: PullOf, before: Reading, after: Reading, now: number): Change[] {
  if (!pull.direction || endsPiece(before) === endsPiece(after)) return []
  const own = bench.of('reading', before.coupon).filter(({ direction, setAside: out }) => !direction && out === null)
  if (!endsPiece(after))
    return own
      .filter(({ because }) => because === before.id)
      .map((one): Change => update('reading', one, { setAside: 'the earlier pull of the same piece was corrected' }))
  return own.length ? [] : closing(bench, pull, after, now)
}

export const setAside = (bench: Store, label: string, reading: Reading, reason: string): Promise<boolean> =>
  bench.write(`Reading ${label} set aside: ${reason}`, [update('reading', reading, { setAside: reason })], true)
