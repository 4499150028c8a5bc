<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { now } from '../bench/clock'
import { takeTyped } from '../look/takeTyped'
import { addBench, departure, rememberBench, type Departed } from '../bench/library'
import { useBench } from '../bench/store'
import ActButton from '../look/ActButton.vue'
import { plural } from '../look/figures'
import { benchFileName, saveFile } from './saveFile'
import { useAttempt } from '../look/attempt'

const bench = useBench()
const router = useRouter()
const keep = () => saveFile(benchFileName(bench.bench?.name ?? 'bench', now()), bench.fileText())

const departed = ref<Departed | null>(null)
watch(
  () => [bench.save.gone, bench.id] as const,
  async ([gone, id]) => (departed.value = gone && id ? await departure(id).catch(() => null) : null),
  { immediate: true },
)
const goneWords = computed(() =>
  departed.value?.replacedBy
    ? 'This bench was reset in another tab.'
    : departed.value
      ? 'This bench was taken out of this browser in another tab.'
      : 'The browser no longer has this bench.',
)
async function go(id: string) {
  await bench.open(id)
  await rememberBench(id)
  await router.push({ name: 'start' })
}
const { attempt, problem } = useAttempt()
/** What this tab shows becomes a bench of its own: it is whole, with what could not be stored. */
async function keepAsOwn() {
  await attempt(async () => {
    const before = bench.id!
    await go(await addBench(bench.tables()))
    bench.forget(before)
  })
}
const leftBehind = computed(() =>
  [...bench.left.values()].map(({ id, ledger }) => ({
    id,
    name: ledger.records.all('bench')[0]?.name ?? 'another bench',
    waiting: ledger.save.waiting + ledger.save.stranded.length,
  })),
)

function beforeLeaving(event: BeforeUnloadEvent) {
  takeTyped()
  if (bench.unstored > 0 || bench.writing > 0 || bench.save.stranded.length > 0) event.preventDefault()
}
const hidden = () => document.visibilityState === 'hidden' && takeTyped()
onMounted(() => {
  window.addEventListener('beforeunload', beforeLeaving)
  document.addEventListener('visibilitychange', hidden)
})
onBeforeUnmount(() => {
  window.removeEventListener('beforeunload', beforeLeaving)
  document.removeEventListener('visibilitychange', hidden)
})
</script>

<template>
  <div v-if="bench.save.gone" class="trouble bad no-print" role="alert">
    <p>
      <strong>{{ goneWords }}</strong> What you see is in this tab only<template v-if="bench.save.waiting"
        >, with {{ plural(bench.save.waiting, 'change') }} that nothing has kept</template
      >.
    </p>
    <div class="acts">
      <ActButton class="go" :act="keepAsOwn">Keep it as a bench of its own</ActButton>
      <v-btn class="alt" @click="keep">Save a bench file</v-btn>
      <ActButton v-if="departed?.replacedBy" class="alt" :act="() => go(departed!.replacedBy!)"
        >Open the fresh one</ActButton
      >
      <v-btn class="alt" :to="{ name: 'benches' }">Open another bench</v-btn>
    </div>
    <p v-if="problem" class="problem">{{ problem }}</p>
  </div>
  <div v-else-if="bench.save.failure" class="trouble bad no-print" role="alert">
    <p>
      <strong>Not saved.</strong>
      {{ bench.save.waiting ? `${plural(bench.save.waiting, 'change')} so far` : 'What you do here' }} is kept in this
      tab only: {{ bench.save.failure }}. Save a file before you close it.
    </p>
    <div class="acts">
      <v-btn class="go" @click="keep">Save a bench file</v-btn>
      <ActButton class="alt" :act="bench.retry">Try again</ActButton>
    </div>
  </div>
  <div v-if="bench.save.stranded.length" class="trouble bad no-print" role="alert">
    <p>
      <strong>Not put on.</strong> While {{ plural(bench.save.stranded.length, 'change') }} waited here, another tab
      changed the same: {{ bench.save.stranded.map(({ label }) => label).join('; ') }}. Look at what stands there now,
      and repeat what you still want.
    </p>
    <div class="acts">
      <v-btn class="alt" @click="bench.letGo()">I have seen it</v-btn>
    </div>
  </div>
  <div v-for="one in leftBehind" :key="one.id" class="trouble bad no-print" role="alert">
    <p>
      <strong>Not saved.</strong> {{ plural(one.waiting, 'change') }} to “{{ one.name }}”
      {{ one.waiting === 1 ? 'is' : 'are' }} kept in this tab only.
    </p>
    <div class="acts">
      <ActButton class="alt" :act="() => go(one.id)">Go back to it</ActButton>
    </div>
  </div>
</template>
