import type { Brief } from '../records/joint'
import { closedAt, curedFrom } from './gluing'
import type { Reading } from '../records/reading'
import type { Coupon, Decision, Procedure, Round } from '../records/round'

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
  cured: number
  pulled: number
  decided: boolean
  /** the next coupon is cured from, ms; null when none is curing */
  nextCuredAt: number | null
}

/** Words without which the shortlist would judge in the dark. */
export const keyWords = ['a.material', 'b.material', 'geometry', 'loads', 'heatC', 'water', 'air'] as const

export function openKeyWords(brief: Brief): string[] {
  const value = (path: string) =>
    path === 'a.material' ? brief.a.material : path === 'b.material' ? brief.b.material : brief[path as keyof Brief]
  return keyWords.filter((word) => value(word) === null)
}

/**
 * Where a joint stands, from its records alone.
 * @param coupons and readings of the joint's latest round
 */
export function progressOf(
  brief: Brief,
  procedures: readonly Procedure[],
  round: Round | null,
  coupons: readonly Coupon[],
  readings: readonly Reading[],
  decision: Decision | null,
  now: number,
): JointProgress {
  const byId = new Map(procedures.map((procedure) => [procedure.id, procedure]))
  const pulledIds = new Set(readings.map((reading) => reading.coupon))
  const closed = coupons.filter(
    (coupon) => byId.has(coupon.procedure) && closedAt(coupon, byId.get(coupon.procedure)!) !== null,
  )
  const curing = closed.map((coupon) => curedFrom(coupon, byId.get(coupon.procedure)!)!)
  const waiting = curing.filter((at) => at > now)
  const pulled = coupons.filter((coupon) => pulledIds.has(coupon.id)).length
  const at: Station =
    decision || (coupons.length > 0 && pulled === coupons.length) ? 'choose'
    : coupons.length > 0 ? (pulled > 0 || closed.length === coupons.length ? 'break' : 'glue')
    : procedures.length > 0 || round ? 'plan'
    : openKeyWords(brief).length === 0 ? 'shortlist'
    : 'ask' // prettier-ignore
  return {
    at,
    openWords: openKeyWords(brief).length,
    procedures: procedures.length,
    coupons: coupons.length,
    closed: closed.length,
    cured: curing.length - waiting.length,
    pulled,
    decided: decision !== null,
    nextCuredAt: waiting.length ? Math.min(...waiting) : null,
  }
}
