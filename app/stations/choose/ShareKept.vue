<script setup lang="ts">
import { computed } from 'vue'
import { exposedName, keptQuestion, type KeptPair } from '../../../core/choice/shareKept'
import { armWords } from '../../../core/planning/arms'
import AskWhy from '../../look/AskWhy.vue'
import { capital } from '../../look/figures'
import { steady } from '../../bench/steady'
import type { JointView } from '../../bench/jointView'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'
import { whyKept } from './whyCounted'

/** How much of its dry strength each procedure keeps after one exposure, with how sure that is. */
const props = defineProps<{ view: JointView; pair: KeptPair }>()
const question = steady(
  () => keptQuestion(props.pair, props.view.coupons, props.view.readings),
  ({ readings }) => readings.flatMap((one) => Object.values(one) as unknown[]),
)
const { answer } = useAsked(
  () => (question.value.readings.length ? question.value : null),
  (input, options) => benchWorker().analyse(input, options),
)
const after = computed(() => armWords(props.pair.exposed).replace(/^.*?(?=after )/, ''))
const percent = (share: number) => Math.round(100 * share)
const kept = computed(() =>
  props.view.procedures.flatMap(({ id, letter, name }) => {
    const ratio = answer.value?.ratios.find((one) => one.of === exposedName(id))
    return ratio ? [{ id, name: `${letter}, ${name}`, ratio }] : []
  }),
)
</script>

<template>
  <section v-if="kept.length" :aria-label="`Share kept: ${armWords(pair.exposed)}`" data-kept>
    <h2>Kept after {{ armWords(pair.exposed).replace(/^.*? after /, '') }}</h2>
    <ul>
      <li v-for="one in kept" :key="one.id" class="num">
        {{ capital(one.name) }}:
        <AskWhy :why="() => whyKept(one.name, after, one.ratio)"
          ><b>{{ percent(one.ratio.median) }} %</b></AskWhy
        >
        of its dry strength ({{ percent(one.ratio.low90) }} to {{ percent(one.ratio.high90) }} %){{
          one.ratio.low90 <= 1 && one.ratio.high90 >= 1 ? '; that it lost any can’t be told yet' : ''
        }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
</style>
