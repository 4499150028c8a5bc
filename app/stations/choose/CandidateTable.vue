<script setup lang="ts">
import { computed } from 'vue'
import type { TestId } from '../../../core/knowledge/testKinds'
import { testKinds } from '../../../core/knowledge/testKinds'
import type { Analysis } from '../../../core/statistics/analyse'
import CandidateRow from './CandidateRow.vue'
import IntervalChart from './IntervalChart.vue'
import type { Candidate } from './round'

/** The procedures of an arm under each other, their strengths on one scale. */
const props = defineProps<{
  candidates: Candidate[]
  analysis: Analysis
  test: TestId
  code: string
  limit: number | null
  scatter: number
  currency: string
  /** the procedure that leads, where one does */
  leader: string | null
  refused: boolean
}>()
const ROW = 84
const unit = computed(() => testKinds[props.test].unit)
const rows = computed(() =>
  props.candidates.map(({ procedure, summary }) => ({ key: procedure.id, letter: procedure.letter, summary })),
)
</script>

<template>
  <div class="rows" :style="{ '--row': `${ROW}px`, '--count': candidates.length }">
    <div class="chart-cell">
      <IntervalChart v-if="analysis.procedures.length" :rows="rows" :limit="limit" :unit="unit" :row-height="ROW" />
    </div>
    <div role="table" aria-label="Procedures compared">
      <div class="line heads" role="row">
        <span role="columnheader">procedure, typical strength</span>
        <span class="chart-head" aria-hidden="true"
          ><span>● typical, 90 % range</span> <span class="go-text">▲ weak joint, lower bound</span>
          <span v-if="limit" class="fails">┆ pass limit</span></span
        >
        <span role="columnheader" class="r">19 in 20 hold</span>
        <span role="columnheader" class="r">margin</span>
        <span role="columnheader" class="r">to service</span>
        <span role="columnheader" class="r">cost each</span>
      </div>
      <CandidateRow
        v-for="one in candidates"
        :key="one.procedure.id"
        class="line"
        :class="{ leader: leader === one.procedure.id }"
        v-bind="{ one, test, code, limit, scatter, currency, refused }"
      />
    </div>
  </div>
</template>

<style scoped>
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
.heads .r {
  text-align: right;
}
.chart-head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
}
.go-text {
  color: var(--go);
}
.leader {
  background: linear-gradient(90deg, var(--card), var(--card));
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
@media (max-width: 960px) {
  .rows {
    --columns: minmax(196px, 1.3fr) minmax(140px, 1.7fr) 86px 58px 66px 72px;
  }
  .line,
  .chart-cell {
    column-gap: 8px;
  }
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
}
</style>
