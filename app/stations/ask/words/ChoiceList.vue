<script setup lang="ts">
// A list of answers to choose from; arrow keys move, Enter or Space chooses.
export interface Choice {
  value: string
  word: string
  gloss?: string
}
defineProps<{ choices: readonly Choice[]; chosen: readonly string[] }>()
const emit = defineEmits<{ choose: [value: string] }>()

function move(event: KeyboardEvent, by: number) {
  const buttons = [...(event.currentTarget as HTMLElement).querySelectorAll('button')]
  const at = buttons.indexOf(document.activeElement as HTMLButtonElement)
  buttons[(at + by + buttons.length) % buttons.length]?.focus()
}
</script>

<template>
  <ul class="choices" @keydown.down.prevent.stop="move($event, 1)" @keydown.up.prevent.stop="move($event, -1)">
    <li v-for="choice in choices" :key="choice.value">
      <button type="button" :aria-pressed="chosen.includes(choice.value)" @click="emit('choose', choice.value)">
        <span class="tick" aria-hidden="true" />
        <span
          >{{ choice.word }}<small v-if="choice.gloss">{{ choice.gloss }}</small></span
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
button {
  appearance: none;
  background: none;
  border: 0;
  border-radius: var(--radius);
  width: 100%;
  min-height: 44px;
  padding: 7px 8px;
  display: flex;
  gap: 10px;
  align-items: baseline;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--bg);
}
button[aria-pressed='true'] {
  font-weight: 680;
}
small {
  display: block;
  color: var(--mute);
  font-weight: 400;
  font-size: 0.875rem;
}
.tick {
  flex: none;
  width: 12px;
  height: 12px;
  border: 1.5px solid var(--tick);
  border-radius: 2px;
}
[aria-pressed='true'] .tick {
  background: var(--go);
  border-color: var(--go);
}
</style>
