<script setup lang="ts">
import { computed } from 'vue'

/** A strength with its interval on a logarithmic scale that the lines of one pair share. */
const props = defineProps<{
  low: number
  middle: number
  high: number
  /** what the tables say; null: nothing */
  table: number | null
  /** ends of the scale */
  scale: [number, number]
  /** borrowed, not tested: drawn open */
  lent?: boolean
  label: string
}>()
const at = (value: number) => {
  const [from, to] = props.scale.map(Math.log) as [number, number]
  return Math.max(0, Math.min(100, (100 * (Math.log(value) - from)) / (to - from || 1)))
}
const ends = computed(() => ({ left: at(props.low), right: at(props.high), middle: at(props.middle) }))
</script>

<template>
  <svg class="band" viewBox="0 0 100 14" preserveAspectRatio="none" role="img" :aria-label="label" focusable="false">
    <path class="base" d="M0 7H100" />
    <rect
      :class="lent ? 'lent' : 'own'"
      :x="ends.left"
      y="4"
      :width="Math.max(0.6, ends.right - ends.left)"
      height="6"
    />
    <path class="middle" :d="`M${ends.middle} 2V12`" />
    <path v-if="table !== null" class="table" :d="`M${at(table)} 0V14`" />
  </svg>
</template>

<style scoped>
.band {
  display: block;
  width: 100%;
  height: 16px;
}
.band * {
  vector-effect: non-scaling-stroke;
}
.base {
  stroke: var(--line);
}
.own {
  fill: var(--mat);
  opacity: 0.75;
}
.lent {
  fill: none;
  stroke: var(--unknown);
  stroke-dasharray: 4 3;
}
.middle {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.table {
  stroke: var(--glue);
  stroke-width: 2;
  stroke-dasharray: 2 2;
}
</style>
