<script setup lang="ts">
import { computed, ref } from 'vue'
import { sayError } from '../../../core/messages'
import { usualShop } from '../../../core/records/shop'
import type { Setting } from '../../../core/screening/shortlist'
import { now as timeNow, stampNow, useMinute } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { saveFile } from '../../frame/saveFile'
import { capital, plural } from '../../look/figures'
import { clockTime, dayName, momentName } from '../../look/times'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'
import { BEFORE_MIN, calendarText } from '../../bench/calendarText'
import { jointsLeft, jointsOf, morningOf } from '../../bench/buildJoints'
import { noteGlued, procedureName, setRedo } from './buildWork'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** The build's own joints, once it is decided how they are glued, reckoned back from the day of their use. */
const props = defineProps<{ view: JointView; setting: Setting }>()
const bench = useBench()
const minute = useMinute()
const decision = computed(() => props.view.decision!)
const count = computed(() => jointsOf(props.view))
const build = computed(() => bench.get('build', props.view.joint.build))
const day = computed(() => props.view.joint.brief.inServiceBy ?? build.value?.inServiceBy ?? null)
const readyBy = computed(() => (day.value === null ? null : morningOf(day.value)))
const left = computed(() => jointsLeft(bench, props.view, props.setting))
const shop = computed(() => bench.bench?.shop ?? usualShop)
const stands = steady(
  () => ({ of: left.value, shop: shop.value, readyBy: readyBy.value }),
  (one) => [one.of?.procedure, one.of?.count, one.of?.handlingS, one.of?.perMix, one.shop, one.readyBy],
)
const asked = computed(() => {
  const { of, shop: own, readyBy: by } = stands.value
  const now = timeNow()
  return of && by !== null && by > now ? { of, shop: own, readyBy: by, now } : null
})
const {
  answer: plan,
  progress,
  fault,
  again,
} = useAsked(
  () => asked.value,
  (input, options) => benchWorker().joints(input, options),
)
/** It should have been begun some time ago: what is left is reckoned anew on request. */
const late = computed(() => plan.value?.fits && plan.value.beginBy < minute.value - 300_000)

const typed = ref('')
const { attempt } = useAttempt()
async function note() {
  await attempt(async () => {
    if (await noteGlued(bench, props.view, decision.value, typed.value, stampNow())) typed.value = ''
  })
}
async function save() {
  if (!plan.value?.fits) return
  const name = `${props.view.joint.code} ${props.view.joint.name}`
  const entries = plan.value.evenings.map((evening) => ({
    ...evening,
    title: `${name}: glue ${plural(evening.joints, 'joint')}`,
    lines: [procedureName(left.value!.procedure), ...left.value!.procedure.steps.map(({ text }) => text)],
    alarms: [BEFORE_MIN],
  }))
  const { ready } = plan.value
  entries.push({ from: ready, to: ready, joints: 0, title: `${name}: carries its load`, lines: [], alarms: [] })
  await attempt(async () => {
    saveFile(
      `${props.view.joint.code.toLowerCase()}-build.ics`,
      await calendarText(entries, `${decision.value.id}-build`, name),
      'text/calendar',
    )
  })
}
function redo(event: Event) {
  const { value, validity } = event.target as HTMLInputElement
  // A day that is typed in part is none, and takes none away.
  if (!validity.badInput) void setRedo(bench, props.view, decision.value, value || null)
}
</script>

<template>
  <section class="build" aria-labelledby="build-joints">
    <h2 id="build-joints">
      The build’s own {{ count.all === 1 ? 'joint' : `${count.all} joints`
      }}<template v-if="day">, in service {{ dayName(day) }}</template>
    </h2>
    <p v-if="!left" class="holds">{{ count.all === 1 ? 'It is glued.' : `All ${count.all} are glued.` }}</p>
    <template v-else>
      <p class="mute">
        {{ procedureName(left.procedure) }}<template v-if="count.glued"> · {{ count.glued }} glued so far</template>
      </p>
      <p v-if="day === null">Say in Ask by when it is in service: then the evenings are reckoned back from that day.</p>
      <p v-else-if="!asked" class="fails">That day has come: what is not glued yet is late.</p>
      <p v-if="progress !== null && !plan" class="mute" role="status">Reckoning back from that morning…</p>
      <p v-if="fault" class="problem" role="alert">
        {{ sayError(fault) }} <v-btn class="alt" @click="again">Reckon again</v-btn>
      </p>
      <template v-if="plan?.fits">
        <p class="by num">
          Begin by <b>{{ momentName(plan.beginBy, minute) }}</b>, {{ plural(plan.evenings.length, 'session') }}.
        </p>
        <p v-if="late" class="careful">
          That time is past. <v-btn class="alt" @click="again">Reckon what is left anew</v-btn>
        </p>
        <ol class="num">
          <li v-for="(evening, i) in plan.evenings" :key="i">
            {{ capital(momentName(evening.from, minute)) }} to {{ clockTime(evening.to) }}:
            {{ evening.joints ? `glue ${plural(evening.joints, 'joint')}` : 'see to what is fixed in place' }}
          </li>
        </ol>
        <p class="mute num small">
          The last one can be handled {{ momentName(plan.handled, minute) }} and carries its load
          {{ momentName(plan.ready, minute) }}.<template v-if="left.perMix">
            One mix serves {{ plural(left.perMix, 'joint') }}.</template
          >
        </p>
        <v-btn class="alt" @click="save">Save as a calendar file</v-btn>
      </template>
      <p v-else-if="plan" class="fails">
        It does not fit any more:
        {{
          plan.earliest === null
            ? 'there is no evening for it in the coming weeks. Say below when you work.'
            : `begun at once, all would carry their load ${momentName(plan.earliest, minute)}. ` +
              'More hands, clamps or hours would help, or a faster glue.'
        }}
      </p>
      <form class="noted" @submit.prevent="note">
        <FieldPart name="glued" :label="`Joints glued now, of ${count.all - count.glued} left`">
          <input v-model="typed" class="plain" inputmode="numeric" placeholder="12" />
        </FieldPart>
        <v-btn class="alt" type="submit">Note them</v-btn>
      </form>
    </template>
    <FieldPart class="redo" label="Only for a time: to be made anew on">
      <input type="date" class="plain" :value="decision.redoOn ?? ''" @change="redo" />
    </FieldPart>
    <ProblemLine />
  </section>
</template>

<style scoped>
.build {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.by {
  font-size: 1.25rem;
}
ol {
  list-style: none;
  padding: 0;
  width: 100%;
}
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.noted {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.redo {
  max-width: 260px;
}
</style>
