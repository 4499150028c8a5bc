import { fullCureS } from '../planning/steps'
import type { Shop } from '../records/shop'
import { planJoints, type BuildPlan, type JointsToGlue } from './buildJoints'
import type { Hours } from './windows'

/** One kind of joint of a build that is left to be glued. */
export interface BuildPart {
  id: string
  of: JointsToGlue
  /** ms, when it must carry its load */
  readyBy: number
}

/** An evening's work on one kind of joint, ms. */
interface BuildSession extends Hours {
  id: string
  joints: number
}

export interface WholeBuild {
  /** in the order of time */
  sessions: BuildSession[]
  /** each kind by itself: when it is begun and ready, or that it does not fit any more */
  plans: { id: string; plan: BuildPlan }[]
  /** the latest time at which something must be begun, ms; null where nothing fits */
  beginBy: number | null
}

/**
 * All joints of a build reckoned back from their days, one kind after the other: what cures fast takes the last hours,
 * what cures slowly those before them, since each keeps the hands to itself.
 */
export function planWhole(parts: readonly BuildPart[], shop: Shop, now: number): WholeBuild {
  const cure = ({ of }: BuildPart) => Math.max(fullCureS(of.procedure.steps), of.handlingS)
  const order = [...parts].sort((x, y) => y.readyBy - x.readyBy || cure(x) - cure(y) || (x.id < y.id ? -1 : 1))
  const taken: Hours[] = []
  const sessions: BuildSession[] = []
  const plans = order.map(({ id, of, readyBy }) => {
    const plan = planJoints(of, shop, readyBy, now, taken)
    if (plan.fits)
      for (const evening of plan.evenings) {
        taken.push({ from: evening.from, to: evening.to })
        sessions.push({ id, ...evening })
      }
    return { id, plan }
  })
  sessions.sort((x, y) => x.from - y.from || (x.id < y.id ? -1 : 1))
  const rank = new Map(parts.map(({ id }, place) => [id, place]))
  plans.sort((x, y) => rank.get(x.id)! - rank.get(y.id)!)
  return { sessions, plans, beginBy: sessions[0]?.from ?? null }
}
