<script setup lang="ts">
import { useAct } from './act'

/**
 * A button for work that takes its time: while it is at it, further presses do nothing, and it says that it is busy.
 */
const props = defineProps<{ act: (event?: Event) => unknown }>()
const { run, busy } = useAct((event?: Event) => props.act(event))
</script>

<template>
  <v-btn :aria-busy="busy || undefined" @click="run"><slot /></v-btn>
</template>
