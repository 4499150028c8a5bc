<script setup lang="ts">
import { ref, watch } from 'vue'
import { useBench } from '../bench/store'

const bench = useBench()
const shown = ref(false)
watch(
  () => bench.notice,
  (notice) => (shown.value = notice !== null),
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
  left: 16px;
  bottom: 16px;
  z-index: 3000;
  max-width: min(560px, calc(100vw - 32px));
}
.notice {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 4px 6px 4px 16px;
  background: var(--card);
  border: 1px solid var(--ink);
  border-left: 6px solid var(--holds);
  border-radius: var(--radius);
}
.notice.bad {
  border-left-color: var(--fails);
}
@media (max-width: 700px) {
  .notice-place {
    bottom: 76px;
  }
}
@media print {
  .notice-place {
    display: none;
  }
}
</style>
