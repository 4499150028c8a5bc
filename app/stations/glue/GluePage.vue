<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { glueCautions, stepCautions } from '../../../core/care/steps'
import { careOf, wetGlueOf } from '../../bench/careOf'
import { closedAt, curedFrom, tasksOf, type GlueTask } from '../../../core/planning/gluing'
import { cureStates } from '../../../core/records/round'
import { stepWords } from '../../../core/planning/difference'
import { stepTime } from '../../../core/planning/stepTime'
import { stampNow, useNow } from '../../bench/clock'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { capital, clockTime, countdown, lasting, momentName, plural } from '../../look/figures'
import { isTooSoon } from '../../look/act'
import { useKey } from '../../look/keys'
import TapeLabel from '../../look/TapeLabel.vue'
import { useWhy } from '../../look/why'
import ClockStrips from './ClockStrips.vue'
import { checkCure, doBlock, doneWords, doStep, noteDeviation, offWindow, sameInBlock } from './glueWork'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const now = useNow()
const tasks = computed(() => tasksOf(props.view.coupons, props.view.procedures, now.value))
const keyOf = (one: GlueTask) => `${one.coupon.id} ${one.step.id}`
// What is shown stays until it is done: a task that becomes due must not slip under the finger. It shows in "Then".
const held = ref<string | null>(null)
const task = computed<GlueTask | null>(
  () => tasks.value.find((one) => keyOf(one) === held.value && one.readyAt <= now.value) ?? tasks.value[0] ?? null,
)
watch(task, (one) => (held.value = one && keyOf(one)), { immediate: true })
const then = computed(() => tasks.value.filter((one) => one !== task.value).slice(0, 3))
const family = computed(() => (task.value ? familyTimes(bench, task.value.procedure) : null))
const care = computed(() => (task.value ? careOf(bench, props.view, task.value.procedure) : null))
const cautions = computed(() => {
  if (!task.value || !care.value) return []
  const { procedure, step } = task.value
  return stepCautions(procedure, step, care.value, wetGlueOf(bench, props.view, procedure))
})
const early = computed(() => task.value !== null && task.value.readyAt > now.value)
const late = computed(() => (task.value?.lateAt ?? Infinity) < now.value)
const inBlock = computed(() =>
  task.value && task.value.step.kind.startsWith('prepare') ? sameInBlock(tasks.value, task.value) : [],
)

const clock = computed(() => {
  const current = task.value
  if (!current || current.since === null) return null
  if (early.value)
    return {
      value: countdown(current.readyAt - now.value),
      says: `until it may be ${current.step.kind === 'close' ? 'closed' : 'left'}`,
    }
  if (late.value)
    return {
      value: countdown(now.value - current.lateAt!),
      says: 'too long: note what you do, or start this piece again',
    }
  if (current.lateAt !== null) return { value: countdown(current.lateAt - now.value), says: 'left to do it' }
  return { value: countdown(now.value - current.since), says: 'since the last step' }
})
const bar = computed(() => {
  const current = task.value
  if (!current || current.since === null || (current.lateAt === null && current.readyAt <= current.since)) return null
  const end = (current.lateAt ?? current.readyAt) + 60_000
  const at = (moment: number) => Math.max(0, Math.min(100, (100 * (moment - current.since!)) / (end - current.since!)))
  return { from: at(current.readyAt), to: at(current.lateAt ?? end), now: at(now.value) }
})

async function done() {
  if (task.value && !isTooSoon()) await doStep(bench, task.value, stampNow())
}
const writing = ref(false)
const note = ref('')
async function keepNote() {
  if (!task.value || !note.value.trim()) return
  if (await noteDeviation(bench, task.value.coupon, note.value.trim(), stampNow())) {
    note.value = ''
    writing.value = false
  }
}

const curing = computed(() => {
  const byId = new Map(props.view.procedures.map((procedure) => [procedure.id, procedure]))
  return props.view.coupons
    .flatMap((coupon) => {
      const procedure = byId.get(coupon.procedure)
      const closed = procedure ? closedAt(coupon, procedure) : null
      return closed === null ? [] : [{ coupon, closed, cured: curedFrom(coupon, procedure!)! }]
    })
    .sort((x, y) => y.closed - x.closed)
})
const looked = ref<string | null>(null)
const lookAt = computed(() => curing.value.find(({ coupon }) => coupon.id === looked.value) ?? curing.value[0] ?? null)
const checks = computed(() => (lookAt.value ? bench.of('cureCheck', lookAt.value.coupon.id) : []))
const allCured = computed(() => (curing.value.length ? Math.max(...curing.value.map(({ cured }) => cured)) : null))

watch(
  () => task.value && `${task.value.coupon.id} ${task.value.step.id}`,
  () => {
    writing.value = false
    if (!task.value || !family.value) return why.suggest(null)
    why.suggest({
      about: task.value.procedure.name,
      lines: [
        task.value.step.text,
        `Typical times of ${family.value.name.toLowerCase()} at 20 °C and 50 % humidity; the label and your ` +
          'own tries outrank them.',
      ],
      formula: [
        ...(family.value.waitMinS
          ? [`wait ${lasting(family.value.waitMinS)} to ${lasting(family.value.waitMaxS)}`]
          : [`open ${lasting(family.value.openS)}`]),
        `hold ${lasting(family.value.holdS)}`,
        `handling ${lasting(family.value.handlingS)}`,
        `full cure ${lasting(family.value.fullS)}`,
      ],
      cautions: care.value ? glueCautions(care.value) : [],
      source: ['Knowledge tables, typical values.'],
    })
  },
  { immediate: true },
)

useKey('step', () => void done())
</script>

<template>
  <div class="glue">
    <h1 class="visually-hidden">Glue {{ view.joint.name.toLowerCase() }}</h1>
    <div v-if="!view.coupons.length" class="card none">
      <p>
        <b>No coupons are planned yet.</b> Plan the test first: it fixes what is glued, how many, and in which order.
      </p>
      <v-btn class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }">Plan coupons</v-btn>
    </div>
    <div v-else class="two">
      <div class="left">
        <section v-if="task" class="task card" aria-labelledby="do-this">
          <div class="what">
            <TapeLabel size="big">{{ task.coupon.label }}</TapeLabel>
            <div>
              <h2 id="do-this">
                {{ task.step.text }}<template v-if="stepTime(task.step)">, {{ stepTime(task.step) }}</template>
              </h2>
              <p class="mute">
                {{ task.procedure.name }} · block {{ task.coupon.block }} of
                {{ view.round!.blocks * view.round!.arms.length }}
              </p>
            </div>
          </div>
          <div v-if="clock" class="clock" :class="{ late }">
            <span class="figure num" role="timer">{{ clock.value }}</span>
            <span class="says"
              >{{ clock.says
              }}<template v-if="task.lateAt && !late"
                ><br /><span class="mute num"
                  >{{ clockTime(task.readyAt) }} to {{ clockTime(task.lateAt) }}</span
                ></template
              ></span
            >
          </div>
          <svg v-if="bar" class="window" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
            <rect width="100" height="4" y="3" class="all" />
            <rect :x="bar.from" :width="Math.max(0, bar.to - bar.from)" height="4" y="3" class="good" />
            <rect :x="bar.now - 0.3" width="0.6" height="10" class="here" />
          </svg>
          <div v-if="cautions.length" class="care" role="note" aria-label="Before you start">
            <b class="careful">Before you start</b>
            <p v-for="line in cautions" :key="line">{{ line }}</p>
          </div>
          <p v-if="early" class="careful">It is early: what you do now is kept with “{{ offWindow(task, now) }}”.</p>
          <div class="acts" data-next>
            <v-btn class="go bench-size" @click="done">{{ doneWords[task.step.kind] }}<kbd>Space</kbd></v-btn>
            <v-btn v-if="inBlock.length > 1" class="alt bench-size" @click="doBlock(bench, tasks, task, stampNow())"
              >{{ doneWords[task.step.kind] }}, all {{ inBlock.length }} of block {{ task.coupon.block }}</v-btn
            >
            <v-btn class="alt bench-size" :aria-expanded="writing" @click="writing = !writing"
              >Something went differently…</v-btn
            >
          </div>
          <form v-if="writing" class="deviation" @submit.prevent="keepNote">
            <label class="field"
              ><span>What went differently with {{ task.coupon.label }}?</span
              ><input v-model="note" class="plain" placeholder="clamp slipped, too much glue, dropped it" autofocus
            /></label>
            <v-btn class="go" type="submit">Note it</v-btn>
          </form>
        </section>
        <section v-else class="task card" aria-labelledby="all-glued">
          <h2 id="all-glued">All {{ view.coupons.length }} coupons are glued</h2>
          <p v-if="allCured && allCured > now">
            All are fully cured {{ momentName(allCured, now) }}. Pull them in one session then.
          </p>
          <p v-else>All are cured: pull them in one session.</p>
          <div>
            <v-btn class="go bench-size" :to="{ name: 'break', params: { joint: view.joint.id } }"
              >Go to the pulls</v-btn
            >
          </div>
        </section>

        <section v-if="view.coupons.some((coupon) => coupon.stamps.length)" aria-labelledby="clock">
          <h2 id="clock">Along the clock</h2>
          <div class="scroll" tabindex="0" role="group" aria-label="The strips, to be scrolled sideways">
            <ClockStrips :view="view" :now="now" />
          </div>
          <p v-if="allCured" class="mute">What is closed so far is fully cured {{ momentName(allCured, now) }}.</p>
        </section>
        <section v-if="view.coupons.some((coupon) => coupon.deviations.length)" aria-labelledby="differently">
          <h2 id="differently">What went differently</h2>
          <ul class="deviations">
            <template v-for="coupon in view.coupons" :key="coupon.id">
              <li v-for="deviation in coupon.deviations" :key="deviation.at + deviation.text">
                <TapeLabel>{{ coupon.label }}</TapeLabel> {{ deviation.text }}
              </li>
            </template>
          </ul>
        </section>
      </div>
      <div class="aside">
        <section v-if="then.length" aria-labelledby="then">
          <h2 id="then">Then</h2>
          <ol>
            <li v-for="next in then" :key="next.coupon.id">
              <span class="num when" :class="{ due: next.since && next.readyAt <= now }">{{
                next.readyAt > now ? clockTime(next.readyAt) : next.since ? 'now' : 'free'
              }}</span>
              <span>{{ capital(stepWords[next.step.kind]) }}</span>
              <button
                type="button"
                class="first"
                :aria-label="`Do ${next.coupon.label} first`"
                title="Do this one first"
                :disabled="next.readyAt > now"
                @click="held = keyOf(next)"
              >
                <TapeLabel>{{ next.coupon.label }}</TapeLabel>
              </button>
            </li>
          </ol>
        </section>
        <section v-if="lookAt" aria-labelledby="cure-check">
          <h2 id="cure-check">
            How is <TapeLabel>{{ lookAt.coupon.label }}</TapeLabel>?
          </h2>
          <p class="mute small">
            closed {{ momentName(lookAt.closed, now)
            }}<template v-if="lookAt.cured > now">, cured {{ momentName(lookAt.cured, now) }}</template>
          </p>
          <label v-if="curing.length > 1" class="field pick">
            <span class="visually-hidden">Another coupon</span>
            <select
              class="plain"
              :value="lookAt.coupon.id"
              @change="looked = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="{ coupon } in curing" :key="coupon.id" :value="coupon.id">{{ coupon.label }}</option>
            </select>
          </label>
          <div class="taps">
            <v-btn
              v-for="state in cureStates"
              :key="state"
              class="alt bench-size"
              @click="checkCure(bench, lookAt.coupon, state, stampNow())"
              >{{ state }}</v-btn
            >
          </div>
          <p v-if="checks.length" class="mute small num" data-checks>
            {{ plural(checks.length, 'check') }} kept, last: {{ checks.at(-1)!.state }} at
            {{ clockTime(checks.at(-1)!.at) }}
          </p>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.glue {
  display: grid;
  gap: 24px;
}
.glue > * {
  min-width: 0;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  gap: 26px;
  align-items: start;
}
.task {
  border: 1.5px solid var(--ink);
  padding: 20px 22px;
  display: grid;
  gap: 16px;
}
.what {
  display: flex;
  gap: 16px;
  align-items: flex-start;
}
.what h2,
.task > h2 {
  font-size: 1.4375rem;
  line-height: 1.25;
}
.clock {
  display: flex;
  align-items: flex-end;
  gap: 22px;
  flex-wrap: wrap;
}
.figure {
  font-size: clamp(3.5rem, 9vw, 5.75rem);
  font-weight: 640;
  line-height: 0.95;
  letter-spacing: -0.02em;
}
.late .figure {
  color: var(--fails);
}
.says {
  font-size: 1.0625rem;
  padding-bottom: 6px;
}
.window {
  width: 100%;
  height: 18px;
}
.window .all {
  fill: var(--line);
}
.window .good {
  fill: var(--holds);
}
.window .here {
  fill: var(--ink);
}
.care {
  border-left: 5px solid var(--careful);
  padding: 2px 0 2px 14px;
  display: grid;
  gap: 4px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.deviation {
  display: flex;
  gap: 10px;
  align-items: end;
}
.deviation .field {
  flex: 1;
}
.aside,
.left {
  display: grid;
  gap: 24px;
  min-width: 0;
}
.left > * {
  min-width: 0;
}
.aside h2 {
  margin-bottom: 8px;
}
.aside li {
  display: grid;
  grid-template-columns: 52px 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
.when {
  font-weight: 680;
}
.when.due {
  color: var(--go);
}
.first {
  appearance: none;
  background: none;
  border: 0;
  padding: 6px 0;
  cursor: pointer;
}
.first:disabled {
  cursor: default;
}
.pick {
  margin: 6px 0;
}
.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.taps .v-btn {
  font-size: 1rem;
  padding: 8px 14px;
  min-width: 72px;
}
.scroll {
  overflow-x: auto;
}
.deviations li {
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .what {
    flex-direction: column;
    gap: 10px;
  }
}
</style>
