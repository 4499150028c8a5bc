<script setup lang="ts">
import { computed } from 'vue'
import { careFor } from '../../../core/care/care'
import { nextLook, scrapsOn, scrapSays } from '../../../core/evidence/scrap'
import type { Joint } from '../../../core/records/joint'
import type { Sighting } from '../../../core/records/scrap'
import type { Candidate } from '../../../core/screening/shortlist'
import { useNow } from '../../bench/clock'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import { countdown, lasting, momentName } from '../../look/times'
import { layDrop, lookAtScrap } from './scrapWork'

/** A drop on scrap that settles a reason: laid by a press, looked at after ten minutes and after a day. */
const props = defineProps<{ joint: Joint; candidate: Candidate; rule: string }>()
const bench = useBench()
const now = useNow()
const scrap = computed(() => {
  const { family, product } = props.candidate
  const glue = { family: product?.family ?? family.id, adhesive: product?.id ?? null }
  return scrapsOn(bench.all('scrap'), props.joint.brief, glue).find((one) => one.rule === props.rule) ?? null
})
const next = computed(() => scrap.value && nextLook(scrap.value))
const due = computed(() => next.value !== null && now.value >= next.value.dueAt)
const HOUR = 3_600_000
const when = computed(() => {
  if (!next.value) return ''
  const left = next.value.dueAt - now.value
  if (left <= 0) return `Look at it now, ${lasting(next.value.afterS)} after the drop:`
  const until = left < HOUR ? `in ${countdown(left)}` : momentName(next.value.dueAt, now.value)
  return `A drop lies on scrap; look at it ${until}, ${lasting(next.value.afterS)} after it was laid.`
})
const says = { fine: 'nothing to see after a day', mark: 'it left a mark', spoilt: 'it spoilt the scrap', open: '' }
const choices: [Sighting, string][] = [
  ['nothing', 'Nothing to see'],
  ['mark', 'A mark'],
  ['spoilt', 'Spoilt'],
]
/** What to mind before the drop is laid. */
const mind = computed(() => careFor(props.candidate.situation).hazards.map(({ show }) => show))
</script>

<template>
  <div class="scrap">
    <template v-if="next && scrap">
      <p :class="{ careful: due }" role="status">{{ when }}</p>
      <span class="acts">
        <ActButton
          v-for="[saw, word] in choices"
          :key="saw"
          :class="due ? 'alt' : 'quiet'"
          :act="() => lookAtScrap(bench, scrap!, saw)"
          >{{ word }}</ActButton
        >
      </span>
    </template>
    <template v-else>
      <p v-if="scrap" class="mute">Your drop on scrap: {{ says[scrapSays(scrap)] }}.</p>
      <p v-else-if="mind.length" class="careful small">Before you do: {{ mind.join(' ') }}</p>
      <ActButton class="quiet" :act="() => layDrop(bench, joint, candidate, rule)"
        >{{ scrap ? 'Lay another drop on scrap' : 'Lay a drop on scrap now' }} and time it</ActButton
      >
    </template>
  </div>
</template>

<style scoped>
.scrap {
  display: grid;
  gap: 4px;
  padding: 4px 0;
  justify-items: start;
}
</style>
