<script setup lang="ts">
import { computed, ref } from 'vue'
import { materialClasses } from '../../../../core/knowledge/materials'
import { materialOf } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import ChoiceList from './ChoiceList.vue'
import SentenceWord from './SentenceWord.vue'

const props = defineProps<{ label: string; ask: string; value: string | null }>()
const emit = defineEmits<{ pick: [value: string | null] }>()
const bench = useBench()
const typed = ref('')
const text = computed(() => {
  const name = materialOf(bench, props.value)?.name ?? ''
  return name.replace(/^([A-Z])(?=[a-z])/, (first) => first.toLowerCase())
})
const choices = computed(() => {
  const wanted = typed.value.trim().toLowerCase()
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
  return [...own, ...classes].filter((choice) =>
    `${choice.word} ${choice.gloss} ${choice.value}`.toLowerCase().includes(wanted),
  )
})
</script>

<template>
  <SentenceWord :label="label" :ask="ask" :text="text" @opened="typed = ''" @clear="emit('pick', null)">
    <template #default="{ close }">
      <label class="field">
        <span>Find a material</span>
        <input
          v-model="typed"
          class="plain"
          type="search"
          placeholder="foam, cloth, printed…"
          autocomplete="off"
          @keydown.enter.prevent="choices[0] && (emit('pick', choices[0].value), close())"
        />
      </label>
      <ChoiceList :choices="choices" :chosen="value ? [value] : []" @choose="(emit('pick', $event), close())" />
      <p v-if="!choices.length" class="mute small">
        None of the tables or your shelf is called that. Add your own on the Shelf, as one of the known classes.
      </p>
    </template>
  </SentenceWord>
</template>
