<script setup lang="ts">
import { computed } from 'vue'
import { startWeights } from '../../../core/choice/criteria'
import { criteria, type Criterion, type Round } from '../../../core/records/round'
import { stampNow, useMinute } from '../../bench/clock'
import { kindWords as words } from '../../bench/kindWords'
import { momentName } from '../../look/times'
import FieldPart from '../../look/FieldPart'

/** How much each thing will count in the choice, said before the first pull; a later change is allowed and marked. */
const props = defineProps<{ round: Round; locked: boolean }>()
const emit = defineEmits<{ change: [weights: NonNullable<Round['weights']>] }>()
const now = useMinute()
const values = computed(() => props.round.weights?.values ?? null)
function set(criterion: Criterion, value: number) {
  const changedLate = props.locked ? stampNow() : (props.round.weights?.changedLate ?? null)
  emit('change', { values: { ...startWeights, ...values.value, [criterion]: value }, setAt: stampNow(), changedLate })
}
</script>

<template>
  <section aria-labelledby="weights">
    <h2 id="weights">What will count?</h2>
    <p class="mute">
      Nothing to five, said before the first pull, so that no result can bend it.
      <template v-if="round.weights">Set {{ momentName(round.weights.setAt, now) }}.</template>
      <b v-if="round.weights?.changedLate" class="careful">
        Changed after the first pull, {{ momentName(round.weights.changedLate, now) }}.</b
      >
    </p>
    <div class="weights">
      <FieldPart v-for="one in criteria" :key="one" :label="words[one]">
        <select
          class="plain"
          :value="values?.[one] ?? ''"
          @change="set(one, Number(($event.target as HTMLSelectElement).value))"
        >
          <option v-if="!values" value="" disabled>not said</option>
          <option v-for="n in [0, 1, 2, 3, 4, 5]" :key="n" :value="n">{{ n }}</option>
        </select>
      </FieldPart>
    </div>
  </section>
</template>

<style scoped>
.weights {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 10px;
  margin-top: 8px;
}
</style>
