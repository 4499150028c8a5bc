<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { families, familyOf } from '../../../core/knowledge/families'
import type { OpenWord } from '../../../core/screening/openWords'
import AskWhy from '../../look/AskWhy.vue'
import { capital, plural } from '../../look/figures'
import { useNarrow } from '../../look/narrow'
import type { Explanation } from '../../look/why'
import { useBriefEditor } from './editBrief'
import { openBaseWords, openWord, placeOfWord } from './openWord'
import { openQuestions } from './words'

/**
 * One open word at a time: first those that every answer needs, then the one whose answer would move most glues. On a
 * phone it lies under the thumb.
 */
const props = defineProps<{ words: readonly OpenWord[] }>()
const { brief } = useBriefEditor()
const narrow = useNarrow()
const skipped = ref<readonly string[]>([])
const key = ref<string | null>(null)
const asks = ref('')

function look() {
  const fresh = (one: string) => !skipped.value.includes(one)
  const moving = props.words.map((word) => word.key).filter((one) => placeOfWord(one) !== null)
  key.value = openBaseWords().find(fresh) ?? moving.find(fresh) ?? null
  asks.value = key.value === null ? '' : (placeOfWord(key.value)?.textContent?.trim() ?? '')
}
const lookLater = () => void nextTick(look)
onMounted(lookLater)
watch([brief, () => props.words], lookLater, { flush: 'post' })

const moves = computed(() => props.words.find((word) => word.key === key.value) ?? null)
const question = computed(() => (key.value === null ? null : openQuestions(key.value)))
const movesWords = computed(() => {
  const glues = moves.value?.families ?? 0
  return `${plural(glues, 'glue')} of ${families.length} ${glues === 1 ? 'moves' : 'move'}`
})
const others = computed(() => props.words.filter((word) => word.key !== key.value).length)
const why = (word: OpenWord): Explanation => ({
  about: `open word: ${openQuestions(word.key).word.toLowerCase()}`,
  lines: [
    'Depending on the answer these glues are judged otherwise: ' +
      `${word.moved.map((id) => familyOf(id).name).join('; ')}.`,
  ],
  change: [openQuestions(word.key).find],
  source: ['Counted by answering the word in each way and judging all families anew; nothing else is changed.'],
})
const answer = () => key.value !== null && void openWord(key.value)
/** Leaves a word open and goes on. */
function skip() {
  if (key.value !== null) skipped.value = [...skipped.value, key.value]
  look()
}
</script>

<template>
  <div v-if="key" class="next" :class="{ narrow }" aria-label="Next open word" role="group">
    <p v-if="!narrow">
      <b>{{ capital(asks) }}</b>{{ question?.find ? ` ${question.find}` : '' }}
      <template v-if="moves"
        >{{ ' If you can tell, ' }}<AskWhy :why="() => why(moves!)">{{ movesWords }}</AskWhy
        >.
      </template>
      <span v-if="others" class="mute">{{ ` ${plural(others, 'other open word')} would change the list too.` }}</span>
    </p>
    <v-btn :class="narrow ? 'go' : 'alt'" @click="answer">{{ narrow ? `Next: ${asks}` : 'Answer it' }}</v-btn>
    <v-btn class="quiet" @click="skip">{{ narrow ? 'Skip' : 'Ask me another' }}</v-btn>
  </div>
</template>

<style scoped>
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  width: 100%;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.next p {
  flex: 1 1 420px;
}
.next.narrow {
  position: fixed;
  left: 12px;
  right: 12px;
  bottom: 72px;
  z-index: 15;
  flex-wrap: nowrap;
  gap: 4px;
  width: auto;
  background: var(--bg);
  border: 0;
  border-radius: var(--radius);
  padding: 4px;
}
.next.narrow .go {
  flex: 1;
  min-height: 52px;
}
</style>
