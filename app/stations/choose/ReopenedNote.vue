<script setup lang="ts">
import { computed } from 'vue'
import { belowAfter } from '../../../core/choice/reopen'
import { exposedName, keptPairs, keptQuestion } from '../../../core/choice/shareKept'
import { exposureWords } from '../../../core/knowledge/exposures'
import { limitOf } from '../../../core/planning/limits'
import type { Decision } from '../../../core/records/decision'
import type { JointView } from '../../bench/jointView'
import { reopenedOf, reopenedWords } from '../../bench/reopenedWords'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { capital } from '../../look/figures'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'

/** A decision that something new speaks about: what it is, so that it is looked at again. */
const props = defineProps<{ view: JointView; decision: Decision }>()
const bench = useBench()
const plain = computed(() => reopenedOf(bench, props.view))
/** exposures of which the chosen one was pulled */
const questions = steady(
  () => {
    const { round, coupons, readings } = props.view
    return (round ? keptPairs(round) : []).flatMap((pair) => {
      const input = keptQuestion(pair, coupons, readings)
      const own = input.readings.some(({ procedure }) => procedure === exposedName(props.decision.procedure))
      return own && pair.dry.id === props.decision.arm ? [{ pair, input }] : []
    })
  },
  (list) => [JSON.stringify(list.map(({ input }) => input))],
)
const { answer } = useAsked(
  () => (questions.value.length ? questions.value : null),
  (list, options) => Promise.all(list.map(({ input }) => benchWorker().analyse(input, options))),
)
const below = computed(() =>
  (answer.value ?? []).flatMap((analysis, i) => {
    const pair = questions.value[i]?.pair
    const ratio = analysis.ratios.find(({ of }) => of === exposedName(props.decision.procedure))
    if (!pair?.exposed.exposure || !ratio) return []
    const after = capital(exposureWords(pair.exposed.exposure).replace(/^after /, ''))
    return belowAfter(props.decision, limitOf(pair.dry, props.view.joint.brief), after, ratio.median) ?? []
  }),
)
const said = computed(() =>
  [...below.value, ...plain.value].map((one) => reopenedWords(one, props.decision.known.unit)),
)
</script>

<template>
  <div v-if="said.length" class="again" role="status" data-reopened>
    <p><b class="careful">Look at it again.</b></p>
    <p v-for="line in said" :key="line">{{ line }}</p>
  </div>
</template>

<style scoped>
.again {
  border-left: 5px solid var(--careful);
  padding-left: 14px;
  display: grid;
  gap: 4px;
}
</style>
