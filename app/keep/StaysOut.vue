<script setup lang="ts">
import { asideWords, type SetAside } from '../../core/formats/salvage'
import { plural } from '../look/figures'

/** What of a file could not be taken, place by place: the same wherever a file is read in. */
defineProps<{ aside: readonly SetAside[] }>()
/** Places that are listed at once. */
const LISTED = 40
</script>

<template>
  <div v-if="aside.length" data-stays-out>
    <p class="careful">
      {{ plural(aside.length, 'thing') }} in the file could not be taken and
      {{ aside.length === 1 ? 'stays' : 'stay' }} out:
    </p>
    <ul class="small">
      <li v-for="one in aside.slice(0, LISTED)" :key="one.place">{{ asideWords(one) }}</li>
      <li v-if="aside.length > LISTED">and {{ aside.length - LISTED }} more</li>
    </ul>
  </div>
</template>

<style scoped>
li {
  padding: 3px 0;
  overflow-wrap: anywhere;
}
</style>
