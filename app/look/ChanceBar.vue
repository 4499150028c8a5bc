<script setup lang="ts">
import { chanceWords } from '../../core/screening/chanceWords'

/** A chance as a bar and in words: how many of ten such joints would serve. */
defineProps<{ chance: number; tone: string }>()
</script>

<template>
  <span class="chance num" :class="tone">
    <svg viewBox="0 0 60 8" width="60" height="8" aria-hidden="true" focusable="false">
      <path d="M1 4H59" class="whole" />
      <path :d="`M1 4H${1 + 58 * chance}`" class="part" />
    </svg>
    <span><span class="visually-hidden">serves in </span>{{ chanceWords(chance) }}</span>
  </span>
</template>

<style scoped>
.chance {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}
path {
  fill: none;
  stroke-linecap: round;
}
.whole {
  stroke: var(--line);
  stroke-width: 6;
}
.part {
  stroke: currentColor;
  stroke-width: 6;
}
.chance > span {
  color: var(--ink);
}
</style>
