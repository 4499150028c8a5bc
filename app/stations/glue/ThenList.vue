<script setup lang="ts">
import { stepWords } from '../../../core/planning/stepWords'
import type { GlueTask } from '../../../core/planning/gluing'
import { capital } from '../../look/figures'
import { clockTime } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'

/** What comes after the step that is shown; a piece may be taken first. */
defineProps<{ tasks: GlueTask[]; now: number }>()
const emit = defineEmits<{ first: [task: GlueTask] }>()
</script>

<template>
  <section aria-labelledby="then">
    <h2 id="then">Then</h2>
    <ol>
      <li v-for="next in tasks" :key="next.coupon.id">
        <span class="num when" :class="{ due: next.since && next.readyAt <= now }">{{
          next.readyAt > now ? clockTime(next.readyAt) : next.since ? 'now' : 'free'
        }}</span>
        <span>{{ capital(stepWords[next.step.kind]) }}</span>
        <button
          type="button"
          class="first"
          :aria-label="`Do ${next.coupon.label} first`"
          title="Do this one first"
          :disabled="next.readyAt > now"
          @click="emit('first', next)"
        >
          <TapeLabel>{{ next.coupon.label }}</TapeLabel>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
li {
  display: grid;
  grid-template-columns: 52px 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
.when {
  font-weight: 680;
}
.when.due {
  color: var(--go);
}
.first {
  appearance: none;
  background: none;
  border: 0;
  padding: 6px 0;
  cursor: pointer;
}
.first:disabled {
  cursor: default;
}
</style>
