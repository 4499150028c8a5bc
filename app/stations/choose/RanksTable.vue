<script setup lang="ts">
import { computed } from 'vue'
import { ladder, ranked, rankOf, RANKS_APART } from '../../../core/choice/ranks'
import type { JointView } from '../../bench/jointView'
import AskWhy from '../../look/AskWhy.vue'
import { plural } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import { whyWins } from './whyCounted'

/** Pulls without a figure, judged as what they are: an order, and where each let go. */
const props = defineProps<{ view: JointView }>()
const result = computed(() => {
  const procedureOf = new Map(props.view.coupons.map(({ id, procedure }) => [id, procedure]))
  return ranked(
    props.view.readings.flatMap((reading) => {
      const procedure = procedureOf.get(reading.coupon)
      return (procedure && rankOf(procedure, reading)) || []
    }),
  )
})
const rows = computed(() =>
  (result.value?.procedures ?? []).flatMap((one) => {
    const procedure = props.view.procedures.find(({ id }) => id === one.procedure)
    return procedure ? [{ ...one, letter: procedure.letter, name: procedure.name }] : []
  }),
)
const said = computed(() => {
  const [first, second] = rows.value
  if (!first || !second || !result.value) return ''
  return result.value.chance <= RANKS_APART
    ? `${first.name} comes out first by the order of its pulls.`
    : `${first.name} and ${second.name} can’t be told apart by their order yet.`
})
</script>

<template>
  <section v-if="rows.length" aria-labelledby="ranks" data-ranks>
    <h2 id="ranks">By order, without a figure</h2>
    <p>{{ said }} How strong the joint is, and its margin, an order does not say.</p>
    <div class="scroll" tabindex="0" role="region" aria-label="The order of the pulls">
      <table class="beside">
        <thead>
          <tr>
            <th scope="col">procedure</th>
            <th scope="col">wins</th>
            <th v-for="step in ladder" :key="step" scope="col">{{ step }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.procedure">
            <th scope="row">
              <TapeLabel>{{ view.joint.code }}-{{ row.letter }}</TapeLabel> {{ row.name }}
              <span class="mute small">{{ plural(row.pulls, 'pull') }}</span>
            </th>
            <td class="num">
              <AskWhy :why="() => whyWins(row.name, row)">{{ Math.round(100 * row.wins) }} %</AskWhy>
            </td>
            <td v-for="step in ladder" :key="step" class="num">{{ row.steps[step] ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
</style>
