<script setup lang="ts">
import { computed, ref } from 'vue'
import { now } from '../bench/clock'
import { happenedText } from '../bench/happenedText'
import { useBench } from '../bench/store'
import ActButton from '../look/ActButton.vue'

/** What happened, for somebody who is asked for help: shown before it is copied, sent by nobody. */
const props = defineProps<{ from?: string }>()
const bench = useBench()
const done = ref('')
const text = computed(() =>
  happenedText(
    {
      version: String(import.meta.env['VITE_VERSION'] ?? 'of development'),
      page: props.from ?? 'what happened',
      now: now(),
      browser: navigator.userAgent,
      window: `${innerWidth} × ${innerHeight}`,
      saving: bench.save.failure ? `not saved (${bench.save.waiting} waiting)` : 'all saved',
    },
    bench.tables(),
    bench.history(),
  ),
)
async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    done.value = 'Copied.'
  } catch {
    done.value = 'The browser does not let it be copied from here: mark the text, and copy it by hand.'
  }
}
</script>

<template>
  <main id="work" class="page">
    <h1>Copy what happened</h1>
    <p class="mute">
      For whoever helps you when something went wrong: version, page, the last changes by their labels, and faults.
      Names, notes and everything else that you wrote are left out (…). Nothing is sent; it goes where you paste it.
    </p>
    <ActButton class="go" :act="copy">Copy this text</ActButton>
    <p class="said" role="status" :class="{ 'visually-hidden': !done }">{{ done }}</p>
    <pre tabindex="0" aria-label="What happened">{{ text }}</pre>
  </main>
</template>

<style scoped>
.page {
  justify-items: start;
}
pre {
  width: 100%;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  border: 1px solid var(--line);
  background: var(--card);
  padding: 12px 14px;
  font: 0.875rem/1.5 var(--mono, monospace);
}
</style>
