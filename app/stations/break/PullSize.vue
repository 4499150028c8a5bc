<script setup lang="ts">
import { computed, ref } from 'vue'
import { sizeNames, type SizeKey } from '../../../core/knowledge/testKinds'
import { capital } from '../../look/figures'
import FieldPart from '../../look/FieldPart'

/** What the load is divided by: the planned sizes, until the maker has measured others. */
const size = defineModel<Partial<Record<SizeKey, string>>>({ required: true })
const props = defineProps<{ planned: Partial<Record<SizeKey, string>>; logged: boolean }>()
const keys = computed(() => Object.keys(size.value) as SizeKey[])
const open = ref(false)
const measured = computed(() => props.logged || keys.value.some((key) => size.value[key] !== props.planned[key]))
const words = computed(() =>
  keys.value
    .map((key) => {
      const { word, unit } = sizeNames[key]
      const typed = size.value[key]?.trim() || 'open'
      return `${word} ${typed}${/^[\d.,]+$/.test(typed) ? ` ${unit}` : ''}`
    })
    .join(', '),
)
</script>

<template>
  <details :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary class="num">{{ measured ? 'Measured' : 'Size as planned' }}: {{ words }}</summary>
    <div>
      <FieldPart
        v-for="key in keys"
        :key="key"
        :label="capital(sizeNames[key].word)"
        :name="key"
        :unit="sizeNames[key].unit"
      >
        <input v-model="size[key]" class="plain" inputmode="decimal" />
      </FieldPart>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 40px;
  padding: 8px 0;
}
div {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 10px;
}
</style>
