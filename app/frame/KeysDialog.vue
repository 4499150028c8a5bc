<script setup lang="ts">
import { keyTable } from '../look/keys'

/** All keys of the app, from the one table that they are heard by. */
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="open" aria-label="All keys">
    <div class="sheet">
      <h2>Keys</h2>
      <dl>
        <template v-for="{ shown, what } in keyTable" :key="shown">
          <dt>
            <kbd>{{ shown }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
      <v-btn class="alt" @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 18px;
  margin: 12px 0 16px;
}
kbd {
  margin: 0;
}
</style>
