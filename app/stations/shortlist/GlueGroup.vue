<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Helper } from '../../../core/knowledge/vocabulary'
import type { Candidate } from '../../../core/screening/shortlist'
import { useGradual } from '../../look/gradually'
import GlueLine from './GlueLine.vue'

/** The glues of one verdict, a line each; the first few, until the others are asked for. */
const props = defineProps<{
  candidates: readonly Candidate[]
  /** how many are shown at first */
  shownAtFirst: number
  /** what the others do, such as “that suit” */
  others: string
  /** what a line knows beside its glue */
  line: (candidate: Candidate) => Omit<InstanceType<typeof GlueLine>['$props'], 'candidate'>
}>()
const emit = defineEmits<{
  pick: [candidate: Candidate, helpers: readonly Helper[], anyway: boolean]
  compare: [candidate: Candidate]
}>()
const all = ref(false)
/** Lines that one frame can take. */
const A_FRAME = 6
const meant = computed(() =>
  all.value ? props.candidates.length : Math.min(props.candidates.length, props.shownAtFirst),
)
const drawn = useGradual(() => meant.value, A_FRAME)
const shown = computed(() => props.candidates.slice(0, drawn.value))
const left = computed(() => props.candidates.length - meant.value)
const list = useTemplateRef<HTMLElement>('list')
/** Whoever works by keys goes on at the first of those that were hidden. */
async function showAll() {
  const before = shown.value.length
  all.value = true
  await nextTick()
  list.value?.children[before]?.querySelector<HTMLElement>('.acts button')?.focus()
}
</script>

<template>
  <ul ref="list">
    <GlueLine
      v-for="one in shown"
      :key="one.key"
      :candidate="one"
      v-bind="line(one)"
      @pick="(helpers, anyway) => emit('pick', one, helpers, anyway)"
      @compare="emit('compare', one)"
    />
  </ul>
  <v-btn v-if="left > 0" class="quiet more" @click="showAll">Show the other {{ left }} {{ others }}</v-btn>
</template>

<style scoped>
.more {
  margin-left: -8px;
}
</style>
