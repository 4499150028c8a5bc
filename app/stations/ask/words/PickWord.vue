<script setup lang="ts">
import { computed } from 'vue'
import ChoiceList, { type Choice } from './ChoiceList.vue'
import SentenceWord from './SentenceWord.vue'

// One answer of a few.
const props = defineProps<{ label: string; ask: string; value: string | null; choices: readonly Choice[] }>()
const emit = defineEmits<{ pick: [value: string | null] }>()
const text = computed(() => props.choices.find((choice) => choice.value === props.value)?.word ?? '')
</script>

<template>
  <SentenceWord :label="label" :ask="ask" :text="text" @clear="emit('pick', null)">
    <template #default="{ close }">
      <ChoiceList
        :choices="choices"
        :chosen="value === null ? [] : [value]"
        @choose="(emit('pick', $event), close())"
      />
      <slot />
    </template>
  </SentenceWord>
</template>
