<script setup lang="ts">
import { onMounted, provide, ref, watch } from 'vue'
import { lazyPart } from '../look/piece'
import { useRoute, useRouter } from 'vue-router'
import { now } from '../bench/clock'
import { noteFault } from '../bench/happened'
import { listAs } from '../bench/library'
import { useBench } from '../bench/store'
import PanelGuard from '../look/PanelGuard.vue'
import { panelHelp } from '../look/panelHelp'
import SeamHatches from '../look/seam/SeamHatches.vue'
import { useWhy } from '../look/why'
import { openClash } from '../bench/clash'
import { alarmsWanted } from './alarmsWanted'
import AppHead from './AppHead.vue'
import NoticeStrip from './NoticeStrip.vue'
import Trouble from './Trouble.vue'
import { benchFileName, saveFile } from './saveFile'
import { openSomeBench } from './startBench'
import { useKeys } from './keys'

const SaveTrouble = lazyPart(() => import('./SaveTrouble.vue'))
const Understood = lazyPart(() => import('./Understood.vue'))
const AlarmStrip = lazyPart(() => import('./AlarmStrip.vue'))
const KeysDialog = lazyPart(() => import('./KeysDialog.vue'))
const ClashDialog = lazyPart(() => import('./ClashDialog.vue'))
// Only the built app keeps itself open without a network.
const NewVersion = import.meta.env.PROD ? lazyPart(() => import('./NewVersion.vue')) : null
const bench = useBench()
const why = useWhy()
const route = useRoute()
const router = useRouter()
const ready = ref(false)
const { help } = useKeys()

provide(panelHelp, {
  saveFile: () => saveFile(benchFileName(bench.bench?.name ?? 'bench', now()), bench.fileText()),
  tell: (words) => bench.tell(words, 'bad'),
  note: (error) => noteFault(error, now()),
})
onMounted(async () => {
  // What is said while a bench is opened must not go with the first change of page.
  await router.isReady().catch(() => {})
  await open()
})

/** What the storage does not answer is asked again once; then the maker says how to go on. */
const silent = ref(false)
async function open() {
  silent.value = false
  for (let tries = 0; !ready.value; tries++) {
    try {
      await openSomeBench(bench)
      ready.value = true
    } catch (error) {
      noteFault(error, now())
      if (tries > 0) return void (silent.value = true)
    }
  }
}
async function openWithout() {
  await bench.openInMemory('the browser’s storage does not answer')
  silent.value = false
  ready.value = true
}

watch(
  () => route.fullPath,
  () => why.reset(),
)
watch(
  () => [route.meta['title'], bench.bench?.name],
  ([title, name]) => (document.title = [title, name, 'Paste Bench'].filter(Boolean).join(' · ')),
  { immediate: true },
)
watch(
  () => bench.bench?.name,
  (name) => bench.id && name && listAs(bench.id, name).catch((error: unknown) => noteFault(error, now())),
)
</script>

<template>
  <v-app>
    <SeamHatches />
    <a class="skip" href="#work">Skip to the work</a>
    <PanelGuard name="The head"><AppHead v-if="ready" @keys="help = true" /></PanelGuard>
    <component :is="NewVersion" v-if="ready && NewVersion" />
    <Trouble />
    <SaveTrouble v-if="ready" />
    <section v-if="silent" class="opening" role="alert">
      <p>
        <strong>The browser’s storage does not answer.</strong> Your benches are most likely still in it: close other
        tabs of this app, or the browser, and try again.
      </p>
      <div class="acts">
        <v-btn class="go" @click="open">Try again</v-btn>
        <v-btn class="alt" @click="openWithout">Go on without it, in this tab only</v-btn>
      </div>
    </section>
    <p v-else-if="!ready" class="opening" role="status">Opening the bench…</p>
    <PanelGuard v-else name="This page"><router-view /></PanelGuard>
    <NoticeStrip />
    <Understood v-if="ready" />
    <AlarmStrip v-if="ready && alarmsWanted" />
    <ClashDialog v-if="openClash" />
    <KeysDialog v-if="help" v-model="help" />
  </v-app>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
  top: 4px;
  z-index: 10;
  background: var(--card);
  padding: 8px 12px;
}
.skip:focus {
  left: 8px;
}
.opening {
  padding: 40px 28px;
  display: grid;
  gap: 14px;
}
</style>
