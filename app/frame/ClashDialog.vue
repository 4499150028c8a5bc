<script setup lang="ts">
import { openClash } from '../bench/clash'
import { computed } from 'vue'
import { PULL } from '../../core/records/together/pull'
import { clashText } from '../bench/clashText'
import { fieldWords } from '../bench/fieldWords'

/** A pull that two tabs logged at once: there was nothing before it. */
const isPull = computed(() => openClash.value?.clashes[0]?.path[0] === PULL)
</script>

<template>
  <v-dialog
    :model-value="openClash !== null"
    aria-labelledby="clash-title"
    @update:model-value="!$event && openClash?.answer('back')"
  >
    <div v-if="openClash" class="sheet">
      <h2 id="clash-title">
        {{
          isPull
            ? 'This pull was logged in another tab too: which one stands?'
            : 'Changed elsewhere while you had it open'
        }}
      </h2>
      <p class="mute">{{ openClash.label }}</p>
      <ul>
        <li v-for="clash in openClash.clashes" :key="clash.path.join()">
          <b>{{ fieldWords(clash.path) || 'value' }}</b>
          <dl>
            <template v-if="!isPull">
              <dt>when you opened it</dt>
              <dd>{{ clashText(clash.opened, clash.path) }}</dd>
            </template>
            <dt>stands there now</dt>
            <dd>{{ clashText(clash.theirs, clash.path) }}</dd>
            <dt>yours</dt>
            <dd>{{ clashText(clash.mine, clash.path) }}</dd>
          </dl>
        </li>
      </ul>
      <div class="acts">
        <v-btn class="go" @click="openClash.answer('mine')">{{
          isPull ? 'Mine stands; set theirs aside' : 'Write mine over it'
        }}</v-btn>
        <v-btn class="alt" @click="openClash.answer('theirs')">Keep what stands there</v-btn>
        <v-btn class="quiet" @click="openClash.answer('back')">Back to the form</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 12px;
}
li {
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 16px;
  margin-top: 6px;
}
dt {
  color: var(--mute);
}
dd {
  overflow-wrap: anywhere;
}
</style>
