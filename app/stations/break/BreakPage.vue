<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { PULLING_CAUTION } from '../../../core/knowledge/hazards'
import { armOf } from '../../../core/planning/arms'
import { sayError } from '../../../core/messages'
import { sizeOf } from '../../../core/readings/interpret'
import { countingReadings } from '../../../core/readings/counting'
import { lightestOf } from '../../../core/readings/lightest'
import { formulaOf, testKinds } from '../../../core/knowledge/testKinds'
import type { Reading } from '../../../core/records/reading'
import type { Coupon } from '../../../core/records/round'
import { stampNow } from '../../bench/clock'
import { hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { useKey } from '../../look/keys'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import { useWhy } from '../../look/why'
import BigFigure from './BigFigure.vue'
import NextPulls from './NextPulls.vue'
import PhotoReading from './PhotoReading.vue'
import PullHead from './PullHead.vue'
import HowItEnded from './HowItEnded.vue'
import PasteSheet from './PasteSheet.vue'
import PulledList from './PulledList.vue'
import PullSize from './PullSize.vue'
import SetAside from './SetAside.vue'
import { emptyForm, formOf, tapPlace, type FormWay, type PullForm } from './pullForm'
import { correctPull, logPull } from './pulls'
import { useLikely } from './useLikely'
import { useLive } from './useLive'
import WayFields from './WayFields.vue'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const route = useRoute()
const inPullOrder = computed(() => [...props.view.coupons].sort((x, y) => x.pullAt - y.pullAt))
/** The reading that counts, by coupon; a second one that got in stands in the list below, to be set aside. */
const counting = computed(() => new Map(countingReadings(props.view.readings).map((one) => [one.coupon, one])))
/**
 * Coupons whose pull is being written: the page goes on to the next one at once, so that fast hands wait for nothing.
 */
const writing = ref<ReadonlySet<string>>(new Set())
const left = computed(() =>
  inPullOrder.value.filter((one) => !counting.value.has(one.id) && !writing.value.has(one.id)),
)

const chosen = ref<string | null>(typeof route.query['coupon'] === 'string' ? route.query['coupon'] : null)
const coupon = computed<Coupon | null>(
  () => props.view.coupons.find(({ id }) => id === chosen.value) ?? left.value[0] ?? null,
)
const arm = computed(() => (props.view.round && coupon.value ? armOf(props.view.round, coupon.value) : null))
const test = computed(() => arm.value?.test ?? 'lap-shear')
const kind = computed(() => testKinds[test.value])
const picked = ref<string | null>(null)
const logged = computed(() =>
  coupon.value
    ? (props.view.readings.find(({ id }) => id === picked.value) ?? counting.value.get(coupon.value.id) ?? null)
    : null,
)
/** the reading as it stood when it was opened to be corrected */
const opened = shallowRef<Reading | null>(null)
const procedure = computed(() => props.view.procedures.find(({ id }) => id === coupon.value?.procedure) ?? null)
let lastWay: FormWay | undefined
const plannedSize = ref<PullForm['size']>({})
const form = ref<PullForm>(emptyForm(test.value, {}))
function fill() {
  if (!coupon.value || !props.view.round) return
  const usual = Object.keys(kind.value.sizes)
  const size = Object.fromEntries(
    Object.entries(sizeOf(coupon.value.size, arm.value!.size)).filter(([key]) => usual.includes(key)),
  )
  plannedSize.value = { ...emptyForm(test.value, size).size }
  opened.value = logged.value
  form.value = logged.value ? formOf(logged.value, test.value) : emptyForm(test.value, size, lastWay, arm.value!.read)
  problem.value = ''
}
const problem = ref('')
watch([() => coupon.value?.id, () => logged.value?.id ?? null], fill, {
  immediate: true,
})

const live = useLive(form, test, coupon)
const likely = useLikely(() => props.view, arm, procedure)
const lightest = computed(() => lightestOf(test.value, arm.value?.size ?? {}, bench.bench!.gauge))
async function log() {
  const [mine, of, before] = [coupon.value, procedure.value, opened.value]
  if (!mine || !of || writing.value.has(mine.id)) return
  problem.value = ''
  const typed = form.value
  lastWay = typed.way
  let saving: Promise<boolean>
  try {
    saving = before
      ? correctPull(bench, mine.label, before, test.value, typed, stampNow())
      : logPull(bench, mine, of, arm.value!, typed, stampNow())
  } catch (error) {
    return void (problem.value = sayError(error))
  }
  writing.value = new Set([...writing.value, mine.id])
  why.reset()
  leave()
  document.getElementById('work')?.scrollIntoView({ block: 'start' })
  const written = await saving
  writing.value = new Set([...writing.value].filter((id) => id !== mine.id))
  if (!written) reopen(mine.id, typed)
}
/** What was not written comes back as it was typed. */
function reopen(id: string, typed: PullForm) {
  chosen.value = id
  void nextTick(() => (form.value = typed))
}
/** Opens a logged reading to be corrected. */
function correct(reading: Reading) {
  chosen.value = reading.coupon
  picked.value = reading.id
  document.getElementById('work')?.scrollIntoView({ block: 'start' })
}
function leave() {
  chosen.value = null
  picked.value = null
}
useKey('log', () => void log())
</script>

<template>
  <div class="break">
    <h1 class="visually-hidden">Break {{ view.joint.name.toLowerCase() }}</h1>
    <div v-if="!view.coupons.length" class="card none">
      <p><b>There is nothing to pull yet.</b> Plan the test, glue the coupons, let them cure.</p>
      <v-btn class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }">Plan coupons</v-btn>
    </div>
    <template v-else-if="coupon && procedure">
      <PullHead
        :coupon="coupon"
        :procedure="procedure"
        :arm="arm"
        :logged="logged !== null"
        :place="logged ? 'logged, to be corrected' : `${view.readings.length + 1} of ${view.coupons.length}`"
      />
      <div class="two">
        <div>
          <div class="card picture">
            <SeamDrawing
              :section="kind.drawing"
              :a="hatchOf(view.a)"
              :b="hatchOf(view.b)"
              :loads="kind.loads.slice(0, 1)"
              :crack="form.end === 'broke' || form.end === 'wet' ? form.places : null"
              tappable
              label="The coupon in section; tap where it let go, or use the buttons below"
              @tap="(place) => tapPlace(form, place)"
            />
          </div>
          <p v-for="line in kind.how" :key="line" class="small">{{ line }}</p>
        </div>
        <div class="reading">
          <BigFigure v-if="formulaOf(test)" :test="test" :live="live" />
          <WayFields :key="coupon.id" v-model="form" :test="test" :bench="bench.bench!" :likely="likely" />
          <PullSize
            v-if="Object.keys(form.size).length"
            v-model="form.size"
            :planned="plannedSize"
            :logged="logged !== null"
          />
          <p class="goggles"><b class="careful">Goggles on.</b> {{ PULLING_CAUTION }}</p>
        </div>
      </div>
      <HowItEnded v-model="form" :test="test" :lightest="lightest" :gauge="bench.bench!.gauge.name" />
      <PhotoReading :key="coupon.id" v-model="form" :face="likely.face" />
      <label class="field note"
        ><span>Note</span
        ><input v-model="form.note" class="plain" placeholder="strings, voids, smell, a twist in the pull"
      /></label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn :key="coupon.id" class="go bench-size" @click="log"
          >{{ logged ? 'Correct this pull' : 'Log this pull' }}<kbd>L</kbd></v-btn
        >
        <v-btn v-if="chosen" class="quiet" @click="leave">{{
          left.length ? `Back to ${left[0]!.label}` : 'Leave it as it is'
        }}</v-btn>
      </div>
      <SetAside v-if="logged && !logged.setAside" :reading="logged" :label="coupon.label" @done="leave" />
    </template>
    <div v-else class="card none">
      <p>
        <b>All {{ view.coupons.length }} coupons are pulled.</b>
      </p>
      <v-btn class="go bench-size" :to="{ name: 'choose', params: { joint: view.joint.id } }">See which is best</v-btn>
    </div>
    <PasteSheet v-if="left.length" :view="view" />
    <PulledList v-if="view.readings.length" :view="view" @correct="correct" />
    <NextPulls v-if="left.length > 1" :coupons="left.filter(({ id }) => id !== coupon?.id)" :round="view.round!" />
  </div>
</template>

<style scoped>
.break {
  display: grid;
  gap: 20px;
}
.break > * {
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
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 28px;
}
.picture {
  padding: 8px 12px;
  margin-bottom: 10px;
}
.goggles {
  margin-top: 8px;
  font-size: 0.9375rem;
}
.reading {
  display: grid;
  gap: 14px;
  align-content: start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;
}
.note {
  max-width: 520px;
  margin-top: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .picture {
    max-width: 300px;
  }
}
</style>
