<script setup lang="ts">
import { inSentence } from '../../../core/quantities/inSentence'
import { computed, watch } from 'vue'
import { holdWords } from '../../../core/care/fire'
import { glueCautions, stepCautions } from '../../../core/care/steps'
import { careOf, fireGlueOf } from '../../bench/careOf'
import { batchWords, nextBatch } from '../../../core/planning/batch'
import { isHeld } from '../../../core/planning/gluing'
import { stepTime } from '../../../core/planning/stepTime'
import { whyStep } from '../../../core/planning/stepWhy'
import { stepWords } from '../../../core/planning/stepWords'
import type { Procedure, StepKind } from '../../../core/records/procedure'
import { adviceRemembered } from '../../bench/advice'
import { stampNow, useNow } from '../../bench/clock'
import { familyTimes, type JointView } from '../../bench/jointView'
import { settingOf } from '../../bench/setting'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { momentName } from '../../look/times'
import { isTooSoon } from '../../look/act'
import { useKey } from '../../look/keys'
import { useWhy } from '../../look/why'
import AllGlued from './AllGlued.vue'
import BenchSums from './BenchSums.vue'
import BuildJoints from './BuildJoints.vue'
import CallMe from './CallMe.vue'
import ClockStrips from './ClockStrips.vue'
import CureLook from './CureLook.vue'
import CureTimes from './CureTimes.vue'
import ExposureList from './ExposureList.vue'
import HandsFree from './HandsFree.vue'
import TaskCard from './TaskCard.vue'
import TimetableCard from './TimetableCard.vue'
import ThenList from './ThenList.vue'
import WhatWasDone from './WhatWasDone.vue'
import { curedBetween, nextLookAt, settingParts } from './cureTimes'
import { curingOf, doBlock, doStep, mixOf, sameInBlock, type Curing } from './glueWork'
import { notedFrom, stepNotes } from './stepNotes'
import { useAttempt } from '../../look/attempt'
import { keyOf, useTasks } from './useTasks'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const now = useNow()
const { tasks, task, then, first, touched, planned } = useTasks(() => props.view, now)
const held = computed(() => task.value?.hold ?? null)
const care = computed(() => (task.value ? careOf(bench, props.view, task.value.procedure) : null))
const cautions = computed(() => {
  if (!task.value || !care.value) return []
  const { procedure, step } = task.value
  const own = stepCautions(procedure, step, care.value, fireGlueOf(bench, props.view, procedure))
  return held.value ? [holdWords(held.value), ...own] : own
})
/** What is done at all pieces of a block before any glue is open. */
const IN_BLOCK: ReadonlySet<StepKind> = new Set(['prepare-a', 'prepare-b', 'fit', 'mask'])
const inBlock = computed(() =>
  task.value && IN_BLOCK.has(task.value.step.kind) ? sameInBlock(tasks.value, task.value) : [],
)

const opened = stampNow()
const setting = steady(() => settingOf(bench, props.view.joint.brief, opened, []), settingParts)
const adviceOf = (procedure: Procedure) => adviceRemembered(procedure, setting.value)
/** How much is mixed for how many pieces, at the step that mixes. */
const mixWords = computed(() => {
  if (task.value?.step.kind !== 'mix') return null
  const { procedure } = task.value
  const apply = procedure.steps.find(({ kind }) => kind === 'apply')
  const left = props.view.coupons.filter(
    (one) => one.procedure === procedure.id && !one.stamps.some(({ step }) => step === apply?.id),
  )
  const family = adviceOf(procedure)?.situation.family ?? familyTimes(bench, procedure)
  const batch = nextBatch(procedure, family, left, props.view.round!.arms)
  return batch && batchWords(batch)
})

const mix = computed(() => task.value && mixOf(task.value, props.view.coupons))
const { attempt } = useAttempt()
async function done() {
  const one = task.value
  // What would bring fire to vapour waits, also for a tap, a key or a knock.
  if (!one || isTooSoon() || isHeld(one, now.value)) return
  touched()
  await attempt(async () => {
    const noted = notedFrom(stepNotes, one.step.kind, one.procedure.id, mix.value)
    const kept = await doStep(bench, one, stampNow(), noted, props.view.round!.offWindow)
    if (kept) Object.assign(stepNotes, { before: '', after: '' })
  })
}
/** what cures or waits for its pull: of what is pulled nobody asks how it is */
const curing = computed(() => {
  const pulled = new Set(props.view.readings.map(({ coupon }) => coupon))
  return curingOf(props.view).filter(({ coupon }) => !pulled.has(coupon.id))
})
const nextLook = (one: Curing) => nextLookAt(bench, props.view, one, setting.value)
const range = (one: Curing) => curedBetween(props.view, one, setting.value)
const allCured = computed(() => {
  const all = curingOf(props.view)
  return all.length ? Math.max(...all.map(({ cured }) => cured)) : null
})

watch(
  () => task.value && `${task.value.coupon.id} ${task.value.step.id}`,
  () => {
    if (!task.value) return why.suggest(null)
    const { procedure, step } = task.value
    why.suggest({
      about: procedure.name,
      lines: [step.text, ...whyStep(step, adviceOf(procedure))],
      formula: procedure.steps.flatMap((one) => {
        const time = stepTime(one)
        return time ? [`${stepWords[one.kind]} ${time}`] : []
      }),
      cautions: care.value ? glueCautions(care.value) : [],
      source: [
        'Times of the tables or the label, as they are in your room and at the depth of this joint; your own tries ' +
          'outrank them.',
      ],
    })
  },
  { immediate: true },
)

useKey('step', () => void done())
</script>

<template>
  <div class="glue">
    <h1 class="visually-hidden">Glue {{ inSentence(view.joint.name) }}</h1>
    <div v-if="!view.coupons.length" class="card none">
      <p>
        <b>No coupons are planned yet.</b> Plan the test first: it fixes what is glued, how many, and in which order.
      </p>
      <v-btn class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }">Plan coupons</v-btn>
    </div>
    <!-- Whatever is touched, typed or tabbed to here stays: no timetable puts another piece in its place. -->
    <div v-else class="two" @pointerdown="touched" @focusin="touched">
      <div class="left">
        <TaskCard
          v-if="task"
          :key="keyOf(task)"
          :task="task"
          :now="now"
          :cautions="cautions"
          :blocks="view.round!.blocks * view.round!.arms.length"
          :in-block="inBlock.length"
          :mix-words="mixWords"
          :mix="mix"
          @done="done"
          @block="doBlock(bench, tasks, task, stampNow())"
        />
        <AllGlued v-else :view="view" :now="now" />
        <ExposureList :view="view" :now="now" />
        <BuildJoints v-if="view.decision" :view="view" :setting="setting" />

        <section v-if="view.coupons.some((coupon) => coupon.stamps.length)" aria-labelledby="clock">
          <h2 id="clock">Along the clock</h2>
          <div class="scroll" tabindex="0" role="group" aria-label="The strips, to be scrolled sideways">
            <ClockStrips :view="view" :now="now" />
          </div>
          <p v-if="allCured" class="mute">What is closed so far is fully cured {{ momentName(allCured, now) }}.</p>
        </section>
        <CureTimes v-if="view.readings.length < view.coupons.length" :view="view" :setting="setting" />
        <TimetableCard v-if="view.readings.length < view.coupons.length" :view="view" @planned="planned" />
        <BenchSums v-if="task" :view="view" :procedure="task.procedure" :setting="setting" />
        <WhatWasDone :view="view" />
      </div>
      <div class="aside">
        <ThenList v-if="then.length" :tasks="then" :now="now" @first="first" />
        <CureLook v-if="curing.length" :curing="curing" :next-look="nextLook" :range="range" />
        <CallMe v-if="task" />
        <HandsFree v-if="task" :task="task" :then="then" :now="now" :cautions="cautions" @done="done" />
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
.aside,
.left {
  display: grid;
  gap: 24px;
  min-width: 0;
}
.left > * {
  min-width: 0;
}
.scroll {
  overflow-x: auto;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  /* what is next and how the last one is come before the clock and the timetable: one thumb, no scrolling */
  .left,
  .aside {
    display: contents;
  }
  .aside > * {
    order: 1;
  }
  .left > :not(:first-child) {
    order: 2;
  }
}
</style>
