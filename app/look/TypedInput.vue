<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A field that keeps what is being typed while the page around it moves on (clocks do, every second), and gives it away
 * when it is left or Enter is pressed.
 */
const props = defineProps<{ value: string | number | null | undefined }>()
type Value = typeof props.value
const emit = defineEmits<{ set: [text: string, opened: Value] }>()
const shown = () => (props.value === null || props.value === undefined ? '' : String(props.value))
const text = ref(shown())
const typing = ref(false)
/** what stood there when the typing began: whoever writes it can tell that it was changed elsewhere meanwhile */
const opened = ref<Value>(props.value)
watch(
  () => props.value,
  () => !typing.value && (text.value = shown()),
)
function begin() {
  typing.value = true
  opened.value = props.value
}
function leave() {
  typing.value = false
}
function give() {
  emit('set', text.value, opened.value)
  opened.value = props.value
}
</script>

<template>
  <input v-model="text" @focus="begin" @blur="leave" @change="give" />
</template>
