<script setup lang="ts">
import { computed } from 'vue'
import { modeWords } from '../../../core/knowledge/weights'
import type { Weighed } from '../../../core/screening/forecast'

/** Every reason with its push on the odds, what decides first; things to know come last, and push nothing. */
const props = defineProps<{ reasons: readonly Weighed[] }>()
const FULL = 20
const pushing = computed(() => props.reasons.filter(({ db }) => db !== 0))
/** Where makers disagree is said in a list of its own. */
const toKnow = computed(() => props.reasons.filter(({ db, school }) => db === 0 && !school))
const signed = (db: number) => `${db > 0 ? '+' : '−'}${+Math.abs(db).toFixed(1)}`
const width = (db: number) => `${(Math.min(FULL, Math.abs(db)) / FULL) * 50}%`
/** A drop on scrap of one's own settles it. */
const byScrap = ({ byScrap: settles, harm }: Weighed) => settles === true && !harm
const textOf = ({ text, house }: Weighed) => (house ? text.replace('Rule of the house: ', '') : text)
</script>

<template>
  <div class="reasons">
    <h4>What moves its chance</h4>
    <ol v-if="pushing.length">
      <li v-for="one in pushing" :key="one.rule + one.text">
        <span class="push" :class="one.db > 0 ? 'holds' : one.db <= -10 ? 'fails' : 'careful'">
          <span class="scale" aria-hidden="true"
            ><span class="bar" :class="{ against: one.db < 0 }" :style="{ width: width(one.db) }"
          /></span>
          <b class="num">{{ signed(one.db) }}<span class="visually-hidden"> decibans</span></b>
        </span>
        <span>
          <span class="mute">{{ modeWords[one.mode] }}:</span>
          <b v-if="one.house" class="careful"> House rule.</b> {{ textOf(one) }}
          <span v-if="one.db < 0" class="mute">To settle it: {{ one.settleBy }}</span>
          <slot v-if="byScrap(one)" name="scrap" :rule="one.rule" />
        </span>
      </li>
    </ol>
    <p v-else class="mute">Nothing said so far speaks for or against it: an ordinary joint of its kind.</p>
    <template v-if="toKnow.length">
      <h4>To know</h4>
      <ul>
        <li v-for="one in toKnow" :key="one.rule + one.text">
          {{ textOf(one) }}<slot v-if="byScrap(one)" name="scrap" :rule="one.rule" />
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.reasons {
  display: grid;
  gap: 6px;
  font-size: 0.9375rem;
}
ol li {
  display: grid;
  grid-template-columns: 148px minmax(0, 1fr);
  gap: 4px 14px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.push {
  display: flex;
  align-items: center;
  gap: 8px;
}
.scale {
  position: relative;
  width: 96px;
  height: 8px;
  border-radius: 4px;
  background: var(--line);
}
.bar {
  position: absolute;
  left: 50%;
  height: 100%;
  border-radius: 4px;
  background: currentColor;
}
.bar.against {
  left: auto;
  right: 50%;
}
h4 {
  margin: 4px 0 0;
  font-size: 0.9375rem;
}
ul {
  display: grid;
  gap: 4px;
}
@media (max-width: 700px) {
  ol li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
