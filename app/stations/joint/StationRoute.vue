<script setup lang="ts">
import { computed } from 'vue'
import { stations } from '../../../core/planning/progress'
import type { JointView } from '../../bench/jointView'
import { routeWords } from '../../bench/jointWords'
import { capital } from '../../look/figures'

const props = defineProps<{ view: JointView; station: string }>()
const words = computed(() => routeWords(props.view))
</script>

<template>
  <nav class="route no-print" aria-label="Stations">
    <ol>
      <li v-for="(name, i) in stations" :key="name" :class="{ on: name === station, done: words[name].done }">
        <router-link
          :to="{ name, params: { joint: view.joint.id } }"
          :aria-current="name === station ? 'step' : undefined"
        >
          <span class="key" aria-hidden="true">{{ i + 1 }}</span>
          <span class="label">{{ capital(name) }}</span>
          <span class="state"
            >{{ words[name].words }}<span v-if="words[name].done" class="visually-hidden">, done</span></span
          >
        </router-link>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.route {
  border-bottom: 1px solid var(--line);
  padding: 0 20px;
  overflow-x: auto;
}
ol {
  display: flex;
}
/* the ruler: its ticks under each station say done, here, to come */
li {
  flex: none;
  padding-bottom: 9px;
  padding-right: 26px;
  min-width: 96px;
  background-image: repeating-linear-gradient(90deg, var(--tick) 0 1px, transparent 1px 10px);
  background-position: left bottom;
  background-size: 100% 7px;
  background-repeat: no-repeat;
}
li.done {
  background-image: repeating-linear-gradient(90deg, var(--holds) 0 2px, transparent 2px 10px);
}
li.on {
  background-image: repeating-linear-gradient(90deg, var(--go) 0 3px, transparent 3px 10px);
  background-size: 100% 9px;
}
a {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  text-decoration: none;
  color: var(--mute);
  white-space: nowrap;
}
.on a {
  color: var(--ink);
  font-weight: 700;
}
.key {
  font: 600 0.8125rem/1.2 var(--mono);
  border: 1px solid currentColor;
  border-radius: 3px;
  padding: 1px 5px;
}
.done .key {
  background: var(--holds);
  border-color: var(--holds);
  color: var(--card);
}
.on .key {
  background: var(--go);
  border-color: var(--go);
  color: var(--go-ink);
}
.state {
  font-size: 0.875rem;
  font-weight: 400;
}
@media (max-width: 960px) {
  li:not(.on) .state {
    display: none;
  }
}
@media (max-width: 700px) {
  .route {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 20;
    padding: 0;
    background: var(--card);
    border-top: 1px solid var(--ink);
    border-bottom: 0;
  }
  li {
    flex: 1;
    min-width: 0;
    padding: 0 0 6px;
  }
  a {
    flex-direction: column;
    gap: 1px;
    justify-content: center;
    min-height: 56px;
    font-size: 0.8125rem;
  }
  .state {
    display: none;
  }
}
</style>
