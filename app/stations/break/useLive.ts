import { computed, watch, type ComputedRef, type Ref } from 'vue'
import type { Direction } from '../../../core/knowledge/directions'
import type { TestId } from '../../../core/knowledge/testKinds'
import { interpret, type Interpreted } from '../../../core/readings/interpret'
import type { Coupon } from '../../../core/records/coupon'
import { useBench } from '../../bench/store'
import { useWhy } from '../../look/why'
import type { PullForm } from './pullForm'
import { rawFrom, readingParts } from './pullRead'
import { whyReading } from './pullWhy'

/** What the form says so far, and why it comes to that; null as long as it says too little. */
export function useLive(
  form: Ref<PullForm>,
  test: ComputedRef<TestId>,
  coupon: ComputedRef<Coupon | null>,
  direction: ComputedRef<Direction | null>,
): ComputedRef<Interpreted | null> {
  const bench = useBench()
  const why = useWhy()

  const way = () => (direction.value ? { direction: direction.value } : {})
  function said(of: PullForm): Interpreted | null {
    try {
      const parts = readingParts(of, test.value, bench.bench!, direction.value)
      return interpret({ ...parts, setAside: null, ...way() }, test.value)
    } catch {
      return null
    }
  }
  // Before it is said where it let go, the load counts as held: the figure stands while one looks.
  const live = computed(() => said(form.value) ?? said({ ...form.value, end: 'held' }))

  function partsOf(of: PullForm) {
    try {
      return { raw: rawFrom(of, test.value, bench.bench!) }
    } catch {
      return { raw: { way: 'none' as const } }
    }
  }
  watch(
    () => [live.value?.read, form.value.end, coupon.value?.id],
    () => {
      if (!live.value || !coupon.value) return why.suggest(null)
      const reading = { ...partsOf(form.value), setAside: null, corrected: [], ...way() }
      why.suggest(whyReading(coupon.value.label, reading, live.value, test.value))
    },
  )
  return live
}
