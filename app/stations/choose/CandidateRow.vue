<script setup lang="ts">
import { computed } from 'vue'
import { passVerdict } from '../../../core/choice/headline'
import { testKinds, type TestId } from '../../../core/knowledge/testKinds'
import { showMoney } from '../../../core/quantities/money'
import AskWhy from '../../look/AskWhy.vue'
import { figure } from '../../look/figures'
import { lasting } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'
import VerdictMark from '../../look/VerdictMark.vue'
import type { Candidate } from './round'
import { whyCost, whyCure, whyMargin, whyTypical, whyWeak } from './whyChoice'

/** One procedure beside the others: how strong, what nineteen in twenty hold, margin, time and money. */
const props = defineProps<{
  one: Candidate
  test: TestId
  code: string
  limit: number | null
  scatter: number
  currency: string
  /** nothing may be decided here, and no margin is shown */
  refused: boolean
}>()
const kind = computed(() => testKinds[props.test])
const passWords = { holds: 'holds', careful: 'can’t say yet', fails: 'fails', unknown: 'unknown' } as const

function typicalWords({ summary }: Candidate): string {
  if (!summary) return 'nothing to say yet'
  const { typical, open } = summary
  if (open === 'above') return `at least ${figure(typical.low90)}`
  if (open === 'below') return `at most ${figure(typical.high90)}`
  return `${figure(typical.median)} (${figure(typical.low90)} to ${figure(typical.high90)})`
}
</script>

<template>
  <div class="line" role="row">
    <div class="name" role="cell">
      <b
        ><TapeLabel>{{ code }}-{{ one.procedure.letter }}</TapeLabel> {{ one.procedure.name }}</b
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
          :word="passWords[passVerdict(one.summary)]"
        /><span v-if="one.wet" class="careful"> · {{ one.wet }} wet</span></span
      >
    </div>
    <div class="r num" role="cell" data-head="19 in 20 hold">
      <AskWhy v-if="one.summary && one.summary.open !== 'below'" :why="() => whyWeak(one, test, limit)"
        >{{ figure(one.summary.weakJoint.low95) }} <small>{{ kind.unit }}</small></AskWhy
      ><span v-else>–</span>
    </div>
    <div class="r num" role="cell" data-head="margin">
      <AskWhy v-if="one.margin && !refused" :why="() => whyMargin(one, test)">{{ figure(one.margin.times) }} ×</AskWhy
      ><span v-else>–</span>
    </div>
    <div class="r num" role="cell" data-head="to service">
      <AskWhy :why="() => whyCure(one)">{{ lasting(one.cureS) }}</AskWhy>
    </div>
    <div class="r num" role="cell" data-head="cost each">
      <AskWhy v-if="one.cost" :why="() => whyCost(one, currency)">{{
        one.cost.perJoint === 0 ? 'no glue' : showMoney(one.cost.perJoint, currency)
      }}</AskWhy><span v-else>–</span>
    </div>
  </div>
</template>

<style scoped>
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
.line > .r:nth-of-type(2) {
  grid-column: 3;
}
@media (max-width: 760px) {
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
