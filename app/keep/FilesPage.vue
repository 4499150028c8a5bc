<script setup lang="ts">
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { sheetOf } from '../../core/formats/tabular'
import { tableNames, tableWords, type TableName } from '../../core/records/tables'
import { now, useMinute } from '../bench/clock'
import { useBench } from '../bench/store'
import { benchFileName, saveBlob, saveFile } from '../frame/saveFile'
import ActButton from '../look/ActButton.vue'
import { capital } from '../look/figures'
import { momentName } from '../look/times'
import { benchWorker } from '../workers/client'
import { canKeepUp, keptFile, writeOut, type KeptFile } from './backup'
import { lastFileAt, noteFile } from './lastFile'
import KeepPromise from './KeepPromise.vue'
import OldPhotos from './OldPhotos.vue'
import { sizeWords } from './sizeWords'
import { piece } from '../look/piece'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** Files that the maker owns: the bench file and its backups, the data package, tables for a spreadsheet. */
const bench = useBench()
const minute = useMinute()
const { clear, fail } = useAttempt()
const said = ref('')
const kept = shallowRef<KeptFile | null>(null)
const fileAt = ref(0)
const room = ref<{ used: number; left: number } | null>(null)
/** 0…1 while a package is made */
const progress = ref<number | null>(null)
let running: AbortController | null = null
onScopeDispose(() => running?.abort())

async function refresh() {
  if (!bench.id) return
  kept.value = await keptFile(bench.id)
  fileAt.value = lastFileAt(bench.id)
  const { usage, quota } = (await navigator.storage?.estimate?.()) ?? {}
  room.value = usage !== undefined && quota ? { used: usage, left: quota - usage } : null
}
onMounted(() => refresh().catch(() => {}))

const stem = computed(() => benchFileName(bench.bench!.name, now()).replace(/\.bench\.json$/, ''))
async function trying(work: () => Promise<string>) {
  clear()
  said.value = ''
  try {
    said.value = await work()
  } catch (error) {
    if ((error as Error).name !== 'AbortError') fail(error)
  }
  await refresh().catch(() => {})
}

const keepUp = (anew: boolean) =>
  trying(async () => {
    const at = now()
    const file = await writeOut(bench.id!, benchFileName(bench.bench!.name, at), bench.fileText(), at, anew)
    noteFile(bench.id!, at)
    return file ? `Written to ${file.name}.` : 'The browser has saved a bench file.'
  })
const save = () =>
  trying(async () => {
    saveFile(benchFileName(bench.bench!.name, now()), bench.fileText())
    noteFile(bench.id!, now())
    return 'The browser has saved a bench file.'
  })
const pack = () =>
  trying(async () => {
    running = new AbortController()
    progress.value = 0
    try {
      const blob = await benchWorker().package(
        { bench: bench.id, tables: bench.tables(), now: now() },
        { signal: running.signal, onProgress: (done) => (progress.value = done) },
      )
      saveBlob(`${stem.value}.package.zip`, blob)
      return `The browser has saved the data package, ${sizeWords(blob.size)}.`
    } finally {
      progress.value = null
    }
  })
const table = ref<TableName>('reading')
const filled = computed(() => tableNames.filter((name) => bench.everything(name).length > 0))
const saveTable = () =>
  trying(async () => {
    const { csvText } = await piece(() => import('../bench/packageFile'))
    const name = `${stem.value}-${table.value}.csv`
    saveFile(name, csvText(sheetOf(bench.everything(table.value))), 'text/csv;charset=utf-8')
    return `The browser has saved ${name}.`
  })
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <h1>Files of this bench</h1>
    <p class="mute">All of it lies in this browser. A file of your own lasts longer than any browser.</p>
    <ProblemLine />
    <p v-if="said" class="holds" role="status">{{ said }}</p>
    <section aria-labelledby="backup">
      <h2 id="backup">Backup</h2>
      <p>
        {{
          fileAt
            ? `Last kept outside the browser ${momentName(fileAt, minute)}.`
            : 'Never kept outside the browser yet.'
        }}
        <template v-if="kept"> The file is {{ kept.name }}.</template>
      </p>
      <div class="acts">
        <template v-if="canKeepUp">
          <ActButton class="go" :act="() => keepUp(false)">{{
            kept ? 'Bring the file up to date' : 'Choose a file that is kept up to date'
          }}</ActButton>
          <ActButton v-if="kept" class="quiet" :act="() => keepUp(true)">Choose another file</ActButton>
        </template>
        <ActButton :class="canKeepUp ? 'alt' : 'go'" :act="save">Save a bench file</ActButton>
      </div>
      <p class="mute small">A bench file holds every record, but no photos; the data package below holds both.</p>
      <KeepPromise />
      <p v-if="room" class="small num mute">
        All benches use {{ sizeWords(room.used) }} here; about {{ sizeWords(room.left) }} are left.
      </p>
    </section>
    <section aria-labelledby="package">
      <h2 id="package">Data package</h2>
      <p class="mute">
        A zip with one table a file, units described, and the photos, in the open tabular format that statistics
        programs read. It can be read in again as a bench.
      </p>
      <div class="acts">
        <ActButton class="alt" :act="pack">Save the data package</ActButton>
        <template v-if="progress !== null">
          <progress :value="progress" max="1" aria-label="making the package" />
          <v-btn class="quiet" @click="running?.abort()">Cancel</v-btn>
        </template>
      </div>
    </section>
    <OldPhotos :stem="stem" @moved="refresh().catch(() => {})" />
    <section aria-labelledby="table">
      <h2 id="table">One table for a spreadsheet</h2>
      <form class="acts" @submit.prevent="saveTable">
        <FieldPart label="Table">
          <select v-model="table" class="plain">
            <option v-for="name in filled" :key="name" :value="name">{{ capital(tableWords[name]) }}</option>
          </select>
        </FieldPart>
        <v-btn class="alt" type="submit">Save it as CSV</v-btn>
      </form>
    </section>
    <section aria-labelledby="others">
      <h2 id="others">In from elsewhere</h2>
      <ul class="links">
        <li><router-link :to="{ name: 'merge' }">Put another bench to this one</router-link></li>
        <li><router-link :to="{ name: 'benches' }">Read in a file as a bench of its own</router-link></li>
        <li><router-link :to="{ name: 'past' }">Read in past tests from a spreadsheet</router-link></li>
        <li><router-link :to="{ name: 'evidence' }">Evidence, to print as a sheet</router-link></li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.page {
  gap: 22px;
}
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 16px;
}
.page :deep(.acts) {
  align-items: end;
}
.links li {
  padding: 6px 0;
}
</style>
