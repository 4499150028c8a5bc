<script setup lang="ts">
import type { Item } from '../../../core/choice/criteria'
import type { WeighResult } from '../../../core/choice/weighRound'
import type { Procedure } from '../../../core/records/procedure'
import AskWhy from '../../look/AskWhy.vue'
import TapeLabel from '../../look/TapeLabel.vue'
import type { Explanation } from '../../look/why'
import { boundsText, valueText } from './weighWords'

/** A line a procedure: what it is on each criterion, as a small bar from its must to plenty. */
const props = defineProps<{
  code: string
  items: readonly Item[]
  procedures: readonly Procedure[]
  result: WeighResult
  currency: string
}>()
const valueOf = (procedure: string, { criterion }: Item) => props.result.values[procedure]?.[criterion.id] ?? null
const isOpen = (procedure: string, item: Item) => item.open.includes(procedure)
/** Where only “at least” was read, the lower side is all that is known. */
function shown(procedure: string, item: Item): string {
  const value = valueOf(procedure, item)!
  return isOpen(procedure, item) ? `≥ ${text(item, value.low90)}` : text(item, value.median)
}
const text = (item: Item, value: number) => valueText(item, value, props.currency)
const ONLY_AT_LEAST = 'Only “at least” was read: nothing that was measured sets its upper side.'
const restsOn = {
  measured: 'measured',
  known: 'of the procedure itself',
  forecast: 'a forecast, not tested',
  'not tested': 'not tested',
} as const
function why(procedure: Procedure, item: Item): Explanation {
  const value = valueOf(procedure.id, item)!
  const { better, scale } = item.criterion
  const basis = item.basis[procedure.id] ?? 'not tested'
  return {
    about: `${procedure.letter}, ${item.name}`,
    lines: [
      basis === 'measured'
        ? 'From your own readings, with what they leave open.'
        : basis === 'known'
          ? 'From its steps, its pack and the size of the joint: no test is needed for it.'
          : basis === 'forecast'
            ? 'Nothing was pulled for it: filled in from the tables, and never counted as measured.'
            : 'Nothing was tested and the tables do not say: it is taken for anything that is possible.',
      ...(isOpen(procedure.id, item) ? [ONLY_AT_LEAST] : []),
    ],
    formula: [
      isOpen(procedure.id, item)
        ? `at least ${text(item, value.low90)} in 19 of 20 draws`
        : `${text(item, value.median)}; 9 draws in 10: ${text(item, value.low90)} to ${text(item, value.high90)}`,
      `${boundsText(item, props.currency)}${item.said ? '' : ' (proposed)'}`,
      `${better === 'band' ? 'too little and too much are both wrong' : `${better} is better`}, on a ` +
        (scale === 'log' ? 'scale of ratios' : 'plain scale'),
      `= ${Math.round(100 * value.d)} of 100, the mean of the draws`,
    ],
    source: ['Desirability between must and plenty (Derringer and Suich 1980).'],
  }
}
</script>

<template>
  <p class="small mute">
    Each figure is the middle of what its draws allow, not the lower bound that the rows above hold to. The bar is what
    it counts for.
  </p>
  <div class="scroll" tabindex="0" role="region" aria-label="All that counts, procedure by procedure">
    <table class="beside">
      <thead>
        <tr>
          <th scope="col">procedure</th>
          <th v-for="item in items" :key="item.criterion.id" scope="col">
            {{ item.name }}
            <span class="bounds num">{{ boundsText(item, currency) }}{{ item.said ? '' : ', proposed' }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="procedure in procedures" :key="procedure.id">
          <th scope="row">
            <TapeLabel>{{ code }}-{{ procedure.letter }}</TapeLabel>
            {{ procedure.name }}
            <span v-if="result.front.includes(procedure.id)" class="small mute">nothing beats it on all</span>
          </th>
          <td v-for="item in items" :key="item.criterion.id">
            <template v-if="valueOf(procedure.id, item)">
              <AskWhy :why="() => why(procedure, item)"
                ><span class="num">{{ shown(procedure.id, item) }}</span></AskWhy
              >
              <span class="bar" :class="item.basis[procedure.id]?.replace(' ', '-')" aria-hidden="true"
                ><i :style="{ width: `${100 * valueOf(procedure.id, item)!.d}%` }"></i
              ></span>
              <span
                v-if="item.basis[procedure.id] === 'forecast' || item.basis[procedure.id] === 'not tested'"
                class="small mute"
                >{{ restsOn[item.basis[procedure.id]!] }}</span
              >
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
th .bounds {
  display: block;
  font-size: 0.8125rem;
}
th[scope='row'] > .small {
  display: block;
}
th[scope='row'] {
  min-width: 168px;
}
td {
  min-width: 120px;
  vertical-align: top;
}
.bar {
  display: block;
  width: 88px;
  height: 8px;
  margin: 4px 0 2px;
  border: 1px solid var(--tick);
  background: var(--bg);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ink);
}
.bar.forecast,
.bar.not-tested {
  border-style: dashed;
}
.bar.forecast i,
.bar.not-tested i {
  background: repeating-linear-gradient(90deg, var(--mute) 0 2px, transparent 2px 4px);
}
@media (max-width: 760px) {
  th[scope='row'] {
    min-width: 128px;
  }
}
</style>
