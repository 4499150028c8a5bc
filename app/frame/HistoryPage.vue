<script setup lang="ts">
import { computed } from 'vue'
import { useMinute } from '../bench/clock'
import { useBench } from '../bench/store'
import { momentName } from '../look/figures'

const bench = useBench()
const now = useMinute()
const words = { edit: '', undo: 'taken back: ', redo: 'done again: ' }
const entries = computed(() => bench.history())
</script>

<template>
  <main id="work" class="page">
    <h1>History</h1>
    <p class="mute">
      Every change, newest first. A change can be taken back; what was measured is corrected or set aside, never
      deleted.
    </p>
    <ol>
      <li v-for="entry in entries" :key="entry.id">
        <span class="num mute">{{ momentName(entry.at, now) }}</span>
        <span>{{ words[entry.kind] }}{{ entry.label }}</span>
      </li>
    </ol>
    <p v-if="entries.length === 0">Nothing has been changed on this bench yet.</p>
  </main>
</template>

<style scoped>
.page {
  padding: 24px 28px;
  max-width: 820px;
}
ol {
  margin-top: 16px;
}
li {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 16px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  .page {
    padding: 18px 16px;
  }
  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
