<script setup lang="ts">
import { inject, onMounted, onUnmounted, ref } from 'vue'
import { NEXT_FRAME } from './nextFrame'

/** What stands below the first screen: it is drawn once the page has been seen, so that its top is there at once. */
const nextFrame = inject(NEXT_FRAME, (run) => void requestAnimationFrame(run))
const seen = ref(false)
let gone = false
// The first frame is about to be drawn, the second comes after it.
onMounted(() => nextFrame(() => nextFrame(() => (seen.value = !gone))))
onUnmounted(() => (gone = true))
</script>

<template>
  <slot v-if="seen" />
</template>
