<script setup lang="ts">
import { schoolWords, type School } from '../../../core/screening/schools'
import ActButton from '../../look/ActButton.vue'

/** Where experienced makers disagree about this glue here: what both say, what settles it, and both ways at a press. */
defineProps<{
  schools: readonly School[]
  /** what a press does, null where both are in the round already or cannot be put side by side */
  bothWays: (school: School) => (() => unknown) | null
  name: string
}>()
</script>

<template>
  <section class="schools">
    <h4>Makers disagree</h4>
    <ul>
      <li v-for="school in schools" :key="school.id">
        <span
          >{{ schoolWords(school) }} <span class="mute">What settles it: {{ school.settle }}.</span></span
        >
        <ActButton v-if="bothWays(school)" class="quiet" :act="bothWays(school)!"
          >Put both ways into the round<span class="visually-hidden"
            >: {{ name }}, {{ school.question }}</span
          ></ActButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
}
h4 {
  margin: 4px 0;
  font-size: 0.9375rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 16px;
  font-size: 0.9375rem;
}
li > span {
  flex: 1 1 380px;
}
</style>
