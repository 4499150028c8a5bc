<script setup lang="ts">
import { computed } from 'vue'
import { places, type FailurePlaces, type Place } from '../../../core/readings/datum'
import type { LoadMode } from '../../../core/knowledge/vocabulary'
import { arrowsOf, sections, type SectionName, type Hatch } from './geometry'

/** A hatch of the drawing: a material group, clear sheet, or open (not yet said). */
const props = withDefaults(
  defineProps<{
    section: SectionName
    a: Hatch
    b: Hatch
    loads?: readonly LoadMode[]
    /** where it let go, %: the crack is drawn along each place with a share */
    crack?: Partial<FailurePlaces> | null
    /** says what is drawn, for those who do not see it; empty: decoration beside a text that says it */
    label?: string
    /** places can be tapped */
    tappable?: boolean
  }>(),
  { loads: () => [], crack: null, label: '', tappable: false },
)
const emit = defineEmits<{ tap: [place: Place] }>()
const shape = computed(() => sections[props.section])
const roomy = computed(() => props.loads.length > 0 || props.tappable)
const arrows = computed(() => props.loads.slice(0, 2).flatMap((load) => arrowsOf(props.section, load)))
const cracks = computed(() =>
  places.filter((place) => (props.crack?.[place] ?? 0) > 0).map((place) => ({ place, share: props.crack![place]! })),
)
</script>

<template>
  <svg
    class="seam"
    :viewBox="roomy ? '-20 -14 160 72' : '0 0 120 48'"
    :role="label ? 'img' : undefined"
    :aria-label="label || undefined"
    :aria-hidden="label ? undefined : 'true'"
    focusable="false"
  >
    <path class="part" :d="shape.a" :fill="`url(#hatch-${a})`" :class="{ undecided: a === 'open' }" />
    <path class="part" :d="shape.b" :fill="`url(#hatch-${b})`" :class="{ undecided: b === 'open' }" />
    <path class="bond" :d="shape.bond" />
    <path v-for="(arrow, i) in arrows" :key="i" class="arrow" :d="arrow" />
    <polyline
      v-for="{ place, share } in cracks"
      :key="place"
      class="crack"
      :points="shape.cracks[place]"
      :style="{ strokeWidth: 1.2 + (1.8 * share) / 100 }"
    />
    <g v-if="tappable" class="zones">
      <polyline
        v-for="place in places"
        :key="place"
        class="zone"
        :points="shape.cracks[place]"
        @click="emit('tap', place)"
      />
    </g>
  </svg>
</template>

<style scoped>
.seam {
  display: block;
  width: 100%;
  overflow: visible;
}
.part {
  stroke: var(--ink);
  stroke-width: 1.3;
  stroke-linejoin: round;
}
.part.undecided {
  stroke-dasharray: 4 3;
  stroke: var(--mute);
}
.bond {
  fill: var(--glue);
}
.arrow {
  fill: none;
  stroke: var(--go);
  stroke-width: 2.2;
}
.crack {
  fill: none;
  stroke: var(--crack);
  stroke-linejoin: round;
}
.zone {
  fill: none;
  stroke: transparent;
  stroke-width: 5;
  cursor: pointer;
}
.zone:hover {
  stroke: color-mix(in srgb, var(--crack) 35%, transparent);
}
</style>
