<script setup lang="ts">
import { computed, ref } from 'vue'
import { isHeld, type GlueTask } from '../../../core/planning/gluing'
import { stepTime } from '../../../core/planning/stepTime'
import { stampNow } from '../../bench/clock'
import { useBench } from '../../bench/store'
import { clockTime } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'
import { beginAgain, doneWords, noteDeviation, offWindow, usualDeviations } from './glueWork'
import { readTonight } from './readTonight'
import StepNotes from './StepNotes.vue'
import { clockOf } from './taskClock'
import FieldPart from '../../look/FieldPart'
import ProblemLine from '../../look/ProblemLine.vue'

/** The step to do now, as large as it is read from an arm's length, with its clock and what to mind before it. */
const props = defineProps<{
  task: GlueTask
  now: number
  cautions: string[]
  /** of the round */
  blocks: number
  /** what is mixed for how many pieces, where something is */
  mixWords: string | null
  /** pieces of the same block that take the same step */
  inBlock: number
  /** which mix of its glue it belongs to, where one is stirred */
  mix: number | null
}>()
const emit = defineEmits<{ done: []; block: [] }>()
const bench = useBench()
const held = computed(() => isHeld(props.task, props.now))
const early = computed(() => props.task.readyAt > props.now && !held.value)
const late = computed(() => (props.task.lateAt ?? Infinity) < props.now)
const clock = computed(() => clockOf(props.task, props.now))
const bar = computed(() => {
  const current = props.task
  if (current.since === null || (current.lateAt === null && current.readyAt <= current.since)) return null
  const end = (current.lateAt ?? current.readyAt) + 60_000
  const at = (moment: number) => Math.max(0, Math.min(100, (100 * (moment - current.since!)) / (end - current.since!)))
  return { from: at(current.readyAt), to: at(current.lateAt ?? end), now: at(props.now) }
})

const read = computed(() => readTonight.has(props.cautions, props.now))
const writing = ref(false)
const note = ref('')
async function keepNote(text = note.value.trim()) {
  if (!text) return
  if (await noteDeviation(bench, props.task.coupon, text, stampNow())) {
    note.value = ''
    writing.value = false
  }
}
</script>

<template>
  <section class="task card" aria-labelledby="do-this">
    <div class="what">
      <TapeLabel size="big">{{ task.coupon.label }}</TapeLabel>
      <div>
        <h2 id="do-this">
          {{ task.step.text }}<template v-if="stepTime(task.step)">, {{ stepTime(task.step) }}</template>
        </h2>
        <p class="mute">
          {{ task.procedure.name }} · block {{ task.coupon.block }} of
          {{ blocks }}
        </p>
      </div>
    </div>
    <div v-if="clock" class="clock" :class="{ late }">
      <span class="figure num" role="timer">{{ clock.value }}</span>
      <span class="says"
        >{{ clock.says
        }}<template v-if="task.lateAt && !late"
          ><br /><span class="mute num">{{ clockTime(task.readyAt) }} to {{ clockTime(task.lateAt) }}</span></template
        ></span
      >
    </div>
    <svg v-if="bar" class="window" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
      <rect width="100" height="4" y="3" class="all" />
      <rect :x="bar.from" :width="Math.max(0, bar.to - bar.from)" height="4" y="3" class="good" />
      <rect :x="bar.now - 0.3" width="0.6" height="10" class="here" />
    </svg>
    <details v-if="cautions.length && read" class="care">
      <summary class="careful">Before you start: read this evening</summary>
      <p v-for="line in cautions" :key="line">{{ line }}</p>
    </details>
    <div v-else-if="cautions.length" class="care" role="note" aria-label="Before you start">
      <b class="careful">Before you start</b>
      <p v-for="line in cautions" :key="line">{{ line }}</p>
      <v-btn class="quiet" @click="readTonight.add(cautions, stampNow())">I have read this</v-btn>
    </div>
    <p v-if="early" class="careful">It is early: what you do now is kept with “{{ offWindow(task, now) }}”.</p>
    <div class="acts">
      <v-btn v-if="!held" class="go bench-size" :class="{ 'at-thumb': !cautions.length || read }" @click="emit('done')"
        >{{ doneWords[task.step.kind] }}<kbd>Space</kbd></v-btn
      >
      <v-btn v-if="inBlock > 1 && !held" class="alt bench-size" @click="emit('block')"
        >{{ doneWords[task.step.kind] }}, all {{ inBlock }} of block {{ task.coupon.block }}</v-btn
      >
      <v-btn class="alt bench-size" :aria-expanded="writing" @click="writing = !writing"
        >Something went differently…</v-btn
      >
    </div>
    <p v-if="mixWords" class="num mute" data-mix>{{ mixWords }}</p>
    <StepNotes :task="task" :mix="mix" />
    <ProblemLine />
    <div v-if="writing" class="acts">
      <v-btn v-for="one in usualDeviations" :key="one" class="alt bench-size" @click="keepNote(one)">{{ one }}</v-btn>
      <v-btn v-if="task.coupon.stamps.length" class="alt bench-size" @click="beginAgain(bench, task.coupon, stampNow())"
        >Begin this piece again</v-btn
      >
    </div>
    <form v-if="writing" class="deviation" @submit.prevent="keepNote()">
      <FieldPart :label="`What went differently with ${task.coupon.label}?`">
        <input v-model="note" class="plain" placeholder="clamp slipped, too much glue, dropped it" autofocus />
      </FieldPart>
      <v-btn class="go" type="submit">Note it</v-btn>
    </form>
  </section>
</template>

<style scoped>
.task {
  border: 1.5px solid var(--ink);
  padding: 20px 22px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.what {
  display: flex;
  gap: 16px;
  align-items: flex-start;
}
.clock {
  display: flex;
  align-items: flex-end;
  gap: 22px;
  flex-wrap: wrap;
}
.figure {
  font-size: clamp(3.5rem, 9vw, 5.75rem);
  font-weight: 640;
  line-height: 0.95;
  letter-spacing: -0.02em;
}
.late .figure {
  color: var(--fails);
}
.says {
  font-size: 1.0625rem;
  padding-bottom: 6px;
}
.window {
  width: 100%;
  height: 18px;
}
.window .all {
  fill: var(--line);
}
.window .good {
  fill: var(--holds);
}
.window .here {
  fill: var(--ink);
}
.care {
  border-left: 5px solid var(--careful);
  padding: 2px 0 2px 14px;
  display: grid;
  justify-items: start;
  gap: 4px;
}
.care > .quiet {
  margin-left: -10px;
}
.deviation {
  display: flex;
  gap: 10px;
  align-items: end;
}
.deviation .field {
  flex: 1;
}
.what h2 {
  font-size: 1.4375rem;
  line-height: 1.25;
}
@media (max-width: 900px) {
  .what {
    flex-direction: column;
    gap: 10px;
  }
}
@media (max-width: 700px) {
  /* one below the other and as wide as the card, for either hand; the step's own one stays above the stations */
  .acts {
    display: contents;
  }
}
</style>
