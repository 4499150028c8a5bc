<script setup lang="ts">
import { computed } from 'vue'
import { differenceWords, varied } from '../../../core/planning/difference'
import { insert, update } from '../../../core/records/entry'
import type { Procedure } from '../../../core/records/round'
import { newId } from '../../bench/ids'
import { careOf, cautionLines } from '../../bench/careOf'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import TapeLabel from '../../look/TapeLabel.vue'
import TypedInput from '../../look/TypedInput.vue'
import DabDrawing from './DabDrawing.vue'
import MixFields from './MixFields.vue'
import StepList from './StepList.vue'

/** One procedure as a card of steps: edited in place, copied to vary one thing, its difference from the first of its glue in words. */
const props = defineProps<{ view: JointView; procedure: Procedure; locked: boolean; control: boolean }>()
const emit = defineEmits<{ control: [] }>()
const bench = useBench()
const family = computed(() => familyTimes(bench, props.procedure))
const cautions = computed(() => {
  const care = careOf(bench, props.view, props.procedure)
  return [...care.cleaning, ...cautionLines(care)]
})
/** The real face, or the coupon’s where its size is open. */
const face = computed(() => {
  const { widthMm, lengthMm } = props.view.joint.brief
  return {
    widthMm: widthMm ?? props.view.arm?.size.widthMm ?? 25,
    lengthMm: lengthMm ?? props.view.arm?.size.overlapMm ?? 12,
  }
})
const letters = computed(() => props.view.procedures.map(({ letter }) => letter))
const like = computed(() => props.view.procedures.find((one) => one.id !== props.procedure.id && one.letter < props.procedure.letter && one.family === props.procedure.family && one.adhesive === props.procedure.adhesive)) // prettier-ignore
const differs = computed(() => (like.value ? differenceWords(props.procedure, like.value) : null))

function vary() {
  const letter = String.fromCharCode(Math.max(...letters.value.map((one) => one.charCodeAt(0))) + 1)
  if (letter > 'Z') return void bench.tell('A joint takes 26 procedures at most; leave one out first.', 'bad')
  const copy = varied(props.procedure, newId(), letter)
  return bench.write(`${props.view.joint.code}: ${letter} like ${props.procedure.letter}, to vary one thing`, [insert('procedure', copy)], true) // prettier-ignore
}
const put = (patch: Partial<Procedure>, what: string) =>
  bench.write(`${props.procedure.letter} ${props.procedure.name}: ${what}`, [update('procedure', props.procedure, patch)]) // prettier-ignore
function setCoats(text: string) {
  const coats = Number(text)
  if (Number.isInteger(coats) && coats > 0 && coats < 10) return put({ coats }, `${coats} coats`)
  bench.tell('Coats: a whole number from 1 to 9 was expected.', 'bad')
}
function setSpread(text: string) {
  const value = text.trim() === '' ? null : Number(text.replace(',', '.'))
  if (value === null || value > 0) return put({ spreadGm2: value }, value === null ? 'usual amount' : `${value} g/m²`)
  bench.tell('Amount: grams on a square metre, such as 150, was expected; empty means as usual.', 'bad')
}
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
          @set="$event.trim() && put({ name: $event.trim() }, 'name')"
      /></label>
      <span v-else>{{ procedure.name }}</span>
      <span v-if="control" class="holds small">control</span>
    </h3>
    <p v-if="differs" class="differs">{{ differs.replace(/^./, (c) => c.toUpperCase()) }}.</p>
    <p v-else-if="like" class="careful small">The same as {{ like.letter }} so far: vary one thing.</p>
    <StepList :procedure="procedure" :locked="locked" />
    <DabDrawing
      v-if="procedure.helpers.includes('tack-and-cure')"
      :width-mm="face.widthMm"
      :length-mm="face.lengthMm"
    />
    <MixFields v-if="!locked" :procedure="procedure" :water-borne="family.mechanism === 'evaporate-water'" @put="put" />
    <details v-if="cautions.length" class="care small">
      <summary class="careful">Before you start, {{ cautions.length }} cautions</summary>
      <p v-for="line in cautions" :key="line">{{ line }}</p>
    </details>
    <div v-if="!locked" class="amount">
      <label class="field"
        ><span>Coats</span><TypedInput class="plain" inputmode="numeric" :value="procedure.coats" @set="setCoats"
      /></label>
      <label class="field"
        ><span>Amount, g/m²</span
        ><TypedInput
          class="plain"
          inputmode="decimal"
          placeholder="as usual"
          :value="procedure.spreadGm2"
          @set="setSpread"
      /></label>
      <v-btn class="quiet" @click="vary"
        >Copy and vary one thing<span class="visually-hidden"> of {{ procedure.name }}</span></v-btn
      >
      <v-btn v-if="!control" class="quiet" @click="emit('control')"
        >Make it the control<span class="visually-hidden">: {{ procedure.name }}</span></v-btn
      >
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
}
.name:hover,
.name:focus {
  border-bottom-color: var(--tick);
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
.amount .field {
  flex: 0 0 110px;
}
</style>
