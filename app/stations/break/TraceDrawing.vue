<script setup lang="ts">
import { computed } from 'vue'
import { steadyPeelN, type TracePoint } from '../../../core/readings/trace'
import { useForce } from '../../bench/force'

/** Load over travel, or over time where there is none; its limit, and of a peel the steady part, which may be moved. */
const props = defineProps<{
  points: readonly TracePoint[]
  limitN: number | null
  /** its steady part is marked, and can be moved */
  steadies: boolean
  steady: readonly [number, number] | null
}>()
const emit = defineEmits<{ steady: [part: [number, number]] }>()
const force = useForce()
const [WIDTH, HEIGHT, LEFT, BOTTOM] = [520, 190, 8, 24]
const byTravel = computed(() => props.points.every(({ mm }) => mm !== null))
const xOf = (one: TracePoint) => (byTravel.value ? one.mm! : one.s)
const ends = computed(() => {
  const xs = props.points.map(xOf)
  return { from: Math.min(...xs), to: Math.max(...xs, Math.min(...xs) + 1e-6) }
})
const top = computed(() => 1.12 * Math.max(...props.points.map(({ n }) => n), props.limitN ?? 0, 1e-6))
const x = (value: number) => LEFT + ((value - ends.value.from) / (ends.value.to - ends.value.from)) * (WIDTH - LEFT - 8)
const y = (n: number) => 8 + (1 - Math.max(0, n) / top.value) * (HEIGHT - 8 - BOTTOM)
const MOST_DRAWN = 600
const path = computed(() => {
  const every = Math.max(1, Math.ceil(props.points.length / MOST_DRAWN))
  return props.points
    .filter((_, i) => i % every === 0 || i === props.points.length - 1)
    .map((one, i) => `${i ? 'L' : 'M'}${x(xOf(one)).toFixed(1)} ${y(one.n).toFixed(1)}`)
    .join('')
})
const part = computed(() => {
  if (!props.steadies) return null
  try {
    return steadyPeelN(props.points, props.steady)
  } catch {
    return null
  }
})
const unit = computed(() => (byTravel.value ? 'mm' : 's'))
function moveTo(which: 0 | 1, event: Event) {
  const value = Number((event.target as HTMLInputElement).value)
  const { from, to } = part.value!
  const next: [number, number] = which === 0 ? [Math.min(value, to - 0.1), to] : [from, Math.max(value, from + 0.1)]
  emit('steady', next)
}
</script>

<template>
  <div class="trace">
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`Load over ${byTravel ? 'travel' : 'time'}`">
      <rect
        v-if="part"
        :x="x(part.from)"
        :width="Math.max(1, x(part.to) - x(part.from))"
        y="8"
        :height="HEIGHT - 8 - BOTTOM"
        class="part"
      />
      <path :d="`M${LEFT} ${y(0)}H${WIDTH - 8}`" class="axis" />
      <template v-if="limitN !== null">
        <path :d="`M${LEFT} ${y(limitN)}H${WIDTH - 8}`" class="limit" />
        <text :x="WIDTH - 10" :y="y(limitN) - 4" text-anchor="end" class="limit-text">
          must carry {{ force(limitN) }}
        </text>
      </template>
      <path :d="path" class="load" />
      <text :x="WIDTH - 8" :y="HEIGHT - 6" text-anchor="end">{{ (ends.to - ends.from).toFixed(1) }} {{ unit }}</text>
    </svg>
    <div v-if="part" class="ends">
      <p class="num small">
        Steady from {{ part.from.toFixed(1) }} to {{ part.to.toFixed(1) }} {{ unit }}: mean
        {{ force(part.meanN) }}
      </p>
      <label
        >from
        <input type="range" :min="ends.from" :max="ends.to" step="0.1" :value="part.from" @input="moveTo(0, $event)"
      /></label>
      <label
        >to <input type="range" :min="ends.from" :max="ends.to" step="0.1" :value="part.to" @input="moveTo(1, $event)"
      /></label>
    </div>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 640px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
text {
  font: 400 13px var(--sans);
  fill: var(--mute);
}
.axis {
  stroke: var(--tick);
}
.load {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.limit {
  stroke: var(--go);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.part {
  fill: var(--hatch-foam);
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
.ends label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
input[type='range'] {
  accent-color: var(--go);
}
/* The drawing shrinks with a phone, its words do not. */
@media (max-width: 700px) {
  text {
    font-size: 21px;
  }
}
</style>
