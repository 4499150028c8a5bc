<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { pastTests, pastTestWords } from '../../core/formats/pastTests'
import {
  pastMapping,
  pastTestKinds,
  type PastColumn,
  type PastMapping,
  type PastTest,
} from '../../core/formats/pastRow'
import { writeBenchFile } from '../../core/formats/writeBenchFile'
import { forceUnits, forceUnitWords, type ForceUnit } from '../../core/quantities/force'
import { now } from '../bench/clock'
import ColumnMap from '../look/ColumnMap.vue'
import FileButton from '../look/FileButton.vue'
import RowsTaken from '../look/RowsTaken.vue'
import { handOver } from './handed'
import { piece } from '../look/piece'
import FieldPart from '../look/FieldPart'

/** Past tests out of a spreadsheet: columns mapped on screen, bad rows named, then looked at as another bench is. */
const router = useRouter()
const text = ref('')
const name = ref('Past tests')
const test = ref<PastTest>('lap-shear')
const unit = ref<ForceUnit>('N')
const own = ref<PastMapping | null>(null)
const rows = shallowRef<string[][]>([])
watch(text, async (typed) => {
  own.value = null
  if (!typed.trim()) return void (rows.value = [])
  const { default: Papa } = await piece(() => import('papaparse'))
  const parsed = Papa.parse<string[]>(typed.replace(/^\ufeff/, '').trim(), { skipEmptyLines: false }).data
  if (typed === text.value) rows.value = parsed
})
async function pick(file: File) {
  name.value = file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Past tests'
  text.value = await file.text()
}
const head = computed(() => rows.value[0] ?? [])
const mapping = computed(() => own.value ?? pastMapping(head.value))
const columnWords: Record<PastColumn, string> = {
  a: 'One material',
  b: 'The other',
  glue: 'Glue',
  load: 'Load',
  width: 'Width, mm',
  overlap: 'Overlap, mm',
  where: 'Where it let go',
  day: 'Day',
  note: 'Note',
}
const found = computed(() =>
  pastTests(
    rows.value
      .map((cells, i) => ({ line: i + 1, cells }))
      .slice(1)
      .filter(({ cells }) => cells.some((cell) => cell.trim())),
    { mapping: mapping.value, test: test.value, unit: unit.value, name: name.value.trim() || 'Past tests' },
    now(),
  ),
)
const EXAMPLE = 'Material A\tMaterial B\tGlue\tLoad\tWidth\tOverlap\n' + 'wood\tfelt\tcontact cement\t90 N\t25\t12'
async function look() {
  if (!found.value.tables) return
  handOver(new File([writeBenchFile(found.value.tables, now())], 'past.json', { type: 'application/json' }))
  await router.push({ name: 'merge' })
}
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <h1>Past tests from a spreadsheet</h1>
    <p class="mute">
      A row a pull, with a heading row: two materials, glue, load, width, and for a lap its overlap; where it let go,
      day and note if you have them. They come in under their own name, with an offset of their own, since nobody knows
      how they were read.
    </p>
    <FileButton accept=".csv,.tsv,.txt,text/csv" @pick="pick">Choose a CSV file</FileButton>
    <FieldPart label="Or paste the rows">
      <textarea v-model="text" class="plain" rows="6" spellcheck="false" :placeholder="EXAMPLE"></textarea>
    </FieldPart>
    <template v-if="rows.length">
      <div class="maps">
        <FieldPart label="They are called">
          <input v-model="name" class="plain" maxlength="80" />
        </FieldPart>
        <FieldPart label="Test">
          <select v-model="test" class="plain">
            <option v-for="one in pastTestKinds" :key="one" :value="one">{{ pastTestWords(one) }}</option>
          </select>
        </FieldPart>
        <FieldPart label="Loads without a unit are in">
          <select v-model="unit" class="plain">
            <option v-for="one in forceUnits" :key="one" :value="one">{{ forceUnitWords[one] }}</option>
          </select>
        </FieldPart>
      </div>
      <ColumnMap :words="columnWords" :mapping="mapping" :titles="head" @map="own = $event" />
      <RowsTaken :taken="found.taken" :bad="found.bad" />
      <details v-if="found.understood.length" class="small" open>
        <summary>What each word was taken for: look whether it is right</summary>
        <p v-for="one in found.understood" :key="one.text">“{{ one.text }}” is {{ one.as }}</p>
      </details>
      <v-btn class="go" :disabled="!found.tables" @click="look">See what would change</v-btn>
    </template>
  </main>
</template>

<style scoped>
.page {
  justify-items: start;
}
.page > * {
  min-width: 0;
  max-width: 100%;
}
.page > .field {
  width: min(100%, 700px);
}
textarea {
  width: 100%;
  font-family: var(--mono);
}
.maps {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
