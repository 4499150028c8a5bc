<script setup lang="ts">
import { computed } from 'vue'
import { showMoney } from '../../core/quantities/money'
import { useMinute } from '../bench/clock'
import { glueName } from '../bench/jointView'
import { stateWords } from '../bench/jointWords'
import { useBench } from '../bench/store'
import { figure, plural } from '../look/figures'
import TapeLabel from '../look/TapeLabel.vue'
import type { BuildRow } from './useBuild'

/** The joints of the build in a sum: what was decided, what it holds, costs and takes; what is open stands in none. */
const props = defineProps<{ rows: BuildRow[]; budget: number | null; toBuy: number; currency: string }>()
const bench = useBench()
const minute = useMinute()
const decided = computed(() => props.rows.filter(({ procedure }) => procedure !== null))
const open = computed(() => props.rows.filter(({ procedure }) => procedure === null))
const money = computed(() => decided.value.reduce((sum, { cost }) => sum + (cost?.total ?? 0), 0))
const minutes = computed(() => decided.value.reduce((sum, { minutes: each, left }) => sum + (each ?? 0) * left, 0))
const hours = (minutes: number) => (minutes < 90 ? `${Math.ceil(minutes)} min` : `${figure(minutes / 60)} h`)
const margin = ({ view }: BuildRow) => view.decision?.known.margin ?? null
</script>

<template>
  <section aria-labelledby="joints">
    <h2 id="joints">{{ plural(rows.length, 'joint') }}, {{ decided.length }} decided</h2>
    <table class="num">
      <caption class="visually-hidden">
        Joints of the build with what was decided, margin, cost and minutes
      </caption>
      <thead>
        <tr>
          <th scope="col">Joint</th>
          <th scope="col">Glue</th>
          <th scope="col">Margin</th>
          <th scope="col">Each</th>
          <th scope="col">All</th>
          <th scope="col">Hands on</th>
          <th scope="col">Left</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.view.joint.id">
          <th scope="row">
            <TapeLabel>{{ row.view.joint.code }}</TapeLabel>
            {{ ' ' }}
            <router-link :to="{ name: row.view.progress.at, params: { joint: row.view.joint.id } }">{{
              row.view.joint.name
            }}</router-link>
          </th>
          <template v-if="row.procedure">
            <td data-head="glue">{{ glueName(bench, row.procedure) }}</td>
            <td data-head="margin" :class="{ careful: (margin(row) ?? 2) < 1.5 }">
              {{ margin(row) === null ? 'not said' : `${figure(margin(row)!)} times` }}
            </td>
            <td data-head="each">{{ row.cost ? showMoney(row.cost.perJoint, currency) : 'size open' }}</td>
            <td data-head="all">{{ row.cost ? showMoney(row.cost.total, currency) : '' }}</td>
            <td data-head="hands on">{{ hours(row.minutes! * row.left) }}</td>
            <td data-head="left">{{ row.left }} of {{ row.all }}</td>
          </template>
          <td v-else colspan="6" class="mute">{{ stateWords(row.view, minute) }}</td>
        </tr>
      </tbody>
      <tfoot v-if="decided.length">
        <tr>
          <th scope="row">Decided so far</th>
          <td colspan="3" />
          <td data-head="all">{{ showMoney(money, currency) }}</td>
          <td data-head="hands on">{{ hours(minutes) }}</td>
          <td />
        </tr>
      </tfoot>
    </table>
    <p v-if="budget !== null && decided.length" class="small" :class="toBuy > budget ? 'fails' : 'mute'">
      Money for glue {{ showMoney(budget, currency) }}; the packs to buy come to {{ showMoney(toBuy, currency) }}.
    </p>
    <p v-if="open.length" class="mute small">
      Not in any sum yet, since nothing is decided: {{ open.map(({ view }) => view.joint.code).join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
  break-inside: avoid;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border-top: 1px solid var(--line);
  padding: 8px 10px 8px 0;
  text-align: right;
  font-weight: 400;
  vertical-align: baseline;
}
thead th {
  border-top: 0;
  color: var(--mute);
  font-size: 0.875rem;
}
th:first-child,
thead th:nth-child(2),
td:nth-child(2) {
  text-align: left;
}
tfoot th,
tfoot td {
  font-weight: 650;
  border-top: 2px solid var(--ink);
}
@media (max-width: 700px) {
  thead {
    position: absolute;
    left: -9999px;
  }
  tr {
    display: block;
    border-top: 1px solid var(--line);
    padding: 8px 0;
  }
  th,
  td {
    display: block;
    border: 0;
    padding: 2px 0;
    text-align: left;
  }
  td[data-head]::before {
    content: attr(data-head) ' ';
    color: var(--mute);
  }
  tfoot th,
  tfoot td {
    border: 0;
  }
}
</style>
