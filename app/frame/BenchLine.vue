<script setup lang="ts">
import { ref } from 'vue'
import { useMinute } from '../bench/clock'
import type { BenchListing } from '../bench/library'
import ActButton from '../look/ActButton.vue'
import { momentName } from '../look/figures'

/** One bench of this browser: opened, put back as it was, or taken away after a second look. */
defineProps<{
  one: BenchListing
  isOpen: boolean
  /** why it could not be opened */
  broken: string | undefined
  open: () => Promise<void>
  reset: () => Promise<void>
  away: () => Promise<void>
}>()
const now = useMinute()
const leaving = ref(false)
</script>

<template>
  <li>
    <div>
      <strong>{{ one.name }}</strong>
      <span v-if="one.kind === 'demo'" class="mute"> · demo bench</span>
      <span v-if="isOpen" class="holds"> · open</span>
      <div class="mute small">opened {{ momentName(one.openedAt, now) }}</div>
      <div v-if="broken" class="fails small">cannot be opened: {{ broken }}</div>
    </div>
    <div class="acts">
      <ActButton v-if="!isOpen" class="alt" :act="open"
        >Open<span class="visually-hidden"> {{ one.name }}</span></ActButton
      >
      <ActButton v-if="one.kind === 'demo'" class="quiet" :act="reset">Reset the demo</ActButton>
      <v-btn class="quiet" @click="leaving = true"
        >Take away<span class="visually-hidden"> {{ one.name }}</span></v-btn
      >
    </div>
    <div v-if="leaving" class="sure" role="alert">
      <span
        >All of “{{ one.name }}” goes out of this browser for good. Save a bench file first if you may want it
        again.</span
      >
      <ActButton class="alt" :act="away">Take it away for good</ActButton>
      <v-btn class="quiet" @click="leaving = false">Keep it</v-btn>
    </div>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.sure {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  border-left: 4px solid var(--fails);
  padding-left: 12px;
}
</style>
