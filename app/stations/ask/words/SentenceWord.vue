<script setup lang="ts">
import { nextTick, ref } from 'vue'

/** One word of the sentence: a button that opens what can stand there. Open words ask; they never mean "no". */
const props = defineProps<{
  /** what the word is about, for those who do not see the sentence */
  label: string
  /** what stands there; empty while it is open */
  text: string
  /** what the open word asks */
  ask: string
  number?: boolean
}>()
const emit = defineEmits<{ opened: []; clear: [] }>()
const open = ref(false)
const body = ref<HTMLElement>()

async function onOpen(isOpen: boolean) {
  if (!isOpen) return
  emit('opened')
  await nextTick()
  requestAnimationFrame(() => body.value?.querySelector<HTMLElement>('input, [aria-pressed="true"], button')?.focus())
}
function close() {
  open.value = false
}
function clear() {
  emit('clear')
  close()
}
defineExpose({ close })
</script>

<template>
  <v-menu v-model="open" location="bottom start" max-width="420" @update:model-value="onOpen">
    <template #activator="{ props: activator }">
      <!-- A span, not a button: buttons cannot break over two lines, and these are words of a sentence. -->
      <span
        v-bind="activator"
        class="word"
        role="button"
        tabindex="0"
        :class="{ open: !props.text, num: props.number }"
        :aria-label="`${props.label}: ${props.text || 'open'}`"
        @keydown.enter.prevent="($event.currentTarget as HTMLElement).click()"
        @keydown.space.prevent="($event.currentTarget as HTMLElement).click()"
        >{{ props.text || props.ask }}</span
      >
    </template>
    <div ref="body" class="sheet" role="group" :aria-label="props.label" @keydown.esc.stop="close">
      <slot :close="close" />
      <v-btn v-if="props.text" class="quiet leave" @click="clear">Leave it open</v-btn>
    </div>
  </v-menu>
</template>

<style scoped>
.word {
  padding: 3px 1px;
  font: inherit;
  font-weight: 650;
  line-height: 1.35;
  text-decoration: underline var(--mat) 2px;
  text-underline-offset: 5px;
  cursor: pointer;
  text-align: left;
}
:root[data-theme='dark'] .word {
  text-decoration-color: var(--holds);
}
.word.open {
  text-decoration: underline dashed var(--tick) 2px;
  color: var(--mute);
  font-weight: 450;
}
.word:hover {
  background: var(--card);
}
.sheet {
  width: min(400px, calc(100vw - 32px));
  max-height: min(460px, 70vh);
  overflow: auto;
}
.leave {
  margin-top: 8px;
}
</style>
