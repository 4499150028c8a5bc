<script setup lang="ts">
import { alarmsWanted } from '../../frame/alarmsWanted'
import { allowSound, ring } from '../../frame/sounds'

/** Sound, vibration, a screen that stays awake, a note from the background: asked for by a press. */
function turn() {
  alarmsWanted.value = !alarmsWanted.value
  if (!alarmsWanted.value) return
  allowSound()
  ring()
  // What the browser refuses is left out; the rest calls all the same.
  if ('Notification' in window && Notification.permission === 'default') void Notification.requestPermission()
}
</script>

<template>
  <section aria-labelledby="call-me">
    <h2 id="call-me">Call me</h2>
    <p class="mute small">
      {{
        alarmsWanted
          ? 'This device sounds and vibrates when a step is due and a minute before it is too late; ' +
            'its screen stays awake.'
          : 'This device keeps quiet.'
      }}
    </p>
    <v-btn class="alt" :aria-pressed="alarmsWanted" @click="turn">{{
      alarmsWanted ? 'Keep quiet' : 'Sound when a step is due'
    }}</v-btn>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
