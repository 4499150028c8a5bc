import { exposureRows, exposureWords } from '../../core/knowledge/exposures'
import { unexposedArm, type Exposing } from '../../core/planning/exposing'
import { HOUR_MS } from '../../core/quantities/days'
import { durationWords } from '../../core/quantities/durations'
import { update, type Change } from '../../core/records/entry'
import type { Coupon } from '../../core/records/coupon'
import type { Arm, Exposure, Round } from '../../core/records/round'
import type { useBench } from './store'

type Store = ReturnType<typeof useBench>
const labels = (coupons: readonly Coupon[]) => coupons.map(({ label }) => label).join(', ')

/** Begins what an arm is exposed to, for all its cured pieces at once. */
export const beginExposure = (bench: Store, { exposure, waits }: Exposing, now: number): Promise<boolean> =>
  bench.write(
    `${labels(waits)}: ${exposureRows[exposure.kind].acts!.begin.toLowerCase()}`,
    waits.map((coupon) => update('coupon', coupon, { exposed: { from: now } })),
    true,
  )

/** Ends it; how long it really was stays on each piece, and is said where it was cut short or went on. */
export const endExposure = (bench: Store, { exposure, runs }: Exposing, now: number): Promise<boolean> =>
  bench.write(
    `${labels(runs)}: ${exposureRows[exposure.kind].acts!.end.toLowerCase()}`,
    runs.map((coupon) => update('coupon', coupon, ended(coupon, exposure, now))),
    true,
  )

/** Less or more than so large a share of the planned time is noted as a deviation. */
const NEAR = 0.1

function ended({ exposed, deviations }: Coupon, exposure: Exposure, now: number): Partial<Coupon> {
  const { from } = exposed!
  const hours = (now - from) / HOUR_MS
  const off = Math.abs(hours - exposure.hours) > NEAR * exposure.hours
  const text = `Exposed for ${durationWords(hours * 3600)} where ${durationWords(exposure.hours * 3600)} were planned`
  return { exposed: { from, until: now }, ...(off && { deviations: [...deviations, { at: now, text }] }) }
}

/** What is still in its heat or water as it is pulled is out of it then. */
export const endedByPull = (coupon: Coupon, { exposure }: Pick<Arm, 'exposure'>, now: number): Change[] =>
  exposure && coupon.exposed && coupon.exposed.until === undefined
    ? [update('coupon', coupon, ended(coupon, exposure, now))]
    : []

/** A piece that went through it while nobody noted it: as long as was planned, until now. */
export const saysExposed = (bench: Store, coupon: Coupon, arm: Arm, now: number): Promise<boolean> =>
  bench.write(
    `${coupon.label}: it went through it, ${exposureWords(arm.exposure!)}`,
    [update('coupon', coupon, { exposed: { from: now - arm.exposure!.hours * HOUR_MS, until: now } })],
    true,
  )

/**
 * A piece that was not put through it is none of that arm: it counts in the arm of the same test that goes through
 * nothing, and where there is none it does not count.
 */
export function asItIs(bench: Store, round: Round, coupon: Coupon, arm: Arm, now: number): Promise<boolean> {
  const other = unexposedArm(round, arm)
  const text = `Not put through it (${exposureWords(arm.exposure!)})`
  const deviations = [...coupon.deviations, { at: now, text }]
  return bench.write(
    `${coupon.label}: not exposed, ${other ? 'pulled as it is' : 'left out'}`,
    [update('coupon', coupon, other ? { arm: other.id, deviations } : { deviations, leftOut: text })],
    true,
  )
}
