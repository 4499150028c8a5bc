<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { now } from '../bench/clock'
import { useBench } from '../bench/store'
import { AlarmClock, alarmsOf, type Alarm } from './alarms'
import { alarmsWanted } from './alarmsWanted'
import { ring } from './sounds'
import { useWaiting } from './timers'

/** Calls out what comes due, on any page, where that is wanted: on screen, by sound, vibration and notification. */
const bench = useBench()
const waiting = useWaiting(bench)
const due = ref<Alarm[]>([])
const shown = computed(() => due.value.slice(-3))

function call(alarms: readonly Alarm[]) {
  if (!alarmsWanted.value) return
  due.value = [...due.value, ...alarms].slice(-9)
  ring()
  navigator.vibrate?.([200, 100, 200])
  if (document.hidden && 'Notification' in window && Notification.permission === 'granted')
    new Notification('Paste Bench', { body: alarms.map(({ text }) => text).join('\n'), tag: alarms.at(-1)!.key })
}
const clock = new AlarmClock(now, call)
// What is done meanwhile needs no calling out.
watch(
  waiting,
  (timers) => {
    const alarms = alarmsOf(timers)
    const keys = new Set(alarms.map(({ key }) => key))
    due.value = due.value.filter(({ key }) => keys.has(key))
    clock.set(alarms)
  },
  { immediate: true },
)
const woken = () => clock.look()

/** The screen stays awake while a clock runs, where that is wanted and the browser has it. */
let lock: WakeLockSentinel | null = null
async function stayAwake(wanted: boolean) {
  if (!wanted) {
    void lock?.release()
    lock = null
    return
  }
  if (lock && !lock.released) return
  // A browser that has none, or refuses while hidden, lets the screen sleep: the alarms come all the same.
  lock = await navigator.wakeLock?.request('screen').catch(() => null)
}
watch(
  () => alarmsWanted.value && waiting.value.length > 0,
  (wanted) => void stayAwake(wanted),
  { immediate: true },
)
const back = () => {
  woken()
  if (!document.hidden) void stayAwake(alarmsWanted.value && waiting.value.length > 0)
}
onMounted(() => {
  document.addEventListener('visibilitychange', back)
  window.addEventListener('pageshow', woken)
})
onBeforeUnmount(() => {
  clock.stop()
  void stayAwake(false)
  document.removeEventListener('visibilitychange', back)
  window.removeEventListener('pageshow', woken)
})
</script>

<template>
  <div class="alarms" role="alert" aria-label="Due now">
    <p v-for="one in shown" :key="one.key">
      <b>{{ one.text }}</b>
      <v-btn class="quiet" @click="due = due.filter(({ key }) => key !== one.key)"
        >Heard<span class="visually-hidden">: {{ one.text }}</span></v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.alarms {
  position: fixed;
  right: 16px;
  bottom: 150px;
  z-index: 2900;
  max-width: min(340px, calc(100vw - 32px));
  display: grid;
  gap: 6px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 6px 6px 6px 14px;
  background: var(--card);
  border: 1px solid var(--ink);
  border-left: 6px solid var(--go);
  border-radius: var(--radius);
}
@media print {
  .alarms {
    display: none;
  }
}
</style>
