<script setup lang="ts">
import { computed } from 'vue'
import { keepsMore, lossesOf } from '../../../core/choice/losses'
import type { JointView } from '../../bench/jointView'
import AskWhy from '../../look/AskWhy.vue'
import { plural, wholePercent as percent } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import { whyLosses } from './whyCounted'

/** What each glue lost of many small things, counted before and after, with how sure the share kept is. */
const props = defineProps<{ view: JointView }>()
const rows = computed(() => {
  const procedureOf = new Map(props.view.coupons.map(({ id, procedure }) => [id, procedure]))
  return lossesOf(props.view.readings, procedureOf).flatMap((one) => {
    const procedure = props.view.procedures.find(({ id }) => id === one.procedure)
    return procedure ? [{ ...one, letter: procedure.letter, name: procedure.name }] : []
  })
})
/** From so sure on one is said to keep more. */
const SURE = 0.9
const said = computed(() => {
  const [first, second] = rows.value
  if (!first || !second) return ''
  const chance = keepsMore(first, second)
  return chance >= SURE
    ? `${first.name} keeps most: more than ${second.name} with ${Math.round(100 * chance)} % certainty.`
    : `${first.name} and ${second.name} can’t be told apart yet.`
})
</script>

<template>
  <section v-if="rows.length" aria-label="What was lost" data-losses>
    <p>{{ said }} Taken as if each was lost by itself; what lets go in patches is less sure than the interval says.</p>
    <div class="scroll" tabindex="0" role="region" aria-label="What was lost, glue by glue">
      <table class="beside">
        <thead>
          <tr>
            <th scope="col">procedure</th>
            <th scope="col">lost</th>
            <th scope="col">share kept</th>
            <th scope="col">9 in 10 sure</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.procedure">
            <th scope="row">
              <TapeLabel>{{ view.joint.code }}-{{ row.letter }}</TapeLabel> {{ row.name }}
              <span class="mute small">{{ plural(row.pieces, 'piece') }}</span>
            </th>
            <td class="num">{{ row.lost }} of {{ row.before }}</td>
            <td class="num">
              <AskWhy :why="() => whyLosses(row.name, row)">{{ percent(row.kept.median) }}</AskWhy>
            </td>
            <td class="num">{{ percent(row.kept.low90) }} to {{ percent(row.kept.high90) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
