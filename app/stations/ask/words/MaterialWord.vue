<script setup lang="ts">
import { computed, ref } from 'vue'
import { materialClasses } from '../../../../core/knowledge/materials'
import { differsFrom, find, namesOf } from '../../../../core/knowledge/names'
import { materialOf } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import ChoiceList from './ChoiceList.vue'
import SentenceWord from './SentenceWord.vue'
import FieldPart from '../../../look/FieldPart'

const props = defineProps<{ label: string; ask: string; value: string | null; word: string; proposed?: boolean }>()
const emit = defineEmits<{ pick: [value: string | null] }>()
const bench = useBench()
const typed = ref('')
const text = computed(() => {
  const name = materialOf(bench, props.value)?.name ?? ''
  return name.replace(/^([A-Z])(?=[a-z])/, (first) => first.toLowerCase())
})
const choices = computed(() => {
  const own = bench.all('material').map((material) => ({
    value: material.id,
    word: material.name,
    gloss: `own, ${materialOf(bench, material.classId)?.name ?? ''}`,
  }))
  const classes = materialClasses.map((material) => ({
    value: material.id,
    word: material.name,
    gloss: material.group,
  }))
  const all = [...own, ...classes]
  if (!typed.value.trim()) return all
  // By everyday names too, the best first; a maker's own names on top of them.
  const named = [...own.map(({ value, word }) => ({ id: value, names: [word] })), ...namesOf.material]
  const found = find(typed.value, named, all.length)
  return found.flatMap((id) => {
    const choice = all.find(({ value }) => value === id)
    const other = differsFrom(id, typed.value)
    if (!choice) return []
    return [other ? { ...choice, gloss: `nearest to ${other.name}, but ${other.differs}` } : choice]
  })
})
</script>

<template>
  <SentenceWord
    :label="label"
    :ask="ask"
    :text="text"
    :word="word"
    :proposed="proposed"
    @opened="typed = ''"
    @clear="emit('pick', null)"
  >
    <template #default="{ close }">
      <FieldPart label="Find a material">
        <input
          v-model="typed"
          class="plain"
          type="search"
          placeholder="cardboard, craft foam, tile…"
          autocomplete="off"
          @keydown.enter.prevent="choices[0] && (emit('pick', choices[0].value), close())"
        />
      </FieldPart>
      <ChoiceList :choices="choices" :chosen="value ? [value] : []" @choose="(emit('pick', $event), close())" />
      <p v-if="!choices.length" class="mute small">
        Nothing is called that in the tables or on your shelf. Take the class that behaves most like it, or add it on
        the Shelf as your own, on top of the nearest class.
      </p>
    </template>
  </SentenceWord>
</template>
