<script setup lang="ts" generic="T extends string">
import { computed } from 'vue'
import FieldPart from './FieldPart'

/** Which column of a pasted table is what; none where it has no such column. */
const props = defineProps<{
  words: Readonly<Record<T, string>>
  mapping: Readonly<Record<T, number | null>>
  /** headings of the table; empty ones are told by their number */
  titles: readonly string[]
}>()
const emit = defineEmits<{ map: [mapping: Record<T, number | null>] }>()
const columns = computed(() => Object.keys(props.words) as T[])
function map(column: T, event: Event) {
  const { value } = event.target as HTMLSelectElement
  emit('map', { ...props.mapping, [column]: value === '' ? null : Number(value) })
}
</script>

<template>
  <fieldset class="maps">
    <legend class="visually-hidden">Which column is what</legend>
    <FieldPart v-for="column in columns" :key="column" :label="words[column]">
      <select class="plain" :value="mapping[column] ?? ''" @change="map(column, $event)">
        <option value="">none</option>
        <option v-for="(title, i) in titles" :key="i" :value="i">{{ title || `column ${i + 1}` }}</option>
      </select>
    </FieldPart>
  </fieldset>
</template>

<style scoped>
.maps {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
