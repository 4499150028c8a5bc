<script setup lang="ts">
import { computed } from 'vue'
import type { GlueTask } from '../../../core/planning/gluing'
import { useBench } from '../../bench/store'
import { stepNotes, USES_GLUE, USES_TOOL } from './stepNotes'
import FieldPart from '../../look/FieldPart'
import { dateName } from '../../look/times'

/** What may be noted with a step: who, which clamp or pack, how much by weighing the bottle. All may stay open. */
const props = defineProps<{ task: GlueTask; mix: number | null }>()
const bench = useBench()
const kind = computed(() => props.task.step.kind)
const packs = computed(() => {
  const { adhesive } = props.task.procedure
  return adhesive === null ? [] : bench.of('stock', adhesive)
})
/** who was named on this bench so far */
const people = computed(() => [
  ...new Set(bench.all('coupon').flatMap(({ stamps }) => stamps.flatMap(({ by }) => by ?? []))),
])
</script>

<template>
  <details class="notes">
    <summary>
      Note who, with what, how much<template v-if="mix !== null"> · mix {{ mix }}</template>
    </summary>
    <div class="fields">
      <FieldPart label="Done by">
        <input v-model="stepNotes.by" class="plain" list="people" maxlength="60" />
      </FieldPart>
      <datalist id="people">
        <option v-for="one in people" :key="one" :value="one" />
      </datalist>
      <FieldPart v-if="USES_TOOL.has(kind)" label="Clamp, weight or lamp">
        <input v-model="stepNotes.tool" class="plain" maxlength="60" placeholder="clamp 3" />
      </FieldPart>
      <template v-if="USES_GLUE.has(kind)">
        <FieldPart v-if="packs.length > 1" label="Out of the pack">
          <select v-model="stepNotes.stock[task.procedure.id]" class="plain">
            <option :value="undefined">not said</option>
            <option v-for="one in packs" :key="one.id" :value="one.id">
              {{ one.batch || 'no batch' }}{{ one.openedOn ? `, opened ${dateName(one.openedOn)}` : ', unopened' }}
            </option>
          </select>
        </FieldPart>
        <FieldPart label="Bottle before">
          <input v-model="stepNotes.before" class="plain" placeholder="84.2 g" />
        </FieldPart>
        <FieldPart label="Bottle after">
          <input v-model="stepNotes.after" class="plain" placeholder="83.4 g" />
        </FieldPart>
      </template>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 40px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.field {
  flex: 1 1 140px;
}
</style>
