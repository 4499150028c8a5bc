<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '../bench/store'
import { useFinder } from './finder'
import { foundFor, type Found } from './found'
import FieldPart from '../look/FieldPart'

const finder = useFinder()
const router = useRouter()
const bench = useBench()
const found = computed(() => foundFor(bench, finder.text))
const at = ref(0)
watch(
  () => [finder.text, finder.open],
  () => (at.value = 0),
)

function go(to: Found | undefined) {
  if (!to) return
  finder.open = false
  finder.text = ''
  void router.push(to.to)
}
function move(by: number) {
  at.value = Math.max(0, Math.min(found.value.length - 1, at.value + by))
}
</script>

<template>
  <v-dialog v-model="finder.open" aria-label="Find">
    <div class="sheet">
      <FieldPart label="Find a joint, a coupon or a glue">
        <input
          v-model="finder.text"
          class="plain"
          type="search"
          autofocus
          role="combobox"
          aria-expanded="true"
          aria-controls="found"
          :aria-activedescendant="found[at] ? `found-${at}` : undefined"
          @keydown.down.prevent="move(1)"
          @keydown.up.prevent="move(-1)"
          @keydown.enter.prevent="go(found[at])"
        />
      </FieldPart>
      <ul id="found" role="listbox" aria-label="Found">
        <li
          v-for="(one, i) in found"
          :id="`found-${i}`"
          :key="one.key"
          role="option"
          :aria-selected="i === at"
          :class="{ on: i === at }"
          @click="go(one)"
        >
          <span>{{ one.label }}</span><span class="mute small">{{ one.what }}</span>
        </li>
      </ul>
      <p v-if="!found.length" class="mute">Nothing here is called that.</p>
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
