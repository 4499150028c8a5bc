<script setup lang="ts" generic="T extends string">
/** One of a few things that are shown or printed, as buttons beside each other; none of them is a form's answer. */
defineProps<{ options: readonly { value: T; words: string }[]; label: string }>()
const chosen = defineModel<T | null>({ required: true })
</script>

<template>
  <div class="one-of" role="group" :aria-label="label">
    <v-btn
      v-for="{ value, words } in options"
      :key="value"
      :class="value === chosen ? 'alt' : 'quiet'"
      :aria-pressed="value === chosen"
      @click="chosen = value"
      >{{ words }}</v-btn
    >
  </div>
</template>

<style scoped>
.one-of {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
