<script setup lang="ts">
import { computed } from 'vue'
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/coupon'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { stampNow } from '../../bench/clock'
import { useBench } from '../../bench/store'
import type { PullForm } from './pullForm'
import FieldPart from '../../look/FieldPart'

/** Of many small things on one piece: counted before, which is noted at once, and after. */
const props = defineProps<{ coupon: Coupon }>()
const form = defineModel<PullForm>({ required: true })
const bench = useBench()
const count = (text: string): number | null => {
  try {
    const value = parseNumber(text, { path: 'count', field: 'The count', example: '40', least: 0, most: 100_000 })
    return Number.isInteger(value) ? value : null
  } catch {
    return null
  }
}
const before = computed(() => count(form.value.held))
const after = computed(() => count(form.value.broke))
const said = computed(() =>
  before.value === null || after.value === null
    ? ''
    : after.value > before.value
      ? 'There cannot be more left than there were: count again.'
      : `${before.value - after.value} of ${before.value} lost`,
)
const noted = computed(() => props.coupon.trims?.before ?? null)
const note = () =>
  bench.write(
    `${props.coupon.label}: ${before.value} before`,
    [update('coupon', props.coupon, { trims: { before: before.value!, at: stampNow() } })],
    true,
  )
</script>

<template>
  <div class="losses">
    <FieldPart label="On it before" name="before">
      <input v-model="form.held" class="plain reading" inputmode="numeric" placeholder="40" />
    </FieldPart>
    <v-btn class="alt bench-size" :disabled="!before || before === noted" @click="note">{{
      noted === null ? 'Note the count before' : before === noted ? 'Count before is noted' : 'Note this count instead'
    }}</v-btn>
    <FieldPart label="Left on it after" name="after">
      <input v-model="form.broke" class="plain reading" inputmode="numeric" placeholder="37" />
    </FieldPart>
    <p class="figure num" aria-live="polite">{{ said }}</p>
  </div>
</template>

<style scoped>
.losses {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  flex: 1 1 100%;
}
.reading {
  font-size: 1.25rem;
  font-weight: 650;
  min-height: 56px;
}
.figure {
  flex: 1 1 100%;
  font-size: 2rem;
  font-weight: 640;
  min-height: 1.2em;
}
</style>
