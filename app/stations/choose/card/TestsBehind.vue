<script setup lang="ts">
import { computed } from 'vue'
import { testKinds } from '../../../../core/knowledge/testKinds'
import { armOf, armWords } from '../../../../core/planning/arms'
import { ownReadings } from '../../../../core/readings/counting'
import type { Round } from '../../../../core/records/round'
import type { Coupon } from '../../../../core/records/coupon'
import { placeOf, readReading, valueWords } from '../../../bench/settled'
import { useBench } from '../../../bench/store'

/** The pulls of a procedure one by one, by test. */
const props = defineProps<{ round: Round; coupons: Coupon[] }>()
const bench = useBench()
const tests = computed(() =>
  props.round.arms.flatMap((arm) => {
    const lines = props.coupons
      .filter((one) => armOf(props.round, one).id === arm.id)
      .sort((x, y) => x.block - y.block)
      .flatMap((coupon) => {
        const reading = ownReadings(bench.of('reading', coupon.id)).at(-1)
        if (!reading) return []
        const aside = reading.setAside === null ? '' : ', set aside'
        const read = valueWords(readReading(reading, arm.test).datum)
        return [`${coupon.label} ${read}, ${placeOf(reading, arm.test)}${aside}`]
      })
    const { unit } = testKinds[arm.test]
    return lines.length ? [{ id: arm.id, name: `${armWords(arm)}${unit ? `, ${unit}` : ''}`, lines }] : []
  }),
)
</script>

<template>
  <div class="tests num">
    <p v-for="test in tests" :key="test.id">
      <i>{{ test.name }}:</i> {{ test.lines.join('; ') }}.
    </p>
  </div>
</template>

<style scoped>
.tests {
  font-size: 0.875em;
  color: var(--mute);
}
</style>
