<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { formulaOf, type TestId } from '../../../core/knowledge/testKinds'
import { findPull, TOO_FAST_N_S } from '../../../core/readings/pull'
import { LivePull } from '../../../core/readings/livePull'
import { measured } from '../../../core/quantities/betterUnit'
import { plainLines, type Instrument } from '../../../core/records/instrument'
import { now } from '../../bench/clock'
import { useForce } from '../../bench/force'
import { useBench } from '../../bench/store'
import { gaugeBySerial, gaugeSimulated } from '../../instruments/forceSources'
import type { ForceSample, Link, Said, Source } from '../../instruments/instrument'
import { hasSerial, whyNotOpen } from '../../instruments/serialPort'
import { keptTrace, type PullForm } from './pullForm'
import TraceDrawing from './TraceDrawing.vue'
import FieldPart from '../../look/FieldPart'

/** A pull read from a gauge as it happens: the force, its peak, how fast, and the trace, kept when the load is gone. */
const props = defineProps<{
  test: TestId
  /** what the coupon is likely to carry, N: the stand-in pulls about that */
  likelyN: number
  /** what it must carry, N; null: nothing was set */
  limitN: number | null
  lengthMm: number | null
}>()
defineOptions({ inheritAttrs: false })
const form = defineModel<PullForm>({ required: true })
const bench = useBench()
const force = useForce()
const peels = computed(() => formulaOf(props.test)?.id === 'peel')
/** What is read off the trace: its test says which, and a kept one can be read again in the other way. */
const takes = { peak: 'its peak', steady: 'the mean of its steady part' } as const
const take = computed(() => form.value.trace?.take ?? (peels.value ? 'steady' : 'peak'))
const takeIt = (id: keyof typeof takes) => form.value.trace && (form.value.trace = { ...form.value.trace, take: id })
const shelf = computed<Instrument[]>(() =>
  (bench.bench?.instruments ?? []).filter(({ connection }) => connection === 'serial'),
)
const chosen = ref('')
const instrument = computed(() => shelf.value.find(({ id }) => id === chosen.value) ?? shelf.value[0] ?? null)
const limitOfGaugeN = computed(() => instrument.value?.limitN ?? bench.bench!.gauge.limitN)
const stepN = computed(() => instrument.value?.resolutionN ?? bench.bench!.gauge.resolutionN)

const source = shallowRef<Pick<Source<ForceSample>, 'name' | 'simulated'> | null>(null)
const pull = new LivePull()
/** counted up with each bundle: what is drawn follows it, not every sample */
const beat = ref(0)
const trouble = ref('')
const opening = ref(false)
let link: Link | null = null
let frame: number | undefined

function drawSoon() {
  frame ??= requestAnimationFrame(() => {
    frame = undefined
    beat.value += 1
  })
}
function saidWords(said: Said): string {
  switch (said.what) {
    case 'overload':
      return 'More than the gauge can read.'
    case 'battery-low':
      return 'The gauge says that its battery is low.'
    case 'full':
      return 'It sends faster than can be read: a lower rate, or another speed of the line, helps.'
    case 'nonsense':
      return `It sent “${said.line}”, which is no load. How its lines are written is described on the Shelf.`
  }
}
/** What was pulled goes into the form: thinned, with where it came from. */
function keep(name: string, simulated: boolean) {
  if (!pull.points.some(({ n }) => n > stepN.value)) return
  try {
    const { points, atLimit } = findPull(pull.points, limitOfGaugeN.value)
    form.value.trace = { ...keptTrace(props.test, name, points), ...(simulated && { simulated }) }
    if (atLimit || pull.overload) {
      form.value.end = 'held'
      trouble.value = 'The gauge reached its limit: the joint carries at least that. It is kept as “at least”.'
    }
  } catch {
    trouble.value = 'Nothing was pulled that can be read: pull again, or type what the scale said.'
  }
}
async function read(make: () => Promise<Source<ForceSample>> | Source<ForceSample>) {
  trouble.value = ''
  opening.value = true
  try {
    await leave()
    pull.clear()
    form.value.trace = null
    const one = await make()
    source.value = one
    link = await one.open({
      sample({ ms, n, mm }) {
        pull.take({ s: ms / 1000, n, mm })
        drawSoon()
        if (!form.value.trace && pull.isOver(5 * stepN.value)) keep(one.name, one.simulated)
      },
      said(what) {
        if (what.what === 'overload') pull.overload = true
        trouble.value = saidWords(what)
      },
      ended(why) {
        if (!form.value.trace) keep(one.name, one.simulated)
        source.value = null
        link = null
        if (why) trouble.value = why
        drawSoon()
      },
    })
  } catch (error) {
    source.value = null
    trouble.value = error instanceof Error && error.message ? error.message : whyNotOpen(error)
  }
  opening.value = false
}
async function leave() {
  await link?.close()
  link = null
}
onBeforeUnmount(() => {
  if (frame !== undefined) cancelAnimationFrame(frame)
  void leave()
})
const bySerial = () =>
  read(async () => {
    const port = await navigator.serial.requestPort().catch((error: unknown) => {
      throw new Error(whyNotOpen(error), { cause: error })
    })
    return gaugeBySerial(port, instrument.value?.lines ?? plainLines, instrument.value?.name ?? 'Gauge by USB', now)
  })
const simulated = () =>
  read(() =>
    gaugeSimulated({
      test: props.test,
      // No two coupons are alike: the stand-in scatters as joints do.
      forceN: props.likelyN * Math.exp(0.2 * (2 * Math.random() - 1)),
      limitN: limitOfGaugeN.value,
      lengthMm: props.lengthMm,
    }),
  )
const shown = computed(() => {
  void beat.value
  return { now: pull.nowN, peak: pull.peakN, fast: pull.fastestNPerS, points: [...pull.points] }
})
/** of what was kept: what follows from its travel */
const found = computed(() => {
  const { trace } = form.value
  if (!trace) return null
  try {
    return findPull(trace.points.map(([s, n, mm]) => ({ s, n, mm })))
  } catch {
    return null
  }
})
const drawn = computed(() =>
  source.value || !form.value.trace ? shown.value.points : form.value.trace.points.map(([s, n, mm]) => ({ s, n, mm })),
)
</script>

<template>
  <div class="live" data-live>
    <p v-if="source?.simulated || form.trace?.simulated" class="careful">
      simulated: no real gauge is read, and the reading says so
    </p>
    <p v-if="source" class="now num" aria-live="off">
      <b>{{ force(shown.now) }}</b> <span>peak {{ force(shown.peak) }}</span>
    </p>
    <p v-if="shown.fast > TOO_FAST_N_S" class="careful" role="status">
      Too fast: {{ Math.round(shown.fast) }} N/s at its fastest. Over {{ TOO_FAST_N_S }} N/s a jerk reads too high.
    </p>
    <TraceDrawing
      v-if="drawn.length > 1"
      :points="drawn"
      :limit-n="limitN"
      :steadies="!source && take === 'steady'"
      :steady="form.trace?.steady ?? null"
      @steady="(part) => form.trace && (form.trace = { ...form.trace, steady: part })"
    />
    <fieldset v-if="form.trace && !source" class="takes">
      <legend class="visually-hidden">What is read off the trace</legend>
      <label v-for="(word, id) in takes" :key="id"
        ><input type="radio" name="take" :checked="take === id" @change="takeIt(id)" /> {{ word }}</label
      >
    </fieldset>
    <p v-if="found && !source && found.stiffnessNPerMm !== null" class="num small">
      {{ measured(found.stiffnessNPerMm, 'N/mm') }} stiff, {{ measured(found.workJ!, 'J') }} until it let go<template
        v-if="found.slips"
        >; slipped {{ found.slips }} × on the way</template
      >
    </p>
    <div class="acts">
      <template v-if="source">
        <v-btn class="alt bench-size" @click="pull.tare()">Zero it</v-btn>
        <v-btn class="alt bench-size" @click="leave">Stop reading</v-btn>
      </template>
      <template v-else>
        <FieldPart v-if="shelf.length > 1" label="Gauge">
          <select v-model="chosen" class="plain">
            <option v-for="one in shelf" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </FieldPart>
        <v-btn v-if="hasSerial()" class="alt bench-size" :disabled="opening" @click="bySerial">Read the gauge</v-btn>
        <v-btn class="alt bench-size" :disabled="opening" @click="simulated">Pull with the simulated gauge</v-btn>
      </template>
    </div>
    <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.live {
  display: grid;
  gap: 10px;
  flex: 1 1 100%;
  min-width: 0;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: baseline;
}
.now b {
  font-size: clamp(3rem, 10vw, 5rem);
  line-height: 1;
  font-weight: 640;
}
.now span {
  font-size: 1.5rem;
  color: var(--mute);
}
.takes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
.takes label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 48px;
}
.acts {
  align-items: end;
}
</style>
