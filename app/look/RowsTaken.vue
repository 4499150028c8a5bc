<script setup lang="ts">
import { plural } from './figures'

/** How many rows of a table can be taken in, and why the others cannot, by their line. */
defineProps<{ taken: number; bad: readonly { line: number; why: string }[] }>()
/** Bad rows that are listed at once. */
const LISTED = 40
</script>

<template>
  <p role="status" data-rows>
    {{ plural(taken, 'row') }} can be taken in<template v-if="bad.length">, {{ bad.length }} cannot:</template
    ><template v-else>.</template>
  </p>
  <ul v-if="bad.length" class="bad">
    <li v-for="one in bad.slice(0, LISTED)" :key="one.line">
      <b class="num">line {{ one.line }}</b> {{ one.why }}
    </li>
    <li v-if="bad.length > LISTED" class="mute">and {{ bad.length - LISTED }} more</li>
  </ul>
</template>

<style scoped>
.bad li {
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
</style>
