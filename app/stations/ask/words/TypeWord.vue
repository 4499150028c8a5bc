<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { digitsSaid } from '../../../../core/quantities/figure'
import { parseQuantity } from '../../../../core/quantities/parse'
import { parseNumber } from '../../../../core/quantities/parseNumber'
import { knownUnits, type Dimension } from '../../../../core/quantities/units'
import { CodedError } from '../../../../core/errors'
import ChoiceList, { type Choice } from './ChoiceList.vue'
import SentenceWord from './SentenceWord.vue'
import { useAttempt } from '../../../look/attempt'

/** A number with its unit, typed as people write it, or taken from a few usual ones. */
const props = withDefaults(
  defineProps<{
    label: string
    ask: string
    value: number | null
    /** null: a bare number */
    dimension: Dimension | null
    /** unit inside, and the one taken when none is typed */
    unit: string
    presets?: readonly Choice[]
    least?: number
    most?: number
    whole?: boolean
    hint?: string
    /** what stands in the field when it is opened: the value as it may be typed */
    plain?: string | null
    /** how it stands in the sentence */
    show?: (value: number) => string
  }>(),
  { presets: () => [], least: -Infinity, most: Infinity, whole: false, hint: '', plain: null, show: undefined },
)
const emit = defineEmits<{ set: [value: number | null] }>()
const id = useId()
const typed = ref('')
const { attempt, clear, problem } = useAttempt()
const shown = (value: number) => (props.show ? props.show(value) : `${digitsSaid(value)} ${props.unit}`.trim())
const text = computed(() => (props.value === null ? '' : shown(props.value)))

function start() {
  typed.value = props.plain ?? (props.value === null ? '' : `${+props.value.toPrecision(6)} ${props.unit}`.trim())
  clear()
}
const set = (close: () => void) =>
  attempt(() => {
    const value = props.dimension
      ? parseQuantity(typed.value, props.dimension, props.unit).inside
      : parseNumber(typed.value, { field: props.label, unit: props.unit, whole: props.whole })
    if (value < props.least || value > props.most)
      throw new CodedError('out-of-range', '', {
        field: props.label,
        low: props.least,
        high: props.most === Infinity ? 'as much as you like' : props.most,
        got: value,
      })
    emit('set', value)
    close()
  })
</script>

<template>
  <SentenceWord :label="label" :ask="ask" :text="text" number @opened="start" @clear="emit('set', null)">
    <template #default="{ close }">
      <form @submit.prevent="set(close)">
        <label class="field" :for="id"
          ><span
            >{{ label }}<template v-if="dimension"> ({{ knownUnits(dimension).join(', ') }})</template
            ><template v-else-if="unit"> ({{ unit }})</template></span
          ></label
        >
        <div class="line">
          <input
            :id="id"
            v-model="typed"
            class="plain"
            :aria-invalid="!!problem"
            :aria-describedby="problem ? `${id}-problem` : undefined"
            autocomplete="off"
          />
          <v-btn class="go" type="submit">Set</v-btn>
        </div>
        <p v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</p>
        <p v-else-if="hint" class="mute small">{{ hint }}</p>
      </form>
      <ChoiceList
        v-if="presets.length"
        :choices="presets"
        :chosen="value === null ? [] : [String(value)]"
        @choose="(emit('set', Number($event)), close())"
      />
    </template>
  </SentenceWord>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  margin: 4px 0 6px;
}
</style>
