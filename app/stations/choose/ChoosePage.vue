<script setup lang="ts">
import { refusalFor } from '../../../core/care/refusal'
import { computed, defineAsyncComponent, ref, watch, toRef } from 'vue'
import { headline, passVerdict } from '../../../core/choice/headline'
import { insert } from '../../../core/records/entry'
import { showMoney } from '../../../core/quantities/money'
import { ratiosFrom } from '../../../core/statistics/ratioFrom'
import { gradingOf, testKinds } from '../../../core/knowledge/testKinds'
import { stampNow, useMinute } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { armWords } from '../../../core/planning/arms'
import { narrowed, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { capital, dayName, figure, lasting, momentName, percent, plural } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import VerdictMark from '../../look/VerdictMark.vue'
import type { Reading } from '../../../core/records/reading'
import { useWhy } from '../../look/why'
import GradesTable from './GradesTable.vue'
import { limitHere, useAnalysis, useCandidates, type Candidate } from './round'
import { whyApart, whyCost, whyCure, whyMargin, whyTypical, whyWeak } from './whyChoice'

// The chart is loaded only when there is something to show.
const IntervalChart = defineAsyncComponent(() => import('./IntervalChart.vue'))
const ROW = 84

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const now = useMinute()
const armId = ref<string | null>(null)
const arms = computed(() => props.view.round?.arms ?? [])
const view = computed(() => narrowed(props.view, armId.value))
const { analysis, progress, problem, again: run, cancel } = useAnalysis(view)
const candidates = useCandidates(bench, view, toRef(props, 'view'), analysis)
const test = computed(() => view.value.arm?.test ?? 'lap-shear')
const kind = computed(() => testKinds[test.value])
const limit = computed(() => limitHere(view.value))
const currency = computed(() => bench.bench?.currency ?? '')
const told = computed(() => (analysis.value ? headline(analysis.value) : null))
const nameOf = (id: string) => candidates.value.find(({ procedure }) => procedure.id === id)?.procedure.name ?? '?'

const title = computed(() => {
  if (view.value.arm && gradingOf(view.value.arm.test) && view.value.readings.length) return capital(kind.value.name)
  const head = told.value
  if (!view.value.readings.length) return 'Nothing is pulled yet'
  if (!analysis.value) return 'Working it out…'
  if (!head) return 'Nothing to say yet'
  const leader = capital(nameOf(head.leader))
  if (head.state === 'only') return `Only ${leader.toLowerCase()} has been pulled so far`
  if (head.state === 'clear') return `${leader} is the strongest of these`
  const rivals = head.tied.map((id) => nameOf(id).toLowerCase()).join(' or ')
  return head.state === 'ahead'
    ? `${leader} is probably the strongest; can’t tell it from ${rivals} yet`
    : `Can’t tell ${leader.toLowerCase()} from ${rivals} yet`
})
const scatter = computed(() => analysis.value?.scatter?.median ?? 0.25)
const pairs = computed(() => {
  const head = told.value
  if (!head || !analysis.value) return []
  return ratiosFrom(head.leader, analysis.value.ratios)
})
const rows = computed(() =>
  candidates.value.map(({ procedure, summary }) => ({ key: procedure.id, letter: procedure.letter, summary })),
)
const service = computed(() => props.view.joint.brief.inServiceBy)

watch(
  () => candidates.value[0]?.margin,
  (margin) => margin && !refused.value && why.suggest(whyMargin(candidates.value[0]!, test.value)),
)
function typicalWords({ summary }: Candidate): string {
  if (!summary) return 'nothing to say yet'
  const { typical, open } = summary
  if (open === 'above') return `at least ${figure(typical.low90)}`
  if (open === 'below') return `at most ${figure(typical.high90)}`
  return `${figure(typical.median)} (${figure(typical.low90)} to ${figure(typical.high90)})`
}

/** Pulls that say less than they seem to, by coupon: always named on the result. */
const doubtful = computed(() => {
  const labels = (of: (reading: Reading) => boolean) =>
    view.value.coupons.flatMap(({ id, label }) =>
      view.value.readings.some((one) => one.coupon === id && of(one)) ? [label] : [],
    )
  return {
    early: labels(({ early, setAside }) => early !== null && setAside === null),
    wet: labels(({ outcome, setAside }) => outcome.end === 'wet' && setAside === null),
  }
})
// Joints that carry people, pressure and the like: what was pulled is shown, but no margin and nothing to decide.
const refused = computed(() => refusalFor(props.view.joint.brief.stakes) !== null)
/** Opened when all is pulled: what was expected beside what came out, strongest first. */
const hunch = computed(() => {
  const { round, coupons, readings } = view.value
  if (!round?.hunch || readings.length < coupons.length) return null
  const found = candidates.value
    .filter(({ summary }) => summary)
    .sort((x, y) => y.summary!.typical.median - x.summary!.typical.median)
    .map(({ procedure }) => procedure)
  const expected = round.hunch.order.flatMap((id) => found.find((one) => one.id === id) ?? [])
  return {
    expected: expected.map(({ name }) => name),
    found: found.map(({ name }) => name),
    right: expected.every((one, i) => one === found[i]),
  }
})
const choice = ref<string | null>(null)
const reason = ref('')
const complaint = ref('')
const decision = computed(() => props.view.decision)
const toDecide = computed(() => choice.value ?? decision.value?.procedure ?? told.value?.leader ?? null)
async function decide() {
  const candidate = candidates.value.find(({ procedure }) => procedure.id === toDecide.value)
  if (!candidate) return void (complaint.value = 'Choose one of the procedures.')
  if (!reason.value.trim())
    return void (complaint.value = 'Give the reason in a few words: in a year it is what you look for.')
  complaint.value = ''
  const { summary } = candidate
  const known = {
    pulls: candidate.pulls.length,
    typical: summary && summary.open === null ? summary.typical.median : null,
    weakLow: summary && summary.open !== 'below' ? summary.weakJoint.low95 : null,
    unit: kind.value.unit,
    margin: candidate.margin?.times ?? null,
  }
  const record = {
    id: newId(),
    joint: props.view.joint.id,
    round: props.view.round!.id,
    arm: view.value.arm!.id,
    procedure: candidate.procedure.id,
    reason: reason.value.trim(),
    at: stampNow(),
    known,
  }
  if (
    await bench.write(
      `${props.view.joint.code}: decided for ${candidate.procedure.name}`,
      [insert('decision', record)],
      true,
    )
  )
    reason.value = ''
}
</script>

<template>
  <div class="choose">
    <header>
      <h1>{{ title }}</h1>
      <p v-if="view.round" class="mute">
        {{ view.arm ? armWords(view.arm) : kind.name }}, {{ kind.unit }} · {{ plural(view.readings.length, 'pull') }} of
        {{ view.coupons.length }}
        <template v-if="analysis?.scatter">
          · scatter about ±{{ Math.round(100 * (Math.exp(scatter) - 1)) }} %</template
        >
        <template v-if="limit"> · pass from {{ figure(limit) }} {{ kind.unit }}</template>
      </p>
      <p v-if="doubtful.early.length" class="careful">
        Pulled before the full cure: {{ doubtful.early.join(', ') }}. They may read too low.
      </p>
      <p v-if="doubtful.wet.length" class="careful">
        Still wet when pulled: {{ doubtful.wet.join(', ') }}. That is no strength but “not yet”: they are left out.
      </p>
    </header>
    <div v-if="arms.length > 1" class="arms" role="group" aria-label="Test shown">
      <v-btn
        v-for="arm in arms"
        :key="arm.id"
        :class="arm.id === view.arm?.id ? 'alt' : 'quiet'"
        :aria-pressed="arm.id === view.arm?.id"
        @click="armId = arm.id"
        >{{ armWords(arm) }}</v-btn
      >
    </div>
    <p v-if="view.round?.weights?.changedLate" class="careful" role="note">
      What counts was changed after the first pull, {{ momentName(view.round.weights.changedLate, now) }}.
    </p>
    <p v-for="change in view.arm?.lateChanges ?? []" :key="change.at" class="careful" role="note">
      The pass limit was changed after the first pull, {{ momentName(change.at, now) }}: from
      {{ change.from ?? 'none' }} to {{ change.to ?? 'none' }} {{ kind.unit }}.
    </p>
    <p v-if="progress !== null" class="progress" role="status">
      <progress :value="progress" max="1" aria-label="Working out the strengths" />
      <v-btn class="quiet" @click="cancel">Stop</v-btn>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }} <v-btn class="quiet" @click="run">Try again</v-btn></p>
    <div v-if="!view.readings.length" class="card none">
      <p>
        When the coupons are pulled, their strengths stand here on one scale, with the load the joint must carry, and
        how sure one can be.
      </p>
      <v-btn
        class="go"
        :to="{ name: view.progress.at === 'choose' ? 'plan' : view.progress.at, params: { joint: view.joint.id } }"
        >Go on with this joint</v-btn
      >
    </div>

    <GradesTable v-else-if="view.arm && gradingOf(view.arm.test)" :view="view" />

    <template v-else-if="analysis">
      <div class="rows" :style="{ '--row': `${ROW}px`, '--count': candidates.length }">
        <div class="chart-cell">
          <IntervalChart
            v-if="analysis.procedures.length"
            :rows="rows"
            :limit="limit"
            :unit="kind.unit"
            :row-height="ROW"
          />
        </div>
        <div role="table" aria-label="Procedures compared">
          <div class="line heads" role="row">
            <span role="columnheader">procedure, typical strength</span>
            <span class="chart-head" aria-hidden="true"
              >● typical, 90 % range <span class="go-text">▲ weak joint</span>
              <span v-if="limit" class="fails">┆ pass limit</span></span
            >
            <span role="columnheader" class="r">19 in 20 hold</span>
            <span role="columnheader" class="r">margin</span>
            <span role="columnheader" class="r">to service</span>
            <span role="columnheader" class="r">cost each</span>
          </div>
          <div
            v-for="(one, i) in candidates"
            :key="one.procedure.id"
            class="line"
            :style="{ '--i': i }"
            role="row"
            :class="{ leader: told?.leader === one.procedure.id && told.state !== 'open' }"
          >
            <div class="name" role="cell">
              <b
                ><TapeLabel>{{ view.joint.code }}-{{ one.procedure.letter }}</TapeLabel> {{ one.procedure.name }}</b
              >
              <span class="num"
                ><AskWhy :why="() => whyTypical(one, test, scatter)"
                  >{{ typicalWords(one) }}<small v-if="one.summary">&nbsp;{{ kind.unit }}</small></AskWhy
                ></span
              >
              <span v-if="one.summary" class="small"
                ><VerdictMark
                  v-if="limit && one.summary"
                  :tone="passVerdict(one.summary)"
                  :word="
                    { holds: 'holds', careful: 'can’t say yet', fails: 'fails', unknown: 'unknown' }[
                      passVerdict(one.summary)
                    ]
                  "
                /><span v-if="one.wet" class="careful"> · {{ one.wet }} wet</span></span
              >
            </div>
            <div class="r num" role="cell" data-head="19 in 20 hold">
              <AskWhy v-if="one.summary && one.summary.open !== 'below'" :why="() => whyWeak(one, test, limit)"
                >{{ figure(one.summary.weakJoint.low95) }} <small>{{ kind.unit }}</small></AskWhy
              ><span v-else>–</span>
            </div>
            <div class="r num" role="cell" data-head="margin">
              <AskWhy v-if="one.margin && !refused" :why="() => whyMargin(one, test)"
                >{{ figure(one.margin.times) }} ×</AskWhy
              ><span v-else>–</span>
            </div>
            <div class="r num" role="cell" data-head="to service">
              <AskWhy :why="() => whyCure(one)">{{ lasting(one.cureS) }}</AskWhy>
            </div>
            <div class="r num" role="cell" data-head="cost each">
              <AskWhy v-if="one.cost" :why="() => whyCost(one, currency)">{{
                showMoney(one.cost.perJoint, currency)
              }}</AskWhy><span v-else>–</span>
            </div>
          </div>
        </div>
      </div>

      <section v-if="hunch" aria-labelledby="hunch-title">
        <h2 id="hunch-title">Hunch against result</h2>
        <p>
          You expected {{ hunch.expected.join(', then ') }}. The pulls say {{ hunch.found.join(', then ')
          }}{{ hunch.right ? ': just as you thought.' : '.' }}
        </p>
      </section>

      <section v-if="pairs.length" aria-labelledby="how-sure">
        <h2 id="how-sure">How sure</h2>
        <ul class="pairs">
          <li v-for="pair in pairs" :key="pair.to">
            <AskWhy :why="() => whyApart(pair, nameOf(pair.of), nameOf(pair.to))">
              <template v-if="pair.toldApart"
                >{{ nameOf(pair.of) }} is <b class="num">{{ figure(pair.median) }} times</b> as strong as
                {{ nameOf(pair.to).toLowerCase() }}</template
              >
              <template v-else
                >Can’t tell {{ nameOf(pair.of).toLowerCase() }} from {{ nameOf(pair.to).toLowerCase() }} yet</template
              >
            </AskWhy>
            <span class="mute num">stronger in {{ percent(pair.pGreater) }} of what the pulls allow</span>
          </li>
        </ul>
      </section>

      <section v-if="!refused" class="decide" aria-labelledby="decide">
        <h2 id="decide">{{ decision ? 'Decided' : 'Decide' }}</h2>
        <p v-if="decision">
          <b>{{ nameOf(decision.procedure) }}</b>, {{ momentName(decision.at, now) }}: {{ decision.reason }}
          <span v-if="service" class="mute"> · in service by {{ dayName(service) }}</span>
        </p>
        <div v-if="decision">
          <v-btn class="go" :to="{ name: 'card', params: { joint: view.joint.id } }">Print the procedure card</v-btn>
        </div>
        <form @submit.prevent="decide">
          <label class="field">
            <span>{{ decision ? 'Decide otherwise' : 'The procedure for the real joint' }}</span>
            <select class="plain" :value="toDecide" @change="choice = ($event.target as HTMLSelectElement).value">
              <option v-for="one in candidates" :key="one.procedure.id" :value="one.procedure.id">
                {{ one.procedure.letter }} {{ one.procedure.name }}
              </option>
            </select>
          </label>
          <label class="field grow"
            ><span>Because</span
            ><input v-model="reason" class="plain" placeholder="holds three times the load and is ready in a day"
          /></label>
          <v-btn :class="decision ? 'alt' : 'go'" type="submit"
            >Decide for {{ toDecide ? nameOf(toDecide).toLowerCase() : 'it' }}</v-btn
          >
        </form>
        <p v-if="complaint" class="problem" role="alert">{{ complaint }}</p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.arms {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.choose {
  display: grid;
  gap: 22px;
}
.choose > * {
  min-width: 0;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
}
.rows {
  --columns: minmax(236px, 1.3fr) minmax(170px, 1.7fr) 88px 62px 68px 74px;
  position: relative;
}
.line {
  display: grid;
  grid-template-columns: var(--columns);
  gap: 0 14px;
  align-items: center;
  height: var(--row);
  border-top: 1px solid var(--line);
}
.line:last-child {
  border-bottom: 1px solid var(--line);
  margin-bottom: 34px;
}
.heads {
  height: auto;
  border: 0;
  padding-bottom: 6px;
  font-size: 0.875rem;
  color: var(--mute);
  align-items: end;
}
.go-text {
  color: var(--go);
}
.line > .r:nth-of-type(2) {
  grid-column: 3;
}
.leader {
  background: linear-gradient(90deg, var(--card), var(--card));
}
.name {
  display: grid;
  gap: 1px;
  padding-left: 4px;
  min-width: 0;
}
.name b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name small,
.r small {
  font-size: 0.8125rem;
  color: var(--mute);
}
.r {
  text-align: right;
}
.chart-cell {
  position: absolute;
  inset: auto 0 0;
  height: calc(var(--row) * var(--count) + 34px);
  display: grid;
  grid-template-columns: var(--columns);
  gap: 0 14px;
  pointer-events: none;
}
.chart-cell > :deep(*) {
  grid-column: 2;
}
.pairs li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 20px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.pairs {
  margin-top: 8px;
}
.decide {
  display: grid;
  gap: 12px;
}
.decide form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.decide .field {
  flex: 1 1 220px;
}
.decide .grow {
  flex: 2 1 300px;
}
@media (max-width: 760px) {
  .heads {
    display: none;
  }
  .chart-cell {
    position: static;
    display: block;
    height: auto;
  }
  .line {
    height: auto;
    grid-template-columns: 1fr 1fr;
    gap: 4px 14px;
    padding: 10px 0;
  }
  .line:last-child {
    margin: 0;
  }
  .name {
    grid-column: 1 / -1;
  }
  .name b {
    white-space: normal;
  }
  .line > .r,
  .line > .r:nth-of-type(2) {
    grid-column: auto;
    text-align: left;
  }
  .r::before {
    content: attr(data-head) ' ';
    color: var(--mute);
    font-size: 0.875rem;
  }
}
</style>
