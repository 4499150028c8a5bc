<script setup lang="ts">
import { computed, provide } from 'vue'
import type { Brief, Side } from '../../../../core/records/joint'
import { showMoney } from '../../../../core/quantities/money'
import { useBench } from '../../../bench/store'
import { useBriefEditor } from '../editBrief'
import { sideWords, words, type BriefWordKey, type SideWordKey, type WordDef } from '../words'
import DayWord from './DayWord.vue'
import PickWord from './PickWord.vue'
import PickWords from './PickWords.vue'
import { wordKey, wordMoves, wordProposed } from './moves'
import TypeWord from './TypeWord.vue'

/** One word of the sentence, by its field in the brief; with a side, by its field there. */
const props = defineProps<{ of: BriefWordKey | SideWordKey; side?: 'a' | 'b' }>()
const bench = useBench()
const { brief, view, useful, set, setSide } = useBriefEditor()
const key = props.side ? `${props.side}.${props.of}` : props.of
provide(wordKey, key)
/** Drawn as worth answering first. */
const MOST = 3
const moves = computed(() => useful.value.slice(0, MOST).includes(key))
provide(wordMoves, moves)
const proposed = computed(() => (view.value.joint.proposed ?? []).includes(key))
provide(wordProposed, proposed)

const def = computed((): WordDef => {
  if (!props.side) return words[props.of as BriefWordKey]
  return sideWords(props.side === 'a' ? 'A' : 'B', view.value[props.side]?.cls ?? null)[props.of as SideWordKey]
})
const value = computed((): unknown =>
  props.side ? brief.value[props.side][props.of as keyof Side] : brief.value[props.of as keyof Brief],
)
const text = computed(() => (typeof value.value === 'string' ? value.value : null))
const list = computed(() => (Array.isArray(value.value) ? (value.value as string[]) : null))
const show = computed(() => {
  if (props.of === 'maxCost') return (v: number) => showMoney(v, bench.bench?.currency)
  return def.value.kind === 'number' ? def.value.show : undefined
})
function put(next: unknown) {
  const { what, label } = def.value
  if (props.side) void setSide(props.side, { [props.of]: next } as Partial<Side>, what, label)
  else void set({ [props.of]: next } as Partial<Brief>, what, label)
}
/** A number in the unit that is typed: the record may hold it in another (hours, for one). */
const scale = computed(() => (def.value.kind === 'number' ? (def.value.scale ?? 1) : 1))
const number = computed(() => (typeof value.value === 'number' ? value.value * scale.value : null))
const plain = computed(() =>
  def.value.kind === 'number' && typeof value.value === 'number'
    ? `${+value.value.toPrecision(6)} ${def.value.unit}`.trim()
    : null,
)
const yesNo = computed(() =>
  def.value.kind === 'yes'
    ? [
        { value: 'yes', word: def.value.yes, gloss: def.value.hint },
        { value: 'no', word: def.value.no },
      ]
    : [],
)
</script>

<template>
  <PickWord
    v-if="def.kind === 'one'"
    :label="def.label"
    :ask="def.ask"
    :value="text"
    :choices="def.choices"
    @pick="put"
  >
    <slot />
  </PickWord>
  <PickWords
    v-else-if="def.kind === 'many'"
    :label="def.label"
    :ask="def.ask"
    :none="def.none"
    :value="list"
    :choices="def.choices"
    @pick="put"
  />
  <PickWord
    v-else-if="def.kind === 'yes'"
    :label="def.label"
    :ask="def.ask"
    :value="value === null ? null : value ? 'yes' : 'no'"
    :choices="yesNo"
    @pick="put($event === null ? null : $event === 'yes')"
  />
  <DayWord v-else-if="def.kind === 'day'" :label="def.label" :ask="def.ask" :value="text" @set="put" />
  <TypeWord
    v-else
    :label="def.label"
    :ask="def.ask"
    :value="number"
    :plain="plain"
    :dimension="def.dimension"
    :unit="def.unit"
    :least="def.least"
    :most="def.most"
    :whole="def.whole"
    :presets="def.presets"
    :hint="def.hint"
    :show="show"
    @set="put($event === null ? null : $event / scale)"
  />
</template>
