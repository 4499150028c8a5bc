<script setup lang="ts">
import { nextTick, onMounted, ref, watch } from 'vue'
import { useBriefEditor } from './editBrief'

/**
 * On a phone: the next open word of the sentence under the thumb, so that the brief is written without hunting for
 * words.
 */
const { brief } = useBriefEditor()
const asks = ref('')
let last: HTMLElement | null = null
const open = () => [...document.querySelectorAll<HTMLElement>('.sentence .word.open')]

/** The first open word behind the one opened last, in reading order; from the top again at the end. */
function next(): HTMLElement | null {
  const words = open()
  const behind = last && words.find((word) => last!.compareDocumentPosition(word) & Node.DOCUMENT_POSITION_FOLLOWING)
  return behind || (words[0] ?? null)
}
const look = () => void nextTick(() => (asks.value = next()?.textContent?.trim() ?? ''))
onMounted(look)
watch(() => brief.value, look, { flush: 'post' })

function go() {
  const word = next()
  if (!word) return
  last = word
  word.scrollIntoView({ block: 'center' })
  word.click()
  look()
}
/** Leaves a word open and goes on. */
function skip() {
  last = next()
  look()
}
</script>

<template>
  <div v-if="asks" class="next" aria-label="Next open word" role="group">
    <v-btn class="go" @click="go">Next: {{ asks }}</v-btn>
    <v-btn class="quiet" @click="skip">Skip</v-btn>
  </div>
</template>

<style scoped>
.next {
  display: none;
}
@media (max-width: 700px) {
  .next {
    position: fixed;
    left: 12px;
    right: 12px;
    bottom: 72px;
    z-index: 15;
    display: flex;
    gap: 4px;
    background: var(--bg);
    border-radius: var(--radius);
    padding: 4px;
  }
  .next .go {
    flex: 1;
    min-height: 52px;
  }
}
</style>
