import { computed, ref, watch, type Ref } from 'vue'
import { burning } from '../../../core/care/fire'
import { tasksOf, type GlueTask } from '../../../core/planning/gluing'
import type { Evening } from '../../../core/schedule/evening'
import { fireGlueOf } from '../../bench/careOf'
import { useMinute } from '../../bench/clock'
import { firePieces } from '../../bench/fire'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { inPlanOrder } from './planOrder'

export const keyOf = ({ coupon, step }: GlueTask): string => `${coupon.id} ${step.id}`

/**
 * The steps to do on Glue and which of them is shown. What is shown stays until it is done: a task that becomes due
 * must not slip under the finger. The timetable’s order is taken once it is found; what is shown follows it only for as
 * long as nothing on the page was touched.
 */
export function useTasks(view: () => JointView, now: Readonly<Ref<number>>) {
  const bench = useBench()
  const minute = useMinute()
  const evenings = ref<readonly Evening[]>([])
  const pieces = computed(() => firePieces(bench, minute.value))
  const glues = computed(() =>
    Object.fromEntries(view().procedures.map((one) => [one.id, fireGlueOf(bench, view(), one)])),
  )
  const tasks = computed(() => {
    const fire = { glues: glues.value, all: burning(pieces.value, now.value) }
    return inPlanOrder(tasksOf(view().coupons, view().procedures, now.value, fire), evenings.value, now.value)
  })
  const held = ref<string | null>(null)
  const task = computed<GlueTask | null>(
    () => tasks.value.find((one) => keyOf(one) === held.value && one.readyAt <= now.value) ?? tasks.value[0] ?? null,
  )
  watch(task, (one) => (held.value = one && keyOf(one)), { immediate: true })
  /** nothing was done, chosen or looked at closely here since the page was opened */
  let untouched = true
  return {
    tasks,
    task,
    then: computed(() => tasks.value.filter((one) => one !== task.value).slice(0, 3)),
    first(next: GlueTask) {
      untouched = false
      held.value = keyOf(next)
    },
    touched() {
      untouched = false
    },
    planned(found: readonly Evening[]) {
      evenings.value = found
      if (untouched) held.value = tasks.value[0] ? keyOf(tasks.value[0]) : null
    },
  }
}
