<script setup lang="ts">
import { computed } from 'vue'
import { directionRows, directions, directionsBefore, type Direction } from '../../../core/knowledge/directions'
import type { Arm } from '../../../core/records/round'

/** What each piece of a test is put through first: shaken, pulled straight, and so on, mildest first. */
const props = defineProps<{ arm: Arm; planned: boolean }>()
const emit = defineEmits<{ set: [first: Direction[], before: Direction[]] }>()
const offered = computed(() => directionsBefore(props.arm.test))
const first = computed(() => props.arm.first ?? [])
const words = computed(() => first.value.map((one) => directionRows[one].done).join(', then '))
function toggle(one: Direction, event: Event) {
  const on = (event.target as HTMLInputElement).checked
  const next = directions.filter((each) => (each === one ? on : first.value.includes(each)))
  emit('set', next, first.value)
}
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
      <input type="checkbox" :checked="first.includes(one)" @change="toggle(one, $event)" />
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
