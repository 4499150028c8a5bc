<script setup lang="ts">
import { formulaOf, type TestId } from '../../../core/knowledge/testKinds'
import { figure } from '../../look/figures'
import FailurePlaces from './FailurePlaces.vue'
import type { End, PullForm } from './pullForm'

/** Where a coupon let go, or why there is no place to name. */
const form = defineModel<PullForm>({ required: true })
defineProps<{
  test: TestId
  /** the least that this test reads: what a coupon lost in handling counts as at most */
  lightest: { value: number; unit: string }
  gauge: string
}>()
const ends: { end: End; word: string }[] = [
  { end: 'held', word: 'Did not break' },
  { end: 'wet', word: 'Still wet inside' },
  { end: 'handling', word: 'Came apart in handling' },
  { end: 'fault', word: 'Test went wrong…' },
]
const faults = ['grip slipped', 'clamp had shifted', 'pulled the wrong way round']
const setEnd = (end: End) => (form.value.end = form.value.end === end ? 'broke' : end)
</script>

<template>
  <section aria-labelledby="where">
    <h2 id="where">{{ form.way === 'grades' ? 'Or did something go wrong?' : 'Where did it let go?' }}</h2>
    <FailurePlaces v-if="form.way !== 'grades'" v-model="form" />
    <div class="ends">
      <v-btn
        v-for="{ end, word } in ends"
        :key="end"
        class="alt bench-size"
        :class="{ on: form.end === end }"
        :aria-pressed="form.end === end"
        @click="setEnd(end)"
        >{{ word }}</v-btn
      >
    </div>
    <div v-if="form.end === 'fault'" class="fault">
      <label class="field"
        ><span>What went wrong? It is kept and does not count.</span
        ><input v-model="form.reason" class="plain" list="faults"
      /></label>
      <datalist id="faults"><option v-for="fault in faults" :key="fault" :value="fault" /></datalist>
    </div>
    <p v-if="form.end === 'wet'" class="careful">
      Not a strength: it says “not yet”. It is kept as a cure failure; glue another with a longer cure.
    </p>
    <p v-if="form.end === 'handling'" class="mute">
      Counts as at most {{ figure(lightest.value) }} {{ lightest.unit }}, the least that this test reads{{
        formulaOf(test) ? ` with your ${gauge}` : ''
      }}.
    </p>
  </section>
</template>

<style scoped>
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;
}
.ends .on {
  background: var(--ink);
  color: var(--card);
}
.fault {
  max-width: 520px;
  margin-top: 8px;
}
h2 {
  margin-bottom: 10px;
}
</style>
