<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Evening } from '../../../core/schedule/evening'
import { dayOf } from '../../../core/quantities/days'
import { lazyPart } from '../../look/piece'
import { sayError } from '../../../core/messages'
import { stampNow, useMinute } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { lookEntries } from '../../bench/lookEntries'
import { useBench } from '../../bench/store'
import { saveFile } from '../../frame/saveFile'
import { capital, plural } from '../../look/figures'
import { clockTime, dayName, lasting, momentName } from '../../look/times'
import EveningStrip from './EveningStrip.vue'
import EveningTasks from './EveningTasks.vue'
import { calendarFile } from './calendarFile'
import { beginFrom, pullFrom, setBy, wordsOf } from './timetableWork'
import { MOST_PIECES, useTimetable } from './useTimetable'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

const ShopForm = lazyPart(() => import('./ShopForm.vue'))

/** When what is glued and pulled: said in words, drawn along the clock, changed by hand. */
const props = defineProps<{ view: JointView }>()
const emit = defineEmits<{ planned: [evenings: Evening[]] }>()
const bench = useBench()
const now = useMinute()
const {
  shop,
  others,
  together,
  rounds,
  pieces,
  evenings,
  progress,
  fault,
  late,
  why,
  finish,
  bound,
  again,
  cancel,
  replan,
} = useTimetable(() => props.view)
// The order that is said here is the order in which the steps are shown.
watch([evenings, progress], ([found, still]) => still === null && found.length && emit('planned', found))
const round = computed(() => props.view.round!)
const unglued = computed(() => {
  const begun = new Set(props.view.coupons.filter(({ stamps }) => stamps.length).map(({ procedure }) => procedure))
  return props.view.procedures.filter(
    ({ id }) => !begun.has(id) && props.view.coupons.some((one) => one.procedure === id),
  )
})
const movable = computed(() => new Set(unglued.value.map(({ id }) => id)))
function dragged(id: string, at: number) {
  const one = unglued.value.find((procedure) => procedure.id === id)
  if (one) void beginFrom(bench, round.value, one, at)
}
/** How far the end is from what is possible at all. */
const gap = computed(() => {
  if (finish.value === null || bound.value === null) return ''
  const ms = finish.value - bound.value
  return ms < 60_000 ? 'no timetable can end earlier' : `none can end more than ${lasting(ms / 1000)} earlier`
})
/** Evenings that may be chosen: those of the coming weeks, by their beginning. */
const choices = computed(() => {
  const taken = setBy(round.value)
  const set = [...taken.notBefore.map(({ at }) => at), ...(taken.pullFrom === null ? [] : [taken.pullFrom])]
  const first = evenings.value[0]?.from ?? now.value
  const days = Array.from({ length: 14 }, (_, i) => {
    const date = new Date(first)
    return new Date(date.getFullYear(), date.getMonth(), date.getDate() + i).getTime()
  })
  return [...new Set([...days, ...set])].sort((x, y) => x - y)
})
const dayWords = (at: number) => dayName(dayOf(at))
const chosen = (event: Event) => {
  const { value } = event.target as HTMLSelectElement
  return value === '' ? null : Number(value)
}
const notBefore = (id: string) => setBy(round.value).notBefore.find(({ procedure }) => procedure === id)?.at ?? ''
const { attempt } = useAttempt()
async function save() {
  await attempt(async () => {
    const title = `${props.view.joint.code} ${props.view.joint.name}`
    const text = await calendarFile(evenings.value, rounds.value, round.value.id, title, lookEntries([props.view]))
    saveFile(`${props.view.joint.code.toLowerCase()}-timetable.ics`, text, 'text/calendar')
  })
}
function toggle(id: string, event: Event) {
  const on = (event.target as HTMLInputElement).checked
  together.value = on ? [...together.value, id] : together.value.filter((one) => one !== id)
}
</script>

<template>
  <section class="timetable" aria-labelledby="timetable">
    <h2 id="timetable">The timetable</h2>
    <p v-if="fault" class="problem" role="alert">
      {{ sayError(fault) }}
      <v-btn class="alt" @click="again">Search again</v-btn>
    </p>
    <div v-if="progress !== null" class="searching">
      <progress :value="progress" aria-label="The search for a shorter timetable" />
      <span class="mute small">{{ evenings.length ? 'looking for a shorter one' : 'looking for one that fits' }}</span>
      <v-btn v-if="evenings.length" class="quiet" @click="cancel">Take this one</v-btn>
    </div>
    <p v-if="pieces > MOST_PIECES" class="careful">
      A timetable is made for up to {{ MOST_PIECES }} pieces at a time, and {{ pieces }} are left: glue them block by
      block.
    </p>
    <div v-if="why" class="card nothing" role="status">
      <p><b class="careful">Nothing fits.</b> {{ why.text }}</p>
      <p>{{ why.change }}</p>
    </div>
    <p v-if="late" class="careful" role="status">
      It is behind its clock.
      <v-btn class="alt" @click="replan">Plan what is left from {{ clockTime(stampNow()) }}</v-btn>
    </p>
    <ol v-if="evenings.length" class="evenings" data-evenings>
      <!-- by their place: what was opened in an evening stays open when a better timetable moves it -->
      <li v-for="(evening, i) in evenings" :key="i">
        <p>
          <b class="num">{{ capital(momentName(evening.from, now)) }}</b>
          <span class="mute num"> to {{ clockTime(evening.to) }}</span>
          · {{ wordsOf(evening, rounds) }}
        </p>
        <div class="scroll" tabindex="0" role="group" aria-label="The evening's strips, to be scrolled sideways">
          <EveningStrip
            :evening="evening"
            :rounds="rounds"
            :now="now"
            :movable="movable"
            :pulls-move="!view.readings.length"
            @begin="dragged"
            @pull="(at) => pullFrom(bench, round, at)"
          />
        </div>
        <EveningTasks :evening="evening" :rounds="rounds" />
      </li>
    </ol>
    <p v-if="finish !== null" class="mute small">
      {{ plural(evenings.length, 'session') }}; the last pull ends {{ momentName(finish, now) }}, and {{ gap }}.
    </p>
    <details v-if="evenings.length || why">
      <summary>Change it by hand</summary>
      <p class="mute small">Drag a bar above to another time, or choose a day; a step is pinned in its list.</p>
      <div class="by-hand">
        <FieldPart v-for="one in unglued" :key="one.id" :label="`Begin ${one.letter}, ${one.name}`">
          <select class="plain" :value="notBefore(one.id)" @change="beginFrom(bench, round, one, chosen($event))">
            <option value="">whenever it suits</option>
            <option v-for="at in choices" :key="at" :value="at">not before {{ dayWords(at) }}</option>
          </select>
        </FieldPart>
        <FieldPart label="Pull">
          <select class="plain" :value="setBy(round).pullFrom ?? ''" @change="pullFrom(bench, round, chosen($event))">
            <option value="">as soon as all are ready</option>
            <option v-for="at in choices" :key="at" :value="at">not before {{ dayWords(at) }}</option>
          </select>
        </FieldPart>
        <fieldset v-if="others.length">
          <legend>In the same evenings, with the same hands and clamps</legend>
          <label v-for="one in others" :key="one.joint.id" class="tick">
            <input type="checkbox" :checked="together.includes(one.joint.id)" @change="toggle(one.joint.id, $event)" />
            {{ one.joint.code }} {{ one.joint.name }}
          </label>
        </fieldset>
      </div>
    </details>
    <details>
      <summary>When I work, and with what</summary>
      <ShopForm :shop="shop" />
    </details>
    <div v-if="evenings.length">
      <v-btn class="alt" @click="save">Save as a calendar file</v-btn>
    </div>
    <ProblemLine />
  </section>
</template>

<style scoped>
.timetable {
  display: grid;
  gap: 12px;
}
.timetable > * {
  min-width: 0;
}
.evenings {
  list-style: none;
  padding: 0;
}
.evenings > li {
  display: grid;
  gap: 6px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.scroll {
  overflow-x: auto;
}
.searching {
  display: flex;
  gap: 12px;
  align-items: center;
}
.nothing {
  padding: 14px 16px;
  display: grid;
  gap: 6px;
}
summary {
  min-height: 32px;
}
.by-hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  padding: 8px 0;
}
.by-hand .field {
  flex: 0 1 250px;
}
fieldset {
  border: 0;
  padding: 0;
  flex-basis: 100%;
}
.tick {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
</style>
