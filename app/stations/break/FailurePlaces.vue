<script setup lang="ts">
import { places, type Place } from '../../../core/readings/datum'
import { nextTick, ref } from 'vue'
import { useKey } from '../../look/keys'
import type { PullForm } from './pullForm'
import { setPlace, tapPlace } from './whereItLetGo'

// Where it let go: one tap says all of it; plus and minus share it out.
const form = defineModel<PullForm>({ required: true })
const words: Record<Place, { name: string; gloss: string }> = {
  tornA: { name: 'torn in A', gloss: 'substrate failure in A' },
  offA: { name: 'off A', gloss: 'adhesive failure at A: a clean face' },
  glue: { name: 'in the glue', gloss: 'cohesive failure: glue on both faces' },
  offB: { name: 'off B', gloss: 'adhesive failure at B: a clean face' },
  tornB: { name: 'torn in B', gloss: 'substrate failure in B' },
}

const group = ref<HTMLElement | null>(null)
/** Arrows move along the places, as they lie from A to B; all of it let go where one stops. */
function step(by: number) {
  const at = places.findIndex((place) => form.value.places[place] > 0)
  const next = at < 0 ? 2 : Math.min(places.length - 1, Math.max(0, at + by))
  tapPlace(form.value, places[next]!)
  void nextTick(() => group.value?.querySelectorAll<HTMLElement>('.tap')[next]?.focus())
}
useKey('place', (event) => step(event.key === 'ArrowLeft' ? -1 : 1))
/** A digit on a place is its share in tenths: 3 is 30 %, 0 is all of it. */
function digit(place: Place, event: KeyboardEvent) {
  if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  setPlace(form.value, place, event.key === '0' ? 100 : 10 * Number(event.key))
}
</script>

<template>
  <div ref="group" class="places" role="group" aria-label="Where did it let go?">
    <div v-for="place in places" :key="place" class="place" :class="{ some: form.places[place] > 0 }">
      <button
        type="button"
        class="tap"
        :aria-pressed="form.places[place] > 0"
        :title="words[place].gloss"
        @click="tapPlace(form, place)"
        @keydown="digit(place, $event)"
      >
        <span>{{ words[place].name }}</span>
        <b class="num">{{ form.places[place] }} %</b>
      </button>
      <div class="share" data-fast>
        <button
          type="button"
          :aria-label="`10 % less ${words[place].name}`"
          :disabled="form.places[place] === 0"
          @click="tapPlace(form, place, -10)"
        >
          −
        </button>
        <button
          type="button"
          :aria-label="`10 % more ${words[place].name}`"
          :disabled="form.places[place] === 100"
          @click="tapPlace(form, place, 10)"
        >
          +
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.places {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px;
}
.place {
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
  overflow: hidden;
}
.place.some {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
}
button {
  appearance: none;
  background: none;
  border: 0;
  cursor: pointer;
}
.tap {
  display: grid;
  gap: 2px;
  width: 100%;
  min-height: 64px;
  padding: 8px 10px;
  text-align: left;
}
.tap b {
  font-size: 1.25rem;
}
.some .tap {
  font-weight: 650;
}
.share {
  display: grid;
  grid-template-columns: 1fr 1fr;
  border-top: 1px solid var(--line);
}
.share button {
  min-height: 40px;
  font-size: 1.125rem;
}
.share button + button {
  border-left: 1px solid var(--line);
}
.share button:disabled {
  color: var(--tick);
  cursor: default;
}
@media (max-width: 700px) {
  .places {
    grid-template-columns: minmax(0, 1fr);
  }
  .place {
    display: grid;
    grid-template-columns: 1fr 112px;
  }
  .tap {
    grid-template-columns: 1fr auto;
    align-items: center;
    min-height: 56px;
  }
  .share {
    border-top: 0;
    border-left: 1px solid var(--line);
  }
  .share button {
    min-height: 56px;
  }
}
</style>
