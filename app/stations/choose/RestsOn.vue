<script setup lang="ts">
import { computed } from 'vue'
import { forecastResult } from '../../../core/choice/forecasts'
import { basisWords } from '../../../core/choice/real/marginWords'
import { measured } from '../../../core/quantities/betterUnit'
import type { Decision } from '../../../core/records/decision'
import { chanceWords } from '../../../core/screening/chanceWords'
import AskWhy from '../../look/AskWhy.vue'
import { figure, plural } from '../../look/figures'
import { whyKnown } from './whyCounted'

/** What a decision rested on when it was made, and how the forecast did. */
const props = defineProps<{ decision: Decision }>()
const heldWords = {
  held: 'its pulls held what was asked.',
  failed: 'its pulls did not hold what was asked.',
  unclear: 'its pulls cannot tell yet whether it holds what was asked.',
  none: 'no limit was set that its pulls could be held against.',
}
const lines = computed(() => {
  const { known } = props.decision
  const { pulls, weakLow, unit } = known
  const out = [
    pulls === 0
      ? 'It rests on no pull.'
      : `It rests on ${plural(pulls, 'pull')}` +
        (weakLow === null ? '; no strength was read.' : `: 19 in 20 joints hold ${measured(weakLow, unit)}.`),
  ]
  const forecast = forecastResult(props.decision)
  if (forecast)
    out.push(
      `The shortlist said it serves in about ${chanceWords(forecast.chance)} such joints; ` +
        heldWords[forecast.held ?? 'none'],
    )
  return out
})
const margin = computed(() => {
  const { known } = props.decision
  if (known.margin === null) return ''
  const factors = (known.factors ?? []).map(
    ({ words, share, basis }) => `${words} ${Math.round(100 * share)} % (${basisWords[basis]})`,
  )
  const left = factors.length ? `, with left after ${factors.join(', ')}` : ''
  return `Margin ${figure(known.margin)} times the load${left}.`
})
</script>

<template>
  <ul class="num" data-rests-on>
    <li v-for="line in lines" :key="line">{{ line }}</li>
    <li v-if="margin">
      <AskWhy :why="() => whyKnown(decision)">{{ margin }}</AskWhy>
    </li>
  </ul>
</template>
