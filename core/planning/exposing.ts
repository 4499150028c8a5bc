import { exposureRows } from '../knowledge/exposures'
import { HOUR_MS } from '../quantities/days'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Arm, Exposure, Round } from '../records/round'
import { armOf } from './armOf'
import { curedFrom } from './gluing'

/** Exposures that somebody begins and ends; weeks pass by themselves, and flexes are counted at the pull. */
export const isPutThrough = (exposure: Exposure | null | undefined): exposure is Exposure =>
  exposure != null && exposureRows[exposure.kind].acts !== undefined

/** Whether a coupon has to be put through something of which nothing is noted yet. */
export const lacksExposure = (coupon: Pick<Coupon, 'exposed'>, arm: Pick<Arm, 'exposure'> | null): boolean =>
  isPutThrough(arm?.exposure) && !coupon.exposed

/** When a coupon has been through what it is exposed to, ms; null where that was not begun. */
export function exposedUntil({ exposed }: Pick<Coupon, 'exposed'>, { hours }: Exposure): number | null {
  return exposed ? (exposed.until ?? exposed.from + hours * HOUR_MS) : null
}

/** How long a coupon really was in it, h; null before its end. */
export const exposedHours = ({ exposed }: Pick<Coupon, 'exposed'>): number | null =>
  exposed?.until === undefined ? null : (exposed.until - exposed.from) / HOUR_MS

/** Coupons of one arm that go through something, by where they stand. */
export interface Exposing {
  arm: Arm
  exposure: Exposure
  /** not closed, or not cured */
  cures: Coupon[]
  /** cured, and not begun */
  waits: Coupon[]
  /** begun, and not ended */
  runs: Coupon[]
  through: Coupon[]
  /** when the last of the waiting and curing ones may begin, ms; null where none is left, or one is not closed yet */
  from: number | null
  /** when the last of those that are in it is due out, ms */
  due: number | null
}

/**
 * Exposures of a round, arm by arm: what waits for its beginning, what is in it, what has been through.
 * @param coupons that are still to be pulled
 */
export function exposingOf(
  round: Pick<Round, 'arms'>,
  procedures: readonly Procedure[],
  coupons: readonly Coupon[],
  now: number,
): Exposing[] {
  return round.arms.flatMap((arm): Exposing[] => {
    const { exposure } = arm
    if (!isPutThrough(exposure)) return []
    const of = coupons.filter((coupon) => armOf(round, coupon).id === arm.id)
    const cured = (coupon: Coupon) => {
      const procedure = procedures.find(({ id }) => id === coupon.procedure)
      return procedure ? curedFrom(coupon, procedure, arm) : null
    }
    const open = of.filter(({ exposed }) => !exposed)
    const isCured = (coupon: Coupon) => (cured(coupon) ?? Infinity) <= now
    const runs = of.filter(({ exposed }) => exposed && exposed.until === undefined)
    const from = open.length ? Math.max(...open.map((one) => cured(one) ?? Infinity)) : null
    return [
      {
        arm,
        exposure,
        cures: open.filter((one) => !isCured(one)),
        waits: open.filter(isCured),
        runs,
        through: of.filter(({ exposed }) => exposed?.until !== undefined),
        from: from === Infinity ? null : from,
        due: runs.length ? Math.max(...runs.map((one) => exposedUntil(one, exposure)!)) : null,
      },
    ]
  })
}

/** The arm of the same test that goes through nothing, where the round has one: there a piece counts as it is. */
export const unexposedArm = (round: Pick<Round, 'arms'>, arm: Pick<Arm, 'id' | 'test' | 'ageS'>): Arm | null =>
  round.arms.find(
    ({ id, test, exposure, ageS }) =>
      id !== arm.id && test === arm.test && !exposure && (ageS ?? null) === (arm.ageS ?? null),
  ) ?? null
