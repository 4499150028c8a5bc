<script setup lang="ts">
import { computed } from 'vue'
import type { Grade } from '../../../core/readings/grades'
import { gradingOf, type TestId } from '../../../core/knowledge/testKinds'
import type { PullForm } from './pullForm'

/** What is looked at or worked on, each in three steps, with targets for messy hands. */
const props = defineProps<{ test: TestId }>()
const form = defineModel<PullForm>({ required: true })
const kind = computed(() => gradingOf(props.test)!)
const grades: Grade[] = [0, 1, 2]
</script>

<template>
  <div class="grades">
    <fieldset v-if="kind.looks.length">
      <legend>Looked at</legend>
      <label v-for="look in kind.looks" :key="look.hours"
        ><input v-model="form.afterH" type="radio" name="after" :value="look.hours" /> {{ look.word }}</label
      >
    </fieldset>
    <fieldset v-for="one in kind.what" :key="one.id" class="one">
      <legend>{{ one.word.replace(/^./, (c) => c.toUpperCase()) }}</legend>
      <label v-for="grade in grades" :key="grade" :class="{ on: form.grades[one.id] === grade }"
        ><input v-model="form.grades[one.id]" type="radio" :name="one.id" :value="grade" />
        {{ kind.steps[grade] }}</label
      >
    </fieldset>
  </div>
</template>

<style scoped>
.grades {
  display: grid;
  gap: 8px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
legend {
  font-weight: 650;
  padding-bottom: 2px;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 48px;
  padding: 6px 14px 6px 10px;
}
.one label {
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
}
.one label.on {
  border-color: var(--ink);
  font-weight: 650;
}
</style>
