<script setup lang="ts">
import { ref } from 'vue'
import { passedOver, swapped } from '../../../core/planning/pullQueue'
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/round'
import { stampNow } from '../../bench/clock'
import { useBench } from '../../bench/store'

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
const problem = ref('')

async function move(label: string, changes: () => ReturnType<typeof update>[]) {
  problem.value = reason.value.trim()
    ? ''
    : 'Say why first: the order was drawn by lot, and a change of it may favour one.'
  if (problem.value || !(await bench.write(`${label}: ${reason.value.trim()}`, changes(), true))) return
  reason.value = ''
  emit('done')
}
const later = () =>
  move(`${props.coupon.label} passed over`, () => [
    update('coupon', props.coupon, passedOver(props.coupon, props.coupons, reason.value.trim(), stampNow())),
  ])
function swap() {
  const with_ = props.others.find(({ id }) => id === other.value)
  if (!with_) return void (problem.value = 'Choose the coupon that is pulled in its place.')
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
      <label class="field"
        ><span>Why</span><input v-model="reason" class="plain" placeholder="its jig is still on the other bench"
      /></label>
      <v-btn class="alt" @click="later">Pull it last</v-btn>
      <label class="field"
        ><span>Or instead of it</span>
        <select v-model="other" class="plain">
          <option value="">choose a coupon</option>
          <option v-for="one in others" :key="one.id" :value="one.id">{{ one.label }}</option>
        </select>
      </label>
      <v-btn class="alt" @click="swap">Change places</v-btn>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
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
