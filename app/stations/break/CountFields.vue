<script setup lang="ts">
import { computed } from 'vue'
import { countingOf, type TestId } from '../../../core/knowledge/testKinds'
import CycleCounter from './CycleCounter.vue'
import HoldClock from './HoldClock.vue'
import type { PullForm } from './pullForm'
import FieldPart from '../../look/FieldPart'

/** What is counted instead of weighed: the last that did no harm and the first that did. */
const props = defineProps<{ test: TestId }>()
const form = defineModel<PullForm>({ required: true })
const asks = computed(() => countingOf(props.test)!.asks)
const counted = { flex: 'cycles', drop: 'drops' } as const
const what = computed(() => (props.test in counted ? counted[props.test as keyof typeof counted] : null))
const count = computed({
  get: () => Math.max(0, Number(form.value.held) || 0),
  set: (value: number) => (form.value.held = String(value)),
})
/** The last one that was counted did it. */
function cracked() {
  form.value.broke = String(count.value)
  form.value.held = String(Math.max(0, count.value - 1))
}
</script>

<template>
  <CycleCounter v-if="what" v-model="count" :what="what" :goal="null">
    <v-btn class="alt" :disabled="count === 0" @click="cracked">The last one cracked it</v-btn>
  </CycleCounter>
  <FieldPart :label="asks[0]" name="held">
    <input v-model="form.held" class="plain reading" inputmode="decimal" />
  </FieldPart>
  <FieldPart :label="asks[1]" name="broke">
    <input v-model="form.broke" class="plain reading" inputmode="decimal" placeholder="empty if it held" />
  </FieldPart>
  <HoldClock v-if="test === 'proof'" v-model="form" />
</template>

<style scoped>
.field {
  flex: 1 1 130px;
}
.reading {
  font-size: 1.25rem;
  font-weight: 650;
  min-height: 56px;
}
</style>
