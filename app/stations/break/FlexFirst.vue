<script setup lang="ts">
import { computed, ref } from 'vue'
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/coupon'
import { stampNow } from '../../bench/clock'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import CycleCounter from './CycleCounter.vue'

/** A coupon that is flexed before it is pulled: the flexes are counted here, and their number stays on it. */
const props = defineProps<{ coupon: Coupon; goal: number }>()
const bench = useBench()
const count = ref(0)
const SAID = 'Flexed before the pull: '
const noted = computed(() => props.coupon.deviations.findLast(({ text }) => text.startsWith(SAID))?.text ?? '')
const note = () =>
  bench.write(
    `${props.coupon.label} flexed ${count.value} ×`,
    [
      update('coupon', props.coupon, {
        deviations: [...props.coupon.deviations, { at: stampNow(), text: `${SAID}${count.value} of ${props.goal}` }],
      }),
    ],
    true,
  )
</script>

<template>
  <section aria-labelledby="flex-first">
    <h2 id="flex-first">Flex it first</h2>
    <p v-if="noted" class="mute">{{ noted }}.</p>
    <CycleCounter v-else v-model="count" what="flexes" :goal="goal">
      <ActButton class="alt" :disabled="count === 0" :act="note">Note {{ count }} flexes</ActButton>
    </CycleCounter>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
</style>
