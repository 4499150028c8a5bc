<script setup lang="ts">
import { computed } from 'vue'
import { dabLayout } from '../../../core/coupons/dabs'
import { figure, plural } from '../../look/figures'

/** Where the fast dabs lie on the glued face, to scale, and the area that they cost. */
const props = defineProps<{ widthMm: number; lengthMm: number }>()
const layout = computed(() => dabLayout(props.widthMm, props.lengthMm))
</script>

<template>
  <figure>
    <svg :viewBox="`-1 -1 ${lengthMm + 2} ${widthMm + 2}`" aria-hidden="true">
      <rect :width="lengthMm" :height="widthMm" />
      <circle v-for="(dab, i) in layout.dabs" :key="i" :cx="dab.xMm" :cy="dab.yMm" :r="layout.diameterMm / 2" />
    </svg>
    <figcaption class="small">
      {{ plural(layout.dabs.length, 'dab') }} of {{ figure(layout.diameterMm) }} mm on {{ widthMm }} ×
      {{ lengthMm }} mm: they cost {{ figure(layout.lostMm2) }} of {{ figure(widthMm * lengthMm) }} mm², which carries
      only what the dabs do.
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 12px;
  align-items: center;
  margin: 8px 0;
}
svg {
  width: 100%;
  max-height: 70px;
}
rect {
  fill: var(--bg);
  stroke: var(--ink);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
circle {
  fill: var(--glue);
}
</style>
