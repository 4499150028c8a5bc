<script setup lang="ts">
import type { Coupon, Round } from '../../../core/records/round'

/** What is pulled next, and how that order came about. */
defineProps<{ coupons: Coupon[]; round: Round }>()
const orderWords = {
  shuffled: 'Order shuffled',
  'least-trusted-first': 'The least trusted first, shuffled among themselves',
  'as-written': 'As they were glued',
} as const
</script>

<template>
  <p class="mute small">
    Next:
    {{
      coupons
        .slice(0, 4)
        .map(({ label }) => label)
        .join(', ')
    }}. {{ orderWords[round.order] }}, seed {{ round.seed }}.
  </p>
</template>
