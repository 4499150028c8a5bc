<script setup lang="ts">
import { clashKey, type BenchClash, type Side } from '../../core/records/together/merge'
import { plural } from '../look/figures'
import { clashName, sideText, type FindRecord } from './mergeWords'

/** What differs on two benches, each to be answered; all at once, too. */
const answers = defineModel<Record<string, Side>>({ required: true })
const props = defineProps<{ clashes: BenchClash[]; find: FindRecord }>()
const emit = defineEmits<{ later: [] }>()

const all = (side: Side) => (answers.value = Object.fromEntries(props.clashes.map((clash) => [clashKey(clash), side])))
const answer = (clash: BenchClash, side: Side) => (answers.value = { ...answers.value, [clashKey(clash)]: side })
const sideWords = (clash: BenchClash) => [
  { value: 'here' as const, words: `here: ${sideText(clash.here, clash)}` },
  { value: 'there' as const, words: `there: ${sideText(clash.there, clash)}` },
]
</script>

<template>
  <section aria-labelledby="clashes">
    <h2 id="clashes">{{ plural(clashes.length, 'difference') }} to decide</h2>
    <p class="acts">
      <span class="mute">All at once:</span>
      <v-btn class="quiet" @click="emit('later')">what was written later</v-btn>
      <v-btn class="quiet" @click="all('here')">all as here</v-btn>
      <v-btn class="quiet" @click="all('there')">all as there</v-btn>
    </p>
    <ul class="clashes">
      <li v-for="clash in clashes" :key="clashKey(clash)">
        <fieldset>
          <legend>{{ clashName(clash, find) }}</legend>
          <label v-for="{ value, words } in sideWords(clash)" :key="value">
            <input
              type="radio"
              :name="clashKey(clash)"
              :value="value"
              :checked="answers[clashKey(clash)] === value"
              @change="answer(clash, value)"
            />
            <span>{{ words }}</span>
          </label>
        </fieldset>
        <p class="mute small">
          {{
            clash.later === null
              ? 'Neither says when it was written: it stays as it is here unless you say otherwise.'
              : `Written later ${clash.later === 'here' ? 'here' : 'there'}.`
          }}<template v-if="clash.table === 'reading'"> What does not stand is kept with the reading.</template>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
.clashes label {
  display: flex;
  gap: 10px;
  padding: 8px 0;
  overflow-wrap: anywhere;
}
.clashes legend {
  font-weight: 650;
}
.clashes li {
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
</style>
