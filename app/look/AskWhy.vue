<script setup lang="ts">
import { useWhy, type Explanation } from './why'

// A figure or a word that can be opened in Why.
const props = defineProps<{ why: () => Explanation }>()
const panel = useWhy()
</script>

<template>
  <button type="button" class="ask-why" @click="panel.ask(props.why())">
    <slot /><span class="visually-hidden">, why?</span>
  </button>
</template>

<style scoped>
.ask-why {
  appearance: none;
  background: none;
  border: 0;
  padding: 2px 0;
  min-height: 28px;
  text-align: inherit;
  cursor: help;
  text-decoration: underline dotted var(--tick);
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
</style>
