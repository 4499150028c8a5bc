<script setup lang="ts">
import { computed, ref } from 'vue'
import { PULL, type RoundToGlue } from '../../../core/schedule/round'
import type { Evening, Task } from '../../../core/schedule/evening'
import type { Round } from '../../../core/records/round'
import { useBench } from '../../bench/store'
import { capital } from '../../look/figures'
import { clockTime } from '../../look/times'
import { labelsOf, pin, setBy, taskWords } from './timetableWork'

/** What an evening holds, one thing after the other; the first piece of each may be kept at its time. */
const props = defineProps<{ evening: Evening; rounds: readonly RoundToGlue[] }>()
const bench = useBench()
/** drawn once it is opened: a better timetable may come several times a second */
const open = ref(false)
const roundOf = (task: Task): Round | null => {
  const of = props.rounds.find(({ coupons }) => coupons.some(({ id }) => id === task.coupons[0]))
  return of ? bench.get('round', of.round.id) : null
}
const tasks = computed(() =>
  (open.value ? props.evening.tasks : []).map((task) => {
    const round = roundOf(task)
    const [coupon] = task.coupons as [string]
    const pinned = round ? setBy(round).pins.some((one) => one.coupon === coupon && one.step === task.step) : false
    return { task, round, coupon, pinned, movable: round !== null && ![PULL, 'into', 'out'].includes(task.step) }
  }),
)
</script>

<template>
  <details @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      Step by step<span class="visually-hidden">, {{ clockTime(evening.from) }}</span>
    </summary>
    <ol>
      <li v-for="{ task, round, coupon, pinned, movable } in tasks" :key="`${task.step} ${coupon} ${task.from}`">
        <span class="num">{{ clockTime(task.from) }}</span>
        <span>{{ capital(taskWords(task, rounds)) }}: {{ labelsOf(task, rounds) }}</span>
        <v-btn
          v-if="movable"
          class="quiet"
          :aria-pressed="pinned"
          @click="pin(bench, round!, coupon, task.step, pinned ? null : Math.round(task.from))"
          >{{ pinned ? 'Let it move' : 'Keep this time'
          }}<span class="visually-hidden"> for {{ taskWords(task, rounds) }} at {{ clockTime(task.from) }}</span></v-btn
        >
      </li>
    </ol>
  </details>
</template>

<style scoped>
summary {
  min-height: 30px;
}
ol {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
</style>
