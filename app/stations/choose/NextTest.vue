<script setup lang="ts">
import { computed, ref } from 'vue'
import { PLENTY_TIMES } from '../../../core/choice/criteria'
import { modelReadings } from '../../../core/evidence/modelReadings'
import { formulaOf } from '../../../core/knowledge/testKinds'
import { armWords } from '../../../core/planning/arms'
import { limitOf } from '../../../core/planning/limits'
import { needsOf, PULL_MIN } from '../../../core/planning/needs'
import { extraFor } from '../../../core/planning/pullQueue'
import { durationWords } from '../../../core/quantities/durations'
import { showMoney } from '../../../core/quantities/money'
import { insert } from '../../../core/records/entry'
import type { Arm, Procedure } from '../../../core/records/round'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { familyTimes, type JointView } from '../../bench/jointView'
import { otherGlues } from '../../bench/otherGlues'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import { sideWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'

/** What one more coupon would be worth, by procedure and test, against its minutes and money; or that none is. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const thresholds = [0.002, 0.005, 0.01, 0.02]
const threshold = ref(0.005)
const procedures = computed(() => props.view.procedures.filter(({ id }) => props.view.round?.procedures.includes(id)))
/** tests that weigh a load and have a limit */
const arms = computed(() =>
  (props.view.round?.arms ?? []).flatMap((arm) => {
    const limit = formulaOf(arm.test) && limitOf(arm, props.view.joint.brief)
    return limit ? [{ arm, limit }] : []
  }),
)
const questions = steady(
  () =>
    arms.value.map(({ arm, limit }) => ({
      required: limit,
      plenty: PLENTY_TIMES * limit,
      readings: modelReadings(
        arm.test,
        props.view.coupons.filter((one) => one.arm === arm.id),
        props.view.readings,
      ),
      options: procedures.value.map(({ id }) => id),
    })),
  (list) => [JSON.stringify(list)],
)
const { answer } = useAsked(
  () => (questions.value.some(({ readings }) => readings.length) ? questions.value : null),
  (input, options) => sideWorker().next(input, options),
)
interface Option {
  key: string
  procedure: Procedure
  arm: Arm
  gain: number
  minutes: number
  money: number
}
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
/** What is gained a minute decides; what gains nothing comes last. */
const options = computed<Option[]>(() =>
  (answer.value ?? [])
    .flatMap(({ options: list }, i) =>
      list.flatMap(({ procedure: id, gain }): Option[] => {
        const procedure = procedures.value.find((one) => one.id === id)
        const { arm } = arms.value[i]!
        return procedure ? [{ key: `${arm.id} ${id}`, procedure, arm, gain, ...costOf(procedure, arm) }] : []
      }),
    )
    .sort((x, y) => y.gain / y.minutes - x.gain / x.minutes),
)
const worth = computed(() => options.value.filter(({ gain }) => gain >= threshold.value))
const points = (gain: number) => (100 * gain).toFixed(gain < 0.01 ? 2 : 1)
/** coupons that are planned and not pulled yet say more than a further one */
const open = computed(() => props.view.coupons.length - props.view.readings.length)
function add({ procedure, arm }: Option) {
  const all = bench.of('coupon', props.view.round!.id)
  const coupon = extraFor(procedure.id, arm.id, all, newId(), stampNow())
  return bench.write(`${coupon.label} added: the next best test`, [insert('coupon', coupon)], true)
}
</script>

<template>
  <section v-if="answer && options.length" aria-labelledby="next-test" data-next-test>
    <h2 id="next-test">The next best test</h2>
    <p v-if="open > 0" class="mute">{{ open }} planned coupons are still to be pulled: they come first.</p>
    <p v-if="!worth.length" role="status">
      <b>Stop: another test would hardly change the choice.</b> The best of them is worth
      {{ points(options[0]!.gain) }} of 100.
    </p>
    <ul v-else>
      <li v-for="one in worth.slice(0, 3)" :key="one.key">
        <span>
          <b>{{ one.procedure.letter }}, {{ one.procedure.name }}</b
          >, one more {{ armWords(one.arm) }}: worth <b class="num">{{ points(one.gain) }} of 100</b> on average,
          <span class="num">{{ durationWords(Math.round(one.minutes * 60)) }}</span> at hand,
          <span class="num">{{ showMoney(one.money, bench.bench?.currency) }}</span>
        </span>
        <ActButton class="alt" :act="() => add(one)"
          >Add it to the round<span class="visually-hidden">: {{ one.procedure.name }}</span></ActButton
        >
      </li>
    </ul>
    <label class="field"
      ><span>Not worth a test below</span>
      <select v-model.number="threshold" class="plain">
        <option v-for="one in thresholds" :key="one" :value="one">{{ 100 * one }} of 100</option>
      </select>
    </label>
    <p class="mute small">
      How much better the best choice is expected to be after it, of 100 between what the weak joint must hold and
      plenty; by what is gained a minute.
    </p>
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
.field {
  max-width: 220px;
}
</style>
