<script setup lang="ts">
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { now } from '../bench/clock'
import { keepPhoto, movePhotosOut, photoPlaces, type PhotoPlace } from '../bench/photos'
import { useBench } from '../bench/store'
import { saveBlob } from '../frame/saveFile'
import ActButton from '../look/ActButton.vue'
import FileButton from '../look/FileButton.vue'
import { plural } from '../look/figures'
import { benchWorker } from '../workers/client'
import { sizeWords } from './sizeWords'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'
import { DAY_MS } from '../../core/quantities/days'

/** Photos make most of what a bench takes up: older ones go to a file of the maker's, and come back from it. */
const props = defineProps<{ stem: string }>()
const emit = defineEmits<{ moved: [] }>()
const bench = useBench()
const ages = [
  { days: 30, words: 'a month' },
  { days: 90, words: 'three months' },
  { days: 365, words: 'a year' },
]
const days = ref(90)
const places = shallowRef<ReadonlyMap<string, PhotoPlace>>(new Map())
const refresh = async () => (places.value = await photoPlaces(bench.id))
onMounted(() => refresh().catch(() => {}))

const photos = computed(() =>
  bench.everything('coupon').flatMap(({ photos: kept = [] }) =>
    kept.map(({ id, at }) => {
      const place = places.value.get(id)
      return {
        id,
        at,
        bytes: place && 'bytes' in place ? place.bytes : null,
        file: place && 'file' in place ? place.file : null,
      }
    }),
  ),
)
const here = computed(() => photos.value.filter(({ bytes }) => bytes !== null))
const old = computed(() => here.value.filter(({ at }) => at < now() - days.value * DAY_MS))
const away = computed(() => photos.value.filter(({ file }) => file !== null))
const files = computed(() => [...new Set(away.value.map(({ file }) => file!))])
const sum = (of: readonly { bytes: number | null }[]) => sizeWords(of.reduce((all, { bytes }) => all + bytes!, 0))

const { clear, fail } = useAttempt()
const said = ref('')
/** 0…1 while a file is made, or read and its photos taken out or back */
const progress = ref<number | null>(null)
let running: AbortController | null = null
onScopeDispose(() => running?.abort())
interface Options {
  signal: AbortSignal
  onProgress: (done: number) => void
}
async function trying(work: (options: Options) => Promise<string>) {
  clear()
  said.value = ''
  running = new AbortController()
  progress.value = 0
  let words = ''
  try {
    words = await work({ signal: running.signal, onProgress: (done) => (progress.value = done) })
  } catch (error) {
    if ((error as Error).name !== 'AbortError') fail(error)
  } finally {
    progress.value = null
  }
  await refresh().catch(() => {})
  said.value = words
  emit('moved')
}
/** Photos of these that a file holds; the first half of the work. */
async function heldBy(file: File, wanted: ReadonlySet<string>, { signal, onProgress }: Options) {
  const read = await benchWorker().readFile({ file }, { signal, onProgress: (done) => onProgress(done / 2) })
  return read.photos.filter(({ id }) => wanted.has(id))
}
const secondHalf = ({ signal, onProgress }: Options): Options => ({
  signal,
  onProgress: (done) => onProgress((1 + done) / 2),
})
const save = () =>
  trying(async (options) => {
    const ids = old.value.map(({ id }) => id)
    const input = { bench: bench.id, tables: bench.tables(), now: now(), photos: ids }
    const blob = await benchWorker().package(input, options)
    const name = `${props.stem}-photos.package.zip`
    saveBlob(name, blob)
    return `The browser has saved ${name}, ${sizeWords(blob.size)}. Show it below, and its photos leave this browser.`
  })
const takeOut = (file: File) =>
  trying(async (options) => {
    const wanted = new Set(old.value.map(({ id }) => id))
    const held = await heldBy(file, wanted, options)
    const moved = await movePhotosOut(bench.id, held, file.name, now(), secondHalf(options))
    if (!moved)
      throw new Error(
        `${file.name} holds none of these photos as they are here: nothing was taken out of this browser.`,
      )
    const left = wanted.size - moved
    const why = options.signal.aborted ? 'Stopped' : `It does not hold ${plural(left, 'other')}`
    const went = `${plural(moved, 'photo')} went out of this browser; ${file.name} holds them.`
    return left ? `${went} ${why}: what is left stays here.` : went
  })
const bringBack = (file: File) =>
  trying(async (options) => {
    const wanted = new Set(away.value.map(({ id }) => id))
    const held = await heldBy(file, wanted, options)
    if (!held.length) throw new Error(`${file.name} holds none of the photos that are missing here.`)
    const { signal, onProgress } = secondHalf(options)
    let back = 0
    for (const { id, blob } of held) {
      if (signal.aborted) break
      await keepPhoto(bench.id, id, blob, now())
      onProgress(++back / held.length)
    }
    return `${plural(back, 'photo')} came back from ${file.name}.`
  })
</script>

<template>
  <section v-if="photos.length" aria-labelledby="photos">
    <h2 id="photos">Photos</h2>
    <ProblemLine />
    <p v-if="said" class="holds" role="status">{{ said }}</p>
    <p class="num">
      {{ plural(here.length, 'photo') }} in this browser, {{ sum(here)
      }}<template v-if="away.length">; {{ plural(away.length, 'other') }} in {{ files.join(', ') }}</template
      >.
    </p>
    <div v-if="here.length" class="acts">
      <FieldPart label="Older than">
        <select v-model.number="days" class="plain">
          <option v-for="age in ages" :key="age.days" :value="age.days">{{ age.words }}</option>
        </select>
      </FieldPart>
      <p class="num count" data-old>{{ old.length ? `${plural(old.length, 'photo')}, ${sum(old)}` : 'none' }}</p>
      <template v-if="old.length">
        <ActButton class="alt" :act="save">Save them to a file</ActButton>
        <FileButton accept=".zip" @pick="takeOut">Show the file and take them out</FileButton>
      </template>
    </div>
    <p v-if="old.length" class="mute small">
      A photo leaves this browser only when the file that you show holds the very same picture. What was recorded of it
      stays, and names the file.
    </p>
    <FileButton v-if="away.length" accept=".zip" @pick="bringBack">Bring photos back from a file</FileButton>
    <p v-if="progress !== null" class="acts" role="status">
      <progress :value="progress" max="1" aria-label="working through the photos" />
      <v-btn class="quiet" @click="running?.abort()">Cancel</v-btn>
    </p>
  </section>
</template>

<style scoped>
.count {
  padding-block: 10px;
}
</style>
