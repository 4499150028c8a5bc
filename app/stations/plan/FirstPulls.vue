<script setup lang="ts">
import { computed } from 'vue'
import { directionRows, directionsBefore, type Direction } from '../../../core/knowledge/directions'
import type { Arm } from '../../../core/records/round'

/** What each piece of a test is put through first: shaken, pulled straight, and so on, mildest first. */
const props = defineProps<{ arm: Arm; planned: boolean }>()
const emit = defineEmits<{ toggle: [one: Direction, on: boolean] }>()
const offered = computed(() => directionsBefore(props.arm.test))
const first = computed(() => props.arm.first ?? [])
const words = computed(() => first.value.map((one) => directionRows[one].done).join(', then '))
const isOn = (event: Event) => (event.target as HTMLInputElement).checked
</script>

<template>
  <p v-if="planned && first.length" class="small">Before it, on the same piece: {{ words }}.</p>
  <details v-else-if="!planned && offered.length" class="small">
    <summary>Before it, on the same piece: {{ words || 'nothing' }}</summary>
    <p class="mute">
      Each is a reading of its own. They are the same pieces, so nothing is counted twice; what lets go before the test
      is named on the result.
    </p>
    <label v-for="one in offered" :key="one">
      <input type="checkbox" :checked="first.includes(one)" @change="emit('toggle', one, isOn($event))" />
      {{ directionRows[one].act.toLowerCase() }}
    </label>
  </details>
</template>

<style scoped>
summary {
  min-height: 28px;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
</style>
