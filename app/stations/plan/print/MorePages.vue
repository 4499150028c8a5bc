<script setup lang="ts">
/** What is left out of a very long print, and the press that draws it: a page of labels costs a moment each. */
defineProps<{ rest: number; pages: number }>()
const emit = defineEmits<{ whole: [] }>()
</script>

<template>
  <p v-if="rest" class="no-print more" role="status">
    {{ pages - rest }} of {{ pages }} pages are drawn, and only these would be printed.
    <v-btn class="alt" @click="emit('whole')">Draw all {{ pages }} pages</v-btn>
  </p>
</template>

<style scoped>
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
</style>
