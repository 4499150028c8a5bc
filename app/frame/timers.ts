import { computed, type ComputedRef, type Ref } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { doneOnce, taskOf, type DoneOnce } from '../../core/planning/gluing'
import { stepWords } from '../../core/planning/stepWords'
import { useNow } from '../bench/clock'
import { useBench } from '../bench/store'

export interface Timer {
  key: string
  label: string
  what: string
  /** may be done from, ms */
  at: number
  /** must be done by, ms; null without a limit */
  lateAt: number | null
  to: RouteLocationRaw
}

const DAY = 24 * 3_600_000

/** All pieces begun and waiting for their next step, soonest first: as the records stand, whatever the time is. */
function waitingSteps(bench: ReturnType<typeof useBench>): Timer[] {
  const once = new Map<string, DoneOnce>()
  return bench
    .all('coupon')
    .flatMap((coupon): Timer[] => {
      // Nothing begun, or the last step done: no clock runs.
      if (coupon.stamps.length === 0 || coupon.leftOut) return []
      const procedure = bench.get('procedure', coupon.procedure)
      if (!procedure) return []
      const key = `${coupon.round} ${procedure.id}`
      if (!once.has(key)) once.set(key, doneOnce(procedure, bench.of('coupon', coupon.round), 0))
      const task = taskOf(coupon, procedure, once.get(key))
      if (!task || task.readyAt === 0) return []
      const joint = bench.get('round', coupon.round)!.joint
      const to = { name: 'glue', params: { joint } }
      return [
        {
          key: coupon.id,
          label: coupon.label,
          what: stepWords[task.step.kind],
          at: task.readyAt,
          lateAt: task.lateAt,
          to,
        },
      ]
    })
    .sort((x, y) => x.at - y.at)
}

/** All pieces that wait, as the records stand. */
export const useWaiting = (bench: ReturnType<typeof useBench>) => computed(() => waitingSteps(bench))

/** All clocks that run on this bench, soonest first; what waited for longer than a day was given up. */
export function useTimers(): { timers: ComputedRef<Timer[]>; now: Readonly<Ref<number>> } {
  const bench = useBench()
  const now = useNow()
  const waiting = useWaiting(bench)
  const timers = computed(() => waiting.value.filter(({ at }) => now.value - at <= DAY))
  return { timers, now }
}
