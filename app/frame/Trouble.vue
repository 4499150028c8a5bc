<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { useRouter, type RouteLocationNormalized } from 'vue-router'
import { fetchedAgain } from '../look/piece'
import { askStalledAgain, stalled } from '../workers/stalled'

/**
 * What does not answer, on every page: a page whose piece of the app is missing, and a computation that stopped. Each
 * has its way to try again.
 */
const router = useRouter()
/** a page that could not be opened */
const missing = shallowRef<RouteLocationNormalized | null>(null)
const opening = ref('')
const stop = [
  router.onError((_error, to) => (missing.value = to)),
  router.beforeEach((to) => {
    missing.value = null
    opening.value = String(to.meta['title'] ?? 'The page')
  }),
  router.afterEach(() => void (opening.value = '')),
]
onBeforeUnmount(() => stop.forEach((leave) => leave()))

const title = computed(() => String(missing.value?.meta['title'] ?? 'This page'))
const slow = computed(() => fetchedAgain.value && !missing.value)
// That it did not come again is heard by onError.
const again = () => void router.push(missing.value!.fullPath).catch(() => {})
const anew = () => location.assign(missing.value?.fullPath ?? location.href)
</script>

<template>
  <p v-if="slow" class="trouble no-print" role="status">
    {{ opening || 'A part of the app' }} takes long to come; it is being fetched again…
  </p>
  <div v-if="missing" class="trouble bad no-print" role="alert">
    <p>
      <strong>“{{ title }}” could not be opened.</strong> A part of the app did not come. Is its server still running,
      or the network there? What was saved stays in this browser.
    </p>
    <div class="acts">
      <v-btn class="go" @click="again">Try again</v-btn>
      <v-btn class="alt" @click="anew">Open the app anew</v-btn>
    </div>
  </div>
  <div v-if="stalled.size" class="trouble bad no-print" role="alert">
    <p>
      <strong>Not worked out.</strong> The computation stopped answering, and so did a second try. What you entered is
      kept.
    </p>
    <div class="acts">
      <v-btn class="go" @click="askStalledAgain">Work it out again</v-btn>
    </div>
  </div>
</template>
