<script setup lang="ts">
import { computed } from 'vue'
import type { Line } from '../briefWords/wordDef'
import { words, wordsOfLine } from '../words'
import BriefWord from '../words/BriefWord.vue'

/** Words that stand at the end of their line, each behind its lead: those that no line places itself. */
const props = defineProps<{ line: Line }>()
const placed = computed(() => wordsOfLine(props.line).flatMap((key) => (words[key].lead ? [key] : [])))
</script>

<template>
  <template v-for="key in placed" :key="key"> {{ words[key].lead }} <BriefWord :of="key" />.</template>
</template>
