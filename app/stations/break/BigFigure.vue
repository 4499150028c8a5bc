<script setup lang="ts">
import { computed } from 'vue'
import { testKinds, type TestId } from '../../../core/knowledge/testKinds'
import type { Interpreted } from '../../../core/readings/interpret'
import { fromInside } from '../../../core/quantities/units'
import { useBench } from '../../bench/store'
import { figure } from '../../look/figures'

/** The load that is being read, as large as it is seen from an arm's length, and the strength it comes to. */
const props = defineProps<{ test: TestId; live: Interpreted | null }>()
const bench = useBench()
const unit = computed(() => bench.bench?.gauge.unit ?? 'N')
const shown = (n: number) => figure(fromInside(n, unit.value, 'force'))
const load = computed(() => {
  const read = props.live?.load
  if (!read) return '–'
  return 'value' in read ? shown(read.value) : `${shown(read.low)}–${read.high === null ? '' : shown(read.high)}`
})
const strength = computed(() => {
  const read = props.live?.read
  if (!read) return ''
  const { unit } = testKinds[props.test]
  return 'value' in read
    ? `${figure(read.value)} ${unit}`
    : `${figure(read.low)} to ${read.high === null ? 'open' : figure(read.high)} ${unit}`
})
</script>

<template>
  <p class="figure num" aria-live="polite">
    <span :class="{ nothing: !live?.load }">{{ load }}</span> <small>{{ unit }}</small>
    <span v-if="strength" class="strength">{{ strength }}</span>
  </p>
</template>

<style scoped>
.figure {
  font-size: clamp(3.25rem, 9vw, 5.5rem);
  font-weight: 640;
  line-height: 1;
  letter-spacing: -0.02em;
}
.nothing {
  color: var(--tick);
  font-size: 3rem;
}
.figure small {
  font-size: 1.5rem;
  letter-spacing: 0;
}
.strength {
  font-size: 1.5rem;
  letter-spacing: 0;
  font-weight: 500;
  margin-left: 18px;
  color: var(--mute);
}
</style>
