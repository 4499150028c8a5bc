<script setup lang="ts">
import { computed } from 'vue'
import { faultAround } from './attempt'

/** What the last attempt of the form around it found wrong, where no field of it says so itself. */
const fault = faultAround()
const words = computed(() => (fault && !fault.claimed.value ? fault.problem.value : ''))
</script>

<template>
  <p v-if="words" class="problem" role="alert">{{ words }}</p>
</template>
