<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useFinder, type Found } from './finder'

const finder = useFinder()
const router = useRouter()
const at = ref(0)
watch(
  () => [finder.text, finder.open],
  () => (at.value = 0),
)

function go(found: Found | undefined) {
  if (!found) return
  finder.open = false
  finder.text = ''
  void router.push(found.to)
}
function move(by: number) {
  at.value = Math.max(0, Math.min(finder.found.length - 1, at.value + by))
}
</script>

<template>
  <v-dialog v-model="finder.open" aria-label="Find">
    <div class="sheet">
      <label class="field">
        <span>Find a joint, a coupon or a glue</span>
        <input
          v-model="finder.text"
          class="plain"
          type="search"
          autofocus
          role="combobox"
          aria-expanded="true"
          aria-controls="found"
          :aria-activedescendant="finder.found[at] ? `found-${at}` : undefined"
          @keydown.down.prevent="move(1)"
          @keydown.up.prevent="move(-1)"
          @keydown.enter.prevent="go(finder.found[at])"
        />
      </label>
      <ul id="found" role="listbox" aria-label="Found">
        <li
          v-for="(found, i) in finder.found"
          :id="`found-${i}`"
          :key="found.key"
          role="option"
          :aria-selected="i === at"
          :class="{ on: i === at }"
          @click="go(found)"
        >
          <span>{{ found.label }}</span><span class="mute small">{{ found.what }}</span>
        </li>
      </ul>
      <p v-if="!finder.found.length" class="mute">Nothing here is called that.</p>
    </div>
  </v-dialog>
</template>

<style scoped>
ul {
  margin-top: 10px;
  max-height: 50vh;
  overflow: auto;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 11px 10px;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
li.on {
  background: var(--bg);
  box-shadow: inset 3px 0 0 var(--go);
}
</style>
