<script setup lang="ts">
import { computed, inject, nextTick, ref } from 'vue'
import { VBottomSheet } from 'vuetify/components/VBottomSheet'
import { VMenu } from 'vuetify/components/VMenu'
import { useNarrow } from '../../../look/narrow'
import { useBriefEditor } from '../editBrief'
import { wordKey, wordMoves, wordProposed } from './moves'

/** One word of the sentence: a button that opens what can stand there. Open words ask; they never mean "no". */
const props = defineProps<{
  /** what the word is about, for those who do not see the sentence */
  label: string
  /** what stands there; empty while it is open */
  text: string
  /** what the open word asks */
  ask: string
  number?: boolean
  /** the word’s key in the brief, where nothing around it tells */
  word?: string
  /** a usual joint proposed it, and nobody has confirmed it */
  proposed?: boolean
}>()
const emit = defineEmits<{ opened: []; clear: [] }>()
const open = ref(false)
const { begin } = useBriefEditor()
const narrow = useNarrow()
const moves = inject(wordMoves, ref(false))
const key = inject(wordKey, props.word ?? '')
const offered = inject(wordProposed, ref(false))
const proposed = computed(() => Boolean(props.text) && (offered.value || props.proposed))
// On a phone the answers come up from below, where the thumb is.
const panel = computed(() => (narrow.value ? VBottomSheet : VMenu))
const place = computed(() => (narrow.value ? {} : { location: 'bottom start' as const, maxWidth: 420 }))
const body = ref<HTMLElement>()

async function onOpen(isOpen: boolean) {
  if (!isOpen) return
  begin()
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
  <component :is="panel" v-model="open" v-bind="place" @update:model-value="onOpen">
    <template #activator="{ props: activator }">
      <!-- A span, not a button: buttons cannot break over two lines, and these are words of a sentence. -->
      <span
        v-bind="activator"
        class="word"
        :data-word="key"
        role="button"
        tabindex="0"
        :class="{ open: !props.text, num: props.number, moves: !props.text && moves, proposed }"
        :aria-label="`${props.label}: ${props.text || 'open'}${proposed ? ', proposed' : ''}`"
        @keydown.enter.prevent="($event.currentTarget as HTMLElement).click()"
        @keydown.space.prevent="($event.currentTarget as HTMLElement).click()"
        >{{ props.text || props.ask }}</span
      >
    </template>
    <div ref="body" class="sheet" :class="{ narrow }" role="group" :aria-label="props.label" @keydown.esc.stop="close">
      <p v-if="narrow" class="asked">{{ props.label }}</p>
      <slot :close="close" />
      <v-btn v-if="props.text" class="quiet leave" @click="clear">Leave it open</v-btn>
    </div>
  </component>
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
.word.open.moves {
  text-decoration-color: var(--go);
  color: var(--ink);
}
.word.proposed {
  text-decoration: underline dotted var(--go) 3px;
}
.word:hover {
  background: var(--card);
}
.sheet {
  width: min(400px, calc(100vw - 32px));
  max-height: min(460px, 70vh);
  overflow: auto;
}
.sheet.narrow {
  width: 100%;
  max-height: 72vh;
  border-width: 2px 0 0;
  border-radius: 0;
  padding-bottom: 24px;
}
.asked {
  font-weight: 680;
  padding: 0 8px 8px;
}
.leave {
  margin-top: 8px;
}
</style>
