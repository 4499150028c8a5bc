<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { isHeld, type GlueTask } from '../../../core/planning/gluing'
import { stepWords } from '../../../core/planning/stepWords'
import { stampNow } from '../../bench/clock'
import { KnockEar } from '../../instruments/knock'
import { useListening } from '../../instruments/useListening'
import { capital } from '../../look/figures'
import { clockTime } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'
import { doneWords } from './glueWork'
import { readTonight } from './readTonight'
import { clockOf } from './taskClock'

/** One step over the whole screen, done by a tap anywhere, by Space or by two knocks on the bench. */
const props = defineProps<{ task: GlueTask | null; then: GlueTask[]; now: number; cautions: string[] }>()
const emit = defineEmits<{ done: [] }>()
const open = ref(false)
const frame = ref<HTMLElement | null>(null)
const clock = computed(() => props.task && clockOf(props.task, props.now))
const late = computed(() => (props.task?.lateAt ?? Infinity) < props.now)
const unread = computed(() => props.cautions.length > 0 && !readTonight.has(props.cautions, props.now))

/** A tap just after the last one was meant for the step before, ms. */
const REST_MS = 1200
let tapped = -Infinity
function step() {
  if (!props.task || unread.value || stampNow() - tapped < REST_MS) return
  tapped = stampNow()
  emit('done')
}
function tap(event: MouseEvent) {
  if (!(event.target as Element).closest('button, summary')) step()
}

const { listening, trouble, listen, quiet } = useListening(() => new KnockEar(), step)
async function show() {
  open.value = true
  await nextTick()
  frame.value?.focus()
}
function leave() {
  open.value = false
  quiet()
}
watch(
  () => props.task,
  (task) => !task && leave(),
)
</script>

<template>
  <section aria-labelledby="hands-free">
    <h2 id="hands-free">Sticky hands</h2>
    <p class="mute small">One step fills the screen: a tap anywhere, Space or two knocks on the bench do it.</p>
    <v-btn class="alt" @click="show">Fill the screen</v-btn>
    <Teleport to="body"
      ><div
        v-if="open && task"
        ref="frame"
        class="whole"
        role="dialog"
        aria-modal="true"
        aria-label="The step to do: a tap anywhere does it"
        tabindex="-1"
        @click="tap"
        @keydown.esc="leave"
      >
        <div class="top">
          <TapeLabel size="big">{{ task.coupon.label }}</TapeLabel>
          <span class="buttons">
            <v-btn class="alt bench-size" :aria-pressed="listening" @click="listen">{{
              listening ? 'Stop listening' : 'Listen for knocks'
            }}</v-btn>
            <v-btn class="alt bench-size" @click="leave">Leave</v-btn>
          </span>
        </div>
        <p class="text">{{ task.step.text }}</p>
        <p v-if="clock" class="clock" :class="{ late }">
          <span class="figure num" role="timer">{{ clock.value }}</span> <span>{{ clock.says }}</span>
        </p>
        <div v-if="unread" class="care" role="note">
          <p v-for="line in cautions" :key="line">{{ line }}</p>
          <v-btn class="go bench-size" @click="readTonight.add(cautions, stampNow())">I have read this</v-btn>
        </div>
        <p v-else-if="isHeld(task, now)" class="say">It waits: nothing hot beside vapour that may burn</p>
        <p v-else class="say">Tap anywhere: {{ doneWords[task.step.kind] }}</p>
        <p v-if="listening" class="mute">Two knocks do the same. No sound is kept.</p>
        <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
        <ol class="then">
          <li v-for="next in then.slice(0, 2)" :key="next.coupon.id">
            <span class="num">{{ next.readyAt > now ? clockTime(next.readyAt) : 'then' }}</span>
            {{ capital(stepWords[next.step.kind]) }} {{ next.coupon.label }}
          </li>
        </ol>
      </div></Teleport
    >
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.whole {
  position: fixed;
  inset: 0;
  z-index: 2500;
  background: var(--bg);
  color: var(--ink);
  padding: clamp(14px, 4vw, 40px);
  display: flex;
  flex-direction: column;
  gap: 22px;
  overflow-y: auto;
  cursor: pointer;
  border: 6px solid var(--mat);
}
.top,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  justify-content: space-between;
  align-items: center;
}
.text {
  font-size: clamp(1.5rem, 4.5vw, 2.5rem);
  line-height: 1.2;
  font-weight: 620;
}
.clock {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 22px;
  font-size: 1.25rem;
}
.figure {
  font-size: clamp(4.5rem, 22vw, 11rem);
  line-height: 0.95;
  font-weight: 640;
  letter-spacing: -0.02em;
}
.late .figure {
  color: var(--fails);
}
.say {
  margin-top: auto;
  font-size: 1.25rem;
  font-weight: 650;
}
.care {
  border-left: 5px solid var(--careful);
  padding-left: 14px;
  display: grid;
  gap: 6px;
  justify-items: start;
  cursor: auto;
}
.then {
  list-style: none;
  padding: 0;
  color: var(--mute);
}
</style>
