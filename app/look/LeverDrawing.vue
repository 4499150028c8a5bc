<script setup lang="ts">
import { computed } from 'vue'

/** A bar on a pivot: the joint pulls near it, the scale far from it, and so reads a part of the load. */
const props = defineProps<{ ratio: number; jointArmMm: number }>()
const far = computed(() => 24 + 150)
const near = computed(() => 24 + 150 / props.ratio)
const label = computed(
  () =>
    `Lever of ${props.ratio} to 1: the joint ${props.jointArmMm} mm from the pivot, the scale ` +
    `${props.ratio * props.jointArmMm} mm`,
)
</script>

<template>
  <svg class="lever" viewBox="0 0 200 74" role="img" :aria-label="label">
    <path class="bar" d="M14 34H190" />
    <path class="pivot" d="M24 36l-8 14h16z" />
    <path class="pull" :d="`M${near} 34V12m-4 6l4-6 4 6`" />
    <path class="pull" :d="`M${far} 34v24m-4-6l4 6 4-6`" />
    <text :x="near + 7" y="18">joint, {{ jointArmMm }} mm</text>
    <text :x="far - 7" y="58" text-anchor="end">scale, {{ ratio * jointArmMm }} mm</text>
    <text x="24" y="66" text-anchor="middle">pivot</text>
  </svg>
</template>

<style scoped>
.lever {
  display: block;
  width: 100%;
  max-width: 230px;
}
.bar {
  stroke: var(--ink);
  stroke-width: 4px;
}
.pivot {
  fill: var(--ink);
}
.pull {
  fill: none;
  stroke: var(--mat);
  stroke-width: 2px;
}
:root[data-theme='dark'] .pull {
  stroke: var(--holds);
}
text {
  font-size: 10px;
  fill: var(--ink);
}
</style>
