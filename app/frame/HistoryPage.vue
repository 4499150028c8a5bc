<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import { sayError } from '../../core/messages'
import type { Entry } from '../../core/records/entry'
import { now as time, useMinute } from '../bench/clock'
import { UNDO_DEPTH } from '../bench/recent'
import { useBench } from '../bench/store'
import { useDrawnInPart } from '../look/drawInPart'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import { piece } from '../look/piece'
import ActButton from '../look/ActButton.vue'
import { benchFileName, saveFile } from './saveFile'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** What was changed on this bench: the newest at once, all of it when it is asked for, and as a file. */
const bench = useBench()
const now = useMinute()
const words = { edit: '', undo: 'taken back: ', redo: 'done again: ' }
/** entries from before those that are in memory */
const older = shallowRef<readonly Entry[] | null>(null)
const { clear, problem, refuse } = useAttempt()
const entries = computed(() => {
  const newest = bench.history()
  const ids = new Set(newest.map(({ id }) => id))
  return [...newest, ...(older.value ?? []).filter(({ id }) => !ids.has(id))]
})
const { shown, rest, whole } = useDrawnInPart(() => entries.value, 500)

async function all(): Promise<readonly Entry[]> {
  clear()
  try {
    return (older.value = await bench.wholeHistory())
  } catch (error) {
    refuse(`The older changes could not be read: ${sayError(error)}`)
    return []
  }
}
async function save() {
  const list = await all()
  if (problem.value) return
  const [{ sheetOf }, { csvText }] = await Promise.all([
    piece(() => import('../../core/formats/tabular')),
    piece(() => import('../bench/packageFile')),
  ])
  const rows = list.map(({ id, at, kind, label, changes }) => ({
    id,
    when: new Date(at).toISOString(),
    change: words[kind] + label,
    records: changes.length,
  }))
  const name = benchFileName(bench.bench?.name ?? '', time()).replace('.bench.json', '-history.csv')
  saveFile(name, csvText(sheetOf(rows)), 'text/csv;charset=utf-8')
}
</script>

<template>
  <main id="work" class="page">
    <h1>History</h1>
    <p class="mute">
      Every change, newest first. A change can be taken back; what was measured is corrected or set aside, never
      deleted.
    </p>
    <p v-if="entries.length" class="acts"><ActButton class="alt" :act="save">Save all of it as CSV</ActButton></p>
    <ProblemLine />
    <ol>
      <li v-for="entry in shown" :key="entry.id">
        <span class="num mute">{{ momentName(entry.at, now) }}</span>
        <span>{{ words[entry.kind] }}{{ entry.label }}</span>
      </li>
    </ol>
    <p v-if="rest">
      <v-btn class="quiet" @click="whole = true">Show {{ plural(rest, 'older change') }}</v-btn>
    </p>
    <p v-else-if="!older && entries.length >= UNDO_DEPTH">
      <ActButton class="quiet" :act="all">Show what came before</ActButton>
    </p>
    <p v-if="entries.length === 0">Nothing has been changed on this bench yet.</p>
  </main>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 16px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
