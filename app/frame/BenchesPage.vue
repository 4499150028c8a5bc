<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { readBenchFile } from '../../core/formats/benchFile'
import { sayError } from '../../core/messages'
import { useNow } from '../bench/clock'
import { addBench, addEmptyBench, listBenches, removeBench, rememberBench, type BenchListing } from '../bench/library'
import { useBench } from '../bench/store'
import { momentName, plural } from '../look/figures'
import { addDemoBench, openSomeBench } from './startBench'

const bench = useBench()
const router = useRouter()
const now = useNow()
const benches = ref<BenchListing[]>([])
const name = ref('')
const message = ref('')
const failed = ref(false)
const leaving = ref<BenchListing | null>(null)
const refresh = async () => (benches.value = await listBenches())
onMounted(refresh)

function say(text: string, bad = false) {
  message.value = text
  failed.value = bad
}
async function open(id: string) {
  await bench.open(id)
  await rememberBench(id)
  await router.push({ name: 'start' })
}
async function start() {
  if (!name.value.trim()) return say('Give the bench a name first, such as the thing you build.', true)
  await open(await addEmptyBench(name.value.trim()))
}
async function readIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  try {
    const { tables, migratedFrom } = readBenchFile(await file.text())
    await addBench(tables)
    await refresh()
    const of = `“${tables.bench[0]!.name}” with ${plural(tables.joint.length, 'joint')} and ${plural(tables.reading.length, 'reading')}`
    say(`Read in ${of}${migratedFrom ? `, brought over from version ${migratedFrom}` : ''}.`)
  } catch (error) {
    say(sayError(error), true)
  }
  input.value = ''
}
async function takeAway(listing: BenchListing) {
  leaving.value = null
  const wasOpen = bench.id === listing.id
  await removeBench(listing.id)
  if (wasOpen) await openSomeBench(bench)
  await refresh()
  say(`“${listing.name}” was taken out of this browser.`)
}
async function resetDemo(listing: BenchListing) {
  const wasOpen = bench.id === listing.id
  await removeBench(listing.id)
  const id = await addDemoBench()
  if (wasOpen) await bench.open(id).then(() => rememberBench(id))
  await refresh()
  say('The demo bench is as it was at the start.')
}
async function addDemo() {
  await open(await addDemoBench())
}
</script>

<template>
  <main id="work" class="page">
    <h1>Benches</h1>
    <p class="mute">
      Each bench is kept in this browser by itself. A bench file carries one to another browser or keeps it for later.
    </p>
    <ul>
      <li v-for="one in benches" :key="one.id">
        <div>
          <strong>{{ one.name }}</strong>
          <span v-if="one.kind === 'demo'" class="mute"> · demo bench</span>
          <span v-if="one.id === bench.id" class="holds"> · open</span>
          <div class="mute small">opened {{ momentName(one.openedAt, now) }}</div>
        </div>
        <div class="acts">
          <v-btn v-if="one.id !== bench.id" class="alt" @click="open(one.id)"
            >Open<span class="visually-hidden"> {{ one.name }}</span></v-btn
          >
          <v-btn v-if="one.kind === 'demo'" class="quiet" @click="resetDemo(one)">Reset the demo</v-btn>
          <v-btn class="quiet" @click="leaving = one"
            >Take away<span class="visually-hidden"> {{ one.name }}</span></v-btn
          >
        </div>
        <div v-if="leaving?.id === one.id" class="sure" role="alert">
          <span
            >All of “{{ one.name }}” goes out of this browser for good. Save a bench file first if you may want it
            again.</span
          >
          <v-btn class="alt" @click="takeAway(one)">Take it away for good</v-btn>
          <v-btn class="quiet" @click="leaving = null">Keep it</v-btn>
        </div>
      </li>
    </ul>
    <p v-if="message" :class="failed ? 'problem' : 'holds'" role="status">{{ message }}</p>
    <form class="new" @submit.prevent="start">
      <label class="field"
        ><span>A new, empty bench</span><input v-model="name" class="plain" placeholder="Puppet theatre"
      /></label>
      <v-btn class="go" type="submit">Start this bench</v-btn>
    </form>
    <div class="acts">
      <label class="file">
        <span>Read in a bench file</span>
        <input type="file" accept=".json,application/json" @change="readIn" />
      </label>
      <v-btn v-if="!benches.some(({ kind }) => kind === 'demo')" class="alt" @click="addDemo">Add the demo bench</v-btn>
    </div>
  </main>
</template>

<style scoped>
.page {
  padding: 24px 28px;
  max-width: 820px;
  display: grid;
  gap: 16px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.sure {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  border-left: 4px solid var(--fails);
  padding-left: 12px;
}
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
.file {
  border: 1px solid var(--ink);
  border-radius: var(--radius);
  padding: 10px 14px;
  font-weight: 650;
  cursor: pointer;
  background: var(--card);
}
.file:focus-within {
  outline: 3px solid var(--go);
}
.file input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
@media (max-width: 700px) {
  .page {
    padding: 18px 16px;
  }
}
</style>
