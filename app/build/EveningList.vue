<script setup lang="ts">
import { computed } from 'vue'
import { sayError } from '../../core/messages'
import { dayOf } from '../../core/quantities/days'
import { useMinute } from '../bench/clock'
import { plural } from '../look/figures'
import { clockTime, dayName, momentName } from '../look/times'
import type { BuildRow, useBuild } from './useBuild'

/** The evenings of the build, reckoned back from its day, and what does not fit any more. */
/** rows: the joints that are decided */
const props = defineProps<{ rows: BuildRow[]; order: ReturnType<typeof useBuild>['order'] }>()
const minute = useMinute()
const plan = computed(() => props.order.answer.value)
const rowOf = (id: string) => props.rows.find(({ view }) => view.joint.id === id) ?? null
const codeOf = (id: string) => rowOf(id)?.view.joint.code ?? '?'
const failing = computed(() =>
  (plan.value?.plans ?? []).flatMap(({ id, plan: one }) => (one.fits ? [] : [{ id, earliest: one.earliest }])),
)
/** sessions of one day together */
const days = computed(() => {
  const byDay = new Map<string, NonNullable<typeof plan.value>['sessions']>()
  for (const one of plan.value?.sessions ?? []) {
    const day = dayOf(one.from)
    byDay.set(day, [...(byDay.get(day) ?? []), one])
  }
  const today = dayOf(minute.value)
  return [...byDay].map(([day, sessions]) => ({ day, name: day === today ? 'Today' : dayName(day), sessions }))
})
</script>

<template>
  <section aria-labelledby="evenings">
    <h2 id="evenings">Evenings, back from the day</h2>
    <p v-if="order.progress.value !== null && !plan" class="mute" role="status">Reckoning back…</p>
    <p v-if="order.fault.value" class="problem" role="alert">
      {{ sayError(order.fault.value) }} <v-btn class="quiet" @click="order.again">Reckon again</v-btn>
    </p>
    <p v-if="plan?.beginBy" class="by num">
      Begin by <b>{{ momentName(plan.beginBy, minute) }}</b>.
    </p>
    <ol v-if="days.length" class="days num">
      <li v-for="day in days" :key="day.day">
        <b>{{ day.name }}</b>
        <span v-for="one in day.sessions" :key="one.id + one.from" class="session">
          {{ clockTime(one.from) }} to {{ clockTime(one.to) }}: {{ codeOf(one.id) }},
          {{ one.joints ? plural(one.joints, 'joint') : 'see to what is fixed in place'
          }}<template v-if="rowOf(one.id)?.procedure">, {{ rowOf(one.id)!.procedure!.name }}</template>
        </span>
      </li>
    </ol>
    <p v-for="one in failing" :key="one.id" class="fails">
      {{ codeOf(one.id) }} does not fit any more{{
        one.earliest === null ? '' : `: begun at once, it would carry its load ${momentName(one.earliest, minute)}`
      }}. More hands, clamps or hours would help, or a faster glue.
    </p>
    <p v-for="row in rows.filter(({ left, late }) => left > 0 && late)" :key="row.view.joint.id" class="fails">
      {{ row.view.joint.code }} should be in service already: {{ row.left }} are not glued yet.
    </p>
    <p v-if="!plan && order.progress.value === null && !order.fault.value" class="mute">
      {{
        rows.every(({ left }) => left === 0)
          ? 'All of them are glued.'
          : 'Say by when the build is in service: then the evenings are reckoned back from that morning.'
      }}
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
  break-inside: avoid;
}
.by {
  font-size: 1.25rem;
}
.days li {
  border-top: 1px solid var(--line);
  padding: 8px 0;
  display: grid;
  gap: 3px;
}
</style>
