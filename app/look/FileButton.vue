<script setup lang="ts">
/** A button that lets a file be chosen; the same file can be chosen again. */
defineProps<{ accept: string }>()
const emit = defineEmits<{ pick: [file: File] }>()
function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) emit('pick', file)
}
</script>

<template>
  <label class="file">
    <span><slot /></span>
    <input type="file" :accept="accept" @change="pick" />
  </label>
</template>

<style scoped>
.file {
  position: relative;
  justify-self: start;
  border: 1px solid var(--ink);
  border-radius: var(--radius);
  padding: 10px 14px;
  font-weight: 650;
  cursor: pointer;
  background: var(--card);
}
.file:focus-within {
  outline: 3px solid var(--go);
}
.file input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
</style>
