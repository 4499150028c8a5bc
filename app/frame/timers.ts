import { computed, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { exposureRows } from '../../core/knowledge/exposures'
import { exposingOf } from '../../core/planning/exposing'
import { doneOnce, heldByFire, taskOf, type FireWatch } from '../../core/planning/gluing'
import { DAY_MS } from '../../core/quantities/days'
import { stepWords } from '../../core/planning/stepWords'
import type { Round } from '../../core/records/round'
import type { Coupon } from '../../core/records/coupon'
import { now, useNow } from '../bench/clock'
import { useBench } from '../bench/store'

export interface Timer {
  key: string
  label: string
  what: string
  /** waits since, ms */
  since: number
  /** may be done from, ms */
  at: number
  /** must be done by, ms; null without a limit */
  lateAt: number | null
  to: RouteLocationRaw
}

/** Judges what is hot or may burn: with all rules behind it, and so fetched after the first page. */
const watchFire = shallowRef<(typeof import('../bench/fire'))['fireWatch'] | null>(null)
const fetchFire = () =>
  void import('../bench/fire').then(
    ({ fireWatch }) => (watchFire.value = fireWatch),
    // Without it clocks are called out as they stand; Glue itself says what must wait.
    () => {},
  )

/** All pieces begun and waiting for their next step, soonest first: as the records stand, whatever the time is. */
function waitingSteps(bench: ReturnType<typeof useBench>): Timer[] {
  const fire = watchFire.value?.(bench, now()) ?? { glues: {}, all: [] }
  return bench
    .all('round')
    .flatMap((round) => [...waitingOf(bench, round, fire), ...exposedOf(bench, round)])
    .sort((x, y) => x.at - y.at)
}

function waitingOf(bench: ReturnType<typeof useBench>, { id, joint }: Round, fire: FireWatch): Timer[] {
  const { coupons } = bench.pulled(id)
  return [...new Set(coupons.map(({ procedure }) => procedure))].flatMap((each) => {
    const procedure = bench.get('procedure', each)
    if (!procedure) return []
    // Nothing begun, or the last step done: no clock runs.
    const begun = coupons.filter(
      ({ procedure: of, stamps, leftOut }) =>
        of === each && !leftOut && stamps.length > 0 && !procedure.steps.every(({ id: step }) => has(stamps, step)),
    )
    if (!begun.length) return []
    const once = doneOnce(procedure, coupons, 0)
    return begun.flatMap((coupon): Timer[] => {
      const own = taskOf(coupon, procedure, once)
      const task = own && heldByFire(own, fire, now())
      // Nobody knows yet when that is over: it is called out once it is known.
      if (task?.hold?.open) return []
      if (!task || task.readyAt === 0 || task.since === null) return []
      const { readyAt: at, lateAt, step, since } = task
      const to = { name: 'glue', params: { joint } }
      return [{ key: coupon.id, label: coupon.label, what: stepWords[step.kind], since, at, lateAt, to }]
    })
  })
}

/** Pieces that are in their heat, cold or water: called out together when the last of an arm is due out. */
function exposedOf(bench: ReturnType<typeof useBench>, round: Round): Timer[] {
  const inIt = bench.pulled(round.id).coupons.filter(({ exposed }) => exposed && exposed.until === undefined)
  if (!inIt.length) return []
  return exposingOf(round, [], inIt, 0).flatMap(({ arm, exposure, runs, due }): Timer[] =>
    due === null
      ? []
      : [
          {
            key: `${round.id} ${arm.id} exposed`,
            label: runs.length > 1 ? `${runs[0]!.label} and ${runs.length - 1} more` : runs[0]!.label,
            what: exposureRows[exposure.kind].acts!.end.toLowerCase(),
            since: Math.min(...runs.map(({ exposed }) => exposed!.from)),
            at: due,
            lateAt: null,
            to: { name: 'glue', params: { joint: round.joint } },
          },
        ],
  )
}

const has = (stamps: Coupon['stamps'], step: string) => stamps.some((stamp) => stamp.step === step)

/** All pieces that wait, as the records stand. */
export function useWaiting(bench: ReturnType<typeof useBench>) {
  const waiting = computed(() => waitingSteps(bench))
  // Where no piece waits, nothing is fetched.
  watch(waiting, ({ length }) => length && !watchFire.value && fetchFire(), { immediate: true })
  return waiting
}

/** All clocks that run on this bench, soonest first; what waited for longer than a day was given up. */
export function useTimers(): { timers: ComputedRef<Timer[]>; now: Readonly<Ref<number>> } {
  const bench = useBench()
  const current = useNow()
  const waiting = useWaiting(bench)
  const timers = computed(() => waiting.value.filter(({ at }) => current.value - at <= DAY_MS))
  return { timers, now: current }
}
