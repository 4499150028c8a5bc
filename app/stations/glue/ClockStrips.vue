<script setup lang="ts">
import { computed } from 'vue'
import { dayOf, startOfDay } from '../../../core/quantities/days'
import { armOf } from '../../../core/planning/arms'
import { closedAt, curedFrom } from '../../../core/planning/gluing'
import type { JointView } from '../../bench/jointView'
import { evenly } from '../../look/drawInPart'
import { clockTime, dayName, momentName } from '../../look/times'

// The glue-up as strips along one clock: begun, closed, curing, cured, with a line for now.
const props = defineProps<{ view: JointView; now: number }>()
const WIDTH = 860
const LEFT = 150
/** More strips than this lie on one another in a row. */
const DRAWN = 120

const rows = computed(() =>
  props.view.procedures.map((procedure) => ({
    procedure,
    pieces: evenly(
      props.view.coupons.filter((coupon) => coupon.procedure === procedure.id && coupon.stamps.length > 0),
      DRAWN,
    ).map((coupon) => ({
      coupon,
      begun: Math.min(...coupon.stamps.map(({ at }) => at)),
      closed: closedAt(coupon, procedure),
      cured: curedFrom(coupon, procedure, props.view.round && armOf(props.view.round, coupon)),
    })),
  })),
)
const pieces = computed(() => rows.value.flatMap((row) => row.pieces))
/** The evening's work, with an hour and a half to come; once all is long closed, the cure up to its end. */
const span = computed(() => {
  const begun = pieces.value.map((piece) => piece.begun)
  const from = Math.min(props.now, ...begun)
  const busy = pieces.value.some(({ closed, begun: at }) => (closed ?? at) > props.now - 3 * 3_600_000)
  const cured = Math.max(...pieces.value.map((piece) => piece.cured ?? 0))
  return { from, to: busy ? props.now + 5_400_000 : Math.max(cured, props.now + 1_800_000) }
})
const end = (piece: { cured: number | null }) => Math.min(piece.cured ?? 0, span.value.to)
/** When the last piece of a row is cured, said at the right edge where it lies beyond it. */
const curedWords = (row: { pieces: { cured: number | null }[] }) => {
  const last = Math.max(0, ...row.pieces.map((piece) => piece.cured ?? 0))
  return last > span.value.to ? `cured ${momentName(last, props.now)}` : ''
}
const x = (at: number) => LEFT + ((at - span.value.from) / (span.value.to - span.value.from)) * (WIDTH - LEFT - 10)
const ticks = computed(() => {
  const hours = (span.value.to - span.value.from) / 3_600_000
  // A moment that went wrong may lie decades off: never more than some eight ticks.
  const step = [0.25, 0.5, 1, 2, 4, 6, 12, 24, 48].find((size) => hours / size <= 8) ?? Math.ceil(hours / 8 / 96) * 96
  const size = step * 3_600_000
  const list: { at: number; text: string }[] = []
  for (let at = startOfDay(dayOf(span.value.from)); at < span.value.to; at += size)
    if (at >= span.value.from)
      list.push({
        at,
        text: new Date(at).getHours() === 0 && step >= 12 ? dayName(dayOf(at)) : clockTime(at),
      })
  return list
})
/** As much of a name as stands beside its strips. */
const shortened = (name: string) => (name.length > 20 ? `${name.slice(0, 19)}…` : name)
</script>

<template>
  <svg
    v-if="pieces.length"
    class="strips"
    :viewBox="`0 0 ${WIDTH} ${34 + rows.length * 40}`"
    role="img"
    aria-label="Coupons along the clock: glued, curing, cured; the line is now"
  >
    <g v-for="tick in ticks" :key="tick.at">
      <path :d="`M${x(tick.at)} 22V${30 + rows.length * 40}`" class="tick" />
      <text :x="x(tick.at) + 4" y="16">{{ tick.text }}</text>
    </g>
    <g v-for="(row, i) in rows" :key="row.procedure.id" :transform="`translate(0 ${30 + i * 40})`">
      <path :d="`M0 0H${WIDTH}`" class="rule" />
      <text v-if="curedWords(row)" :x="WIDTH" y="38" text-anchor="end" class="cured-words">{{ curedWords(row) }}</text>
      <text x="0" y="17" class="letter">{{ view.joint.code }}-{{ row.procedure.letter }}</text>
      <text x="0" y="33">{{ shortened(row.procedure.name) }}</text>
      <g
        v-for="(piece, k) in row.pieces"
        :key="piece.coupon.id"
        :transform="`translate(0 ${6 + (k * 26) / Math.max(1, row.pieces.length)})`"
      >
        <path v-if="piece.closed" :d="`M${x(piece.begun)} 2H${x(piece.closed)}`" class="open-time" />
        <path v-else :d="`M${x(piece.begun)} 2H${Math.max(x(now), x(piece.begun) + 4)}`" class="open-time" />
        <path
          v-if="piece.closed && piece.cured"
          :d="`M${x(piece.closed)} 2H${x(end(piece))}`"
          class="cure"
          :class="{ cured: piece.cured <= now }"
        />
        <circle v-if="piece.closed" :cx="x(piece.closed)" cy="2" r="3" class="closing" />
      </g>
    </g>
    <path :d="`M${x(now)} 18V${32 + rows.length * 40}`" class="now" />
  </svg>
</template>

<style scoped>
.strips {
  width: 100%;
  min-width: 560px;
  display: block;
}
text {
  font: 400 14px var(--sans);
  fill: var(--mute);
}
.letter {
  font: 650 14px var(--mono);
  fill: var(--ink);
}
.tick,
.rule {
  stroke: var(--line);
}
.open-time {
  stroke: var(--glue);
  stroke-width: 5;
}
.cure {
  stroke: var(--tick);
  stroke-width: 5;
}
.cure.cured {
  stroke: var(--holds);
}
.closing {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.now {
  stroke: var(--go);
  stroke-width: 2;
}
</style>
