<script setup lang="ts">
import { computed } from 'vue'

export type Tone = 'holds' | 'careful' | 'fails' | 'unknown'
const props = defineProps<{ tone: Tone; word?: string }>()
const words: Record<Tone, string> = { holds: 'holds', careful: 'careful', fails: 'fails', unknown: 'unknown' }
// Each verdict has its own drawn mark, so that colour is never alone: closed seam, open seam, split seam, dotted seam.
const marks: Record<Tone, string> = {
  holds: 'M1 4H15M1 12H15M4 8H12',
  careful: 'M1 4H15M1 12H15M4 8H6M9 8H12',
  fails: 'M1 4L15 1M1 12L15 15M5 8L8 6L9 10L12 8',
  unknown: 'M1 4H3M6 4H8M11 4H13M1 12H3M6 12H8M11 12H13',
}
const shown = computed(() => props.word ?? words[props.tone])
</script>

<template>
  <span class="verdict" :class="tone">
    <svg viewBox="0 0 16 16" width="15" height="15" aria-hidden="true" focusable="false"><path :d="marks[tone]" /></svg>
    <span>{{ shown }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-weight: 680;
  white-space: nowrap;
}
path {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
</style>
