<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Brief, Side } from '../../../../core/records/joint'
import { showMoney } from '../../../../core/quantities/money'
import { useBench } from '../../../bench/store'
import { plural } from '../../../look/figures'
import { useBriefEditor } from '../editBrief'
import type { Line } from '../briefWords/wordDef'
import { sideWords, words, wordsOfLine, type BriefWordKey, type SideWordKey } from '../words'
import LineEnd from './LineEnd.vue'
import { saidWord } from '../words/saidWord'

/** A line of the sentence that opens: closed it shows what was said and what is worth saying. */
const props = defineProps<{
  /** how the line begins, such as “It meets” */
  begins: string
  /** whose words stand in it */
  line: Line
  /** words of a side beside them, such as “a.traits” */
  sides?: readonly `${'a' | 'b'}.${SideWordKey}`[]
}>()
const bench = useBench()
const { brief, view, useful } = useBriefEditor()
const open = ref(false)

const of = computed(() => [...wordsOfLine(props.line), ...(props.sides ?? [])])

function saidOf(key: string): string {
  const [which, field] = key.split('.') as ['a' | 'b', SideWordKey | undefined]
  if (field) {
    const def = sideWords(which === 'a' ? 'A' : 'B', view.value[which]?.cls ?? null)[field]
    const said = saidWord(def, brief.value[which][field as keyof Side])
    // “Nothing special” is worth no place in a short line.
    return def.kind === 'many' && said === def.none ? '' : said
  }
  const money = key === 'maxCost' ? (value: number) => `${showMoney(value, bench.bench?.currency)} at most` : undefined
  return saidWord(words[key as BriefWordKey], brief.value[key as keyof Brief], money)
}
const said = computed(() => of.value.map(saidOf).filter(Boolean))
const proposed = computed(() => of.value.some((key) => view.value.joint.proposed?.includes(key)))
const worth = computed(() => of.value.filter((key) => useful.value.includes(key)).length)
</script>

<template>
  <details class="line" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      <b>{{ begins }}</b>
      <span class="said" :class="{ proposed, mute: !said.length }">{{
        said.length ? said.join(' · ') : 'nothing said yet'
      }}</span>
      <span v-if="worth" class="worth">{{ plural(worth, 'open word') }} would change the list</span>
    </summary>
    <p><slot /><LineEnd :line="line" /></p>
  </details>
</template>

<style scoped>
.line {
  border-top: 1px solid var(--line);
  font-size: 1rem;
}
summary {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
  min-height: 44px;
  padding: 9px 0;
  line-height: 1.5;
}
summary::before {
  content: '▸';
}
.line[open] summary::before {
  content: '▾';
}
.said {
  flex: 1 1 220px;
  min-width: 0;
}
.line:not([open]) .said {
  overflow: hidden;
  text-overflow: ellipsis;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
}
.line[open] .said {
  height: 0;
  overflow: hidden;
  visibility: hidden;
}
.said.proposed {
  text-decoration: underline dotted var(--go) 2px;
  text-underline-offset: 4px;
}
.worth {
  color: var(--careful);
  font-size: 0.9375rem;
}
.line > p {
  font-size: 1.125rem;
  line-height: 1.8;
  padding-bottom: 10px;
}
</style>
