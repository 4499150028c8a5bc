import { computed, nextTick, ref, shallowRef, watch, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import { directionRows } from '../../../core/knowledge/directions'
import { formulaOf, testKinds, type TestId } from '../../../core/knowledge/testKinds'
import { armOf } from '../../../core/planning/arms'
import { pullQueue, spareFor } from '../../../core/planning/pullQueue'
import { countingReadings } from '../../../core/readings/counting'
import { earlierOf, endsPiece, nextDirection } from '../../../core/readings/earlier'
import { sizeOf } from '../../../core/readings/interpret'
import type { Reading } from '../../../core/records/reading'
import type { Coupon } from '../../../core/records/coupon'
import { stampNow, useMinute } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { useWhy } from '../../look/why'
import { emptyForm, formOf, type FormWay, type PullForm } from './pullForm'
import { correctPull, logPull, testRead, type PullOf } from './pulls'
import { useAttempt } from '../../look/attempt'

/** Which coupon is at hand and what it is put through, its form, and how it is logged, corrected and left. */
export function usePulling(view: Readonly<Ref<JointView>>) {
  const bench = useBench()
  const why = useWhy()
  const route = useRoute()
  const now = useMinute()
  /** The reading that counts, by coupon; a second one that got in stands in the list below, to be set aside. */
  const counting = computed(() => new Map(countingReadings(view.value.readings).map((one) => [one.coupon, one])))
  /**
   * Coupons whose pull is being written: the page goes on to the next one at once, so that fast hands wait for nothing.
   */
  const writing = ref<ReadonlySet<string>>(new Set())
  const queue = computed(() => {
    const { round, procedures, coupons } = view.value
    const left = coupons.filter(({ id }) => !counting.value.has(id) && !writing.value.has(id))
    return round ? pullQueue(round, procedures, left, now.value) : { ready: [], waiting: [] }
  })
  const left = computed(() => [...queue.value.ready, ...queue.value.waiting.map(({ coupon }) => coupon)])

  const chosen = ref<string | null>(typeof route.query['coupon'] === 'string' ? route.query['coupon'] : null)
  const picked = ref<string | null>(null)
  const coupon = computed<Coupon | null>(
    () => view.value.coupons.find(({ id }) => id === chosen.value) ?? left.value[0] ?? null,
  )
  const arm = computed(() => (view.value.round && coupon.value ? armOf(view.value.round, coupon.value) : null))
  const procedure = computed(() => view.value.procedures.find(({ id }) => id === coupon.value?.procedure) ?? null)
  const logged = computed<Reading | null>(() => {
    if (!coupon.value) return null
    const all = [...view.value.readings, ...view.value.earlier]
    return all.find(({ id }) => id === picked.value) ?? counting.value.get(coupon.value.id) ?? null
  })
  /** what the piece has behind it, without the reading that is looked at */
  const earlier = computed(() =>
    coupon.value ? earlierOf(coupon.value.id, view.value.earlier).filter(({ id }) => id !== logged.value?.id) : [],
  )
  const direction = computed(() => {
    if (logged.value) return logged.value.direction ?? null
    return arm.value && !earlier.value.some(endsPiece) ? nextDirection(arm.value, earlier.value) : null
  })
  const ownTest = computed<TestId>(() => arm.value?.test ?? 'lap-shear')
  /** the test by whose ways it is read */
  const test = computed(() => testRead(ownTest.value, direction.value))
  const kind = computed(() => testKinds[ownTest.value])
  /** the coupon that would be glued in place of this one */
  const spare = computed(() =>
    coupon.value ? spareFor(coupon.value, bench.of('coupon', coupon.value.round), '', 0).label : '',
  )
  /** whether the figure is a strength: of what comes before the own test the load is told */
  const makesStrength = computed(() => direction.value === null && formulaOf(ownTest.value) !== null)
  const loads = computed(() => {
    const load = direction.value && directionRows[direction.value].load
    return direction.value ? (load ? [load] : []) : kind.value.loads.slice(0, 1)
  })

  /** the reading as it stood when it was opened to be corrected */
  const opened = shallowRef<Reading | null>(null)
  let lastWay: FormWay | undefined
  const plannedSize = ref<PullForm['size']>({})
  const form = ref<PullForm>(emptyForm(ownTest.value, {}))
  const { clear, fail } = useAttempt()
  function fill() {
    if (!coupon.value || !arm.value) return
    const usual = direction.value ? [] : Object.keys(kind.value.sizes)
    const size = Object.fromEntries(
      Object.entries(sizeOf(coupon.value.size, arm.value.size)).filter(([key]) => usual.includes(key)),
    )
    plannedSize.value = { ...emptyForm(test.value, size).size }
    opened.value = logged.value
    form.value = logged.value ? formOf(logged.value, test.value) : emptyForm(test.value, size, lastWay, plannedRead())
    // What is shaken holds, mostly; and what was counted before the wash is there already.
    if (!logged.value && direction.value === 'shake') form.value.end = 'held'
    if (!logged.value && form.value.way === 'losses' && coupon.value.trims)
      form.value.held = String(coupon.value.trims.before)
    clear()
  }
  const plannedRead = () => (direction.value ? undefined : arm.value!.read)
  watch([() => coupon.value?.id, () => logged.value?.id ?? null, direction], fill, { immediate: true })

  async function log() {
    const [mine, of, before] = [coupon.value, procedure.value, opened.value]
    if (!mine || !of || !arm.value || writing.value.has(mine.id)) return
    clear()
    const typed = form.value
    const pull: PullOf = {
      coupon: mine,
      procedure: of,
      arm: arm.value,
      direction: direction.value,
      coupons: bench.of('coupon', mine.round),
    }
    lastWay = typed.way
    let saving: Promise<boolean>
    try {
      saving = before ? correctPull(bench, pull, before, typed, stampNow()) : logPull(bench, pull, typed, stampNow())
    } catch (error) {
      return fail(error)
    }
    writing.value = new Set([...writing.value, mine.id])
    why.reset()
    // The same piece stays in the hand while it has more to go through.
    const stays = pull.direction !== null && !before && (typed.end === 'held' || typed.end === 'fault')
    leave(stays ? mine.id : null)
    document.getElementById('work')?.scrollIntoView({ block: 'start' })
    const written = await saving
    writing.value = new Set([...writing.value].filter((id) => id !== mine.id))
    if (!written) reopen(mine.id, typed)
    else if (stays && chosen.value === mine.id) chosen.value = null
  }
  /** What was not written comes back as it was typed. */
  function reopen(id: string, typed: PullForm) {
    chosen.value = id
    void nextTick(() => (form.value = typed))
  }
  /** Opens a logged reading to be corrected. */
  function correct(reading: Reading) {
    chosen.value = reading.coupon
    picked.value = reading.id
    document.getElementById('work')?.scrollIntoView({ block: 'start' })
  }
  function leave(next: string | null = null) {
    chosen.value = next
    picked.value = null
  }
  return {
    queue,
    left,
    coupon,
    chosen,
    arm,
    procedure,
    logged,
    earlier,
    direction,
    ownTest,
    test,
    kind,
    loads,
    makesStrength,
    spare,
    form,
    plannedSize,
    log,
    correct,
    leave,
  }
}
