import { fullCureS } from '../planning/steps'
import type { Arm } from '../records/round'
import type { Coupon } from '../records/coupon'
import type { Procedure } from '../records/procedure'
import type { Shop } from '../records/shop'
import { build } from './build'
import { listOrder } from './search'
import type { Chain, Problem } from './problem'
import { chainOf, type RoundToGlue } from './round'
import { hoursFrom, without, type Hours } from './windows'
import { DAY_MS } from '../quantities/days'

/** The build's own joints of one kind, once it is decided how they are glued. */
export interface JointsToGlue {
  procedure: Procedure
  /** how many are left to be glued */
  count: number
  /** until the part can be handled, s after closing */
  handlingS: number
  /** pieces that share one mix; null: no limit, or nothing is mixed */
  perMix: number | null
}

/** One evening of it, ms. */
interface GluingEvening extends Hours {
  joints: number
}

/** When the joints of a build are glued, so that they are ready in time. */
export type BuildPlan =
  | {
      fits: true
      evenings: GluingEvening[]
      /** the latest time to begin, ms */
      beginBy: number
      /** the last joint is closed, can be handled, carries its full load, ms */
      closed: number
      handled: number
      ready: number
    }
  | {
      fits: false
      /** the earliest at which all would be ready, beginning now, ms; null: not within the weeks that are looked at */
      earliest: number | null
    }

const MINUTE = 60_000
/** Weeks that are looked at from now on. */
const MOST_DAYS = 70
/** The latest beginning is found to so many minutes. */
const GRAIN_MIN = 5
/** Work that lies further apart than this is another evening, min. */
const APART = 180

/** A joint of the build as a chain: what hands do of its procedure; then it cures by itself. */
function chainsOf({ procedure, count, perMix }: JointsToGlue, start: number): Chain[] {
  const arm = { id: 'built', test: 'lap-shear', exposure: null, ageS: null } as unknown as Arm
  const of: RoundToGlue = { round: { id: 'build', arms: [arm] }, procedures: [procedure], coupons: [], glues: {} }
  return Array.from({ length: count }, (_, n): Chain => {
    const joint = { id: String(n + 1), stamps: [] } as unknown as Coupon
    const { steps } = chainOf(joint, procedure, arm, new Map(), of, start)
    return {
      id: joint.id,
      session: joint.id,
      // Nothing is pulled.
      steps: steps.slice(0, -1).map((step) => {
        const mixed = step.shared && procedure.steps.some(({ id, kind }) => id === step.id && kind === 'mix')
        return mixed ? { ...step, shared: { ...step.shared!, pieces: perMix } } : step
      }),
    }
  })
}

interface Placed {
  evenings: GluingEvening[]
  closed: number
}

/** All joints put one after the other into the evenings from a time on; null where they do not fit. */
function placedFrom(
  of: JointsToGlue,
  chains: readonly Chain[],
  shop: Shop,
  from: number,
  days: number,
  taken: readonly Hours[],
): Placed | null {
  const windows = without(hoursFrom(shop, from, days), taken).map((one) => ({
    from: (one.from - from) / MINUTE,
    to: (one.to - from) / MINUTE,
  }))
  const { clamp, lamp, oven, fridge } = shop
  const problem: Problem = { windows, hands: shop.hands, places: { clamp, lamp, oven, fridge }, chains }
  const { schedule } = build(problem, listOrder(chains), new Map())
  if (!schedule) return null
  const close = of.procedure.steps.find(({ kind }) => kind === 'close')
  const closes = schedule.steps.filter(({ step }) => step === close?.id).map(({ to }) => from + to * MINUTE)
  const evenings: GluingEvening[] = []
  const seen = new Map<number, Set<string>>()
  let until = -Infinity
  // What is fixed in place stays there by itself.
  const fixed = new Set(of.procedure.steps.filter(({ kind }) => kind === 'clamp').map(({ id }) => id))
  for (const one of schedule.steps.filter(({ step }) => !fixed.has(step)).sort((x, y) => x.from - y.from)) {
    const [begin, end] = [from + one.from * MINUTE, from + one.to * MINUTE]
    if (begin > until + APART * MINUTE) evenings.push({ from: begin, to: end, joints: 0 })
    const at = evenings.length - 1
    const last = evenings[at]!
    last.to = until = Math.max(last.to, end)
    if (one.step === close?.id) seen.set(at, (seen.get(at) ?? new Set()).add(one.chain))
  }
  evenings.forEach((evening, at) => (evening.joints = seen.get(at)?.size ?? 0))
  return { evenings, closed: Math.max(...closes, from) }
}

/**
 * When the joints of a build are glued, reckoned back from the time at which they must carry: the latest beginning at
 * which the last of them has had its full cure, inside the maker's evenings (methods.md 7).
 * @param readyBy ms, when they must carry their load @param now ms
 * @param taken hours in which something else is done
 */
export function planJoints(
  of: JointsToGlue,
  shop: Shop,
  readyBy: number,
  now: number,
  taken: readonly Hours[] = [],
): BuildPlan {
  const chains = chainsOf(of, now)
  const cureMs = Math.max(fullCureS(of.procedure.steps), of.handlingS) * 1000
  const at = (from: number, days: number) => placedFrom(of, chains, shop, from, days, taken)
  const whole = (from: number, placed: Placed) => ({
    fits: true as const,
    evenings: placed.evenings,
    beginBy: placed.evenings[0]?.from ?? from,
    closed: placed.closed,
    handled: placed.closed + of.handlingS * 1000,
    ready: placed.closed + cureMs,
  })
  const first = at(now, MOST_DAYS)
  if (!first || first.closed + cureMs > readyBy) return { fits: false, earliest: first ? first.closed + cureMs : null }
  // A later beginning never ends earlier: the latest one that is in time is found by halving.
  let [good, best] = [0, first]
  let bad = Math.ceil((readyBy - now) / MINUTE / GRAIN_MIN)
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2)
    const from = now + middle * GRAIN_MIN * MINUTE
    const placed = at(from, Math.max(1, Math.ceil((readyBy - from) / DAY_MS)) + 1)
    if (placed && placed.closed + cureMs <= readyBy) [good, best] = [middle, placed]
    else bad = middle
  }
  return whole(now + good * GRAIN_MIN * MINUTE, best)
}
