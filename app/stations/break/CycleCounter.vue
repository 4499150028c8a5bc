<script setup lang="ts">
import { ClickEar } from '../../instruments/knock'
import { useListening } from '../../instruments/useListening'

/** Counts cycles while both hands are busy: by a tap, by Space on its button, or by the clicks that it hears. */
const count = defineModel<number>({ required: true })
defineProps<{
  /** what is counted, in the plural */
  what: string
  /** how many are asked for; null: until it cracks */
  goal: number | null
}>()
const add = (by: number) => (count.value = Math.max(0, count.value + by))
const { listening, trouble, listen } = useListening(
  () => new ClickEar(),
  () => add(1),
)
</script>

<template>
  <div class="counter" role="group" :aria-label="`Count the ${what}`">
    <!-- Pressed fast, and a held key counts once: nothing is written by it. -->
    <button
      type="button"
      class="plus num"
      data-fast
      @keydown="$event.repeat && $event.preventDefault()"
      @click="add(1)"
    >
      <b>{{ count }}</b> <span>{{ what }}{{ goal === null ? '' : ` of ${goal}` }}: tap, or Space</span>
    </button>
    <div class="acts">
      <v-btn class="quiet" data-fast :disabled="count === 0" @click="add(-1)">One less</v-btn>
      <v-btn class="quiet" data-fast @click="add(10)">Ten more</v-btn>
      <v-btn class="quiet" @click="count = 0">From 0</v-btn>
      <v-btn class="quiet" :aria-pressed="listening" @click="listen">{{
        listening ? 'Stop listening' : 'Count the clicks it makes'
      }}</v-btn>
      <slot />
    </div>
    <p v-if="listening" class="mute small" role="status">Each click counts one. No sound is kept.</p>
    <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.counter {
  display: grid;
  gap: 8px;
  flex: 1 1 100%;
}
.plus {
  appearance: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
  min-height: 96px;
  padding: 10px 18px;
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
  text-align: left;
  cursor: pointer;
  touch-action: manipulation;
}
.plus b {
  font-size: clamp(3rem, 10vw, 5rem);
  line-height: 1;
}
.plus span {
  color: var(--mute);
}
</style>
