<script setup lang="ts">
import { computed } from 'vue'
import { sayError } from '../../core/messages'
import { showMoney } from '../../core/quantities/money'
import { useMinute } from '../bench/clock'
import { glueName } from '../bench/jointView'
import { stateWords } from '../bench/jointWords'
import { useBench } from '../bench/store'
import { capital, figure, plural } from '../look/figures'
import { clockTime, dayName, momentName } from '../look/times'
import PanelGuard from '../look/PanelGuard.vue'
import TapeLabel from '../look/TapeLabel.vue'
import BuildForm from './BuildForm.vue'
import RepairKitList from './RepairKitList.vue'
import ShoppingList from './ShoppingList.vue'
import { useBuild, type BuildRow } from './useBuild'

/** The build as a whole: its joints in a sum, evenings, shopping, repair kit; it prints as a sheet. */
const bench = useBench()
const minute = useMinute()
const build = computed(() => bench.all('build')[0] ?? null)
const { rows, shopping, order, kit, late } = useBuild(() => build.value)
const currency = computed(() => bench.bench?.currency ?? '')
const decided = computed(() => rows.value.filter(({ procedure }) => procedure !== null))
const open = computed(() => rows.value.filter(({ procedure }) => procedure === null))
const money = computed(() => decided.value.reduce((sum, { cost }) => sum + (cost?.total ?? 0), 0))
const hours = (minutes: number) => (minutes < 90 ? `${Math.ceil(minutes)} min` : `${figure(minutes / 60)} h`)
const minutes = computed(() => decided.value.reduce((sum, { minutes: each, left }) => sum + (each ?? 0) * left, 0))
const temporary = computed(() => rows.value.filter(({ view }) => view.decision?.redoOn))
const codeOf = (id: string) => rows.value.find(({ view }) => view.joint.id === id)?.view.joint.code ?? '?'
const rowOf = (id: string) => rows.value.find(({ view }) => view.joint.id === id) ?? null
const plan = computed(() => order.answer.value)
const failing = computed(() =>
  (plan.value?.plans ?? []).flatMap(({ id, plan: one }) => (one.fits ? [] : [{ id, earliest: one.earliest }])),
)
/** sessions of one day together */
const days = computed(() => {
  const byDay = new Map<string, { at: number; sessions: NonNullable<typeof plan.value>['sessions'] }>()
  for (const one of plan.value?.sessions ?? []) {
    const key = new Date(one.from).toDateString()
    const day = byDay.get(key) ?? { at: one.from, sessions: [] }
    day.sessions.push(one)
    byDay.set(key, day)
  }
  return [...byDay.values()]
})
const margin = ({ view }: BuildRow) => view.decision?.known.margin ?? null
const print = () => window.print()
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <div class="top">
      <h1>{{ build?.name ?? 'The build' }}</h1>
      <v-btn class="alt no-print" @click="print">Print this sheet</v-btn>
    </div>
    <p v-if="build?.inServiceBy" class="mute">
      Needed {{ dayName(build.inServiceBy) }}<template v-if="build.what"> · {{ build.what }}</template>
    </p>
    <BuildForm v-if="build" :build="build" />
    <p v-if="!rows.length">
      Nothing is asked of this build yet. <router-link :to="{ name: 'start' }">Start with one joint</router-link>
    </p>
    <section v-else aria-labelledby="joints">
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
      <p
        v-if="build?.budget !== null && build?.budget !== undefined && decided.length"
        class="small"
        :class="shopping.price > build.budget ? 'fails' : 'mute'"
      >
        Money for glue {{ showMoney(build.budget, currency) }}; the packs to buy come to
        {{ showMoney(shopping.price, currency) }}.
      </p>
      <p v-if="open.length" class="mute small">
        Not in any sum yet, since nothing is decided: {{ open.map(({ view }) => view.joint.code).join(', ') }}.
      </p>
    </section>
    <template v-if="decided.length">
      <section aria-labelledby="evenings">
        <h2 id="evenings">Evenings, back from the day</h2>
        <p v-if="order.progress.value !== null && !plan" class="mute" role="status">Reckoning back…</p>
        <p v-if="order.fault.value" class="problem" role="alert">
          {{ sayError(order.fault.value) }} <v-btn class="quiet" @click="order.again">Reckon again</v-btn>
        </p>
        <p v-if="plan?.beginBy" class="by num">
          Begin by <b>{{ momentName(plan.beginBy, minute) }}</b>.
        </p>
        <ol v-if="days.length" class="days num">
          <li v-for="day in days" :key="day.at">
            <b>{{ capital(momentName(day.at, minute).replace(/,? \d\d:\d\d$/, '')) }}</b>
            <span v-for="one in day.sessions" :key="one.id + one.from" class="session">
              {{ clockTime(one.from) }} to {{ clockTime(one.to) }}: {{ codeOf(one.id) }},
              {{ one.joints ? plural(one.joints, 'joint') : 'see to what is fixed in place'
              }}<template v-if="rowOf(one.id)?.procedure">, {{ rowOf(one.id)!.procedure!.name }}</template>
            </span>
          </li>
        </ol>
        <p v-for="one in failing" :key="one.id" class="fails">
          {{ codeOf(one.id) }} does not fit any more{{
            one.earliest === null ? '' : `: begun at once, it would carry its load ${momentName(one.earliest, minute)}`
          }}. More hands, clamps or hours would help, or a faster glue.
        </p>
        <p
          v-for="row in decided.filter(({ view, left }) => left > 0 && late(view))"
          :key="row.view.joint.id"
          class="fails"
        >
          {{ row.view.joint.code }} should be in service already: {{ row.left }} are not glued yet.
        </p>
        <p v-if="!plan && order.progress.value === null && !order.fault.value" class="mute">
          {{
            decided.every(({ left }) => left === 0)
              ? 'All of them are glued.'
              : 'Say by when the build is in service: then the evenings are reckoned back from that morning.'
          }}
        </p>
      </section>
      <PanelGuard name="The shopping list"><ShoppingList :shopping="shopping" :currency="currency" /></PanelGuard>
      <PanelGuard name="The repair kit"
        ><RepairKitList :kit="kit.answer.value" :fault="kit.fault.value" :again="kit.again"
      /></PanelGuard>
    </template>
    <section v-if="temporary.length" aria-labelledby="temporary">
      <h2 id="temporary">Only for a time</h2>
      <ul>
        <li v-for="{ view } in temporary" :key="view.joint.id">
          {{ view.joint.code }} {{ view.joint.name }}: make it anew {{ dayName(view.decision!.redoOn!) }}.
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.page {
  padding: 24px 28px 60px;
  max-width: 1080px;
  display: grid;
  gap: 22px;
}
.page > * {
  min-width: 0;
}
.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
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
.by {
  font-size: 1.25rem;
}
.days li {
  border-top: 1px solid var(--line);
  padding: 8px 0;
  display: grid;
  gap: 3px;
}
@media (max-width: 700px) {
  .page {
    padding: 18px 16px 40px;
  }
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
