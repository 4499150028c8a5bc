import { computed, watch, type ComputedRef, type Ref } from 'vue'
import type { TestId } from '../../../core/knowledge/testKinds'
import { interpret, type Interpreted } from '../../../core/readings/interpret'
import type { Coupon } from '../../../core/records/round'
import { useBench } from '../../bench/store'
import { useWhy } from '../../look/why'
import { rawFrom, readingParts, type PullForm } from './pullForm'
import { whyReading } from './pullWhy'

/** What the form says so far, and why it comes to that; null as long as it says too little. */
export function useLive(
  form: Ref<PullForm>,
  test: ComputedRef<TestId>,
  coupon: ComputedRef<Coupon | null>,
): ComputedRef<Interpreted | null> {
  const bench = useBench()
  const why = useWhy()

  function said(of: PullForm): Interpreted | null {
    try {
      return interpret({ ...readingParts(of, test.value, bench.bench!), setAside: null }, test.value)
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
      const reading = { ...partsOf(form.value), setAside: null, corrected: [] }
      why.suggest(whyReading(coupon.value.label, reading, live.value, test.value))
    },
  )
  return live
}
