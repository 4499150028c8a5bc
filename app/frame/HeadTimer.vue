<script setup lang="ts">
import { computed } from 'vue'
import { countdown } from '../look/times'
import TapeLabel from '../look/TapeLabel.vue'
import { useTimers } from './timers'

/** The next clock that runs on this bench, in the head of every page. */
const { timers, now } = useTimers()
const next = computed(() => timers.value[0])
</script>

<template>
  <router-link v-if="next" class="timer" :to="next.to">
    <TapeLabel>{{ next.label }}</TapeLabel>
    <span class="what">{{ next.what }}</span>
    <span class="num">{{ next.at <= now ? 'now' : countdown(next.at - now) }}</span>
    <span v-if="timers.length > 1" class="more">+{{ timers.length - 1 }}</span>
  </router-link>
</template>

<style scoped>
.more {
  color: #bfd6cf;
}
@media (max-width: 1060px) {
  .what {
    display: none;
  }
}
@media (max-width: 700px) {
  .more {
    display: none;
  }
}
</style>
