<script setup lang="ts">
import { ref } from 'vue'
import { passedOver, swapped } from '../../../core/planning/pullQueue'
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/coupon'
import { stampNow } from '../../bench/clock'
import { useBench } from '../../bench/store'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** A coupon is passed over, or changes places with another; the order was drawn by lot, so why is asked and kept. */
const props = defineProps<{
  coupon: Coupon
  coupons: readonly Coupon[]
  /** still to be pulled, beside this one */
  others: readonly Coupon[]
}>()
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const reason = ref('')
const other = ref('')
const { clear, refuse } = useAttempt()

async function move(label: string, changes: () => ReturnType<typeof update>[]) {
  if (!reason.value.trim())
    return refuse('Say why first: the order was drawn by lot, and a change of it may favour one.', 'Why')
  clear()
  if (!(await bench.write(`${label}: ${reason.value.trim()}`, changes(), true))) return
  reason.value = ''
  emit('done')
}
const later = () =>
  move(`${props.coupon.label} passed over`, () => [
    update('coupon', props.coupon, passedOver(props.coupon, props.coupons, reason.value.trim(), stampNow())),
  ])
function swap() {
  const with_ = props.others.find(({ id }) => id === other.value)
  if (!with_) return refuse('Choose the coupon that is pulled in its place.', 'Or instead of it')
  return move(`${props.coupon.label} and ${with_.label} change places`, () => {
    const [mine, theirs] = swapped(props.coupon, with_, reason.value.trim(), stampNow())
    return [update('coupon', props.coupon, mine), update('coupon', with_, theirs)]
  })
}
</script>

<template>
  <details class="pass">
    <summary>Not this one now…</summary>
    <div class="body">
      <FieldPart label="Why">
        <input v-model="reason" class="plain" placeholder="its jig is still on the other bench" />
      </FieldPart>
      <v-btn class="alt" @click="later">Pull it last</v-btn>
      <FieldPart label="Or instead of it">
        <select v-model="other" class="plain">
          <option value="">choose a coupon</option>
          <option v-for="one in others" :key="one.id" :value="one.id">{{ one.label }}</option>
        </select>
      </FieldPart>
      <v-btn class="alt" @click="swap">Change places</v-btn>
    </div>
    <ProblemLine />
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
}
.body {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.field {
  flex: 1 1 200px;
  max-width: 360px;
}
</style>
