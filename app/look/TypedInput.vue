<script setup lang="ts">
import { ref, watch } from 'vue'

/** A field that keeps what is being typed while the page around it moves on (clocks do, every second), and gives it away when it is left or Enter is pressed. */
const props = defineProps<{ value: string | number | null | undefined }>()
const emit = defineEmits<{ set: [text: string] }>()
const shown = () => (props.value === null || props.value === undefined ? '' : String(props.value))
const text = ref(shown())
const typing = ref(false)
watch(
  () => props.value,
  () => !typing.value && (text.value = shown()),
)
function leave() {
  typing.value = false
}
function give() {
  emit('set', text.value)
}
</script>

<template>
  <input v-model="text" @focus="typing = true" @blur="leave" @change="give" />
</template>
