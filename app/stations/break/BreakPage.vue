<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { PULLING_CAUTION } from '../../../core/knowledge/hazards'
import { exposureWords } from '../../../core/knowledge/exposures'
import { armOf } from '../../../core/planning/arms'
import { curedFrom } from '../../../core/planning/gluing'
import { sayError } from '../../../core/messages'
import type { Place } from '../../../core/readings/datum'
import { interpret, sizeOf, type Interpreted } from '../../../core/readings/interpret'
import { lightestOf } from '../../../core/readings/lightest'
import { formulaOf, testKinds } from '../../../core/knowledge/testKinds'
import type { Reading } from '../../../core/records/reading'
import type { Coupon } from '../../../core/records/round'
import { stampNow, useMinute } from '../../bench/clock'
import { hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { figure, lasting, momentName } from '../../look/figures'
import { useKey } from '../../look/keys'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import TapeLabel from '../../look/TapeLabel.vue'
import { useWhy } from '../../look/why'
import FailurePlaces from './FailurePlaces.vue'
import PulledList from './PulledList.vue'
import { emptyForm, formOf, readingParts, tapPlace, type End, type FormWay, type PullForm } from './pullForm'
import { correctPull, earlyBy, logPull, setAside } from './pulls'
import { whyReading } from './pullWhy'
import WayFields from './WayFields.vue'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const now = useMinute()
const route = useRoute()
const inPullOrder = computed(() => [...props.view.coupons].sort((x, y) => x.pullAt - y.pullAt))
/** The reading that counts; a second one that got in stands in the list below, to be set aside. */
function readingOf(coupon: Coupon): Reading | null {
  const all = props.view.readings.filter((reading) => reading.coupon === coupon.id)
  return all.find(({ setAside: aside }) => aside === null) ?? all[0] ?? null
}
/**
 * Coupons whose pull is being written: the page goes on to the next one at once, so that fast hands wait for nothing.
 */
const writing = ref<ReadonlySet<string>>(new Set())
const left = computed(() => inPullOrder.value.filter((one) => readingOf(one) === null && !writing.value.has(one.id)))

const chosen = ref<string | null>(typeof route.query['coupon'] === 'string' ? route.query['coupon'] : null)
const coupon = computed<Coupon | null>(
  () => props.view.coupons.find(({ id }) => id === chosen.value) ?? left.value[0] ?? null,
)
const arm = computed(() => (props.view.round && coupon.value ? armOf(props.view.round, coupon.value) : null))
const test = computed(() => arm.value?.test ?? 'lap-shear')
const kind = computed(() => testKinds[test.value])
const formula = computed(() => formulaOf(test.value))
const picked = ref<string | null>(null)
const logged = computed(() =>
  coupon.value ? (props.view.readings.find(({ id }) => id === picked.value) ?? readingOf(coupon.value)) : null,
)
/** the reading as it stood when it was opened to be corrected */
const opened = shallowRef<Reading | null>(null)
const procedure = computed(() => props.view.procedures.find(({ id }) => id === coupon.value?.procedure) ?? null)
const early = computed(() =>
  coupon.value && procedure.value && !logged.value ? earlyBy(coupon.value, procedure.value, now.value) : null,
)
const cured = computed(() => (coupon.value && procedure.value ? curedFrom(coupon.value, procedure.value) : null))

let lastWay: FormWay | undefined
const form = ref<PullForm>(emptyForm(test.value, {}))
function fill() {
  if (!coupon.value || !props.view.round) return
  const usual = Object.keys(kind.value.sizes)
  const size = Object.fromEntries(
    Object.entries(sizeOf(coupon.value.size, arm.value!.size)).filter(([key]) => usual.includes(key)),
  )
  opened.value = logged.value
  form.value = logged.value ? formOf(logged.value, test.value) : emptyForm(test.value, size, lastWay)
  problem.value = ''
}
const problem = ref('')
watch([() => coupon.value?.id, () => logged.value?.id ?? null], fill, {
  immediate: true,
})

/** What the form says so far; null as long as it says too little. A fault of what it says stands in it. */
const live = computed<Interpreted | null>(() => said(form.value) ?? said({ ...form.value, end: 'held' }))
function said(of: PullForm): Interpreted | null {
  try {
    return interpret({ ...readingParts(of, test.value, bench.bench!), setAside: null }, test.value)
  } catch {
    return null
  }
}
const lightest = computed(() => lightestOf(test.value, arm.value?.size ?? {}, bench.bench!.gauge))
const bigNumber = computed(() => {
  const load = live.value?.load
  if (!load) return '–'
  return 'value' in load ? figure(load.value) : `${figure(load.low)}–${load.high === null ? '' : figure(load.high)}`
})
const strengthWords = computed(() => {
  const read = live.value?.read
  if (!read || !formula.value) return ''
  return 'value' in read
    ? `${figure(read.value)} ${kind.value.unit}`
    : `${figure(read.low)} to ${read.high === null ? 'open' : figure(read.high)} ${kind.value.unit}`
})

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
      : logPull(bench, mine, of, test.value, typed, stampNow())
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
const asideReason = ref('')
async function putAside() {
  const reason = asideReason.value.trim()
  if (logged.value && reason && (await setAside(bench, coupon.value!.label, logged.value, reason))) {
    asideReason.value = ''
    leave()
  }
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
const setEnd = (end: End) => (form.value.end = form.value.end === end ? 'broke' : end)
const tap = (place: Place) => tapPlace(form.value, place)
watch(
  () => [live.value?.read, form.value.end, coupon.value?.id],
  () => {
    if (!live.value || !coupon.value) return why.suggest(null)
    try {
      const parts = readingParts(form.value, test.value, bench.bench!)
      why.suggest(whyReading(coupon.value.label, { ...parts, setAside: null, corrected: [] }, live.value, test.value))
    } catch {
      why.suggest(
        whyReading(coupon.value.label, { raw: { way: 'none' }, setAside: null, corrected: [] }, live.value, test.value),
      )
    }
  },
)

useKey('log', () => void log())
const ends: { end: End; word: string }[] = [
  { end: 'held', word: 'Did not break' },
  { end: 'wet', word: 'Still wet inside' },
  { end: 'handling', word: 'Came apart in handling' },
  { end: 'fault', word: 'Test went wrong…' },
]
const orderWords = {
  shuffled: 'Order shuffled',
  'least-trusted-first': 'The least trusted first, shuffled among themselves',
  'as-written': 'As they were glued',
} as const
const faults = ['grip slipped', 'clamp had shifted', 'pulled the wrong way round']
</script>

<template>
  <div class="break">
    <h1 class="visually-hidden">Break {{ view.joint.name.toLowerCase() }}</h1>
    <div v-if="!view.coupons.length" class="card none">
      <p><b>There is nothing to pull yet.</b> Plan the test, glue the coupons, let them cure.</p>
      <v-btn class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }">Plan coupons</v-btn>
    </div>
    <template v-else-if="coupon && procedure">
      <header class="which">
        <TapeLabel size="big">{{ coupon.label }}</TapeLabel>
        <div>
          <h2>{{ procedure.name }}</h2>
          <p class="mute">
            {{ kind.name }}<template v-if="arm?.exposure">, {{ exposureWords(arm.exposure) }}</template> ·
            {{ logged ? 'logged, to be corrected' : `${view.readings.length + 1} of ${view.coupons.length}` }}
            <template v-if="cured && cured <= now"> · cured since {{ momentName(cured, now) }}</template>
          </p>
        </div>
      </header>
      <p v-if="early" class="warn" role="note">
        <b class="careful">Not cured yet.</b>
        {{
          early.curedS ? `It had ${lasting(early.curedS)} of ${lasting(early.fullS)}.` : 'It was not stamped as closed.'
        }}
        Pull it now and that is kept with the reading; it may read too low.
      </p>
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
              @tap="tap"
            />
          </div>
          <p v-for="line in kind.how" :key="line" class="small">{{ line }}</p>
        </div>
        <div class="reading">
          <p v-if="formula" class="figure num" aria-live="polite">
            <span :class="{ nothing: !live?.load }">{{ bigNumber }}</span> <small>N</small>
            <span v-if="strengthWords" class="strength">{{ strengthWords }}</span>
          </p>
          <WayFields v-model="form" :test="test" :bench="bench.bench!" />
          <details v-if="Object.keys(form.size).length" class="size">
            <summary class="num">Measured: {{ Object.values(form.size).join(' × ') }} mm</summary>
            <div class="fields">
              <label v-for="(_, key) in form.size" :key="key" class="field"
                ><span>{{ String(key).replace('Mm2', ', mm²').replace('Mm', ', mm') }}</span
                ><input v-model="form.size[key]" class="plain"
              /></label>
            </div>
          </details>
          <p class="goggles"><b class="careful">Goggles on.</b> {{ PULLING_CAUTION }}</p>
        </div>
      </div>
      <section aria-labelledby="where">
        <h2 id="where">{{ form.way === 'grades' ? 'Or did something go wrong?' : 'Where did it let go?' }}</h2>
        <FailurePlaces v-if="form.way !== 'grades'" v-model="form" />
        <div class="ends">
          <v-btn
            v-for="{ end, word } in ends"
            :key="end"
            class="alt bench-size"
            :class="{ on: form.end === end }"
            :aria-pressed="form.end === end"
            @click="setEnd(end)"
            >{{ word }}</v-btn
          >
        </div>
        <div v-if="form.end === 'fault'" class="fault">
          <label class="field"
            ><span>What went wrong? It is kept and does not count.</span
            ><input v-model="form.reason" class="plain" list="faults"
          /></label>
          <datalist id="faults"><option v-for="fault in faults" :key="fault" :value="fault" /></datalist>
        </div>
        <p v-if="form.end === 'wet'" class="careful">
          Not a strength: it says “not yet”. It is kept as a cure failure; glue another with a longer cure.
        </p>
        <p v-if="form.end === 'handling'" class="mute">
          Counts as at most {{ figure(lightest.value) }} {{ lightest.unit }}, the least that this test reads{{
            formula ? ` with your ${bench.bench!.gauge.name}` : ''
          }}.
        </p>
      </section>
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
      <form v-if="logged && !logged.setAside" class="aside-form" @submit.prevent="putAside">
        <label class="field"
          ><span>Or set it aside, with the reason</span
          ><input v-model="asideReason" class="plain" placeholder="wrong coupon in the grip"
        /></label>
        <v-btn class="alt" type="submit">Set aside</v-btn>
      </form>
    </template>
    <div v-else class="card none">
      <p>
        <b>All {{ view.coupons.length }} coupons are pulled.</b>
      </p>
      <v-btn class="go bench-size" :to="{ name: 'choose', params: { joint: view.joint.id } }">See which is best</v-btn>
    </div>
    <PulledList v-if="view.readings.length" :view="view" @correct="correct" />
    <p v-if="left.length > 1" class="mute small">
      Next:
      {{
        left
          .filter(({ id }) => id !== coupon?.id)
          .slice(0, 4)
          .map(({ label }) => label)
          .join(', ')
      }}. {{ orderWords[view.round!.order] }}, seed {{ view.round!.seed }}.
    </p>
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
.which {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
.which h2 {
  font-size: 1.4375rem;
}
.warn {
  border-left: 5px solid var(--careful);
  padding-left: 14px;
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
.figure {
  font-size: clamp(3.25rem, 9vw, 5.5rem);
  font-weight: 640;
  line-height: 1;
  letter-spacing: -0.02em;
}
.nothing {
  color: var(--tick);
  font-size: 3rem;
}
.figure small {
  font-size: 1.5rem;
  letter-spacing: 0;
}
.strength {
  font-size: 1.5rem;
  letter-spacing: 0;
  font-weight: 500;
  margin-left: 18px;
  color: var(--mute);
}
.size summary {
  min-height: 40px;
  cursor: pointer;
  padding: 8px 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 10px;
}
.ends,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;
}
.ends .on {
  background: var(--ink);
  color: var(--card);
}
.fault,
.note {
  max-width: 520px;
  margin-top: 8px;
}
section h2 {
  margin-bottom: 10px;
}
.aside-form {
  display: flex;
  gap: 10px;
  align-items: end;
  max-width: 620px;
}
.aside-form .field {
  flex: 1;
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
