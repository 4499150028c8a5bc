<script setup lang="ts">
import { computed } from 'vue'
import { useTimers } from './timers'
import { watchVersion } from './newVersion'

/** A newer version is taken when the maker asks, and never while a step or a cure is running. */
const { waiting, take } = watchVersion()
const { timers } = useTimers()
const running = computed(() => timers.value.length > 0)
</script>

<template>
  <aside v-if="waiting" class="version no-print" aria-label="A newer version">
    <span>A newer version is here{{ running ? '. It waits until no timer runs.' : '.' }}</span>
    <v-btn v-if="!running" class="alt" @click="take">Open the newer version</v-btn>
  </aside>
</template>

<style scoped>
.version {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 28px;
  border-bottom: 1px solid var(--line);
  background: var(--card);
}
</style>
