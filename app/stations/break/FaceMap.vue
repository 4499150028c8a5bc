<script setup lang="ts">
import { computed } from 'vue'
import { partAt, type FacePart } from '../../../core/readings/painted'
import type { Painted } from '../../../core/records/reading'
import type { Hatch } from '../../look/seam/geometry'

/** One of two broken faces as it looks: bare, with glue on it, with a crater, or with what it tore off the other. */
const props = defineProps<{
  face: Painted
  side: 'A' | 'B'
  own: Hatch
  other: Hatch
}>()
/** What is seen of a part on each face. */
const seen: Record<FacePart, { A: string; B: string }> = {
  offA: { A: 'own', B: 'glue' },
  offB: { A: 'glue', B: 'own' },
  glue: { A: 'rough', B: 'rough' },
  tornA: { A: 'crater', B: 'other' },
  tornB: { A: 'other', B: 'crater' },
  void: { A: 'void', B: 'void' },
  wet: { A: 'wet', B: 'wet' },
}
/** Cells of one row that are alike, as one rectangle; B lies beside A as the two sides of an opened book. */
const runs = computed(() => {
  const { columns, rows } = props.face
  const out: { x: number; y: number; width: number; look: string }[] = []
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns;) {
      const part = partAt(props.face, x, y)
      let end = x + 1
      while (end < columns && partAt(props.face, end, y) === part) end++
      if (part) out.push({ x: props.side === 'A' ? x : columns - end, y, width: end - x, look: seen[part][props.side] })
      x = end
    }
  return out
})
const hatchOf = (look: string) =>
  look === 'own' ? `url(#hatch-${props.own})` : look === 'other' ? `url(#hatch-${props.other})` : undefined
</script>

<template>
  <g>
    <rect :width="face.columns" :height="face.rows" class="ground" />
    <g v-for="({ x, y, width, look }, i) in runs" :key="i">
      <rect v-bind="{ x, y, width }" height="1.02" :class="look" />
      <!-- A hatch is drawn at the scale of the page, not of the cells. -->
      <rect
        v-if="hatchOf(look)"
        :x="x * 8"
        :y="y * 8"
        :width="width * 8"
        height="8.2"
        transform="scale(0.125)"
        :fill="hatchOf(look)"
      />
    </g>
  </g>
</template>

<style scoped>
.ground {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 0.25;
}
.glue {
  fill: var(--glue);
}
.rough {
  fill: url(#face-rough);
}
.crater {
  fill: url(#face-crater);
}
.void {
  fill: url(#face-void);
}
.wet {
  fill: url(#face-wet);
}
.own,
.other {
  fill: none;
}
</style>
