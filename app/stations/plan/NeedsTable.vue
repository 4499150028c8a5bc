<script setup lang="ts">
import { computed } from 'vue'
import { measured } from '../../../core/quantities/betterUnit'
import { showMoney } from '../../../core/quantities/money'
import type { GlueNeed, Needs } from '../../../core/planning/needs'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { figure, plural } from '../../look/figures'
import type { Explanation } from '../../look/why'

/** What is needed before anything is cut: glue against the shelf, money, hands-on hours, and what to buy. */
const props = defineProps<{ needs: Needs; tools: string[] }>()
const bench = useBench()
const money = (value: number) => showMoney(value, bench.bench?.currency)
const hours = computed(() => props.needs.handsOnMinutes / 60)
const short = (need: GlueNeed) => need.packs > 0 || need.onNoShelf
const toDo = ({ packs, buy, onNoShelf, name }: GlueNeed) =>
  onNoShelf
    ? `put “${name}” on the Shelf, or name it as it stands there`
    : packs > 0
      ? `buy ${plural(packs, 'pack')}, ${buy === null ? 'price not known' : money(buy)}`
      : 'enough'
const why = (need: GlueNeed): Explanation => ({
  about: `glue needed, ${need.name}`,
  lines: [
    'Glued area × faces × spread × coats × pieces with their spares, a tenth more for what stays on brush and nozzle.',
  ],
  formula: need.sum,
  source: ['Spread and density from the tables unless the procedure or the label says otherwise; price of your pack.'],
  change: [
    ...(need.mixes
      ? [`${plural(need.mixes, 'mix', 'mixes')}, none larger than its pot life allows, none below 5 g.`]
      : []),
    ...(need.atOnce === null ? [] : [`Lay it on ${plural(need.atOnce, 'piece')} at a time: then the first one skins.`]),
  ],
})
</script>

<template>
  <section aria-labelledby="needs">
    <h2 id="needs">What is needed</h2>
    <p>
      <b class="num">{{ needs.pieces }}</b> pairs of pieces with spares, <b class="num">{{ money(needs.cost) }}</b> of
      glue<template v-if="needs.unpriced.length"> (without {{ needs.unpriced.join(', ') }}: no price)</template>, about
      <b class="num">{{ figure(hours) }} h</b> of hands<template v-if="needs.buy > 0"
        >; to buy <b class="num">{{ money(needs.buy) }}</b></template
      >.
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Glue, glue by glue">
      <table>
        <thead>
          <tr>
            <th scope="col">glue</th>
            <th scope="col" class="r">needed</th>
            <th scope="col" class="r">on the shelf</th>
            <th scope="col" class="r">used</th>
            <th scope="col">to do</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="need in needs.glues" :key="need.key" :data-need="need.key">
            <th scope="row">
              {{ need.name }} <span class="mute">{{ need.letters.join(', ') }}</span>
            </th>
            <td class="r num">
              <AskWhy :why="() => why(need)">{{ measured(need.grams, 'g') }}</AskWhy>
            </td>
            <td class="r num">{{ need.leftG === null ? 'none' : measured(need.leftG, 'g') }}</td>
            <td class="r num">{{ need.cost === null ? 'no price' : money(need.cost) }}</td>
            <td :class="{ careful: short(need) }">
              {{ toDo(need) }}<template v-if="need.mixes">; {{ plural(need.mixes, 'mix', 'mixes') }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mute small">At hand: {{ tools.join(', ') }}.</p>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  margin: 8px 0;
}
table {
  border-collapse: collapse;
  width: 100%;
  min-width: 480px;
}
th,
td {
  text-align: left;
  padding: 7px 16px 7px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  color: var(--mute);
  font-size: 0.9375rem;
  border-top: 0;
}
.r {
  text-align: right;
}
</style>
