<script setup lang="ts">
import { openClash } from '../bench/clash'
import { fieldWords, valueText } from '../bench/fieldWords'
</script>

<template>
  <v-dialog
    :model-value="openClash !== null"
    aria-labelledby="clash-title"
    @update:model-value="!$event && openClash?.answer('back')"
  >
    <div v-if="openClash" class="sheet">
      <h2 id="clash-title">Changed elsewhere while you had it open</h2>
      <p class="mute">{{ openClash.label }}</p>
      <ul>
        <li v-for="clash in openClash.clashes" :key="clash.path.join()">
          <b>{{ fieldWords(clash.path) || 'value' }}</b>
          <dl>
            <dt>when you opened it</dt>
            <dd>{{ valueText(clash.opened, clash.path) }}</dd>
            <dt>stands there now</dt>
            <dd>{{ valueText(clash.theirs, clash.path) }}</dd>
            <dt>yours</dt>
            <dd>{{ valueText(clash.mine, clash.path) }}</dd>
          </dl>
        </li>
      </ul>
      <div class="acts">
        <v-btn class="go" @click="openClash.answer('mine')">Write mine over it</v-btn>
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
