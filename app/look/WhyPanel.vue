<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import TapeLabel from './TapeLabel.vue'
import VerdictMark from './VerdictMark.vue'
import { useWhy } from './why'

const why = useWhy()
const panel = ref<HTMLElement>()
// On a narrow screen the panel comes up from below: the focus goes with it.
watch(
  () => [why.open, why.shown],
  async ([open]) => {
    await nextTick()
    if (open) panel.value?.focus({ preventScroll: true })
  },
)
</script>

<template>
  <aside
    id="why"
    ref="panel"
    class="why no-print"
    :class="{ open: why.open }"
    tabindex="0"
    aria-label="Why"
    @keydown.esc="why.close()"
  >
    <div class="title">
      <h2>Why</h2>
      <span class="mute small">{{ why.shown?.about }}</span>
      <v-btn v-if="why.open" class="quiet close" @click="why.close()">Close</v-btn>
    </div>
    <div v-if="why.shown" class="content">
      <p v-if="why.shown.word"><VerdictMark :tone="why.shown.tone ?? 'unknown'" :word="why.shown.word" /></p>
      <p v-for="line in why.shown.lines" :key="line">{{ line }}</p>
      <div v-if="why.shown.formula" class="formula">
        <div v-for="(line, i) in why.shown.formula" :key="i">{{ line }}</div>
      </div>
      <table v-if="why.shown.readings?.length">
        <caption class="visually-hidden">
          Readings behind it
        </caption>
        <tbody>
          <tr v-for="reading in why.shown.readings" :key="reading.label">
            <th scope="row">
              <TapeLabel>{{ reading.label }}</TapeLabel>
            </th>
            <td class="num">{{ reading.value }}</td>
            <td :class="reading.tone">{{ reading.note }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="why.shown.cautions?.length">
        <h3 class="careful">Before you start</h3>
        <p v-for="line in why.shown.cautions" :key="line">{{ line }}</p>
      </template>
      <template v-if="why.shown.change?.length">
        <h3>What would settle it</h3>
        <p v-for="line in why.shown.change" :key="line">{{ line }}</p>
      </template>
      <p v-for="line in why.shown.source ?? []" :key="line" class="mute small">{{ line }}</p>
    </div>
    <p v-else class="mute">Choose any underlined figure or word: what stands behind it shows here.</p>
  </aside>
</template>

<style scoped>
.why {
  background: var(--card);
  padding: 18px 20px 40px;
  font-size: 0.9688rem;
  /* What was asked far down a long list is answered beside it. */
  position: sticky;
  top: 0;
  align-self: start;
  max-height: 100vh;
  overflow: auto;
}
.why:focus {
  outline: none;
}
.why:focus-visible {
  outline: 3px solid var(--go);
  outline-offset: -3px;
}
.title {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 10px;
  margin-bottom: 10px;
}
.title .small {
  text-align: right;
}
.close {
  display: none;
}
.content {
  display: grid;
  gap: 10px;
}
.formula {
  font-family: var(--mono);
  background: var(--bg);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 9px 12px;
  overflow-wrap: anywhere;
  line-height: 1.5;
}
.formula div:last-child {
  font-weight: 700;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
}
td,
th {
  border-top: 1px solid var(--line);
  padding: 6px 8px 6px 0;
}
td.num {
  text-align: right;
  padding-right: 14px;
  white-space: nowrap;
}
h3 {
  margin-top: 4px;
}
@media (max-width: 1060px) {
  .why {
    display: none;
    position: fixed;
    inset: auto 0 0;
    min-height: 0;
    z-index: 30;
    max-height: 70vh;
    overflow: auto;
    border-left: 0;
    border-top: 2px solid var(--ink);
  }
  .why.open {
    display: block;
  }
  .close {
    display: inline-flex;
  }
}
</style>
