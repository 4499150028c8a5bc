<script setup lang="ts">
import { computed } from 'vue'
import { marginInWords, basisWords, winWords } from '../../../core/choice/real/marginWords'
import { WANTED_TIMES, winsOf } from '../../../core/choice/real/win'
import type { TestId } from '../../../core/knowledge/testKinds'
import { armWords } from '../../../core/planning/arms'
import { measured } from '../../../core/quantities/betterUnit'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { capital, figure } from '../../look/figures'
import OneOf from '../../look/OneOf.vue'
import { weakestOf, type Candidate } from './round'
import { whyMargin } from './whyChoice'
import { whyFactor, whyWin } from './whyCounted'

/** What the real joint holds with one of the procedures: what its surroundings take, and what would win margin. */
const props = defineProps<{
  view: JointView
  candidates: Candidate[]
  about: string | null
  test: TestId
  /** the same procedures by the joint's other tests */
  others: Candidate[]
}>()
defineEmits<{ pick: [procedure: string]; test: [arm: string] }>()
const bench = useBench()
const able = computed(() => props.candidates.filter(({ margin }) => margin !== null))
const shown = computed(() => able.value.find(({ procedure }) => procedure.id === props.about) ?? null)
const margin = computed(() => shown.value?.margin ?? null)
/** Another test by which the joint holds less than by the shown one. */
const weaker = computed(() => {
  const least = shown.value && weakestOf(shown.value, props.others)
  return least && least !== shown.value ? least : null
})
const nameOf = (id: string) => props.candidates.find(({ procedure }) => procedure.id === id)?.procedure.name ?? '?'
const wins = computed(() => {
  const { arm, joint } = props.view
  if (!shown.value || !margin.value || !arm) return null
  const lows = Object.fromEntries(
    able.value.map(({ procedure, summary }) => [procedure.id, summary!.weakJoint.low95] as const),
  )
  const { procedure, summary } = shown.value
  return winsOf(
    {
      brief: joint.brief,
      test: props.test,
      weakLow: summary!.weakJoint.low95,
      tested: arm.size,
      family: familyTimes(bench, procedure),
      factors: margin.value.factors,
    },
    procedure,
    able.value.map((one) => one.procedure),
    lows,
  )
})
const winLines = computed(() => (wins.value ? winWords(wins.value, WANTED_TIMES, nameOf) : []))
</script>

<template>
  <section v-if="shown && margin" aria-labelledby="real-joint" data-real-joint>
    <h2 id="real-joint">What the real joint holds</h2>
    <OneOf
      v-if="able.length > 1"
      class="which"
      label="Procedure of the real joint"
      :options="able.map(({ procedure: { id, letter, name } }) => ({ value: id, words: `${letter} ${name}` }))"
      :model-value="shown.procedure.id"
      @update:model-value="$event && $emit('pick', $event)"
    />
    <p class="said">
      {{ marginInWords(margin, view.joint.brief) }}
      That is
      <AskWhy :why="() => whyMargin(shown!, test)"
        ><b class="num" :class="margin.times < 1 ? 'fails' : ''">{{ figure(margin.times) }} times</b> the load</AskWhy
      >.
      <template v-if="weaker">
        <b data-weaker
          >By its {{ armWords(weaker.arm) }} it holds less:
          <span class="num" :class="{ fails: weaker.margin!.times < 1 }">{{ figure(weaker.margin!.times) }} times</span>
          the load, and that is what counts.</b
        >
        <v-btn class="quiet" @click="$emit('test', weaker.arm.id)">Show the {{ armWords(weaker.arm) }}</v-btn>
      </template>
      <span v-if="margin.other" class="careful" data-other-geometry>{{ margin.other }}</span>
    </p>
    <table class="plain">
      <caption class="visually-hidden">
        From what the coupons held to what the real joint holds
      </caption>
      <thead>
        <tr>
          <th scope="col">What counts</th>
          <th scope="col" class="r">Left</th>
          <th scope="col">Rests on</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">As pulled, 19 in 20, at its real size</th>
          <td class="r num">
            <AskWhy :why="() => whyMargin(shown!, test)">{{ measured(margin.dryN, 'N') }}</AskWhy>
          </td>
          <td>measured</td>
        </tr>
        <tr v-for="one in margin.factors" :key="one.id" :data-basis="one.basis">
          <th scope="row">{{ capital(one.words) }}</th>
          <td class="r num">
            <AskWhy :why="() => whyFactor(one)">× {{ Math.round(100 * one.share) }} %</AskWhy>
          </td>
          <td :class="one.basis === 'typical' ? 'careful' : ''">{{ basisWords[one.basis] }}</td>
        </tr>
        <tr v-if="margin.factors.length" class="sum">
          <th scope="row">One joint holds</th>
          <td class="r num">
            <AskWhy :why="() => whyMargin(shown!, test)">{{ measured(margin.holdsN, 'N') }}</AskWhy>
          </td>
          <td>{{ margin.notTested.length ? 'in part on estimates' : 'measured' }}</td>
        </tr>
      </tbody>
    </table>
    <!-- By the stronger test the joint “could be smaller”: what counts is the weaker one. -->
    <template v-if="!weaker">
      <h3>What would win margin</h3>
      <ul class="wins num">
        <li v-for="line in winLines" :key="line.by">
          <AskWhy :why="() => whyWin(line, wins!, margin!, WANTED_TIMES)">{{ line.words }}</AskWhy>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
}
.said {
  font-size: 1.125rem;
}
table {
  border-collapse: collapse;
  max-width: 640px;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: inherit;
  padding: 6px 14px 6px 0;
  border-top: 1px solid var(--line);
}
thead th {
  border: 0;
  color: var(--mute);
  font-size: 0.875rem;
}
.r {
  text-align: right;
  white-space: nowrap;
}
.sum > * {
  font-weight: 650;
}
.wins li {
  padding: 4px 0;
}
</style>
