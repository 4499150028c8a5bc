<script setup lang="ts">
import type { GuessRecord, HunchResult } from '../../../core/choice/hunch'
import { inSentence } from '../../../core/quantities/inSentence'
import type { RatioSummary } from '../../../core/statistics/analyse'
import AskWhy from '../../look/AskWhy.vue'
import { figure, percent, plural } from '../../look/figures'
import { whyApart } from './whyChoice'

/** What the maker expected beside what came out, and how surely the first can be told from each other. */
defineProps<{
  pairs: RatioSummary[]
  hunch: HunchResult | null
  /** how well the maker guessed so far, over all joints */
  record: GuessRecord | null
  nameOf: (id: string) => string
  /** “opens further”; left out: so many times as strong */
  further?: string | undefined
}>()
</script>

<template>
  <section v-if="hunch" aria-labelledby="hunch-title">
    <h2 id="hunch-title">Hunch against result</h2>
    <p>
      You expected {{ hunch.expected.map(nameOf).join(', then ') }}. The pulls say
      {{ hunch.found.map(nameOf).join(', then ') }}{{ hunch.right ? ': just as you thought.' : '.' }}
    </p>
    <p v-if="record" class="mute num" data-guesses>
      Over {{ plural(record.rounds, 'decided round') }} your first was the first in {{ record.firstRight }}, and
      {{ record.pairsRight }} of {{ plural(record.pairs, 'pair') }} stood in the right order; by chance it is half.
    </p>
  </section>
  <section v-if="pairs.length" aria-labelledby="how-sure">
    <h2 id="how-sure">How sure</h2>
    <ul>
      <li v-for="pair in pairs" :key="pair.to">
        <AskWhy :why="() => whyApart(pair, nameOf(pair.of), nameOf(pair.to), further)">
          <template v-if="pair.toldApart && further"
            >{{ nameOf(pair.of) }} {{ further }} than {{ inSentence(nameOf(pair.to)) }}</template
          >
          <template v-else-if="pair.toldApart"
            >{{ nameOf(pair.of) }} is <b class="num">{{ figure(pair.median) }} times</b> as strong as
            {{ inSentence(nameOf(pair.to)) }}</template
          >
          <template v-else
            >Can’t tell {{ inSentence(nameOf(pair.of)) }} from {{ inSentence(nameOf(pair.to)) }} yet</template
          >
        </AskWhy>
        <span class="mute num"
          >{{ further ?? 'stronger' }} in {{ percent(pair.pGreater) }} of what the pulls allow</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin-top: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 20px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
</style>
