<script setup lang="ts">
import { onMounted, ref } from 'vue'
import ActButton from '../look/ActButton.vue'

/** Whether the browser keeps the benches when its disk is short, and a way to ask it to; nothing if it cannot say. */
const promised = ref<boolean | null>(null)
const refused = ref(false)
onMounted(async () => {
  promised.value = (await navigator.storage?.persisted?.().catch(() => null)) ?? null
})

async function ask() {
  promised.value = await navigator.storage.persist().catch(() => false)
  refused.value = !promised.value
}
</script>

<template>
  <div v-if="promised !== null" class="small">
    <p class="mute">
      {{
        promised
          ? 'The browser has promised to keep the benches even when the disk is short.'
          : 'The browser may clear its store when the disk is short.'
      }}
    </p>
    <div v-if="!promised" class="acts">
      <ActButton class="quiet" :act="ask">Ask it to keep the benches</ActButton>
    </div>
    <p v-if="refused" class="problem" role="alert">
      The browser did not promise it. Keep a file of each bench outside it, and bring it up to date now and then.
    </p>
  </div>
</template>
