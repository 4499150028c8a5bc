import { notNegative, positive } from '../quantities/require'
import type { Brief } from '../records/joint'

/**
 * Air changes an hour taken for each place: usual figures of building ventilation; a real room can be far from them.
 * Outdoors the wind decides.
 */
export const airChangesPerHour: Record<NonNullable<Brief['air']>, number | null> = {
  closed: 0.3,
  window: 3,
  extraction: 10,
  outdoors: null,
}
/** Hours over which the vapour is taken to leave the glue. */
const RELEASE_H = 1

export interface VapourQuestion {
  /** glue laid on, g */
  grams: number
  /** share of it that evaporates, 0…1 */
  volatileShare: number
  roomM3: number
  /** air changes an hour; 0 is a sealed room */
  changesPerHour: number
  /** hours over which it leaves the glue */
  releaseH?: number
  /** limit from the data sheet, mg/m³; without it there is no verdict */
  limitMgM3?: number | null
}

export interface VapourEstimate {
  evaporatedG: number
  /** highest value in the room, at the end of the release, mg/m³ */
  peakMgM3: number
  /** peak ÷ limit; null without a limit */
  ofLimit: number | null
}

/**
 * Vapour in a room after gluing: a single well-mixed box, the mass balance V·dC/dt = G − n·V·C with G constant over the
 * release, so C(t) = G/(n·V)·(1 − e^(−n·t)). Near the work it may be several times more; the nose is no gauge.
 * @throws CodedError not-positive, negative
 */
export function vapourEstimate(question: VapourQuestion): VapourEstimate {
  const grams = notNegative(question.grams, 'grams', 'The amount of glue', 'the vapour')
  const room = positive(question.roomM3, 'roomM3', 'The size of the room', 'the vapour')
  const n = notNegative(question.changesPerHour, 'changesPerHour', 'Air changes an hour', 'the vapour')
  const t = positive(question.releaseH ?? RELEASE_H, 'releaseH', 'The time it evaporates in', 'the vapour')
  const evaporatedG = grams * notNegative(question.volatileShare, 'volatileShare', 'What evaporates', 'the vapour')
  const perHourMg = (evaporatedG * 1000) / t
  // For n → 0 the closed form tends to G·t/V.
  const hours = n * t < 1e-9 ? t : (1 - Math.exp(-n * t)) / n
  const peakMgM3 = (perHourMg / room) * hours
  const limit = question.limitMgM3 ?? null
  return {
    evaporatedG,
    peakMgM3,
    ofLimit: limit === null ? null : peakMgM3 / positive(limit, 'limitMgM3', 'The limit', 'the vapour'),
  }
}
