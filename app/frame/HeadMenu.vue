<script setup lang="ts">
import { now } from '../bench/clock'
import { useBench } from '../bench/store'
import { appearance, setAppearance, type Appearance } from '../look/appearance'
import { useFinder } from './finder'
import { benchFileName, saveFile } from './saveFile'

/** What is wanted now and then: benches, history, a bench file, keys, light or dark. */
const emit = defineEmits<{ done: []; keys: [] }>()
const bench = useBench()
const finder = useFinder()
const looks: Appearance[] = ['light', 'dark', 'as the system']
</script>

<template>
  <div class="sheet menu" @click="emit('done')">
    <router-link class="narrow" :to="{ name: 'evidence' }">Evidence</router-link>
    <router-link :to="{ name: 'files' }">Files of this bench, backup</router-link>
    <router-link :to="{ name: 'benches' }">Benches: open, add, read in</router-link>
    <router-link :to="{ name: 'history' }">History of this bench</router-link>
    <button type="button" @click="saveFile(benchFileName(bench.bench!.name, now()), bench.fileText())">
      Save a bench file
    </button>
    <button type="button" class="narrow" @click="finder.open = true">Find</button>
    <button type="button" class="narrow" :disabled="!bench.redoable" @click="bench.redo()">Redo</button>
    <button type="button" @click="emit('keys')">All keys</button>
    <router-link :to="{ name: 'happened', query: { from: String($route.name ?? '') } }">Copy what happened</router-link>
    <fieldset @click.stop>
      <legend class="small mute">Light</legend>
      <label v-for="look in looks" :key="look">
        <input type="radio" name="look" :value="look" :checked="appearance === look" @change="setAppearance(look)" />
        {{ look }}
      </label>
    </fieldset>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 10px;
  width: min(300px, calc(100vw - 32px));
}
.menu > a,
.menu > button {
  appearance: none;
  background: none;
  border: 0;
  text-align: left;
  text-decoration: none;
  padding: 9px 6px;
  min-height: 40px;
  cursor: pointer;
}
.menu > a:hover,
.menu > button:hover {
  background: var(--bg);
}
.menu fieldset {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  display: grid;
}
.menu label {
  padding: 7px 6px;
  display: flex;
  gap: 8px;
}
.narrow {
  display: none;
}
@media (max-width: 1060px) {
  .narrow {
    display: block;
  }
}
</style>
