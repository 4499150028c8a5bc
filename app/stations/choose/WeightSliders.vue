<script setup lang="ts">
import { computed } from 'vue'
import type { School } from '../../../core/choice/rank'
import type { Moves, WeightGroup } from '../../../core/choice/whatIf'
import type { Criterion } from '../../../core/records/round'
import { kindWords } from '../../bench/kindWords'
import ActButton from '../../look/ActButton.vue'
import AskWhy from '../../look/AskWhy.vue'
import { moveWords } from './weighWords'
import { whyMove } from './whyCounted'

/** Weights to be tried: all follows at once, and nothing is kept until it is said so. */
const props = defineProps<{
  groups: readonly WeightGroup[]
  weightOf: (kind: Criterion) => number
  moves: Record<School, Moves[]> | null
  movesOpen: boolean
  changed: boolean
  late: boolean
  keep: () => Promise<boolean>
}>()
const emit = defineEmits<{ try: [kind: Criterion, weight: number]; reset: [] }>()
const MOST = 5
const byGroup = computed(() => new Map((props.moves?.points ?? []).map((one) => [one.group, one])))
const moveOf = (id: string) => byGroup.value.get(id) ?? null
/** A weight is a whole number from nothing to five, whatever a browser makes of its slider. */
function value(event: Event): number {
  const typed = Math.round(Number((event.target as HTMLInputElement).value))
  return Number.isFinite(typed) ? Math.min(MOST, Math.max(0, typed)) : 0
}
</script>

<template>
  <div class="weights" data-weights>
    <div v-for="{ id } in groups" :key="id" class="line">
      <label>
        <span>{{ kindWords[id as Criterion] }}</span>
        <input
          type="range"
          min="0"
          :max="MOST"
          step="1"
          :value="weightOf(id as Criterion)"
          @input="emit('try', id as Criterion, value($event))"
        />
        <b class="num">{{ weightOf(id as Criterion) }}</b>
      </label>
      <AskWhy v-if="moveOf(id)" class="small mute" :why="() => whyMove(kindWords[id as Criterion], moveOf(id)!)">{{
        moveWords(moveOf(id)!)
      }}</AskWhy>
      <span v-else class="small mute">{{ movesOpen ? 'how far it may move is not known' : '…' }}</span>
    </div>
    <p v-if="changed" class="acts" role="status">
      <span>Only tried: nothing of it is kept yet.</span>
      <ActButton class="alt" :act="keep">Keep these weights</ActButton>
      <v-btn class="quiet" @click="emit('reset')">Back to those that were set</v-btn>
      <span v-if="late" class="careful">After the first pull a change is marked on the result.</span>
    </p>
  </div>
</template>

<style scoped>
.weights {
  display: grid;
  gap: 2px;
}
label {
  display: contents;
}
.line {
  display: grid;
  grid-template-columns: 110px minmax(120px, 220px) 24px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  min-height: 44px;
}
input {
  accent-color: var(--go);
  width: 100%;
}
.acts {
  gap: 8px 14px;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 96px minmax(80px, 1fr) 20px;
  }
  .line > .small {
    grid-column: 1 / -1;
    margin-top: -8px;
  }
}
</style>
