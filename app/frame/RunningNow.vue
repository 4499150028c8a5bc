<script setup lang="ts">
import { countdown } from '../look/times'
import TapeLabel from '../look/TapeLabel.vue'
import { useTimers } from './timers'

/** The clocks that run on this bench, each to the piece that it is about. */
const { timers, now } = useTimers()
</script>

<template>
  <ol v-if="timers.length">
    <li v-for="timer in timers.slice(0, 7)" :key="timer.key">
      <span class="num when" :class="{ due: timer.at <= now }">{{
        timer.at <= now ? 'now' : countdown(timer.at - now)
      }}</span>
      <span>{{ timer.what }}</span>
      <router-link :to="timer.to"
        ><TapeLabel>{{ timer.label }}</TapeLabel></router-link
      >
    </li>
  </ol>
  <p v-else class="mute">No clock runs. It starts when a coupon’s glue is put on.</p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 84px 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
.when {
  font-weight: 680;
}
.when.due {
  color: var(--go);
}
</style>
