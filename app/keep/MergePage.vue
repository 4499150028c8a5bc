<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { clashKey, whoseBench, type MergePreview, type Side } from '../../core/records/together/merge'
import type { Whose } from '../../core/records/together/owners'
import type { AnyRecord, TableName, Tables } from '../../core/records/tables'
import { keepPhoto, photoOf } from '../bench/photos'
import type { AnyBenchRead } from '../bench/readAnyBench'
import { now, useMinute } from '../bench/clock'
import { useBench } from '../bench/store'
import ActButton from '../look/ActButton.vue'
import FileButton from '../look/FileButton.vue'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import OneOf from '../look/OneOf.vue'
import { benchWorker } from '../workers/client'
import ClashList from './ClashList.vue'
import StaysOut from './StaysOut.vue'
import { countWords, recordName, settledWords } from './mergeWords'
import { takeHanded } from './handed'
import { BENCH_FILES, useFileRead } from './useFileRead'
import ProblemLine from '../look/ProblemLine.vue'

/** Puts another bench to this one: what is new, what differs, what clashes; written as one entry, taken back whole. */
const bench = useBench()
const minute = useMinute()
const { progress, fail, read, cancel } = useFileRead()
const other = shallowRef<AnyBenchRead | null>(null)
const whose = ref<Whose>('another')
const preview = shallowRef<MergePreview | null>(null)
const answers = ref<Record<string, Side>>({})
const done = ref('')
/** the bench as it stood when the preview was made: what was written since makes it anew */
let here: Tables | null = null

const theirs = computed(() => other.value?.tables.bench[0] ?? null)
const whoseOptions = [
  { value: 'another', words: 'another maker’s' },
  { value: 'mine', words: 'mine, from another browser' },
] as const

async function pick(file: File) {
  preview.value = null
  done.value = ''
  other.value = await read(file)
  if (!other.value) return
  whose.value = whoseBench(bench.tables(), other.value.tables)
  await look()
}
// A file that was opened with the app comes along.
onMounted(() => {
  const file = takeHanded()
  if (file) void pick(file)
})
async function look() {
  if (!other.value) return
  here = bench.tables()
  const { tables, savedAt } = other.value
  try {
    preview.value = await benchWorker().mergePreview({ here, other: { tables, savedAt }, whose: whose.value })
    later()
  } catch (error) {
    fail(error)
  }
}
const choose = (to: Whose | null) => {
  if (to) whose.value = to
  void look()
}
/** Where neither copy says when it was written, what stands here stays. */
function later() {
  answers.value = Object.fromEntries(
    (preview.value?.clashes ?? []).map((clash) => [clashKey(clash), clash.later ?? 'here']),
  )
}

const find = (table: TableName, id: string): AnyRecord | null =>
  bench.get(table, id) ?? (other.value?.tables[table] as AnyRecord[] | undefined)?.find((one) => one.id === id) ?? null
const news = computed(() => countWords((preview.value?.fresh ?? []).map(({ table }) => table)))
const joinedWords = computed(() =>
  (preview.value?.joined ?? []).map(({ table, id }) => recordName(table, find(table, id), find)),
)
const nothing = computed(
  () =>
    preview.value !== null &&
    !preview.value.fresh.length &&
    !preview.value.joined.length &&
    !preview.value.clashes.length,
)
/** Photos first, so that no record points to nothing; then one entry. */
async function put() {
  const { tables, savedAt, photos } = other.value!
  try {
    here = bench.tables()
    const changes = await benchWorker().mergeChanges({
      here,
      other: { tables, savedAt },
      whose: whose.value,
      answers: { ...answers.value },
    })
    for (const { id, blob } of photos) if (!(await photoOf(bench.id, id))) await keepPhoto(bench.id, id, blob, now())
    const label = `Put “${theirs.value!.name}” to this bench`
    if (!changes.length) return void (done.value = 'Nothing was new: this bench has it all.')
    if (!(await bench.write(label, changes, true))) return
    const completed = joinedWords.value.length ? `, ${plural(joinedWords.value.length, 'record')} completed` : ''
    done.value = `Done: ${news.value || 'nothing new'}${completed}. Undo takes all of it back.`
    preview.value = null
    other.value = null
  } catch (error) {
    fail(error)
  }
}
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <h1>Put another bench to this one</h1>
    <p class="mute">
      A bench file or a data package of another maker, or of your own from another browser. You see what would change
      before anything is written; what one has and the other has not stays. Undo takes it back as a whole.
    </p>
    <FileButton :accept="BENCH_FILES" @pick="pick">Choose the file</FileButton>
    <p v-if="progress !== null" role="status" class="acts">
      Reading <progress :value="progress" max="1" aria-label="reading the file" />
      <v-btn class="quiet" @click="cancel">Cancel</v-btn>
    </p>
    <ProblemLine />
    <p v-if="done" class="holds" role="status">{{ done }}</p>
    <template v-if="other && preview">
      <section aria-labelledby="what" data-preview>
        <h2 id="what">“{{ theirs!.name }}”, saved {{ momentName(other.savedAt, minute) }}</h2>
        <p class="acts">
          <span>It is</span>
          <OneOf label="Whose bench it is" :model-value="whose" :options="whoseOptions" @update:model-value="choose" />
        </p>
        <p v-if="whose === 'another'" class="mute small">
          Their readings stay theirs, with their gauge ({{ theirs!.gauge.name }}), and lend to yours with an offset of
          their own. Their glues, joints and rules are not put among yours.
        </p>
        <p v-else class="mute small">Both are one maker’s: records, pulls and shelf become one.</p>
        <StaysOut :aside="other.aside" />
        <dl class="counts num">
          <dt>New</dt>
          <dd>{{ news || 'nothing' }}</dd>
          <dt>On both, the same</dt>
          <dd>{{ plural(preview.same, 'record') }}</dd>
          <dt>On both, put together</dt>
          <dd>
            {{ plural(joinedWords.length, 'record')
            }}<template v-if="joinedWords.length">: {{ joinedWords.slice(0, 8).join(', ') }}</template
            ><template v-if="joinedWords.length > 8"> and {{ joinedWords.length - 8 }} more</template>
          </dd>
          <template v-if="preview.settled.length">
            <dt>Called alike</dt>
            <dd>
              <span v-for="one in preview.settled" :key="`${one.table} ${one.id}`" class="line">{{
                settledWords(one)
              }}</span>
            </dd>
          </template>
        </dl>
      </section>
      <ClashList
        v-if="preview.clashes.length"
        v-model="answers"
        :clashes="preview.clashes"
        :find="find"
        @later="later"
      />
      <p v-if="nothing" class="mute">Nothing is new: this bench has it all.</p>
      <div v-else class="acts">
        <ActButton class="go" :act="put">Put the two together</ActButton>
        <v-btn class="quiet" @click="((other = null), (preview = null))">Leave it</v-btn>
      </div>
    </template>
  </main>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
.counts {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 8px 18px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
.counts dt {
  color: var(--mute);
}
.line {
  display: block;
}
@media (max-width: 700px) {
  .counts {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
  .counts dd {
    padding-bottom: 8px;
  }
}
</style>
