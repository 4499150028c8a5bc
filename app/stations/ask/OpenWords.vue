<script setup lang="ts">
import { computed } from 'vue'
import { families, familyOf } from '../../../core/knowledge/families'
import type { OpenWord } from '../../../core/screening/openWords'
import AskWhy from '../../look/AskWhy.vue'
import { plural } from '../../look/figures'
import type { Explanation } from '../../look/why'
import { openQuestions } from './words'

/** Open words that would change the shortlist, the most useful first, each with a way to find out. */
const props = defineProps<{ words: readonly OpenWord[] }>()
const numbers = ['', 'One open word', 'Two open words', 'Three open words']
const shown = computed(() => props.words.slice(0, 3))
const why = (word: OpenWord): Explanation => ({
  about: `open word: ${openQuestions(word.key).word.toLowerCase()}`,
  lines: [
    'Depending on the answer these glues are judged otherwise: ' +
      `${word.moved.map((id) => familyOf(id).name).join('; ')}.`,
  ],
  change: [openQuestions(word.key).find],
  source: ['Counted by answering the word in each way and judging all families anew; nothing else is changed.'],
})
</script>

<template>
  <section v-if="shown.length" class="open" aria-labelledby="open-words">
    <h2 id="open-words">
      {{ numbers[shown.length] }} would change the shortlist most<template v-if="words.length > shown.length">
        <span class="mute rest">&nbsp;of {{ words.length }} that would change it</span></template
      >
    </h2>
    <ul>
      <li v-for="word in shown" :key="word.key">
        <b>{{ openQuestions(word.key).word }}.</b> If you can tell,
        <AskWhy :why="() => why(word)"
          >{{ plural(word.families, 'glue') }} of {{ families.length }}
          {{ word.families === 1 ? 'moves' : 'move' }}</AskWhy
        >. {{ openQuestions(word.key).find }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.open {
  border-top: 1px solid var(--line);
  padding-top: 14px;
  width: 100%;
}
.rest {
  font-weight: 400;
  font-size: 0.9375rem;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 22px;
  margin-top: 8px;
}
</style>
