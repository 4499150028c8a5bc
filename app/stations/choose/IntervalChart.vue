<script setup lang="ts">
import { computed } from 'vue'
import type { ProcedureSummary } from '../../../core/statistics/analyse'
import { logTicks } from '../../look/logTicks'
import { figure } from '../../look/figures'

/** The procedures as intervals on one logarithmic scale, a row each, with the limit marked. */
const props = defineProps<{
  rows: { key: string; letter: string; summary: ProcedureSummary | null }[]
  limit: number | null
  unit: string
  rowHeight: number
}>()
/** below the rows, for the scale */
const SCALE = 34
/** decades to either side of what is drawn */
const PAD = 0.12
const rowsHeight = computed(() => props.rows.length * props.rowHeight)
const range = computed<[number, number]>(() => {
  const values = props.rows.flatMap(({ summary }) =>
    summary
      ? [
          summary.weakJoint.low95,
          summary.typical.low90,
          summary.open === 'above' ? summary.typical.median : summary.typical.high90,
        ]
      : [],
  )
  if (props.limit) values.push(props.limit)
  const told = values.filter((value) => value > 0 && Number.isFinite(value))
  if (!told.length) return [-1, 1]
  return [Math.log10(Math.min(...told)) - PAD, Math.log10(Math.max(...told)) + PAD]
})
/** where a value stands across, as a share of the width */
const across = (value: number) => {
  const [from, to] = range.value
  return `${(100 * Math.min(1, Math.max(0, (Math.log10(value) - from) / (to - from)))).toFixed(2)}%`
}
const ticks = computed(() => {
  const { values, words } = logTicks(...range.value)
  return values.map((value, i) => ({ x: across(value), words: words[i]! }))
})
const drawn = computed(() =>
  props.rows.map(({ key, letter, summary }, i) => {
    const y = (i + 0.5) * props.rowHeight
    if (!summary) return { key, letter, y, at: null }
    const { typical, open, weakJoint } = summary
    const words =
      open === 'above'
        ? `≥ ${figure(typical.low90)}`
        : open === 'below'
          ? `≤ ${figure(typical.high90)}`
          : figure(typical.median)
    return {
      key,
      letter,
      y,
      at: {
        open,
        words,
        from: open === 'below' ? '0%' : across(typical.low90),
        to: open === 'above' ? '100%' : across(typical.high90),
        middle: across(open === 'above' ? typical.low90 : open === 'below' ? typical.high90 : typical.median),
        weak: open === 'below' ? null : across(weakJoint.low95),
      },
    }
  }),
)
</script>

<template>
  <svg
    class="chart"
    role="img"
    :aria-label="`Intervals of typical strength in ${unit}; the same figures stand in the rows`"
    width="100%"
    :height="rowsHeight + SCALE"
  >
    <g v-for="tick in ticks" :key="tick.words" class="tick">
      <line :x1="tick.x" :x2="tick.x" y1="0" :y2="rowsHeight" class="grid" />
      <line :x1="tick.x" :x2="tick.x" :y1="rowsHeight" :y2="rowsHeight + 5" class="mark" />
      <text :x="tick.x" :y="rowsHeight + 20" text-anchor="middle">{{ tick.words }}</text>
    </g>
    <line v-if="limit" :x1="across(limit)" :x2="across(limit)" y1="0" :y2="rowsHeight" class="limit" />
    <g v-for="row in drawn" :key="row.key" :data-row="row.letter">
      <text class="letter" x="0" :y="row.y + 5">{{ row.letter }}</text>
      <template v-if="row.at">
        <line :x1="row.at.from" :x2="row.at.to" :y1="row.y" :y2="row.y" class="span" />
        <line
          v-if="row.at.open !== 'below'"
          :x1="row.at.from"
          :x2="row.at.from"
          :y1="row.y - 6"
          :y2="row.y + 6"
          class="span"
        />
        <line
          v-if="row.at.open !== 'above'"
          :x1="row.at.to"
          :x2="row.at.to"
          :y1="row.y - 6"
          :y2="row.y + 6"
          class="span"
        />
        <!-- nothing that was read sets the upper side -->
        <svg v-else x="100%" :y="row.y" overflow="visible"><path d="M-12 -6 L-1 0 L-12 6" class="arrow" /></svg>
        <circle v-if="!row.at.open" :cx="row.at.middle" :cy="row.y" r="5.5" class="middle" />
        <text
          :x="row.at.middle"
          :y="row.y - 11"
          :text-anchor="row.at.open === 'above' ? 'start' : row.at.open === 'below' ? 'end' : 'middle'"
        >
          {{ row.at.words }}
        </text>
        <svg v-if="row.at.weak" :x="row.at.weak" :y="row.y + 0.24 * rowHeight" overflow="visible">
          <path d="M0 -6 L6 5 L-6 5 Z" class="weak" />
        </svg>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.chart {
  display: block;
  min-width: 0;
  overflow: visible;
  font-size: 0.875rem;
}
text {
  fill: var(--ink);
}
.tick text {
  font-size: 0.8125rem;
}
.grid {
  stroke: var(--line);
}
.mark {
  stroke: var(--tick);
}
.limit {
  stroke: var(--fails);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.span,
.arrow {
  stroke: var(--ink);
  stroke-width: 2;
  fill: none;
}
.middle {
  fill: var(--ink);
}
.weak {
  fill: var(--go);
}
/* Where the rows’ names stand beside it the letters would say it twice. */
.letter {
  display: none;
  font-weight: 650;
}
@media (max-width: 760px) {
  .letter {
    display: inline;
  }
}
</style>
