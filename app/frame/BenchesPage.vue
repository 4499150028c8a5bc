<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { SetAside } from '../../core/formats/salvage'
import { ownCount } from '../../core/records/together/owners'
import { sayError } from '../../core/messages'
import {
  addBench,
  addEmptyBench,
  listAgain,
  listBenches,
  removeBench,
  rememberBench,
  unlistedBenches,
  type BenchListing,
} from '../bench/library'
import { copies, type Copy } from '../bench/secondCopy'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import { useAct } from '../look/act'
import ActButton from '../look/ActButton.vue'
import FileButton from '../look/FileButton.vue'
import KeepPromise from '../keep/KeepPromise.vue'
import StaysOut from '../keep/StaysOut.vue'
import { BENCH_FILES, useFileRead } from '../keep/useFileRead'
import { plural } from '../look/figures'
import BenchLine from './BenchLine.vue'
import FoundBenches from './FoundBenches.vue'
import { lookInto, type Looked } from './lookInto'
import { bringBackFrom } from './recovery'
import { addDemoBench, openSomeBench } from './startBench'
import FieldPart from '../look/FieldPart'

const bench = useBench()
const router = useRouter()
const benches = ref<BenchListing[]>([])
const name = ref('')
const message = ref('')
const failed = ref(false)
/** what of the file that was read in stays out */
const aside = ref<readonly SetAside[]>([])
const reading = useFileRead()
/** benches that are here, but on no list: what they are called, or why they cannot be read */
const found = ref<{ id: string; looked: Looked }[]>([])
/** benches of the list that could not be opened, and why */
const broken = ref<Record<string, string>>({})
const spare = ref<Copy[]>([])

async function refresh() {
  benches.value = await listBenches()
  found.value = await Promise.all((await unlistedBenches()).map(async (id) => ({ id, looked: await lookInto(id) })))
  spare.value = await copies()
}
onMounted(() => refresh().catch((error: unknown) => say(sayError(error), true)))

function say(text: string, bad = false, staysOut: readonly SetAside[] = []) {
  message.value = text
  failed.value = bad
  aside.value = staysOut
}
/** What goes wrong (a full storage, a bench that is gone) is said, and nothing was touched. */
const trying =
  <A extends unknown[]>(work: (...args: A) => Promise<void>) =>
  async (...args: A): Promise<void> => {
    try {
      await work(...args)
    } catch (error) {
      say(`${sayError(error)}. Nothing was changed.`.replace('..', '.'), true)
      await refresh().catch(() => {})
    }
  }

const open = trying(async (id: string) => {
  try {
    await bench.open(id)
  } catch (error) {
    broken.value = { ...broken.value, [id]: sayError(error) }
    throw error
  }
  await rememberBench(id)
  await router.push({ name: 'start' })
})
const start = trying(async () => {
  if (!name.value.trim()) return say('Give the bench a name first, such as the thing you build.', true)
  await open(await addEmptyBench(name.value.trim().slice(0, 80)))
})
/** The open bench by its name of now; the list follows a moment later. */
const named = (one: BenchListing): BenchListing =>
  one.id === bench.id && bench.bench ? { ...one, name: bench.bench.name } : one
const rename = trying(async (called: string) => {
  if (!called) return say('Give the bench a name, such as the thing you build.', true)
  if (called === bench.bench!.name) return
  if (await bench.edit(`Bench: ${called}`, [editOf('bench', bench.bench!, { name: called })])) say('')
})
const { run: startOnce, busy: starting } = useAct(start)
async function readIn(file: File) {
  const read = await reading.read(file)
  if (!read) return reading.problem.value ? say(reading.problem.value, true) : undefined
  const { tables, migratedFrom, photos } = read
  try {
    await addBench(tables, photos)
    await refresh()
    const of =
      `“${tables.bench[0]!.name}” with ${plural(ownCount(tables, 'joint'), 'joint')} and ` +
      `${plural(ownCount(tables, 'reading'), 'reading')}${photos.length ? `, ${plural(photos.length, 'photo')}` : ''}`
    say(`Read in ${of}${migratedFrom ? `, brought over from version ${migratedFrom}` : ''}.`, false, read.aside)
  } catch (error) {
    say(sayError(error), true)
  }
}
const takeAway = trying(async (id: string, title: string) => {
  const wasOpen = bench.id === id
  await removeBench(id)
  if (wasOpen) await openSomeBench(bench)
  await refresh()
  say(`“${title}” was taken out of this browser.`)
})
/** The fresh demo is stored before the old one goes: a full storage leaves the old one as it is. */
const resetDemo = trying(async (listing: BenchListing) => {
  const wasOpen = bench.id === listing.id
  const id = await addDemoBench()
  if (wasOpen) await bench.open(id).then(() => rememberBench(id))
  await removeBench(listing.id, id)
  await refresh()
  say('The demo bench is as it was at the start.')
})
const addDemo = trying(async () => open(await addDemoBench()))
const putOnList = trying(async (id: string, looked: Looked) => {
  await listAgain(id, looked.bench!)
  await refresh()
  say(`“${looked.bench!.name}” is on the list again.`)
})
const fromCopy = trying(async (copy: Copy) => {
  const back = await bringBackFrom(copy, '')
  await refresh()
  say(back.said.join(' ').trim(), back.id === null)
})
/** Copies of use: of benches that are not here, or cannot be opened. */
const useful = computed(() =>
  spare.value.filter(({ bench: id }) => !benches.value.some((one) => one.id === id) || broken.value[id]),
)
</script>

<template>
  <main id="work" class="page">
    <h1>Benches</h1>
    <p class="mute">
      Each bench is kept in this browser by itself. A bench file carries one to another browser or keeps it for later.
    </p>
    <ul>
      <BenchLine
        v-for="one in benches"
        :key="one.id"
        :one="named(one)"
        :is-open="one.id === bench.id"
        :broken="broken[one.id]"
        :open="() => open(one.id)"
        :rename="rename"
        :reset="() => resetDemo(one)"
        :away="() => takeAway(one.id, one.name)"
      />
    </ul>
    <div v-if="message" role="status">
      <p :class="failed ? 'problem' : 'holds'">{{ message }}</p>
      <StaysOut :aside="aside" />
    </div>
    <FoundBenches
      v-if="found.length || useful.length"
      :found="found"
      :copies="useful"
      :list="putOnList"
      :away="takeAway"
      :back="fromCopy"
    />
    <form class="new" @submit.prevent="startOnce">
      <FieldPart label="A new, empty bench">
        <input v-model="name" class="plain" maxlength="80" placeholder="Puppet theatre" />
      </FieldPart>
      <v-btn class="go" type="submit" :aria-busy="starting || undefined">Start this bench</v-btn>
    </form>
    <div class="acts">
      <FileButton :accept="BENCH_FILES" @pick="readIn">Read in a bench file</FileButton>
      <p v-if="reading.progress.value !== null" role="status">
        Reading <progress :value="reading.progress.value" max="1" aria-label="reading the file" />
        <v-btn class="quiet" @click="reading.cancel">Cancel</v-btn>
      </p>
      <ActButton v-if="!benches.some(({ kind }) => kind === 'demo')" class="alt" :act="addDemo"
        >Add the demo bench</ActButton
      >
    </div>
    <KeepPromise />
  </main>
</template>

<style scoped>
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 16px;
}
.new .field {
  flex: 1 1 260px;
}
</style>
