<script setup lang="ts">
import { computed, ref } from 'vue'
import { PULL, type RoundToGlue } from '../../../core/schedule/round'
import type { Evening } from '../../../core/schedule/evening'
import { clockTime } from '../../look/times'
import { labelsOf, taskWords } from './timetableWork'

/** One evening as strips along its clock, a row a procedure: what takes hands, what is fixed in place, the pulls. */
const props = defineProps<{
  evening: Evening
  rounds: readonly RoundToGlue[]
  now: number
  /** procedures whose gluing may still be moved, and whether the pulls may; by dragging, beside the list of days */
  movable: ReadonlySet<string>
  pullsMove: boolean
}>()
const emit = defineEmits<{ begin: [procedure: string, at: number]; pull: [at: number] }>()
const WIDTH = 860
const LEFT = 70
const ROW = 30
const HOUR = 3_600_000

const rows = computed(() => {
  const ids = [...new Set(props.evening.tasks.map(({ procedure }) => procedure))]
  return ids.flatMap((id) => {
    const of = props.rounds.find(({ procedures }) => procedures.some((one) => one.id === id))
    const procedure = of?.procedures.find((one) => one.id === id)
    if (!of || !procedure) return []
    const tasks = props.evening.tasks.filter((task) => task.procedure === id)
    const code = of.coupons[0]?.label.split(/[-.]/)[0] ?? ''
    return [{ procedure, name: props.rounds.length > 1 ? `${code} ${procedure.letter}` : procedure.letter, tasks }]
  })
})
/** What is fixed in place lasts through the night: it is drawn to the evening's last hand's turn. */
const end = computed(() => {
  const turns = props.evening.tasks.filter((task) => task.to - task.from < HOUR).map(({ to }) => to)
  return Math.max(props.evening.from + HOUR / 4, ...turns)
})
const x = (at: number) =>
  LEFT + ((Math.min(at, end.value) - props.evening.from) / (end.value - props.evening.from)) * (WIDTH - LEFT - 8)
const ticks = computed(() => {
  const minutes = (end.value - props.evening.from) / 60_000
  const size =
    ([5, 10, 15, 30, 60, 120].find((one) => minutes / one <= 8) ?? Math.ceil(minutes / 8 / 240) * 240) * 60_000
  const first = Math.ceil(props.evening.from / size) * size
  return Array.from({ length: Math.floor((end.value - first) / size) + 1 }, (_, i) => first + i * size)
})
const kindOf = (task: Evening['tasks'][number]) =>
  task.step === PULL ? 'pull' : taskWords(task, props.rounds) === 'fix in place' ? 'fixed' : 'hands'
type Task = Evening['tasks'][number]
const moves = (task: Task) => (task.step === PULL ? props.pullsMove : props.movable.has(task.procedure))
/** what is dragged, and how far, in units of the drawing */
const drag = ref<{ pull: boolean; procedure: string; from: number; startX: number; by: number } | null>(null)
const scaleOf = (event: PointerEvent) =>
  WIDTH / ((event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect().width || WIDTH)
function take(event: PointerEvent, task: Task) {
  if (!moves(task) || event.button !== 0) return
  ;(event.currentTarget as SVGElement).setPointerCapture(event.pointerId)
  const of = props.evening.tasks.filter((one) =>
    task.step === PULL ? one.step === PULL : one.procedure === task.procedure && one.step !== PULL,
  )
  drag.value = {
    pull: task.step === PULL,
    procedure: task.procedure,
    from: Math.min(...of.map(({ from }) => from)),
    startX: event.clientX,
    by: 0,
  }
}
function move(event: PointerEvent) {
  if (drag.value) drag.value.by = (event.clientX - drag.value.startX) * scaleOf(event)
}
/** A hand that trembles moves nothing, units of the drawing; times are taken to five minutes. */
const LEAST_MOVE = 8
const GRAIN_MS = 5 * 60_000
function drop() {
  const one = drag.value
  drag.value = null
  if (!one || Math.abs(one.by) < LEAST_MOVE) return
  const perUnit = (end.value - props.evening.from) / (WIDTH - LEFT - 8)
  const at = Math.round((one.from + one.by * perUnit) / GRAIN_MS) * GRAIN_MS
  if (one.pull) emit('pull', at)
  else emit('begin', one.procedure, at)
}
const isDragged = (task: Task) =>
  drag.value !== null &&
  (task.step === PULL ? drag.value.pull : !drag.value.pull && drag.value.procedure === task.procedure)
const here = computed(() => props.now >= props.evening.from && props.now <= end.value)
</script>

<template>
  <svg
    class="evening"
    :viewBox="`0 0 ${WIDTH} ${26 + rows.length * ROW}`"
    role="img"
    :aria-label="`The evening along its clock, from ${clockTime(evening.from)}; the list below says the same`"
  >
    <g v-for="at in ticks" :key="at">
      <path :d="`M${x(at)} 20V${24 + rows.length * ROW}`" class="tick" />
      <text :x="Math.min(x(at) + 3, WIDTH - 42)" y="14">{{ clockTime(at) }}</text>
    </g>
    <g v-for="(row, i) in rows" :key="row.procedure.id" :transform="`translate(0 ${24 + i * ROW})`">
      <path :d="`M0 0H${WIDTH}`" class="tick" />
      <text x="0" y="20" class="letter">{{ row.name }}</text>
      <path
        v-for="task in row.tasks"
        :key="`${task.step} ${task.from}`"
        :d="`M${x(task.from)} 15H${Math.max(x(task.to), x(task.from) + 2)}`"
        :class="[kindOf(task), { moves: moves(task) }]"
        :transform="isDragged(task) ? `translate(${drag!.by} 0)` : undefined"
        @pointerdown="take($event, task)"
        @pointermove="move"
        @pointerup="drop"
        @pointercancel="drag = null"
      >
        <title>{{ clockTime(task.from) }} {{ taskWords(task, rounds) }}: {{ labelsOf(task, rounds) }}</title>
      </path>
    </g>
    <path v-if="here" :d="`M${x(now)} 18V${26 + rows.length * ROW}`" class="now" />
  </svg>
</template>

<style scoped>
.evening {
  width: 100%;
  min-width: 520px;
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
.tick {
  stroke: var(--line);
}
.hands {
  stroke: var(--glue);
  stroke-width: 14;
}
.fixed {
  stroke: var(--tick);
  stroke-width: 5;
}
.pull {
  stroke: var(--ink);
  stroke-width: 14;
}
.moves {
  cursor: ew-resize;
  touch-action: none;
}
.now {
  stroke: var(--go);
  stroke-width: 2;
}
</style>
