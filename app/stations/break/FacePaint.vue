<script setup lang="ts">
import { computed } from 'vue'
import { faceParts, partAt, type FacePart } from '../../../core/readings/painted'
import type { Hatch } from '../../look/seam/geometry'
import FaceMap from './FaceMap.vue'
import type { PullForm } from './pullForm'
import { brushes, CELL, useFacePaint } from './useFacePaint'

/** Both faces of a broken joint, painted with a finger: what is painted on the one shows on the other as it would. */
const props = defineProps<{ a: Hatch; b: Hatch; face: { widthMm: number; heightMm: number } | null }>()
const form = defineModel<PullForm>({ required: true })
const words: Record<FacePart, string> = {
  offA: 'off A',
  glue: 'in the glue',
  offB: 'off B',
  tornA: 'torn in A',
  tornB: 'torn in B',
  void: 'void, never wetted',
  wet: 'still wet',
}
const { part, radius, filling, before, face, shares, cursor, sheets, undo, all, down, move, up, key } = useFacePaint(
  form,
  () => props.face,
)
const cursorWords = computed(() => {
  if (!cursor.value) return ''
  const at = partAt(face.value, Math.floor(cursor.value[0]), Math.floor(cursor.value[1]))
  return `Column ${Math.ceil(cursor.value[0])}, row ${Math.ceil(cursor.value[1])}: ${at ? words[at] : 'not painted'}`
})
const shareOf = (one: FacePart): number | null =>
  !shares.value
    ? null
    : one === 'void'
      ? shares.value.voids
      : one === 'wet'
        ? shares.value.wet
        : shares.value.places[one]
</script>

<template>
  <details class="paint">
    <summary>Paint it on the two faces</summary>
    <div class="body">
      <p class="mute small">
        Choose what you see, then draw it with a finger on either face; the other one shows what it leaves there. Arrows
        and Space paint too.
      </p>
      <div class="parts" role="radiogroup" aria-label="What you paint">
        <label v-for="one in faceParts" :key="one" :class="{ on: part === one }">
          <input v-model="part" type="radio" name="face-part" :value="one" />
          {{ words[one] }}<b v-if="shareOf(one)" class="num">{{ shareOf(one) }} %</b>
        </label>
      </div>
      <div class="faces">
        <figure v-for="side in ['A', 'B'] as const" :key="side">
          <figcaption>Face of {{ side }}</figcaption>
          <svg
            :ref="(element) => (sheets[side].value = element as SVGSVGElement | null)"
            :viewBox="`-1 -1 ${CELL * face.columns + 2} ${CELL * face.rows + 2}`"
            tabindex="0"
            role="application"
            :aria-label="`Face of ${side}: arrows move, Space paints ${words[part]}`"
            @pointerdown="down(side, $event)"
            @pointermove="move(side, $event)"
            @pointerup="up"
            @pointercancel="up"
            @keydown="key(side, $event)"
            @blur="cursor = null"
          >
            <FaceMap :face="face" :side="side" :own="side === 'A' ? a : b" :other="side === 'A' ? b : a" />
            <circle
              v-if="cursor"
              class="cursor"
              :cx="CELL * (side === 'A' ? cursor[0] : face.columns - cursor[0])"
              :cy="CELL * cursor[1]"
              :r="CELL * (filling ? 0.6 : radius)"
            />
          </svg>
        </figure>
      </div>
      <p class="visually-hidden" role="status">{{ cursorWords }}</p>
      <div class="tools">
        <div role="radiogroup" aria-label="Brush" class="brushes">
          <label v-for="one in brushes" :key="one.radius" :class="{ on: !filling && radius === one.radius }">
            <input
              type="radio"
              name="brush"
              :checked="!filling && radius === one.radius"
              @change="((radius = one.radius), (filling = false))"
            />{{ one.word }}</label
          >
          <label :class="{ on: filling }"
            ><input type="radio" name="brush" :checked="filling" @change="filling = true" />fill</label
          >
        </div>
        <v-btn class="quiet" :disabled="!before.length" @click="undo">Undo the last stroke</v-btn>
        <v-btn class="quiet" @click="all">All of it {{ words[part] }}</v-btn>
      </div>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
}
.body {
  display: grid;
  gap: 12px;
}
.parts,
.brushes,
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.parts label,
.brushes label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 48px;
  padding: 6px 14px 6px 10px;
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
}
label.on {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
}
.faces {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 320px));
  gap: 20px;
}
figure {
  margin: 0;
}
figcaption {
  font-size: 0.9375rem;
  color: var(--mute);
  padding-bottom: 4px;
}
svg {
  display: block;
  width: 100%;
  touch-action: none;
  cursor: crosshair;
}
.cursor {
  fill: none;
  stroke: var(--go);
  stroke-width: 3;
}
@media (max-width: 500px) {
  .faces {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
