<script setup lang="ts">
import { computed } from 'vue'
import { chanceToRank, SCATTER_UNTIL_KNOWN } from '../../../core/planning/replicates'
import type { Round } from '../../../core/records/round'
import AskWhy from '../../look/AskWhy.vue'
import { figure, percent, plural } from '../../look/figures'
import type { Explanation } from '../../look/why'
import FieldPart from '../../look/FieldPart'

/**
 * How many coupons of each: the chance to rank rightly against coupons, hands and money, as a curve that is also the
 * choice.
 */
const props = defineProps<{
  round: Round
  glues: number
  /** σ of ln strength that an earlier round of this joint showed; null: the usual one */
  scatter: number | null
  /** money and hands-on minutes of the whole round with n of each */
  costOf: (n: number) => { money: string; minutes: number }
}>()
const emit = defineEmits<{ change: [patch: Partial<Round>, what: string] }>()
const RATIO = 1.3
const counts = [2, 3, 4, 5, 6, 8]
const sigma = computed(() => props.scatter ?? SCATTER_UNTIL_KNOWN)
const chance = (n: number) => chanceToRank(n, RATIO, sigma.value)
const couponsFor = (n: number) => props.glues * n * props.round.arms.length
const gain = computed(() => {
  const { blocks } = props.round
  const more = chance(blocks + 2) - chance(blocks)
  return more < 0.03
    ? 'More of each would hardly tell more.'
    : `Two more of each would make it ${percent(chance(blocks + 2))}.`
})
// The curve over the same counts as the choices below it.
const points = computed(() =>
  counts.map((n, i) => `${((i + 0.5) / counts.length) * 100},${(1 - (chance(n) - 0.5) / 0.5) * 40}`).join(' '),
)
function why(): Explanation {
  const n = props.round.blocks
  return {
    about: `${n} coupons of each`,
    lines: [
      `If one glue is really ${RATIO} times stronger than another, ${n} of each rank the two rightly in ` +
        `${percent(chance(n))} of such rounds.`,
    ],
    formula: [
      'P = Φ(ln r / (σ · √(2/n)))',
      `= Φ(ln ${RATIO} / (${+sigma.value.toPrecision(3)} · √(2/${n})))`,
      `= ${chance(n).toFixed(3)}`,
    ],
    source: [
      props.scatter === null
        ? `σ = ${SCATTER_UNTIL_KNOWN} is the usual scatter of home bond tests, taken until this joint has its own.`
        : 'σ is the scatter of the round before, median of what its pulls allow.',
    ],
    change: ['More coupons of each, or less scatter: the same amount, pressure, age and pull.'],
  }
}
</script>

<template>
  <section aria-labelledby="how-many">
    <h2 id="how-many">How many of each?</h2>
    <p class="mute">The chance to rank two glues rightly when one is {{ RATIO }} times stronger.</p>
    <div class="choice">
      <svg class="curve" viewBox="0 0 100 42" preserveAspectRatio="none" aria-hidden="true">
        <polyline :points="points" />
      </svg>
      <div class="count" role="radiogroup" aria-labelledby="how-many">
        <label v-for="n in counts" :key="n" :class="{ on: round.blocks === n }">
          <input
            type="radio"
            name="blocks"
            :value="n"
            :checked="round.blocks === n"
            :aria-label="`${n} of each, ${percent(chance(n))}`"
            @change="emit('change', { blocks: n }, `${n} of each`)"
          />
          <b class="num">{{ n }}</b>
          <span class="num">{{ percent(chance(n)) }}</span>
          <span class="mute small num">{{ costOf(n).money }}</span>
          <span class="mute small num">{{ figure(costOf(n).minutes / 60) }} h</span>
        </label>
      </div>
    </div>
    <p>
      {{ plural(glues, 'glue') }} × {{ round.blocks
      }}<template v-if="round.arms.length > 1"> × {{ round.arms.length }} tests</template> =
      <AskWhy :why="why"
        ><b class="num">{{ couponsFor(round.blocks) }} coupons</b></AskWhy
      >. {{ gain }}
    </p>
    <FieldPart class="order" label="Order of gluing and pulling">
      <select
        class="plain"
        :value="round.order"
        @change="emit('change', { order: ($event.target as HTMLSelectElement).value as Round['order'] }, 'order')"
      >
        <option value="shuffled">shuffled in blocks of one each</option>
        <option value="least-trusted-first">shuffled; pull the least trusted first</option>
        <option value="as-written">one kind after the other</option>
      </select>
    </FieldPart>
  </section>
</template>

<style scoped>
.choice {
  display: inline-grid;
  max-width: 100%;
}
.curve {
  width: 100%;
  height: 54px;
  margin-top: 8px;
}
polyline {
  fill: none;
  stroke: var(--mat);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
:root[data-theme='dark'] polyline {
  stroke: var(--holds);
}
.count {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 104px));
  margin: 4px 0 12px;
}
.count label {
  display: grid;
  justify-items: center;
  padding: 8px 4px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
  margin: 0 3px;
}
.count label.on {
  outline: 2px solid var(--ink);
}
.count input {
  position: absolute;
  opacity: 0;
}
.count label:focus-within {
  outline: 3px solid var(--go);
  outline-offset: 2px;
}
.count b {
  font-size: 1.375rem;
}
.order {
  max-width: 340px;
  margin-top: 10px;
}
@media (max-width: 700px) {
  .curve {
    display: none;
  }
  .count {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    row-gap: 6px;
  }
}
</style>
