import { computed, ref, type ComputedRef } from 'vue'
import { eveningsOf, type Evening } from '../../../core/schedule/evening'
import { problemOf, type RoundToGlue, type Timetabled } from '../../../core/schedule/round'
import { usualShop, type Shop } from '../../../core/records/shop'
import { fireGlueOf } from '../../bench/careOf'
import { now, stampNow, useMinute } from '../../bench/clock'
import { jointsInOrder, viewJoint, type JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'

/** Seconds of search: long enough to come within a few per cent of what is possible (docs/methods.md 7). */
const SEARCH_S = 2
const SEED = 1
/** More pieces than this are no evening’s work, and more than the search can put in order while one waits. */
export const MOST_PIECES = 300
/** A plan whose next step lies further back than this is behind the clock and made anew, ms. */
const LATE_MS = 5 * 60_000

/** What of a joint is still to be glued or pulled; null where nothing is. */
function leftOf(bench: ReturnType<typeof useBench>, view: JointView): RoundToGlue | null {
  const { round, procedures } = view
  const pulled = new Set(view.readings.filter(({ setAside }) => setAside === null).map(({ coupon }) => coupon))
  const coupons = view.coupons.filter(({ id }) => !pulled.has(id))
  if (!round || !coupons.length) return null
  const glues = Object.fromEntries(procedures.map((one) => [one.id, fireGlueOf(bench, view, one)]))
  return { round, procedures, coupons, glues }
}

/** The timetable of a joint’s round, alone or with others that share its evenings; searched for in the worker. */
export function useTimetable(view: () => JointView) {
  const bench = useBench()
  const minute = useMinute()
  /** joints whose rounds share the evenings, by id */
  const together = ref<string[]>([])
  /** when it was asked for anew, ms */
  const madeAt = ref(stampNow())
  const shop = computed<Shop>(() => bench.bench?.shop ?? usualShop)
  const others = computed(() =>
    jointsInOrder(bench)
      .filter(({ id }) => id !== view().joint.id)
      .map((joint) => viewJoint(bench, joint))
      .filter((one) => leftOf(bench, one) !== null),
  )
  const rounds = computed(() =>
    [view(), ...others.value.filter(({ joint }) => together.value.includes(joint.id))].flatMap(
      (one) => leftOf(bench, one) ?? [],
    ),
  )
  const stands = steady(
    () => ({ rounds: rounds.value, shop: shop.value, madeAt: madeAt.value }),
    (one) => [
      one.shop,
      one.madeAt,
      ...one.rounds.flatMap(({ round, procedures, coupons }) => [round, ...procedures, ...coupons]),
    ],
  )
  const pieces = computed(() => stands.value.rounds.reduce((sum, { coupons }) => sum + coupons.length, 0))
  const asked = computed((): Timetabled | null => {
    const { rounds: all, shop: own } = stands.value
    // Whenever something was done or changed, what is left begins at that time, not when it was first asked.
    return all.length && pieces.value <= MOST_PIECES ? problemOf(all, own, now()) : null
  })
  const { answer, progress, fault, again, cancel } = useAsked(
    () => asked.value,
    ({ problem }, options) => benchWorker().timetable({ problem, seconds: SEARCH_S, seed: SEED }, options),
  )
  const found = computed(() => answer.value?.found ?? null)
  const evenings: ComputedRef<Evening[]> = computed(() =>
    found.value && asked.value ? eveningsOf(found.value.schedule, stands.value.rounds, asked.value.start) : [],
  )
  const at = (minutes: number) => asked.value!.start + minutes * 60_000
  /** something should have begun some minutes ago: what is left is planned anew, what is done stays */
  const late = computed(() => {
    const first = evenings.value[0]?.tasks[0]
    return first !== undefined && minute.value - first.from > LATE_MS
  })
  return {
    shop,
    others,
    together,
    rounds,
    pieces,
    evenings,
    progress,
    fault,
    late,
    why: computed(() => answer.value?.why ?? null),
    /** ms: the end of the last pull, and the end that no timetable can beat */
    finish: computed(() => (found.value && asked.value ? at(found.value.schedule.finish) : null)),
    bound: computed(() => (found.value && asked.value ? at(found.value.lowerBound) : null)),
    again,
    cancel,
    replan: () => (madeAt.value = stampNow()),
  }
}
