import type { GlueTask } from '../../../core/planning/gluing'
import type { Evening } from '../../../core/schedule/evening'

/**
 * Tasks that can be done now in the order of the timetable; those that it does not know (nobody’s hands are asked for)
 * come first, those that must wait stay behind as they are.
 * @param tasks in the order in which they are to be done without a timetable
 */
export function inPlanOrder(tasks: readonly GlueTask[], evenings: readonly Evening[], now: number): GlueTask[] {
  const planned = new Map<string, number>()
  for (const { step, coupons } of evenings.flatMap((evening) => evening.tasks))
    for (const coupon of coupons) if (!planned.has(`${coupon} ${step}`)) planned.set(`${coupon} ${step}`, planned.size)
  const known = new Set([...planned.keys()].map((key) => key.slice(0, key.lastIndexOf(' '))))
  const place = ({ coupon, step }: GlueTask) =>
    planned.get(`${coupon.id} ${step.id}`) ?? (known.has(coupon.id) ? -1 : Infinity)
  const open = tasks.filter(({ readyAt }) => readyAt <= now)
  // What is late already, or goes off before the plan would take it, is not put off by a plan that is older than that.
  const due = open.filter(({ lateAt }) => lateAt !== null && lateAt - now < SOON_MS)
  const rest = open.filter((one) => !due.includes(one)).sort((x, y) => place(x) - place(y) || 0)
  return [...due, ...rest, ...tasks.filter(({ readyAt }) => readyAt > now)]
}
const SOON_MS = 60_000
