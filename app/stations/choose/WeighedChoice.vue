<script setup lang="ts">
import { computed, watch } from 'vue'
import { schools } from '../../../core/choice/rank'
import type { JointView } from '../../bench/jointView'
import { kindWords } from '../../bench/kindWords'
import { useBench } from '../../bench/store'
import CriteriaTable from './CriteriaTable.vue'
import NextTest from './NextTest.vue'
import SchoolCards from './SchoolCards.vue'
import TradeOff from './TradeOff.vue'
import { useWeighed } from './useWeighed'
import WeightSliders from './WeightSliders.vue'
import { neededWords, whyWords } from './weighWords'

/** The round judged on all that counts, in three ways, with weights that can be tried. */
const props = defineProps<{ view: JointView }>()
const emit = defineEmits<{ agreed: [procedure: string | null] }>()
const bench = useBench()
const {
  items,
  procedures,
  missing,
  groups,
  weights,
  rested,
  weightOf,
  tried,
  changed,
  keep,
  reset,
  result,
  moves,
  movesOpen,
  problem,
  retry,
} = useWeighed(() => props.view)
const currency = computed(() => bench.bench?.currency ?? '')
const nameOf = (id: string) => procedures.value.find((one) => one.id === id)?.name ?? '?'
const itemOf = (id: string) => items.value.find(({ criterion }) => criterion.id === id)!
const names = { procedure: nameOf, item: itemOf }
/** What all three ways come to; null where they part. */
const agreed = computed(() => {
  const winners = result.value?.winners
  const first = winners?.points ?? null
  return winners && first && schools.every((school) => winners[school] === first) ? first : null
})
watch(agreed, (one) => emit('agreed', one), { immediate: true })
const said = computed(() => {
  if (!result.value) return []
  return agreed.value
    ? [`All three ways come to the same: ${nameOf(agreed.value)}.`]
    : whyWords(result.value.why, names)
})
const second = computed(() => result.value?.needed[0]?.procedure ?? null)
const needed = computed(() => (result.value ? neededWords(result.value.needed, names, currency.value) : []))
</script>

<template>
  <section v-if="items.length && procedures.length > 1" aria-labelledby="weighed" data-weighed>
    <h2 id="weighed">All that counts, judged in three ways</h2>
    <p v-if="problem" class="problem" role="alert">
      {{ problem }} <v-btn class="quiet" @click="retry">Try again</v-btn>
    </p>
    <p v-if="!result && !problem" role="status">Weighing…</p>
    <template v-if="result">
      <p v-for="line in said" :key="line" class="said" role="status">{{ line }}</p>
      <SchoolCards v-bind="{ result, procedures, items, weights }" />
      <CriteriaTable :code="view.joint.code" v-bind="{ items, procedures, result, currency }" />
      <p v-if="missing.length" class="careful small">
        Counts, and nothing is known of it here, so that it is not weighed:
        {{ missing.map((kind) => kindWords[kind]).join(', ') }}.
      </p>
      <h3>What if it counted otherwise?</h3>
      <WeightSliders
        v-bind="{ groups, weightOf, moves, movesOpen, changed, keep }"
        :late="view.readings.length > 0"
        @try="(kind, weight) => (tried = { ...tried, [kind]: weight })"
        @reset="reset"
      />
      <template v-if="second && needed.length">
        <h3>What would have to be true for {{ nameOf(second) }} to come first by points?</h3>
        <p class="mute small">Any one of these, alone:</p>
        <ul class="needed num">
          <li v-for="line in needed" :key="line">{{ line }}</li>
        </ul>
      </template>
      <TradeOff v-bind="{ items, procedures, result, currency }" />
      <NextTest v-if="rested" v-bind="{ view, items, procedures, result }" :weights="rested" />
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 14px;
}
section > * {
  min-width: 0;
}
.said {
  font-size: 1.125rem;
}
.needed li {
  padding: 4px 0;
}
</style>
