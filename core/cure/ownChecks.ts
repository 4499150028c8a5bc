import type { CureCheck } from '../records/coupon'
import { analyse } from '../statistics/analyse'
import type { ModelReading } from '../statistics/data'

/** The looks at one piece, with when it was closed, ms. */
export interface Looked {
  closed: number
  checks: readonly Pick<CureCheck, 'at' | 'state'>[]
}

/** What own looks at pieces of one glue say of its cure. Times in s. */
export interface OwnCure {
  /** pieces that were looked at */
  pieces: number
  /** when it is firm: half of such pieces earlier, half later, with the interval that holds 9 in 10 such medians */
  firmS: { median: number; low90: number; high90: number }
  /** against the time in which it can be handled here, by tables or label */
  factor: number
  /** full cure, that of tables or label times the factor */
  fullS: number
}

const SECOND = 1000
const isFirm = ({ state }: Pick<CureCheck, 'state'>) => state === 'firm' || state === 'hard'
/** A look within this of closing says nothing, s. */
const SOONEST_S = 1

/**
 * When one piece became firm: between the last look at which it was not and the first at which it was (methods.md 6,
 * “still slides at 10 min”, “firm at 30”). null where nobody looked after closing.
 */
export function firmBetween({ closed, checks }: Looked): ModelReading | null {
  const after = checks
    .map(({ at, state }) => ({ s: (at - closed) / SECOND, state }))
    .filter(({ s }) => s > SOONEST_S)
    .sort((x, y) => x.s - y.s)
  const first = after.findIndex(isFirm)
  const high = first < 0 ? null : after[first]!.s
  const before = first < 0 ? after : after.slice(0, first)
  const low = before.at(-1)?.s ?? null
  const procedure = 'own'
  if (low !== null && high !== null) return { procedure, kind: 'between', low, high }
  if (high !== null) return { procedure, kind: 'atMost', high }
  return low === null ? null : { procedure, kind: 'atLeast', low }
}

/**
 * The time in which a glue is firm by own looks, as interval-censored data of the strength model (methods.md 3, 6), and
 * what follows for its full cure. Looks that never saw it firm give no typical time, and so nothing here.
 * @param handlingS the time in which it can be handled in this room, s @param fullS its full cure here, s
 */
export function ownCure(looked: readonly Looked[], handlingS: number, fullS: number): OwnCure | null {
  const readings = looked.flatMap((one) => firmBetween(one) ?? [])
  if (!readings.some(({ kind }) => kind !== 'atLeast') || !(handlingS > 0) || !Number.isFinite(handlingS)) return null
  const { typical, open } = analyse({ required: null, readings }).procedures[0]!
  // Firm at every first look: all that is known is that it was firm by then.
  if (open === 'below' && typical.median < handlingS) return null
  const factor = typical.median / handlingS
  return { pieces: readings.length, firmS: typical, factor, fullS: fullS * factor }
}

/** When the next look at a piece that is not firm yet tells most: where it is as likely firm as not. s after closing */
export function nextLookS(looked: Looked, handlingS: number, own: OwnCure | null): number | null {
  const seen = firmBetween(looked)
  if (seen && seen.kind !== 'atLeast') return null
  const expected = own?.firmS.median ?? handlingS
  return Math.max(expected, seen ? seen.low * LATER : 0)
}
/** Past its expected time a piece is looked at again after a quarter more of its age. */
const LATER = 1.25
