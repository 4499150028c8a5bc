<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { ownCount } from '../../core/records/together/owners'
import { sayError } from '../../core/messages'
import { addBench, rememberBench } from '../bench/library'
import type { AnyBenchRead } from '../bench/readAnyBench'
import { useMinute } from '../bench/clock'
import { useBench } from '../bench/store'
import ActButton from '../look/ActButton.vue'
import FileButton from '../look/FileButton.vue'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import { handOver } from './handed'
import { incomingFile } from './incoming'
import StaysOut from './StaysOut.vue'
import { BENCH_FILES, useFileRead } from './useFileRead'

/** A bench file that was shared with the app, or opened with it: a bench of its own, or put to this one. */
const bench = useBench()
const router = useRouter()
const minute = useMinute()
const { progress, problem, read, cancel } = useFileRead()
const file = shallowRef<File | null>(null)
const held = shallowRef<AnyBenchRead | null>(null)
const looked = ref(false)
const title = computed(() => held.value?.tables.bench[0]?.name ?? '')

async function take(next: File) {
  file.value = next
  held.value = await read(next)
}
onMounted(async () => {
  const next = await incomingFile()
  looked.value = true
  if (next) await take(next)
})
async function asOwn() {
  try {
    const id = await addBench(held.value!.tables, held.value!.photos)
    await bench.open(id)
    await rememberBench(id)
    await router.push({ name: 'start' })
  } catch (error) {
    problem.value = `${sayError(error)}. Nothing was changed.`.replace('..', '.')
  }
}
async function toThis() {
  handOver(file.value!)
  await router.push({ name: 'merge' })
}
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <h1>A bench file</h1>
    <p v-if="progress !== null" role="status">
      Reading {{ file?.name }} <progress :value="progress" max="1" aria-label="reading the file" />
      <v-btn class="quiet" @click="cancel">Cancel</v-btn>
    </p>
    <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="held">
      <p>
        “{{ title }}”, saved {{ momentName(held.savedAt, minute) }}:
        {{ plural(ownCount(held.tables, 'joint'), 'joint') }} and
        {{ plural(ownCount(held.tables, 'reading'), 'reading') }}.
      </p>
      <StaysOut :aside="held.aside" />
      <div class="acts">
        <ActButton class="go" :act="asOwn">Open it as a bench of its own</ActButton>
        <ActButton class="alt" :act="toThis">Put it to “{{ bench.bench?.name }}”</ActButton>
      </div>
    </template>
    <template v-else-if="looked && progress === null">
      <p v-if="!problem" class="mute">No file came along.</p>
      <FileButton :accept="BENCH_FILES" @pick="take">Choose a bench file</FileButton>
    </template>
  </main>
</template>
