<script setup lang="ts">
import { computed } from 'vue'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import { bottleTrend, handTrend, TREND_PULLS } from '../../core/evidence/trends'
import { seededRandom } from '../../core/planning/random'
import { useBench } from '../bench/store'
import { trendWords } from './evidenceWords'
import { noonOf } from '../../core/quantities/days'
import { dateName } from '../look/times'

/** What changes with time: a bottle with the months it is open, a hand with the pieces it has made. */
const props = defineProps<{ evidence: readonly PairEvidence[] }>()
const bench = useBench()
const own = computed(() => props.evidence.filter(({ owner }) => owner === null))
const grouped = (list: readonly PairEvidence[]) =>
  list.map(({ round, procedure, arm, points }) => ({ key: `${round} ${procedure} ${arm}`, points }))
const openedAt = (stock: string) => {
  const day = bench.get('stock', stock)?.openedOn
  return day ? noonOf(day) : null
}
const bottles = computed(() =>
  bench.all('adhesive').flatMap(({ id, name }) => {
    const list = own.value.filter(({ adhesive }) => adhesive === id)
    const trend = list.length ? bottleTrend(grouped(list), openedAt, seededRandom(15)) : null
    return trend ? [{ id, name, trend }] : []
  }),
)
const hand = computed(() => handTrend(grouped(own.value), seededRandom(16)))
/** packs with their age at the bench, and how many pieces came out of each */
const packs = computed(() => {
  const pieces = new Map<string, number>()
  for (const { points } of own.value)
    for (const { stock } of points) if (stock) pieces.set(stock, (pieces.get(stock) ?? 0) + 1)
  return [...pieces].flatMap(([id, count]) => {
    const pack = bench.get('stock', id)
    const glue = pack && bench.get('adhesive', pack.adhesive)
    return pack && glue ? [{ id, glue: glue.name, batch: pack.batch, opened: pack.openedOn, count }] : []
  })
})
</script>

<template>
  <section aria-labelledby="trends">
    <h2 id="trends">What changes with time</h2>
    <ul>
      <li>
        <b>Your hand:</b>
        {{
          trendWords(hand, {
            per: 'with every ten pieces',
            less: 'steadier: the scatter shrinks',
            more: 'less steady: the scatter grows',
          })
        }}
      </li>
      <li v-for="one in bottles" :key="one.id">
        <b>{{ one.name }}:</b>
        {{
          trendWords(one.trend, { per: 'for each month it is open', less: 'it gets weaker', more: 'it gets stronger' })
        }}
      </li>
    </ul>
    <p v-if="!bottles.length" class="mute small">
      A bottle is followed once {{ TREND_PULLS }} pulls came out of it at different ages: note the pack at the step, and
      when it was opened on the shelf.
    </p>
    <ul v-if="packs.length" class="small num mute">
      <li v-for="one in packs" :key="one.id">
        {{ one.glue }}<template v-if="one.batch">, batch {{ one.batch }}</template
        ><template v-if="one.opened">, opened {{ dateName(one.opened) }}</template
        >: {{ one.count }} pulled
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
li {
  padding: 4px 0;
}
</style>
