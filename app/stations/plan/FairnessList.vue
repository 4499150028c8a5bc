<script setup lang="ts">
import type { Fault } from '../../../core/planning/fairness'
import VerdictMark from '../../look/VerdictMark.vue'

/**
 * What would make the result unfair, each with what it would do to the answer and, where it can be, a press that mends
 * it.
 */
defineProps<{ faults: Fault[] }>()
const emit = defineEmits<{ mend: [fault: Fault] }>()
</script>

<template>
  <section aria-labelledby="fair">
    <h2 id="fair">Is it fair?</h2>
    <p v-if="!faults.length"><VerdictMark tone="holds" word="nothing unfair found" /></p>
    <ul>
      <li v-for="fault in faults" :key="`${fault.id} ${fault.about}`" :data-fault="fault.id">
        <VerdictMark tone="careful" word="unfair" />
        <p>{{ fault.text }}</p>
        <v-btn v-if="fault.mend" class="alt" @click="emit('mend', fault)">{{ fault.mend.words }}</v-btn>
        <span v-else class="mute small">only you can</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
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
