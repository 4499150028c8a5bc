import { nextLookS, ownCure, type Looked, type OwnCure } from '../../../core/cure/ownChecks'
import { cureRange } from '../../../core/cure/range'
import { roundedS } from '../../../core/cure/cure'
import { closedAt } from '../../../core/planning/gluing'
import { fullCureS } from '../../../core/planning/steps'
import type { Procedure, Step } from '../../../core/records/procedure'
import { slowerFullS } from '../../../core/situation/situation'
import type { Setting } from '../../../core/screening/shortlist'
import { adviceRemembered } from '../../bench/advice'
import type { JointView } from '../../bench/jointView'
import type { Curing } from './glueWork'
import type { useBench } from '../../bench/store'

type Store = ReturnType<typeof useBench>

/** Times nearer than this are one. */
const LIKE = 0.1

/** A procedure whose plan says another time than its own looks, or the room as it is now, say. s */
export interface OtherTime {
  procedure: Procedure
  plannedS: number
  /** full cure as it should be */
  shouldS: number
  /** the looks that say so; null: the room does */
  own: OwnCure | null
  handlingS: number
  /** its steps with the other times */
  steps: Step[]
}

/** Looks at the pieces of a procedure that are closed. */
function lookedOf(bench: Store, view: JointView, procedure: Procedure): Looked[] {
  return view.coupons.flatMap((coupon): Looked[] => {
    const closed = coupon.procedure === procedure.id ? closedAt(coupon, procedure) : null
    return closed === null ? [] : [{ closed, checks: bench.of('cureCheck', coupon.id) }]
  })
}

/** What advice depends on: a setting of the same parts is the same. */
export const settingParts = ({ brief, room, adhesives, stock, houseRules, scraps }: Setting): unknown[] => [
  brief,
  room,
  ...adhesives,
  ...stock,
  ...houseRules,
  ...scraps,
]

/** The glue as it cures in this joint and room now, and by own looks. */
function cureNow(bench: Store, view: JointView, procedure: Procedure, setting: Setting) {
  const situation = adviceRemembered(procedure, setting)?.situation
  if (!situation?.cure.cures) return null
  const { family } = situation
  const fullS = slowerFullS(situation)
  return { family, fullS, own: ownCure(lookedOf(bench, view, procedure), family.handlingS, fullS) }
}

/** When the next look at a closed piece tells most, ms; null where it is firm, or nothing is known of its glue. */
export function nextLookAt(bench: Store, view: JointView, curing: Curing, setting: Setting): number | null {
  const procedure = view.procedures.find(({ id }) => id === curing.coupon.procedure)
  const now = procedure && cureNow(bench, view, procedure, setting)
  if (!now || !Number.isFinite(now.family.handlingS)) return null
  const looked = { closed: curing.closed, checks: bench.of('cureCheck', curing.coupon.id) }
  const s = nextLookS(looked, now.family.handlingS, now.own)
  return s === null ? null : curing.closed + s * 1000
}

/** Between when and when a closed piece is cured while the room gives no more than it may, ms. */
export function curedBetween(
  view: JointView,
  { coupon, closed, cured }: Curing,
  setting: Setting,
): { from: number; to: number } | null {
  const procedure = view.procedures.find(({ id }) => id === coupon.procedure)
  const question = procedure && adviceRemembered(procedure, setting)?.situation.cure.question
  const range = question && cureRange(question)
  return range ? { from: closed + (cured - closed) * range.low, to: closed + (cured - closed) * range.high } : null
}

/** Where the plan of a procedure cures for another time than it should, by its looks or the room. */
export function otherTimes(bench: Store, view: JointView, setting: Setting): OtherTime[] {
  return view.procedures.flatMap((procedure): OtherTime[] => {
    const now = cureNow(bench, view, procedure, setting)
    const plannedS = fullCureS(procedure.steps)
    if (!now || !(plannedS > 0) || !view.coupons.some((one) => one.procedure === procedure.id)) return []
    const { family, fullS, own } = now
    const shouldS = roundedS(own?.fullS ?? fullS)
    if (!(shouldS > 0) || Math.abs(plannedS / shouldS - 1) <= LIKE) return []
    const steps = procedure.steps.map((step): Step => {
      if (step.kind === 'cure') return { ...step, minS: shouldS }
      // What stands open follows the room; looks at closed pieces say nothing of it.
      if (step.kind !== 'wait' || own) return step
      return { ...step, minS: roundedS(family.waitMinS), maxS: roundedS(family.waitMaxS) }
    })
    return [{ procedure, plannedS, shouldS, own, handlingS: family.handlingS, steps }]
  })
}
