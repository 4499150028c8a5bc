<script setup lang="ts">
import { parseNumber } from '../../../core/quantities/parseNumber'
import type { Procedure } from '../../../core/records/procedure'
import { useAttempt } from '../../look/attempt'
import FieldPart from '../../look/FieldPart'
import { figure, plural } from '../../look/figures'
import TypedInput from '../../look/TypedInput.vue'

/** How much of its glue a procedure lays: coats, and grams on a square metre where that is not the usual amount. */
defineProps<{ procedure: Procedure }>()
const emit = defineEmits<{ put: [patch: Partial<Procedure>, what: string, opened: Partial<Procedure>] }>()
const { attempt } = useAttempt()

const setCoats = (text: string, before: unknown) =>
  attempt(() => {
    const coats = parseNumber(text, { path: 'coats', field: 'Coats', example: '2', whole: true, least: 1, most: 9 })
    emit('put', { coats }, plural(coats, 'coat'), { coats: Number(before) })
  })
const setSpread = (text: string, before: unknown) =>
  attempt(() => {
    const opened = { spreadGm2: typeof before === 'number' ? before : null }
    if (text.trim() === '') return emit('put', { spreadGm2: null }, 'usual amount', opened)
    const field = 'The amount, grams on a square metre,'
    const spreadGm2 = parseNumber(text, {
      path: 'spreadGm2',
      field,
      example: '150',
      unit: 'g/m²',
      least: 0.1,
      most: 100_000,
    })
    emit('put', { spreadGm2 }, `${figure(spreadGm2)} g/m²`, opened)
  })
</script>

<template>
  <FieldPart label="Coats" name="coats">
    <TypedInput class="plain" inputmode="numeric" :value="procedure.coats" @set="setCoats" />
  </FieldPart>
  <FieldPart label="Amount" unit="g/m²" name="spreadGm2">
    <TypedInput
      class="plain"
      inputmode="decimal"
      placeholder="as usual"
      :value="procedure.spreadGm2"
      @set="setSpread"
    />
  </FieldPart>
</template>
