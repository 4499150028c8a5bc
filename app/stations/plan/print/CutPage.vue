<script setup lang="ts">
import { computed } from 'vue'
import type { NestedSheet } from '../../../../core/coupons/nest'
import { PAGE, type Tile } from '../../../../core/formats/tiles'

/**
 * One page of a cut list at true size: A4 with margins of 10 mm, a head with the scale bar, and its part of the sheet.
 */
const props = defineProps<{ sheet: NestedSheet; tile: Tile; title: string; grain: boolean }>()
const HEAD = 22
const part = computed(() => `${props.tile.xMm} ${props.tile.yMm} ${props.tile.widthMm} ${props.tile.heightMm}`)
const many = computed(() => props.sheet.widthMm > PAGE.widthMm || props.sheet.heightMm > PAGE.heightMm)
</script>

<template>
  <svg class="paper-page" width="210mm" height="297mm" viewBox="0 0 210 297" role="img" :aria-label="title">
    <text x="10" y="13" class="title">{{ title }}</text>
    <text x="10" y="18" class="small">
      {{ many ? `page row ${tile.row + 1}, column ${tile.column + 1}; tape along the dotted edges. ` : '' }}Print at 100
      %.
    </text>
    <g class="bar">
      <path d="M100 18h100M100 16v4M200 16v4M150 16.8v2.4" />
      <text x="150" y="14.5" text-anchor="middle" class="small">100 mm</text>
    </g>
    <svg x="10" :y="HEAD" :width="tile.widthMm" :height="tile.heightMm" :viewBox="part" class="part">
      <rect class="sheet" x="0" y="0" :width="sheet.widthMm" :height="sheet.heightMm" />
      <g v-for="(piece, i) in sheet.pieces" :key="i">
        <rect
          class="piece"
          :x="piece.xMm"
          :y="piece.yMm"
          :width="piece.widthMm"
          :height="piece.heightMm"
          :data-mm="`${piece.widthMm} ${piece.heightMm}`"
        />
        <text
          v-if="piece.widthMm >= 12 && piece.heightMm >= 8"
          class="small"
          :x="piece.xMm + piece.widthMm / 2"
          :y="piece.yMm + piece.heightMm / 2"
          text-anchor="middle"
        >
          {{ piece.widthMm }} × {{ piece.heightMm }}
        </text>
        <path
          v-if="grain && piece.heightMm > 20"
          class="grain"
          :d="`M${piece.xMm + 2} ${piece.yMm + 4}v8m-1 -1.5l1 1.5l1 -1.5`"
        />
      </g>
    </svg>
    <rect v-if="many" class="edge" x="10" :y="HEAD" :width="tile.widthMm" :height="tile.heightMm" />
  </svg>
</template>

<style scoped>
.title {
  font: 700 4.2px var(--sans);
}
.small {
  font: 400 3px var(--sans);
}
.bar path {
  stroke: #000;
  stroke-width: 0.3;
  fill: none;
}
.sheet {
  fill: none;
  stroke: #999;
  stroke-width: 0.2;
}
.piece {
  fill: none;
  stroke: #000;
  stroke-width: 0.2;
}
.grain {
  stroke: #555;
  stroke-width: 0.2;
  fill: none;
}
.edge {
  fill: none;
  stroke: #777;
  stroke-width: 0.2;
  stroke-dasharray: 1 1.5;
}
</style>
