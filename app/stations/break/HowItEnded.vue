<script setup lang="ts">
import { computed } from 'vue'
import { formulaOf, type TestId } from '../../../core/knowledge/testKinds'
import { faultOf, faultRows, type FaultRow } from '../../../core/readings/faults'
import { capital, figure } from '../../look/figures'
import FailurePlaces from './FailurePlaces.vue'
import type { AfterFault, End, PullForm } from './pullForm'
import FieldPart from '../../look/FieldPart'

/** Where a coupon let go, or why there is no place to name. */
const form = defineModel<PullForm>({ required: true })
const props = defineProps<{
  test: TestId
  /** the least that this test reads: what a coupon lost in handling counts as at most */
  lightest: { value: number; unit: string }
  gauge: string
  /** the coupon that would be glued in its place */
  spare: string
  /** a logged pull is corrected: nothing follows from it anew */
  corrects: boolean
}>()
/** looked at or counted: there is no place at which it let go */
const seen = computed(() => form.value.way === 'grades' || form.value.way === 'losses')
const ends: { end: End; word: string }[] = [
  { end: 'held', word: 'Did not break' },
  { end: 'wet', word: 'Still wet inside' },
  { end: 'handling', word: 'Came apart in handling' },
  { end: 'fault', word: 'Test went wrong…' },
]
const setEnd = (end: End) => (form.value.end = form.value.end === end ? 'broke' : end)
const fault = computed(() => faultOf(form.value.reason))
function choose(row: FaultRow) {
  form.value.reason = row.word
  if (!row.again && form.value.then === 'again') form.value.then = 'nothing'
}
const thens = computed<{ then: AfterFault; word: string }[]>(() => [
  { then: 'nothing', word: 'Leave it at that' },
  { then: 'spare', word: `Glue a spare in its place: ${props.spare}` },
  // What the maker words alone may be either.
  ...(!fault.value || fault.value.again ? [{ then: 'again' as const, word: 'It is whole: pull it again' }] : []),
])
</script>

<template>
  <section aria-labelledby="where">
    <h2 id="where">{{ seen ? 'Or did something go wrong?' : 'Where did it let go?' }}</h2>
    <FailurePlaces v-if="!seen" v-model="form" />
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
      <div class="ends" role="group" aria-label="What went wrong">
        <v-btn
          v-for="row in faultRows"
          :key="row.word"
          class="alt bench-size"
          :class="{ on: fault === row }"
          :aria-pressed="fault === row"
          @click="choose(row)"
          >{{ capital(row.word) }}</v-btn
        >
      </div>
      <FieldPart label="What went wrong, in your words" name="reason">
        <input v-model="form.reason" class="plain" />
      </FieldPart>
      <p class="mute" data-becomes>{{ fault?.becomes ?? 'It is kept with its reason and does not count.' }}</p>
      <fieldset v-if="!corrects">
        <legend>And then?</legend>
        <label v-for="{ then, word } in thens" :key="then"
          ><input v-model="form.then" type="radio" name="after-fault" :value="then" /> {{ word }}</label
        >
      </fieldset>
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
  display: grid;
  gap: 10px;
  max-width: 720px;
  margin-top: 8px;
}
fieldset label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 48px;
}
h2 {
  margin-bottom: 10px;
}
</style>
