<script setup lang="ts">
import { computed, ref } from 'vue'
import { dayName } from '../../../look/times'
import SentenceWord from './SentenceWord.vue'
import FieldPart from '../../../look/FieldPart'

const props = defineProps<{ label: string; ask: string; value: string | null }>()
const emit = defineEmits<{ set: [value: string | null] }>()
const typed = ref('')
const text = computed(() => (props.value ? dayName(props.value) : ''))
</script>

<template>
  <SentenceWord :label="label" :ask="ask" :text="text" number @opened="typed = value ?? ''" @clear="emit('set', null)">
    <template #default="{ close }">
      <form class="line" @submit.prevent="typed && (emit('set', typed), close())">
        <FieldPart :label="label">
          <input v-model="typed" class="plain" type="date" required />
        </FieldPart>
        <v-btn class="go" type="submit">Set</v-btn>
      </form>
    </template>
  </SentenceWord>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  align-items: end;
}
</style>
