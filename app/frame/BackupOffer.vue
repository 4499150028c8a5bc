<script setup lang="ts">
import { computed } from 'vue'
import { lastFileAt, wantsFile } from '../keep/lastFile'
import { useMinute } from '../bench/clock'
import { useBench } from '../bench/store'
import { momentName } from '../look/times'
import { useTimers } from './timers'

/** After an evening with changes a file outside the browser is offered. */
const bench = useBench()
const now = useMinute()
const { timers } = useTimers()
const changedAt = computed(() => bench.history()[0]?.at ?? 0)
const fileAt = computed(() => (bench.id === null ? 0 : lastFileAt(bench.id)))
const offered = computed(
  () => bench.bench?.kind === 'own' && wantsFile(changedAt.value, fileAt.value, timers.value.length > 0, now.value),
)
</script>

<template>
  <template v-if="offered">
    <h2>Keep it</h2>
    <p>
      What was changed since
      {{ fileAt ? `the last bench file, ${momentName(fileAt, now)},` : 'the beginning' }} lies in this browser alone.
      <router-link :to="{ name: 'files' }">Keep a bench file</router-link>
    </p>
  </template>
</template>
