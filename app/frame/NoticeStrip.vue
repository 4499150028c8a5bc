<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useBench } from '../bench/store'

const bench = useBench()
const shown = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined
// A plain message goes by itself (undo stays in the head); a refusal stays until it is closed or the page changes.
watch(
  () => bench.notice,
  (notice) => {
    shown.value = notice !== null
    clearTimeout(timer)
    if (notice?.tone === 'plain') timer = setTimeout(() => (shown.value = false), 8000)
  },
)
const route = useRoute()
watch(
  () => route.path,
  () => bench.notice?.tone === 'bad' && (shown.value = false),
)
</script>

<template>
  <div class="notice-place" role="status" aria-live="polite">
    <div v-if="shown && bench.notice" class="notice" :class="bench.notice.tone">
      <span>{{ bench.notice.text }}</span>
      <v-btn v-if="bench.notice.undo" class="quiet" @click="bench.undo()">Undo</v-btn>
      <v-btn class="quiet" aria-label="Close this message" @click="shown = false">Close</v-btn>
    </div>
  </div>
</template>

<style scoped>
.notice-place {
  position: fixed;
  /* at the lower right edge, over the foot of Why: neither the head nor anything that is pressed lies there */
  right: 16px;
  bottom: 16px;
  z-index: 3000;
  max-width: min(310px, calc(100vw - 32px));
  pointer-events: none;
}
.notice-place :deep(.v-btn) {
  pointer-events: auto;
}
@media (max-width: 700px) {
  /* above the stations, and above the next word or the act that waits there for the thumb */
  .notice-place {
    left: 12px;
    right: 12px;
    bottom: 76px;
    max-width: none;
  }
  :global(body:has(.next, .at-thumb) .notice-place) {
    bottom: 140px;
  }
}
.notice {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 8px;
  padding: 6px 6px 6px 14px;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--ink);
  border-left: 6px solid var(--holds);
  border-radius: var(--radius);
}
.notice.bad {
  border-left-color: var(--fails);
}
@media print {
  .notice-place {
    display: none;
  }
}
</style>
