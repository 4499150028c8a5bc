<script setup lang="ts">
import { defineAsyncComponent, onMounted, provide, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { now } from '../bench/clock'
import { useBench } from '../bench/store'
import PanelGuard from '../look/PanelGuard.vue'
import { panelHelp } from '../look/panelHelp'
import SeamHatches from '../look/seam/SeamHatches.vue'
import { useWhy } from '../look/why'
import { openClash } from '../bench/clash'
import { alarmsWanted } from './alarmsWanted'
import AppHead from './AppHead.vue'
import NoticeStrip from './NoticeStrip.vue'
import { benchFileName, saveFile } from './saveFile'
import { openSomeBench } from './startBench'
import { useKeys } from './keys'

const SaveTrouble = defineAsyncComponent(() => import('./SaveTrouble.vue'))
const AlarmStrip = defineAsyncComponent(() => import('./AlarmStrip.vue'))
const KeysDialog = defineAsyncComponent(() => import('./KeysDialog.vue'))
const ClashDialog = defineAsyncComponent(() => import('./ClashDialog.vue'))
// Only the built app keeps itself open without a network.
const NewVersion = import.meta.env.PROD ? defineAsyncComponent(() => import('./NewVersion.vue')) : null
const bench = useBench()
const why = useWhy()
const route = useRoute()
const router = useRouter()
const ready = ref(false)
const { help } = useKeys()

provide(panelHelp, {
  saveFile: () => saveFile(benchFileName(bench.bench?.name ?? 'bench', now()), bench.fileText()),
  tell: (words) => bench.tell(words, 'bad'),
})
onMounted(async () => {
  // What is said while a bench is opened must not go with the first change of page.
  await router.isReady()
  await openSomeBench(bench)
  ready.value = true
})

watch(
  () => route.fullPath,
  () => why.reset(),
)
watch(
  () => [route.meta['title'], bench.bench?.name],
  ([title, name]) => (document.title = [title, name, 'Paste Bench'].filter(Boolean).join(' · ')),
  { immediate: true },
)
</script>

<template>
  <v-app>
    <SeamHatches />
    <a class="skip" href="#work">Skip to the work</a>
    <PanelGuard name="The head"><AppHead v-if="ready" @keys="help = true" /></PanelGuard>
    <component :is="NewVersion" v-if="ready && NewVersion" />
    <SaveTrouble v-if="ready" />
    <p v-if="!ready" class="opening" role="status">Opening the bench…</p>
    <PanelGuard v-else name="This page"><router-view /></PanelGuard>
    <NoticeStrip />
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
}
</style>
