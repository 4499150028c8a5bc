import type { Brief } from '../records/joint'
import { armOf } from './armOf'
import { lacksExposure } from './exposing'
import { closedAt } from './gluing'
import { readyFrom } from './pullQueue'
import type { Reading } from '../records/reading'
import type { Round } from '../records/round'
import type { Decision } from '../records/decision'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'

/** The stations, in the order in which makers work. */
export const stations = ['ask', 'shortlist', 'plan', 'glue', 'break', 'choose'] as const
export type Station = (typeof stations)[number]

export interface JointProgress {
  /** the station where the next thing is to be done */
  at: Station
  /** open words of the brief that matter for the shortlist */
  openWords: number
  procedures: number
  coupons: number
  closed: number
  pulled: number
  decided: boolean
  /**
   * from when each closed coupon is ready, cured and through what its arm asks, ms, the first one first; those that
   * wait for their heat or wash to be begun are not among them. What the clock says of them is asked where it is shown
   */
  curedAt: readonly number[]
  /** closed, not pulled, and not yet put through what its arm asks */
  lacking: number
}

/** What the clock says: how many coupons are cured by now, and when the next one is; null when none is curing. */
export function curingAt(
  { curedAt }: Pick<JointProgress, 'curedAt'>,
  now: number,
): { cured: number; next: number | null } {
  const next = curedAt.find((at) => at > now) ?? null
  return { cured: curedAt.filter((at) => at <= now).length, next }
}

/** Words without which the shortlist would judge in the dark. */
const keyWords = ['a.material', 'b.material', 'geometry', 'loads', 'heatC', 'water', 'air'] as const

export function openKeyWords(brief: Brief): string[] {
  const value = (path: string) =>
    path === 'a.material' ? brief.a.material : path === 'b.material' ? brief.b.material : brief[path as keyof Brief]
  return keyWords.filter((word) => value(word) === null)
}

/**
 * Where a joint stands, from its records alone: no clock is in it, so that a second that passes computes nothing anew.
 * @param coupons and readings of the joint's latest round
 */
export function progressOf(
  brief: Brief,
  procedures: readonly Procedure[],
  round: Round | null,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  decision: Decision | null,
): JointProgress {
  const byId = new Map(procedures.map((procedure) => [procedure.id, procedure]))
  const pulledIds = new Set(readings.map((reading) => reading.coupon))
  const closed = coupons.filter(
    (coupon) => byId.has(coupon.procedure) && closedAt(coupon, byId.get(coupon.procedure)!) !== null,
  )
  const curedAt = closed
    .map((coupon) => readyFrom(coupon, byId.get(coupon.procedure)!, round && armOf(round, coupon)))
    .filter((at) => at !== null)
    .sort((x, y) => x - y)
  const lacking = closed.filter(
    (coupon) => !pulledIds.has(coupon.id) && lacksExposure(coupon, round && armOf(round, coupon)),
  ).length
  const pulled = coupons.filter((coupon) => pulledIds.has(coupon.id)).length
  const at: Station =
    decision || (coupons.length > 0 && pulled === coupons.length)
      ? 'choose'
      : coupons.length > 0
        ? pulled > 0 || closed.length === coupons.length
          ? 'break'
          : 'glue'
        : procedures.length > 0 || round
          ? 'plan'
          : openKeyWords(brief).length === 0
            ? 'shortlist'
            : 'ask'
  return {
    at,
    openWords: openKeyWords(brief).length,
    procedures: procedures.length,
    coupons: coupons.length,
    closed: closed.length,
    pulled,
    decided: decision !== null,
    curedAt,
    lacking,
  }
}
