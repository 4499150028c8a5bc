<script setup lang="ts">
import { now } from '../bench/clock'
import { useBench } from '../bench/store'
import { plural } from '../look/figures'
import { benchFileName, saveFile } from './saveFile'

const bench = useBench()
const keep = () => saveFile(benchFileName(bench.bench?.name ?? 'bench', now()), bench.fileText())
</script>

<template>
  <div v-if="bench.save.failure" class="trouble" role="alert">
    <p>
      <strong>Not saved.</strong>
      {{ bench.save.waiting ? `${plural(bench.save.waiting, 'change')} so far` : 'What you do here' }} is kept in this
      tab only: {{ bench.save.failure }}. Save a file before you close it.
    </p>
    <div class="acts">
      <v-btn class="go" @click="keep">Save a bench file</v-btn>
      <v-btn class="alt" @click="bench.retry()">Try again</v-btn>
    </div>
  </div>
</template>

<style scoped>
.trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px 20px;
  padding: 10px 20px;
  background: var(--card);
  border-bottom: 3px solid var(--fails);
}
.trouble p {
  max-width: 720px;
}
.acts {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
</style>
