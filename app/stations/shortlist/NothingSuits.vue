<script setup lang="ts">
import { computed } from 'vue'
import { changesThatHelp, mechanical } from '../../../core/screening/changes'
import type { Setting } from '../../../core/screening/shortlist'
import { plural } from '../../look/figures'

/** Where no glue suits: what to change in the joint, by how many glues it would win. */
const props = defineProps<{ setting: Setting; some: boolean }>()
const changes = computed(() => changesThatHelp(props.setting).slice(0, 3))
const names = (gains: (typeof changes.value)[number]['gains']) =>
  gains
    .slice(0, 4)
    .map(({ product, family }) => product?.name ?? family.name)
    .join('; ')
</script>

<template>
  <section class="nothing" aria-labelledby="nothing">
    <h2 id="nothing">
      {{ some ? 'Nothing suits as it is: change the joint' : 'Every glue is ruled out: change the joint' }}
    </h2>
    <ul>
      <li v-for="change in changes" :key="change.id">
        <b>{{ change.words }}.</b>
        {{ plural(change.gains.length, 'glue') }} would suit then: {{ names(change.gains)
        }}{{ change.gains.length > 4 ? ' and others' : '' }}.
      </li>
      <li>
        <b>{{ mechanical.split(':')[0] }}:</b>{{ mechanical.split(':')[1] }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.nothing {
  border-left: 3px solid var(--careful);
  padding: 4px 0 4px 16px;
}
ul {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
</style>
