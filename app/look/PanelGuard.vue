<script setup lang="ts">
import { inject, onErrorCaptured, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sayError } from '../../core/messages'
import { panelHelp } from './panelHelp'

/** Keeps a fault in one panel from blanking the page: the panel says what went wrong, with the bench file at hand. */
defineProps<{ name: string }>()
const route = useRoute()
const help = inject(panelHelp, null)
const fault = ref<string | null>(null)
// How Vue says that a part could not be drawn: by its name in development, by its number in the built app.
const drawing = /setup function|render function|component update|#runtime-(0|1|15)$/

onErrorCaptured((error, _part, info) => {
  console.error(error)
  help?.note(error)
  const words = sayError(error)
  if (drawing.test(info)) fault.value = words
  else help?.tell(words)
  return false
})
watch(
  () => route.fullPath,
  () => (fault.value = null),
)
</script>

<template>
  <section v-if="fault" class="card guard" role="alert">
    <h2>{{ name }} cannot be shown</h2>
    <p>
      Something that stands in the records could not be drawn: {{ fault }}. Nothing is lost; take the last change back,
      correct it at its station, or save a bench file.
    </p>
    <div class="acts">
      <v-btn class="alt" @click="fault = null">Try again</v-btn>
      <v-btn v-if="help" class="alt" @click="help.saveFile()">Save a bench file</v-btn>
      <router-link :to="{ name: 'happened', query: { from: String(route.name ?? '') } }"
        >Copy what happened</router-link
      >
    </div>
  </section>
  <slot v-else />
</template>

<style scoped>
.guard {
  display: grid;
  gap: 10px;
  margin: 16px;
  border-left: 6px solid var(--fails);
}
</style>
