<script setup lang="ts">
import { computed } from 'vue'
import { partAt, type FacePart } from '../../../core/readings/painted'
import type { Painted } from '../../../core/records/reading'
import { CELL } from './useFacePaint'
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
/** What looks alike as one shape; B lies beside A as the two sides of an opened book. */
const shapes = computed(() => {
  const { columns, rows } = props.face
  const out: Record<string, string> = {}
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns;) {
      const part = partAt(props.face, x, y)
      let end = x + 1
      while (end < columns && partAt(props.face, end, y) === part) end++
      if (part) {
        const look = seen[part][props.side]
        const from = props.side === 'A' ? x : columns - end
        const width = CELL * (end - x)
        out[look] = `${out[look] ?? ''}M${CELL * from} ${CELL * y}h${width}v${CELL}h${-width}z`
      }
      x = end
    }
  return out
})
const hatchOf = (look: string) =>
  look === 'own' ? `url(#hatch-${props.own})` : look === 'other' ? `url(#hatch-${props.other})` : undefined
</script>

<template>
  <g>
    <rect :width="CELL * face.columns" :height="CELL * face.rows" class="ground" />
    <path v-for="(d, look) in shapes" :key="look" :d="d" :class="look" :fill="hatchOf(look)" />
  </g>
</template>

<style scoped>
.ground {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
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
</style>
