<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Item } from '../../../core/choice/criteria'
import { mustOf } from '../../../core/choice/rank'
import type { WeighResult } from '../../../core/choice/weighRound'
import type { Procedure } from '../../../core/records/procedure'
import { valueText } from './weighWords'
import FieldPart from '../../look/FieldPart'

/** Strength against what it costs in money, hours or minutes, with what is uncertain and whom nothing beats. */
const props = defineProps<{
  items: readonly Item[]
  procedures: readonly Procedure[]
  result: WeighResult
  currency: string
}>()
const ups = computed(() => props.items.filter(({ criterion }) => criterion.better === 'more'))
const overs = computed(() => props.items.filter(({ criterion }) => criterion.better === 'less'))
const [upId, overId] = [ref(''), ref('')]
const up = computed(() => ups.value.find(({ criterion }) => criterion.id === upId.value) ?? ups.value[0])
const over = computed(() => overs.value.find(({ criterion }) => criterion.id === overId.value) ?? overs.value[0])
const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM] = [560, 300, 88, 36, 14, 40]
const at = (procedure: string, { criterion }: Item) => props.result.values[procedure]![criterion.id]!

/** A scale of ratios where the criterion has one, with its must in sight. */
function scaleOf(item: Item, values: readonly number[], from: number, to: number) {
  const f = item.criterion.scale === 'log' ? Math.log : (x: number) => x
  const all = [...values, mustOf(item.criterion)].map(f)
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const pad = 0.08 * (high - low || 1)
  const place = (x: number) => from + ((f(x) - low + pad) / (high - low + 2 * pad)) * (to - from)
  const back = item.criterion.scale === 'log' ? Math.exp : (x: number) => x
  return { place, ticks: [0, 0.5, 1].map((share) => back(low + share * (high - low))) }
}
const drawn = computed(() => {
  const [y, x] = [up.value, over.value]
  if (!y || !x) return null
  const ids = props.procedures.map(({ id }) => id)
  const ys = scaleOf(
    y,
    // Where only “at least” was read, no reading sets the upper side: an arrow goes up from the lower one.
    ids.flatMap((id) => (y.open.includes(id) ? [at(id, y).low90] : [at(id, y).low90, at(id, y).high90])),
    HEIGHT - BOTTOM,
    TOP,
  )
  const xs = scaleOf(
    x,
    ids.map((id) => at(id, x).median),
    LEFT,
    WIDTH - RIGHT,
  )
  const says = (item: Item, value: number) => valueText(item, value, props.currency)
  const strengthOf = (id: string) =>
    y.open.includes(id) ? `at least ${says(y, at(id, y).low90)}` : says(y, at(id, y).median)
  return {
    mustY: ys.place(mustOf(y.criterion)),
    mustX: xs.place(mustOf(x.criterion)),
    ticksY: ys.ticks.map((value) => ({ at: ys.place(value), text: says(y, value) })),
    ticksX: xs.ticks.map((value) => ({ at: xs.place(value), text: says(x, value) })),
    points: props.procedures.map(({ id, letter, name }) => ({
      id,
      letter,
      name,
      x: xs.place(at(id, x).median),
      y: ys.place(y.open.includes(id) ? at(id, y).low90 : at(id, y).median),
      open: y.open.includes(id),
      low: ys.place(at(id, y).low90),
      high: y.open.includes(id) ? TOP : ys.place(at(id, y).high90),
      front: props.result.front.includes(id),
      basis: y.basis[id],
      says: `${letter}, ${name}: ${strengthOf(id)} for ${says(x, at(id, x).median)}`,
    })),
  }
})
</script>

<template>
  <section v-if="drawn" aria-labelledby="trade-off" class="trade" data-trade-off>
    <h3 id="trade-off">What is bought with what</h3>
    <div class="axes">
      <FieldPart label="Upwards">
        <select class="plain" :value="up!.criterion.id" @change="upId = ($event.target as HTMLSelectElement).value">
          <option v-for="{ criterion, name } in ups" :key="criterion.id" :value="criterion.id">{{ name }}</option>
        </select>
      </FieldPart>
      <FieldPart label="Across, less is better">
        <select class="plain" :value="over!.criterion.id" @change="overId = ($event.target as HTMLSelectElement).value">
          <option v-for="{ criterion, name } in overs" :key="criterion.id" :value="criterion.id">{{ name }}</option>
        </select>
      </FieldPart>
    </div>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="drawn.points.map(({ says }) => says).join('; ')">
      <path :d="`M${LEFT} ${TOP}V${HEIGHT - BOTTOM}H${WIDTH - RIGHT}`" class="axis" />
      <path :d="`M${LEFT} ${drawn.mustY}H${WIDTH - RIGHT}`" class="must" />
      <path :d="`M${drawn.mustX} ${TOP}V${HEIGHT - BOTTOM}`" class="must" />
      <text v-for="tick in drawn.ticksY" :key="tick.at" :x="LEFT - 6" :y="tick.at + 4" text-anchor="end">
        {{ tick.text }}
      </text>
      <text v-for="tick in drawn.ticksX" :key="tick.at" :x="tick.at" :y="HEIGHT - BOTTOM + 18" text-anchor="middle">
        {{ tick.text }}
      </text>
      <text :x="WIDTH - RIGHT" :y="drawn.mustY - 5" text-anchor="end" class="must-text">must</text>
      <g v-for="one in drawn.points" :key="one.id">
        <path :d="`M${one.x} ${one.low}V${one.high}`" class="range" :class="{ open: one.basis !== 'measured' }" />
        <path v-if="one.open" :d="`M${one.x - 6} ${TOP + 9}L${one.x} ${TOP}L${one.x + 6} ${TOP + 9}`" class="arrow" />
        <circle :cx="one.x" :cy="one.y" r="8" :class="one.front ? 'front' : 'beaten'" />
        <text :x="one.x + 13" :y="one.y + 5" class="letter">{{ one.letter }}</text>
      </g>
    </svg>
    <p class="mute small">
      A full dot: nothing beats it on all that counts. A ring: another is as good on everything and better on something.
      The line is where 9 draws in 10 lie, broken where nothing was pulled, an arrow where only “at least” was read;
      dashed across, what must be.
    </p>
  </section>
</template>

<style scoped>
.trade {
  display: grid;
  gap: 10px;
}
.axes {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.axes .field {
  flex: 0 1 260px;
}
svg {
  display: block;
  width: 100%;
  max-width: 680px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
text {
  font: 400 13px var(--sans);
  fill: var(--mute);
}
.letter {
  font-weight: 650;
  fill: var(--ink);
}
.must-text {
  fill: var(--go);
}
.axis {
  fill: none;
  stroke: var(--tick);
}
.must {
  stroke: var(--go);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.range {
  stroke: var(--ink);
  stroke-width: 2;
}
.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.range.open {
  stroke-dasharray: 3 3;
}
.front {
  fill: var(--ink);
}
.beaten {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
@media (max-width: 700px) {
  text {
    font-size: 20px;
  }
}
</style>
