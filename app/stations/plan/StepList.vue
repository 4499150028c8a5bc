<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { parseSeconds } from '../../../core/quantities/parse'
import { update } from '../../../core/records/entry'
import { heatOnWetFilm, NO_HEAT_ON_WET, placeToWarm, type WetGlue } from '../../../core/care/heat'
import { isTimed, stepTime } from '../../../core/planning/stepTime'
import { addableSteps, withStep } from '../../../core/planning/steps'
import { stepWords } from '../../../core/planning/stepWords'
import { whyStep } from '../../../core/planning/stepWhy'
import type { Procedure, Step } from '../../../core/records/procedure'
import type { Advice } from '../../../core/planning/fault'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import { capital } from '../../look/figures'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

// The steps of one procedure, edited in place: the words, and how long.
const props = defineProps<{ procedure: Procedure; locked: boolean; glue: WetGlue; advice: Advice | null }>()
const bench = useBench()
const editing = ref<string | null>(null)
const words = ref('')
const time = ref('')
const { attempt, clear, refuse } = useAttempt()
const timed = isTimed
const kindWord = (kind: Step['kind']) => capital(stepWords[kind])

/** the procedure as it stood when a step was opened */
const opened = shallowRef(props.procedure)
function edit(step: Step) {
  editing.value = step.id
  opened.value = props.procedure
  words.value = step.text
  time.value =
    step.minS % 3600 === 0 && step.minS > 0
      ? `${step.minS / 3600} h`
      : step.minS % 60 === 0 && step.minS > 0
        ? `${step.minS / 60} min`
        : `${step.minS} s`
  clear()
}
/** Whether a change would bring heat to a film that is wet and flammable, where it did not before. */
const newHeat = (steps: Step[]) =>
  heatOnWetFilm(steps, props.glue).length > heatOnWetFilm(props.procedure.steps, props.glue).length
const noWarming = computed(() => placeToWarm(props.procedure.steps, props.glue) === null)
const labelOf = (what: string) => `${props.procedure.letter} ${props.procedure.name}: ${what}`
const write = (steps: Step[], what: string) =>
  bench.write(labelOf(what), [update('procedure', props.procedure, { steps })])
async function save(shown: Step) {
  // What the form was opened on, not what stands there by now.
  const step = opened.value.steps.find(({ id }) => id === shown.id) ?? shown
  await attempt(async () => {
    const minS = timed(step) ? parseSeconds(time.value, 'time') : step.minS
    const changed = {
      ...step,
      text: words.value.trim() || step.text,
      minS,
      maxS: step.maxS !== null && step.maxS < minS ? minS : step.maxS,
    }
    const steps = opened.value.steps.map((one) => (one.id === step.id ? changed : one))
    if (newHeat(steps)) return refuse(NO_HEAT_ON_WET)
    const label = labelOf(`${stepWords[step.kind]} changed`)
    if (await bench.edit(label, [editOf('procedure', opened.value, { steps })])) editing.value = null
  })
}
function leaveOut(step: Step) {
  const steps = props.procedure.steps.filter((one) => one.id !== step.id)
  if (newHeat(steps)) return refuse(NO_HEAT_ON_WET)
  return write(steps, `without “${stepWords[step.kind]}”`)
}
/** Moves a step; the cure stays last. */
function move(step: Step, to: number) {
  const rest = props.procedure.steps.filter((one) => one.id !== step.id)
  const at = Math.max(0, Math.min(to, rest.length))
  const steps = [...rest.slice(0, at), step, ...rest.slice(at)]
  if (steps.at(-1)?.kind !== 'cure')
    return bench.tell('The cure comes last: what follows it is another step of the test.', 'bad')
  if (steps.every((one, i) => one === props.procedure.steps[i])) return
  if (newHeat(steps)) return bench.tell(NO_HEAT_ON_WET, 'bad')
  return write(steps, `“${stepWords[step.kind]}” moved`)
}
const dragged = ref<Step | null>(null)
function drop(onto: number) {
  if (dragged.value) void move(dragged.value, onto)
  dragged.value = null
}
/** Apply, close and cure make a bond; the rest may be left out. */
const optional = ({ kind }: Step) => kind !== 'apply' && kind !== 'close' && kind !== 'cure'
function add(event: Event) {
  const select = event.target as HTMLSelectElement
  const kind = select.value as Step['kind']
  select.value = ''
  const id = `s${Math.max(0, ...props.procedure.steps.map((step) => Number(step.id.replace(/\D/g, '')) || 0)) + 1}`
  const place = kind === 'warm' ? placeToWarm(props.procedure.steps, props.glue) : undefined
  if (place === null) return bench.tell(NO_HEAT_ON_WET, 'bad')
  return write(withStep(props.procedure.steps, kind, id, place), `with “${stepWords[kind]}”`)
}
</script>

<template>
  <ol class="steps">
    <li
      v-for="(step, i) in procedure.steps"
      :key="step.id"
      :draggable="!locked && editing === null"
      :class="{ dragged: dragged?.id === step.id }"
      @dragstart="dragged = step"
      @dragend="dragged = null"
      @dragover.prevent
      @drop.prevent="drop(i)"
    >
      <span class="kind">{{ kindWord(step.kind) }}</span>
      <form v-if="editing === step.id" @submit.prevent="save(step)">
        <FieldPart label="What is done">
          <textarea v-model="words" class="plain" rows="2" />
        </FieldPart>
        <FieldPart v-if="timed(step)" label="How long at least (20 min, 1 h, 30 s)" name="time">
          <input v-model="time" class="plain" />
        </FieldPart>
        <ProblemLine />
        <div class="acts">
          <v-btn class="go" type="submit">Keep</v-btn>
          <v-btn class="quiet" @click="editing = null">Leave as it was</v-btn>
          <v-btn v-if="optional(step)" class="quiet" @click="leaveOut(step)">Leave this step out</v-btn>
        </div>
      </form>
      <template v-else>
        <span
          >{{ step.text }}<span v-if="stepTime(step)" class="mute num"> · {{ stepTime(step) }}</span
          ><span v-if="step.once" class="mute"> · once for all pieces</span>
          <span v-for="line in whyStep(step, advice)" :key="line" class="why mute small">{{ line }}</span></span
        >
        <span v-if="!locked" class="moves">
          <v-btn
            class="quiet"
            :disabled="i === 0"
            :aria-label="`Move ${stepWords[step.kind]} of ${procedure.name} up`"
            @click="move(step, i - 1)"
            >↑</v-btn
          >
          <v-btn
            class="quiet"
            :disabled="i >= procedure.steps.length - 2"
            :aria-label="`Move ${stepWords[step.kind]} of ${procedure.name} down`"
            @click="move(step, i + 1)"
            >↓</v-btn
          >
        </span>
        <v-btn
          v-if="!locked"
          class="quiet"
          :aria-label="`Change ${stepWords[step.kind]} of ${procedure.name}`"
          @click="edit(step)"
          >Change</v-btn
        >
      </template>
    </li>
  </ol>
  <label v-if="!locked" class="add"
    ><span class="visually-hidden">Add a step to {{ procedure.name }}</span>
    <select class="plain" @change="add">
      <option value="">Add a step…</option>
      <option v-for="(_, kind) in addableSteps" :key="kind" :value="kind">
        {{ kindWord(kind as Step['kind'])
        }}<template v-if="kind === 'warm' && noWarming">: not while its film is wet</template>
      </option>
    </select></label
  >
</template>

<style scoped>
.add {
  display: block;
  max-width: 190px;
  margin-top: 6px;
}
li {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto auto;
  gap: 6px 8px;
  align-items: baseline;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
.kind {
  font-weight: 650;
}
.why {
  display: block;
}
.moves .v-btn {
  min-width: 34px;
  padding: 4px 6px;
  border: 0;
}
.dragged {
  opacity: 0.5;
}
li[draggable='true'] {
  cursor: grab;
}
form {
  grid-column: 2 / -1;
  display: grid;
  gap: 8px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 0 10px;
  }
  .kind {
    grid-column: 1 / -1;
  }
  form {
    grid-column: 1 / -1;
  }
}
</style>
