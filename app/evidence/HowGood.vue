<script setup lang="ts">
import { computed } from 'vue'
import {
  accountByRule,
  binOf,
  brierScore,
  calibration,
  toldAndFound,
  type Bin,
  type RuleAccount,
} from '../../core/choice/account'
import { guessRecord } from '../../core/choice/hunch'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import { modeWords, type FailureMode } from '../../core/knowledge/weights'
import { gaugeError } from '../../core/readings/gaugeCheck'
import { useBench } from '../bench/store'
import AskWhy from '../look/AskWhy.vue'
import { capital, figure, percent, plural, wholePercent } from '../look/figures'
import { momentName } from '../look/times'
import type { Explanation } from '../look/why'
import { useMinute } from '../bench/clock'

/** How good are we: forecasts against results, rules that were wrong here, hunches, gauges. */
const props = defineProps<{ evidence: readonly PairEvidence[] }>()
const bench = useBench()
const minute = useMinute()
const decisions = computed(() => bench.all('decision').sort((x, y) => x.at - y.at))
const found = computed(() => toldAndFound(decisions.value, props.evidence))
const score = computed(() => brierScore(found.value.told))
const bins = computed(() => calibration(found.value.told))
const rules = computed(() => accountByRule(found.value.told))
const wrong = computed(() => rules.value.filter((one) => one.wrong > 0))
const guesses = computed(() => guessRecord(decisions.value))
const hunches = computed(() =>
  decisions.value.flatMap(({ id, joint, at, known }) => {
    const one = guessRecord([{ known }])
    return one ? [{ id, at, code: bench.get('joint', joint)?.code ?? '', ...one }] : []
  }),
)
const gauges = computed(() =>
  (bench.bench?.instruments ?? []).flatMap((one) => {
    const error = gaugeError(one)
    return error ? [{ id: one.id, name: one.name, last: Math.max(...one.checks.map(({ at }) => at)), ...error }] : []
  }),
)

const name = (procedure: string) => {
  const one = bench.get('procedure', procedure)
  return one ? `${bench.get('joint', one.joint)?.code ?? ''}-${one.letter} ${one.name}` : procedure
}
const whyBin = (bin: Bin): Explanation => ({
  about: `forecasts of ${wholePercent(bin.from)} to ${wholePercent(bin.to)}`,
  lines: [
    `${plural(bin.count, 'forecast')}, said at ${percent(bin.said!)} in the middle; ${bin.served} of them served.`,
    ...found.value.told
      .filter(({ chance }) => binOf(chance) === bins.value.indexOf(bin))
      .map(
        ({ procedure, chance, served }) =>
          `${name(procedure)}: said ${wholePercent(chance)}, ${served ? 'served' : 'did not serve'}.`,
      ),
  ],
  source: ['Served: 19 in 20 joints hold the limit, as surely as 19 in 20. What cannot be told yet is not counted.'],
})
const whyScore = (): Explanation => ({
  about: 'the Brier score',
  lines: [
    'The mean of the squared differences between what was said and what came: 0 is perfect, tossing a coin 0.25.',
  ],
  formula: [
    ...found.value.told
      .slice(0, 20)
      .map(
        ({ chance, served, procedure }) =>
          `${name(procedure)}: (${figure(chance)} − ${served ? 1 : 0})² = ${figure((chance - Number(served)) ** 2)}`,
      ),
    `mean of ${found.value.told.length}: ${figure(score.value!)}`,
  ],
  source: ['Brier 1950'],
})
const ruleWords = ({ rule, mode, way, count, wrong: times }: RuleAccount) =>
  `${capital(rule.replace(/-/g, ' '))} (${modeWords[mode as FailureMode] ?? mode}): ` +
  `spoke ${way} it ${plural(count, 'time')}, wrong ${plural(times, 'time')}.`
</script>

<template>
  <section id="how-good" aria-labelledby="how-good-title">
    <h2 id="how-good-title">How good are we?</h2>
    <h3>Forecasts against results</h3>
    <p v-if="!found.told.length" class="mute">
      Nothing to hold to account yet: each decided round compares what the shortlist said with what its pulls came to.
    </p>
    <template v-else>
      <p>
        {{ plural(found.told.length, 'forecast') }} answered by pulls<template v-if="found.unclear"
          >, {{ found.unclear }} not clear yet</template
        >. Score <AskWhy :why="whyScore">{{ figure(score!) }}</AskWhy> (0 is perfect, a coin 0.25).
      </p>
      <table class="bins num">
        <caption class="visually-hidden">
          What was said, and how often it came
        </caption>
        <thead>
          <tr>
            <th scope="col">Said</th>
            <th scope="col">Forecasts</th>
            <th scope="col">Said on average</th>
            <th scope="col">Served</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="bin in bins" :key="bin.from">
            <th scope="row">{{ wholePercent(bin.from) }} to {{ wholePercent(bin.to) }}</th>
            <td>{{ bin.count || 'none' }}</td>
            <td>{{ bin.said === null ? '' : wholePercent(bin.said) }}</td>
            <td>
              <AskWhy v-if="bin.count" :why="() => whyBin(bin)">{{ bin.served }} of {{ bin.count }}</AskWhy>
            </td>
          </tr>
        </tbody>
      </table>
      <h3>Which rules were wrong here?</h3>
      <p v-if="!wrong.length" class="mute">None of the {{ plural(rules.length, 'rule') }} that spoke was.</p>
      <ul v-else class="small">
        <li v-for="one in wrong.slice(0, 12)" :key="`${one.rule} ${one.way}`">{{ ruleWords(one) }}</li>
      </ul>
    </template>
    <h3>Hunches against results</h3>
    <p v-if="!guesses" class="mute">No hunch was sealed and opened yet. Seal one on Plan before the first pull.</p>
    <template v-else>
      <p>
        {{ plural(guesses.rounds, 'round') }}: the first was the first in {{ guesses.firstRight }};
        {{ guesses.pairsRight }} of {{ plural(guesses.pairs, 'pair') }} stood in the right order (by chance it is half).
      </p>
      <ul class="small num">
        <li v-for="one in hunches" :key="one.id">
          {{ one.code }}, {{ momentName(one.at, minute) }}: {{ one.pairsRight }} of {{ one.pairs }} in order{{
            one.firstRight ? ', the first right' : ''
          }}
        </li>
      </ul>
    </template>
    <h3>Gauge checks</h3>
    <p v-if="!gauges.length" class="mute">
      No gauge was checked against a known weight yet.
      <router-link :to="{ name: 'shelf' }">Check one on the shelf</router-link>
    </p>
    <ul v-else class="small num">
      <li v-for="one in gauges" :key="one.id" :class="{ careful: one.off }">
        {{ one.name }}: reads {{ wholePercent(Math.abs(one.share)) }} {{ one.share < 0 ? 'low' : 'high' }} over
        {{ plural(one.checks, 'check') }}, last {{ momentName(one.last, minute)
        }}{{ one.off ? '. Careful: more than its step explains' : '' }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
h3 {
  margin-top: 8px;
}
.bins {
  border-collapse: collapse;
  max-width: 560px;
}
.bins th,
.bins td {
  text-align: right;
  padding: 5px 10px;
  border-top: 1px solid var(--line);
  font-weight: 400;
}
.bins thead th {
  color: var(--mute);
  font-size: 0.875rem;
}
.bins th:first-child {
  text-align: left;
}
li {
  padding: 4px 0;
}
</style>
