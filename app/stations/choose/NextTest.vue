<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Item } from '../../../core/choice/criteria'
import { MORE, type TestOption } from '../../../core/choice/next/further'
import type { WeighResult } from '../../../core/choice/weighRound'
import { addCoupons, armFor } from '../../../core/planning/addCoupons'
import { armWords } from '../../../core/planning/arms'
import { needsOf, PULL_MIN } from '../../../core/planning/needs'
import { durationWords } from '../../../core/quantities/durations'
import { showMoney } from '../../../core/quantities/money'
import { insert, update } from '../../../core/records/entry'
import type { Arm } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { familyTimes, type JointView } from '../../bench/jointView'
import { otherGlues } from '../../bench/otherGlues'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import AskWhy from '../../look/AskWhy.vue'
import { plural } from '../../look/figures'
import { sideWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'
import { inHundred, whyNext } from './whyWeighed'
import FieldPart from '../../look/FieldPart'

/** What one, two or three more coupons would be worth, by procedure, test and exposure; or that none is. */
const props = defineProps<{
  view: JointView
  items: readonly Item[]
  procedures: readonly Procedure[]
  /** by item, as they are kept or tried */
  weights: readonly number[]
  result: WeighResult
}>()
const bench = useBench()
const thresholds = [0.0005, 0.001, 0.002, 0.005, 0.01]
const threshold = ref(0.001)
const by = ref<'minutes' | 'money'>('minutes')
const question = steady(
  () => ({
    items: props.items.map(({ criterion, from, test }) => ({ criterion, from, ...(test && { test }) })),
    procedures: props.procedures.map(({ id }) => id),
    weights: [...props.weights],
    d: Object.fromEntries(
      Object.entries(props.result.values).map(([procedure, own]) => [
        procedure,
        Object.fromEntries(Object.entries(own).map(([id, { d }]) => [id, d])),
      ]),
    ),
  }),
  (one) => [JSON.stringify(one)],
)
const { answer, fault, again } = useAsked(
  () => question.value,
  (input, options) => sideWorker().next(input, options),
)
interface Option extends TestOption {
  key: string
  of: Procedure
  arm: Arm
  /** how many coupons are worth most for what they take */
  more: number
  gain: number
  minutes: number
  money: number
}
/** of one coupon */
const costOf = (procedure: Procedure, arm: Arm) => {
  const known = {
    procedure,
    family: familyTimes(bench, procedure),
    product: bench.get('adhesive', procedure.adhesive),
    left: null,
    others: otherGlues(bench, props.view, procedure, null),
  }
  const { cost, handsOnMinutes } = needsOf([known], [arm], 1)
  return { minutes: Math.max(PULL_MIN, handsOnMinutes), money: cost }
}
/** What is gained for a minute, or for money, decides; what gains nothing comes last. */
const options = computed<Option[]>(() =>
  (answer.value?.options ?? [])
    .flatMap((option): Option[] => {
      const of = props.procedures.find(({ id }) => id === option.procedure)
      const arm = armFor(props.view.round!, option.test, props.view.joint.brief, stampNow())
      if (!of || !arm) return []
      const at = option.gains.reduce(
        (best, gain, i) => (gain / MORE[i]! > option.gains[best]! / MORE[best]! ? i : best),
        0,
      )
      const each = costOf(of, arm)
      const more = MORE[at]!
      return [
        {
          ...option,
          key: `${option.item} ${option.procedure}`,
          of,
          arm,
          more,
          gain: option.gains[at]!,
          minutes: more * each.minutes,
          money: more * each.money,
        },
      ]
    })
    .sort((x, y) => y.gain / Math.max(1e-6, y[by.value]) - x.gain / Math.max(1e-6, x[by.value])),
)
const most = computed(() => Math.max(0, ...options.value.flatMap(({ gains }) => gains)))
const worth = computed(() => options.value.filter(({ gain }) => gain >= threshold.value))
const nameOf = (id: string) => props.procedures.find((one) => one.id === id)?.name ?? '?'
/** coupons that are planned and not pulled yet say more than a further one */
const open = computed(() => props.view.coupons.length - props.view.readings.length)
const counts = ['one', 'two', 'three'] as const
const countWords = (more: number) => `${counts[more - 1]} more`
function add({ of, arm, more }: Option) {
  const round = props.view.round!
  const added = addCoupons(
    round,
    arm,
    of.id,
    bench.of('coupon', round.id),
    Array.from({ length: more }, newId),
    stampNow(),
  )
  const labels = added.coupons.map(({ label }) => label).join(', ')
  return bench.write(
    `${labels} added: the next best test`,
    [
      ...(added.arms ? [update('round', round, { arms: added.arms })] : []),
      ...added.coupons.map((coupon) => insert('coupon', coupon)),
    ],
    true,
  )
}
</script>

<template>
  <section aria-labelledby="next-test" data-next-test>
    <h2 id="next-test">The next best test</h2>
    <p v-if="fault" class="problem" role="alert">
      What a further test is worth could not be worked out. <v-btn class="quiet" @click="again">Try again</v-btn>
    </p>
    <p v-else-if="!answer" role="status">Looking through the tests that could still be made…</p>
    <p v-else-if="!options.length">No test of this round tells of what is weighed here.</p>
    <template v-else>
      <p v-if="open > 0" class="mute">
        {{ plural(open, 'planned coupon') }} {{ open === 1 ? 'is' : 'are' }} still to be pulled: that comes first.
      </p>
      <p v-if="!worth.length" role="status">
        <b>Stop: another test would hardly change the choice.</b> The best of them, up to three coupons, is worth
        {{ inHundred(most) }} of 100.
      </p>
      <ul v-else>
        <li v-for="one in worth.slice(0, 3)" :key="one.key">
          <span>
            <b>{{ one.of.letter }}, {{ one.of.name }}</b
            >, {{ countWords(one.more) }} {{ armWords(one.arm) }}: worth
            <AskWhy :why="() => whyNext(one, answer!.now!, nameOf, bench.bench?.currency)"
              ><b class="num">{{ inHundred(one.gain) }} of 100</b></AskWhy
            >
            on average, <span class="num">{{ durationWords(Math.round(one.minutes * 60)) }}</span> at hand,
            <span class="num">{{ showMoney(one.money, bench.bench?.currency) }}</span><template
              v-if="'like' in one.test"
            >
              · a new exposure for this round</template
            >
          </span>
          <ActButton class="alt" :act="() => add(one)"
            >Add {{ one.more === 1 ? 'it' : 'them' }} to the round<span class="visually-hidden"
              >: {{ one.of.name }}, {{ armWords(one.arm) }}</span
            ></ActButton
          >
        </li>
      </ul>
      <div class="asks">
        <FieldPart label="Best for">
          <select v-model="by" class="plain">
            <option value="minutes">the minutes at hand</option>
            <option value="money">the money</option>
          </select>
        </FieldPart>
        <FieldPart label="Not worth a test below">
          <select v-model.number="threshold" class="plain">
            <option v-for="one in thresholds" :key="one" :value="one">{{ +(100 * one).toPrecision(2) }} of 100</option>
          </select>
        </FieldPart>
      </div>
      <p class="mute small">
        How many points the best choice is expected to gain by it, with the weights above. Tests that are graded or
        counted are not among them.
      </p>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li > span {
  flex: 1 1 320px;
}
.asks {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
}
.field {
  flex: 0 1 220px;
}
</style>
