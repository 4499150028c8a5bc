<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Round } from '../../../core/records/round'
import type { Procedure } from '../../../core/records/procedure'
import { useMinute } from '../../bench/clock'
import { momentName } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'

/** The maker's expected order, strongest first. Sealed until the pulls are in: it must not steer the hands. */
const props = defineProps<{ round: Round; procedures: Procedure[]; code: string; open: boolean }>()
const emit = defineEmits<{ seal: [order: string[]]; unseal: [] }>()
const now = useMinute()
const order = ref<string[]>([])
watch(
  () => props.procedures.map(({ id }) => id).join(),
  () => (order.value = props.procedures.map(({ id }) => id)),
  { immediate: true },
)
const listed = computed(() => order.value.flatMap((id) => props.procedures.find((one) => one.id === id) ?? []))
const sealed = computed(() => props.round.hunch)
function move(i: number, by: -1 | 1) {
  const next = [...order.value]
  const j = i + by
  if (j < 0 || j >= next.length) return
  ;[next[i], next[j]] = [next[j]!, next[i]!]
  order.value = next
}
</script>

<template>
  <section v-if="procedures.length > 1" aria-labelledby="hunch">
    <h2 id="hunch">Your hunch</h2>
    <template v-if="sealed">
      <p class="mute">
        Sealed {{ momentName(sealed.at, now) }}. It opens when the pulls are in.
        <v-btn v-if="open" class="quiet" @click="emit('unseal')">Take it back</v-btn>
      </p>
    </template>
    <template v-else>
      <p class="mute">Which will be strongest? Put them in order; it is sealed until the pulls are in.</p>
      <ol data-fast>
        <li v-for="(one, i) in listed" :key="one.id">
          <TapeLabel>{{ code }}-{{ one.letter }}</TapeLabel>
          <span>{{ one.name }}</span>
          <v-btn class="quiet" :disabled="i === 0" :aria-label="`${one.name} one place up`" @click="move(i, -1)"
            >↑</v-btn
          >
          <v-btn
            class="quiet"
            :disabled="i === listed.length - 1"
            :aria-label="`${one.name} one place down`"
            @click="move(i, 1)"
            >↓</v-btn
          >
        </li>
      </ol>
      <v-btn class="alt" @click="emit('seal', order)">Seal this hunch</v-btn>
    </template>
  </section>
</template>

<style scoped>
ol {
  margin: 8px 0;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
  max-width: 520px;
}
</style>
