<script setup lang="ts">
import { computed } from 'vue'
import ChoiceList, { type Choice } from './ChoiceList.vue'
import SentenceWord from './SentenceWord.vue'

// Several answers at once; an empty list is an answer too ("nothing"), unlike an open word.
const props = defineProps<{
  label: string
  ask: string
  none: string
  value: readonly string[] | null
  choices: readonly Choice[]
}>()
const emit = defineEmits<{ pick: [value: string[] | null] }>()
const NONE = 'none'
const text = computed(() => {
  if (props.value === null) return ''
  const words = props.value.map((value) => props.choices.find((choice) => choice.value === value)?.word ?? value)
  return words.length ? words.join(', ').replace(/, ([^,]*)$/, ' and $1') : props.none
})
const all = computed(() => [...props.choices, { value: NONE, word: props.none }])
const chosen = computed(() => (props.value === null ? [] : props.value.length ? props.value : [NONE]))
function choose(value: string) {
  if (value === NONE) return emit('pick', [])
  const now = props.value ?? []
  emit('pick', now.includes(value) ? now.filter((one) => one !== value) : [...now, value])
}
</script>

<template>
  <SentenceWord :label="label" :ask="ask" :text="text" @clear="emit('pick', null)">
    <template #default="{ close }">
      <ChoiceList :choices="all" :chosen="chosen" @choose="choose" />
      <v-btn class="go" @click="close">Done</v-btn>
    </template>
  </SentenceWord>
</template>
