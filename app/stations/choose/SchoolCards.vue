<script setup lang="ts">
import { schools, type School } from '../../../core/choice/rank'
import type { Item } from '../../../core/choice/criteria'
import type { WeighResult } from '../../../core/choice/weighRound'
import type { Procedure } from '../../../core/records/procedure'
import AskWhy from '../../look/AskWhy.vue'
import { percent } from '../../look/figures'
import { schoolWords } from './weighWords'
import { whySchool } from './whyWeighed'

/** The three ways to judge side by side: who comes first in each, and how surely. */
const props = defineProps<{
  result: WeighResult
  procedures: readonly Procedure[]
  items: readonly Item[]
  weights: readonly number[]
}>()
const of = (id: string) => props.procedures.find((one) => one.id === id)
const order = (school: School) =>
  [...props.result.schools[school]].sort((x, y) => y.score - x.score || y.pBest - x.pBest)
const first = (school: School) => props.result.winners[school]
/** A must that is just met is no must missed: by the weakest link it counts nothing, and nobody is out for it. */
const nobody: Record<School, string> = {
  points: 'Nobody is better than what must be.',
  'weakest-link': 'Nobody: each misses a must, or just meets one.',
  'knock-out': 'Nobody: each misses a must.',
}
</script>

<template>
  <div class="schools">
    <article v-for="school in schools" :key="school" class="card" :data-school="school">
      <h3>{{ schoolWords[school].name }}</h3>
      <p class="mute small">{{ schoolWords[school].gloss }}</p>
      <p class="first">
        <b v-if="first(school)">{{ of(first(school)!)?.name }}</b>
        <b v-else class="careful">{{ nobody[school] }}</b>
      </p>
      <ul>
        <li v-for="one in order(school)" :key="one.procedure">
          <span class="letter">{{ of(one.procedure)?.letter }}</span>
          <span class="bar" aria-hidden="true"><i :style="{ width: `${100 * one.score}%` }"></i></span>
          <AskWhy class="small num" :why="() => whySchool(school, of(one.procedure)!, result, items, weights)"
            ><b v-if="school !== 'knock-out'">{{ Math.round(100 * one.score) }} of 100</b> first in
            {{ percent(one.pBest) }}</AskWhy
          >
        </li>
      </ul>
    </article>
  </div>
</template>

<style scoped>
.schools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 14px;
}
article {
  padding: 14px 16px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.first {
  font-size: 1.125rem;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(40px, 1fr) 124px;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
}
li b {
  display: block;
}
.letter {
  font-weight: 650;
}
.bar {
  height: 10px;
  border: 1px solid var(--tick);
  border-radius: 2px;
  background: var(--bg);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ink);
}
</style>
