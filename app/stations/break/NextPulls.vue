<script setup lang="ts">
import { computed } from 'vue'
import type { PullQueue } from '../../../core/planning/pullQueue'
import type { Round } from '../../../core/records/round'
import { useMinute } from '../../bench/clock'
import { plural } from '../../look/figures'
import { momentName } from '../../look/times'

/** What is pulled next, how that order came about, and what is passed over until it is ready. */
const props = defineProps<{
  queue: PullQueue
  atHand: string | null
  round: Round
}>()
const now = useMinute()
const orderWords = {
  shuffled: 'Order shuffled',
  'least-trusted-first': 'The least trusted first, shuffled among themselves',
  'as-written': 'As they were glued',
} as const
const next = computed(() => props.queue.ready.filter(({ id }) => id !== props.atHand).slice(0, 4))
const passed = computed(() => {
  const { waiting } = props.queue
  if (!waiting.length) return ''
  const lacking = waiting.filter(({ at, closed }) => at === null && closed).length
  const open = waiting.filter(({ at }) => at === null).length - lacking
  const first = waiting[0]!
  const when = first.at === null ? '' : `; ${first.coupon.label} is ready from ${momentName(first.at, now.value)}`
  const few = waiting.length <= 6 ? ` (${waiting.map(({ coupon }) => coupon.label).join(', ')})` : ''
  return (
    `Passed over, not ready: ${plural(waiting.length, 'coupon')}${few}${when}` +
    `${open ? `; ${open} not closed yet` : ''}` +
    `${lacking ? `; ${lacking} still to go through what their test asks` : ''}.`
  )
})
</script>

<template>
  <div class="mute small" data-next>
    <p v-if="next.length">
      Next: {{ next.map(({ label }) => label).join(', ') }}. {{ orderWords[round.order] }}, seed {{ round.seed }}.
    </p>
    <p v-if="passed">{{ passed }}</p>
  </div>
</template>
