<script setup lang="ts">
import { computed, ref } from 'vue'
import { stampNow, useNow } from '../../bench/clock'
import { countdown, lasting } from '../../look/times'
import type { PullForm } from './pullForm'

/** How long a proof load hung, and how often it was hung on anew: both are kept with the pull. */
const form = defineModel<PullForm>({ required: true })
const now = useNow()
const since = ref<number | null>(null)
const HELD = 'longest time it held'
const TIMES = 'times loaded'
const valueOf = (what: string) => form.value.measured.find((one) => one.what === what)?.value ?? 0
function keep(what: string, value: number, unit: string) {
  form.value.measured = [...form.value.measured.filter((one) => one.what !== what), { what, value, unit }]
}
function start() {
  since.value = stampNow()
  keep(TIMES, valueOf(TIMES) + 1, '')
}
function end() {
  const s = Math.max(1, Math.round((stampNow() - since.value!) / 1000))
  since.value = null
  keep(HELD, Math.max(s, valueOf(HELD)), 's')
}
const said = computed(() => {
  const [held, times] = [valueOf(HELD), valueOf(TIMES)]
  return times ? `loaded ${times} ×${held ? `, ${lasting(held)} at the longest` : ''}` : ''
})
</script>

<template>
  <div class="hold">
    <b v-if="since !== null" class="num" role="timer">{{ countdown(now - since) }}</b>
    <v-btn v-if="since === null" class="alt bench-size" @click="start">{{
      said ? 'It hangs again' : 'It hangs: start the clock'
    }}</v-btn>
    <v-btn v-else class="alt bench-size" @click="end">Taken off, or it let go</v-btn>
    <span class="num" role="status">{{ said }}</span>
  </div>
</template>

<style scoped>
.hold {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  flex: 1 1 100%;
}
b {
  font-size: 3rem;
}
</style>
