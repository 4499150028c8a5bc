<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { pastedTable, widest, type PastedColumn, type PastedMapping } from '../../../core/formats/pastedRows'
import { stampNow } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import ColumnMap from '../../look/ColumnMap.vue'
import { plural } from '../../look/figures'
import RowsTaken from '../../look/RowsTaken.vue'
import { logPasted, pastedReadings } from './pasteWork'
import { piece } from '../../look/piece'
import FieldPart from '../../look/FieldPart'

/** A bench sheet that was written by hand or in a spreadsheet: pasted as rows, looked through, taken in as one step. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const text = ref('')
/** columns that are offered to be mapped */
const MOST_COLUMNS = 60
const own = ref<PastedMapping | undefined>()
const rows = shallowRef<string[][]>([])
watch(text, async (typed) => {
  own.value = undefined
  if (!typed.trim()) return void (rows.value = [])
  const { default: Papa } = await piece(() => import('papaparse'))
  const parsed = Papa.parse<string[]>(typed.trim(), { skipEmptyLines: false }).data
  if (typed === text.value) rows.value = parsed
})
const table = computed(() => pastedTable(rows.value, own.value))
const found = computed(() =>
  rows.value.length ? pastedReadings(bench, props.view, table.value, stampNow()) : { readings: [], bad: [] },
)
const columns = computed(() => {
  return Array.from(
    { length: Math.min(MOST_COLUMNS, widest(rows.value)) },
    (_, i) => table.value.headings?.[i] || `column ${i + 1}`,
  )
})
const columnWords: Record<PastedColumn, string> = {
  coupon: 'Coupon',
  reading: 'Reading',
  where: 'Where it let go',
  note: 'Note',
}
async function log() {
  if (found.value.readings.length && (await logPasted(bench, props.view, found.value.readings))) text.value = ''
}
</script>

<template>
  <details class="paste">
    <summary>Type in a whole sheet at once</summary>
    <div class="body">
      <FieldPart label="Rows from a spreadsheet: coupon, reading, where it let go, note">
        <textarea
          v-model="text"
          class="plain"
          rows="6"
          spellcheck="false"
          placeholder="H2-A1&#9;14.2 N&#9;A&#10;H2-B1&#9;3.1 kgf&#9;torn B&#9;strings"
        ></textarea>
      </FieldPart>
      <template v-if="rows.length">
        <ColumnMap :words="columnWords" :mapping="table.mapping" :titles="columns" @map="own = $event" />
        <RowsTaken :taken="found.readings.length" :bad="found.bad" />
        <v-btn class="alt" :disabled="!found.readings.length" @click="log"
          >Log {{ plural(found.readings.length, 'pull') }}</v-btn
        >
      </template>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
}
.body {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.body > .field {
  width: min(100%, 640px);
}
textarea {
  width: 100%;
  font-family: var(--mono);
}
</style>
