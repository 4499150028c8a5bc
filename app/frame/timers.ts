import type { RouteLocationRaw } from 'vue-router'
import { taskOf } from '../../core/planning/gluing'
import type { useBench } from '../bench/store'

export interface Timer {
  key: string
  label: string
  what: string
  at: number
  due: boolean
  to: RouteLocationRaw
}

/** All clocks that run on this bench: pieces begun and waiting for their next step, soonest first. */
export function runningTimers(bench: ReturnType<typeof useBench>, now: number): Timer[] {
  return bench
    .all('coupon')
    .flatMap((coupon): Timer[] => {
      // Nothing begun, or the last step done: no clock runs.
      if (coupon.stamps.length === 0) return []
      const procedure = bench.get('procedure', coupon.procedure)
      const task = procedure ? taskOf(coupon, procedure) : null
      if (!task || task.readyAt === 0 || now - task.readyAt > 24 * 3600_000) return []
      const joint = bench.get('round', coupon.round)!.joint
      return [
        {
          key: coupon.id,
          label: coupon.label,
          what: task.step.kind,
          at: task.readyAt,
          due: task.readyAt <= now,
          to: { name: 'glue', params: { joint } },
        },
      ]
    })
    .sort((x, y) => x.at - y.at)
}
