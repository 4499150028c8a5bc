<script setup lang="ts">
import { computed } from 'vue'
import type { Fault, Mend } from '../../../core/planning/fairness'
import VerdictMark from '../../look/VerdictMark.vue'

/**
 * What would make the result unfair, each with what it would do to the answer and, where it can be, a press that mends
 * it.
 */
const props = defineProps<{ faults: Fault[] }>()
const unfair = computed(() => props.faults.filter(({ note }) => !note))
const emit = defineEmits<{ mend: [mend: Mend] }>()
const mends = ({ mend, more = [] }: Fault) => (mend ? [mend, ...more] : more)
</script>

<template>
  <section aria-labelledby="fair">
    <h2 id="fair">Is it fair?</h2>
    <p v-if="!unfair.length"><VerdictMark tone="holds" word="nothing unfair found" /></p>
    <ul>
      <li v-for="fault in faults" :key="`${fault.id} ${fault.about}`" :data-fault="fault.id">
        <VerdictMark :tone="fault.note ? 'unknown' : 'careful'" :word="fault.note ? 'to know' : 'unfair'" />
        <p>{{ fault.text }}</p>
        <span v-if="mends(fault).length" class="mends"
          ><v-btn v-for="one in mends(fault)" :key="one.words" class="alt" @click="emit('mend', one)">{{
            one.words
          }}</v-btn></span
        >
        <span v-else-if="!fault.note" class="mute small">only you can</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.mends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
ul {
  margin-top: 8px;
}
li {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr) minmax(0, auto);
  gap: 6px 16px;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
