<script setup lang="ts">
import { computed } from 'vue'
import { onFriendlySurface } from '../../../core/planning/controls'
import { differenceWords, varied } from '../../../core/planning/difference'
import { stepTime } from '../../../core/planning/stepTime'
import { stepWords } from '../../../core/planning/stepWords'
import { insert } from '../../../core/records/entry'
import type { Procedure } from '../../../core/records/procedure'
import type { Advice } from '../../../core/planning/fault'
import { newId } from '../../bench/ids'
import { letterFor } from '../../bench/letterFor'
import { bringsHeat, HEAT_CAUTIONS } from '../../../core/care/heat'
import { glueCautions } from '../../../core/care/steps'
import { careOf, fireGlueOf } from '../../bench/careOf'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import { plural } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import TypedInput from '../../look/TypedInput.vue'
import AmountFields from './AmountFields.vue'
import DabDrawing from './DabDrawing.vue'
import MixFields from './MixFields.vue'
import SecondGlue from './SecondGlue.vue'
import StepList from './StepList.vue'

/**
 * One procedure as a card of steps: edited in place, copied to vary one thing, its difference from the first of its
 * glue in words.
 */
const props = defineProps<{
  view: JointView
  procedure: Procedure
  locked: boolean
  control: boolean
  /** its glue as the advice judges it here */
  advice: Advice | null
}>()
const emit = defineEmits<{ control: [] }>()
const bench = useBench()
const family = computed(() => familyTimes(bench, props.procedure))
const cautions = computed(() => {
  const care = careOf(bench, props.view, props.procedure)
  const heat = props.procedure.steps.some(bringsHeat) ? HEAT_CAUTIONS : []
  return [...care.cleaning, ...heat, ...glueCautions(care)]
})
/** The real face, or the coupon’s where its size is open. */
const face = computed(() => {
  const { widthMm, lengthMm } = props.view.joint.brief
  return {
    widthMm: widthMm ?? props.view.arm?.size.widthMm ?? 25,
    lengthMm: lengthMm ?? props.view.arm?.size.overlapMm ?? 12,
  }
})
const like = computed(() =>
  props.view.procedures.find(
    (one) =>
      one.id !== props.procedure.id &&
      one.letter < props.procedure.letter &&
      one.family === props.procedure.family &&
      one.adhesive === props.procedure.adhesive,
  ),
)
const differs = computed(() => (like.value ? differenceWords(props.procedure, like.value) : null))

/** A copy under the next letter, written as one entry. */
function add(make: (id: string, letter: string) => Procedure, what: (letter: string) => string) {
  const letter = letterFor(bench, props.view.procedures)
  if (letter === null) return
  const copy = make(newId(), letter)
  return bench.write(`${props.view.joint.code}: ${what(letter)}`, [insert('procedure', copy)], true)
}
const vary = () =>
  add(
    (id, letter) => varied(props.procedure, id, letter),
    (letter) => `${letter} like ${props.procedure.letter}, to vary one thing`,
  )
const befriend = () =>
  add(
    (id, letter) => onFriendlySurface(props.procedure, id, letter),
    (letter) => `${letter} like ${props.procedure.letter}, on raw card`,
  )
/** @param opened the fields as they stood when the typing began, where the change was typed */
const put = (patch: Partial<Procedure>, what: string, opened: Partial<Procedure> = {}) =>
  bench.edit(`${props.procedure.letter} ${props.procedure.name}: ${what}`, [
    editOf('procedure', { ...props.procedure, ...opened }, patch),
  ])
</script>

<template>
  <article class="card" :data-letter="procedure.letter">
    <h3>
      <TapeLabel>{{ view.joint.code }}-{{ procedure.letter }}</TapeLabel>
      <label v-if="!locked"
        ><span class="visually-hidden">Name of procedure {{ procedure.letter }}</span
        ><TypedInput
          class="name"
          :value="procedure.name"
          maxlength="80"
          @set="(text, before) => text.trim() && put({ name: text.trim() }, 'name', { name: String(before) })"
      /></label>
      <span v-else>{{ procedure.name }}</span>
      <span v-if="control" class="holds small">control</span>
    </h3>
    <p v-if="differs" class="differs">{{ differs.replace(/^./, (c) => c.toUpperCase()) }}.</p>
    <p v-else-if="like" class="careful small">The same as {{ like.letter }} so far: vary one thing.</p>
    <ol class="chain num" :aria-label="`Steps of ${procedure.name}`">
      <li v-for="step in procedure.steps" :key="step.id">
        <span :class="{ asked: step.why?.length }">{{ stepWords[step.kind] }}</span>
        <span v-if="stepTime(step)" class="mute">{{ stepTime(step) }}</span>
      </li>
    </ol>
    <details class="all">
      <summary>
        {{ locked ? 'All steps' : 'All steps, to change' }}<span class="visually-hidden"> of {{ procedure.name }}</span>
      </summary>
      <StepList :procedure="procedure" :locked="locked" :glue="fireGlueOf(bench, view, procedure)" :advice="advice" />
    </details>
    <DabDrawing
      v-if="procedure.helpers.includes('tack-and-cure')"
      :width-mm="face.widthMm"
      :length-mm="face.lengthMm"
    />
    <MixFields v-if="!locked" :procedure="procedure" :water-borne="family.mechanism === 'evaporate-water'" @put="put" />
    <SecondGlue :view="view" :procedure="procedure" :locked="locked" @put="put" />
    <details v-if="cautions.length" class="care small">
      <summary class="careful">Before you start, {{ plural(cautions.length, 'caution') }}</summary>
      <p v-for="line in cautions" :key="line">{{ line }}</p>
    </details>
    <div v-if="!locked" class="amount">
      <AmountFields :procedure="procedure" @put="put" />
      <div class="acts">
        <v-btn class="quiet" @click="vary"
          >Copy and vary one thing<span class="visually-hidden"> of {{ procedure.name }}</span></v-btn
        >
        <v-btn v-if="!control" class="quiet" @click="emit('control')"
          >Make it the control<span class="visually-hidden">: {{ procedure.name }}</span></v-btn
        >
        <v-btn v-else class="quiet" @click="befriend"
          >Add it on raw card<span class="visually-hidden">: {{ procedure.name }}</span></v-btn
        >
      </div>
    </div>
  </article>
</template>

<style scoped>
article {
  padding: 14px 16px;
}
h3 {
  margin-bottom: 8px;
  display: flex;
  gap: 10px;
  align-items: center;
}
h3 label {
  flex: 1;
  min-width: 0;
}
.name {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  width: 100%;
  padding: 4px 0;
  text-overflow: ellipsis;
}
.name:hover,
.name:focus {
  border-bottom-color: var(--tick);
}
.chain {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  padding: 0;
  list-style: none;
}
.chain li {
  display: flex;
  gap: 5px;
}
.chain li:not(:last-child)::after {
  content: '→';
  color: var(--mute);
}
.asked {
  text-decoration: underline dotted var(--tick);
  text-underline-offset: 4px;
}
.all summary {
  cursor: pointer;
  min-height: 30px;
}
.care {
  margin-top: 8px;
}
.care summary {
  cursor: pointer;
  min-height: 30px;
}
.differs {
  margin-bottom: 8px;
}
.amount {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  margin-top: 10px;
}
.amount :deep(.field) {
  flex: 0 0 110px;
}
</style>
