<script setup lang="ts">
import { computed } from 'vue'
import type { JointView } from '../../bench/jointView'
import { exposureWords } from '../../../core/knowledge/exposures'
import { pullSessions, type PullSession } from '../../../core/schedule/sessions'
import { durationWords } from '../../../core/quantities/durations'
import { capital, plural } from '../../look/figures'
import { momentName } from '../../look/times'

/** Nothing is left to be glued: when what is closed is cured, and where it goes on. */
const props = defineProps<{ view: JointView; now: number }>()
const pulled = computed(() => props.view.progress.pulled >= props.view.coupons.length)
/** Pulls that belong together, each with when it can begin, the soonest first. */
const sessions = computed(() => pullSessions(props.view.round!, props.view.procedures, left.value))
const left = computed(() => {
  const done = new Set(props.view.readings.map(({ coupon }) => coupon))
  return props.view.coupons.filter(({ id }) => !done.has(id))
})
/** What is done, and when: at an age to the hour, after something that it goes through, or once it is cured. */
function lineOf({ from, arms, coupons }: PullSession): string {
  const [first] = arms
  const pieces = plural(coupons, 'piece')
  const when = from > props.now ? `from ${momentName(from, props.now)}` : 'now'
  if (first?.exposure) return `${when}: put ${pieces} through it (${exposureWords(first.exposure)}), then pull them.`
  if (first?.ageS != null) return `${when}: pull ${pieces}, ${durationWords(first.ageS)} after closing each.`
  return `${when}: pull ${pieces} in one session.`
}
</script>

<template>
  <section class="task all-glued card" aria-labelledby="all-glued">
    <h2 id="all-glued">All {{ view.coupons.length }} coupons are glued{{ pulled ? ' and pulled' : '' }}</h2>
    <template v-if="!pulled">
      <ul>
        <li v-for="one in sessions" :key="one.name" data-session>{{ capital(lineOf(one)) }}</li>
      </ul>
    </template>
    <div>
      <v-btn v-if="!pulled" class="go bench-size" :to="{ name: 'break', params: { joint: view.joint.id } }"
        >Go to the pulls</v-btn
      >
      <v-btn v-else class="alt" :to="{ name: 'choose', params: { joint: view.joint.id } }">Look at the result</v-btn>
    </div>
  </section>
</template>

<style scoped>
.all-glued {
  border: 1.5px solid var(--ink);
  padding: 20px 22px;
  display: grid;
  gap: 16px;
}
h2 {
  font-size: 1.4375rem;
  line-height: 1.25;
}
</style>
