<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { requiredLoad, requiredStrength } from '../../../core/loads/requirement'
import { couponSize } from '../../../core/coupons/size'
import { CodedError } from '../../../core/errors'
import { digitsOf } from '../../../core/quantities/figure'
import { sayError } from '../../../core/messages'
import { armWords } from '../../../core/planning/arms'
import { expectedLoad, sizedTest } from '../../../core/planning/fairness'
import { parseQuantity } from '../../../core/quantities/parse'
import { parseResult } from '../../../core/readings/parseResult'
import { gradingOf, testKinds, type SizeKey } from '../../../core/knowledge/testKinds'
import type { Arm, Round } from '../../../core/records/round'
import { stampNow, useMinute } from '../../bench/clock'
import { familyTimes, hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import CouponDrawing from '../../look/CouponDrawing.vue'
import { figure, momentName } from '../../look/figures'
import TypedInput from '../../look/TypedInput.vue'
import type { Explanation } from '../../look/why'
import { isLocked, setLimit } from './planDraft'

/** One test of the round: its coupon to scale, the load expected of it, and what counts as a pass. */
const props = defineProps<{ view: JointView; round: Round; arm: Arm; planned: boolean }>()
const emit = defineEmits<{ resize: [size: Arm['size'], what: string, before: Arm['size']]; drop: [] }>()
const bench = useBench()
const now = useMinute()
const kind = computed(() => testKinds[props.arm.test])
const keys = computed(() => Object.keys(kind.value.sizes) as SizeKey[])
const sizeWords: Record<SizeKey, string> = {
  widthMm: 'Width',
  overlapMm: 'Overlap',
  areaMm2: 'Bonded area',
  thicknessMm: 'Thickness',
  diameterMm: 'Diameter',
  innerDiameterMm: 'Inner diameter',
  armMm: 'Arm',
  spanMm: 'Span',
}
const unit = (key: SizeKey) => (key === 'areaMm2' ? 'mm²' : 'mm')
const problem = ref('')
const limitText = ref('')
const typing = ref(false)
const limitBefore = ref(props.arm.passLimit)
function begin() {
  typing.value = true
  limitBefore.value = props.arm.passLimit
}
watch(
  () => props.arm.passLimit,
  // What is being typed stays; what was changed elsewhere meanwhile is shown when it is kept.
  (limit) => !typing.value && (limitText.value = limit === null ? '' : digitsOf(limit)),
  { immediate: true },
)
const locked = computed(() => isLocked(props.view, props.arm))
const late = ref(false)

function setSize(key: SizeKey, text: string, before: unknown) {
  problem.value = ''
  try {
    const value = parseQuantity(text, key === 'areaMm2' ? 'area' : 'length', unit(key), sizeWords[key]).inside
    if (value < 0.001) throw new CodedError('not-positive', key, { field: sizeWords[key], got: value })
    const opened = { [key]: typeof before === 'number' ? before : null }
    emit('resize', { [key]: value }, `${sizeWords[key].toLowerCase()} ${digitsOf(value)} ${unit(key)}`, opened)
  } catch (error) {
    problem.value = sayError(error)
  }
}
async function keepLimit() {
  problem.value = ''
  try {
    const limit = limitText.value.trim() === '' ? null : parseResult(limitText.value, props.arm.test)
    if (await setLimit(bench, props.view, props.round, props.arm, limit, stampNow(), limitBefore.value))
      late.value = false
    limitBefore.value = props.arm.passLimit
  } catch (error) {
    problem.value = sayError(error)
  }
}

/** The load expected on this coupon, glue by glue, from the tables. */
const expected = computed(() => {
  const [a, b] = [props.view.a?.cls.id, props.view.b?.cls.id]
  if (!a || !b) return null
  const loads = props.view.procedures.flatMap((one) => {
    const load = expectedLoad(props.arm, a, b, familyTimes(bench, one).id)
    return load ? [{ letter: one.letter, load }] : []
  })
  return loads.length
    ? { loads, low: Math.min(...loads.map(({ load }) => load[0])), high: Math.max(...loads.map(({ load }) => load[1])) }
    : null
})
/** Why a part would give way before its glue, for the glues of which that is expected. */
const tears = computed(() => {
  const test = sizedTest(props.arm.test)
  const { a, b, procedures, joint } = props.view
  if (!test || !a || !b) return []
  return procedures.flatMap((one) => {
    const family = familyTimes(bench, one).id
    if (family === 'unknown') return []
    const answer = couponSize({
      test,
      a: a.cls.id,
      aThicknessMm: joint.brief.a.thicknessMm,
      b: b.cls.id,
      bThicknessMm: joint.brief.b.thicknessMm,
      adhesive: family,
      gauge: bench.bench!.gauge,
      widthMm: props.arm.size.widthMm ?? 25,
    })
    return answer.weakest === 'bond' ? [] : [{ letter: one.letter, advice: answer.advice }]
  })
})
/** The same words for several glues are said once. */
const tearing = computed(() => {
  const by = new Map<string, string[]>()
  for (const { letter, advice } of tears.value) by.set(advice[0]!, [...(by.get(advice[0]!) ?? []), letter])
  return [...by].map(([text, letters]) => ({ text, letters: letters.join(', ').replace(/, ([^,]*)$/, ' and $1') }))
})
function whyExpected(): Explanation {
  const { gauge } = bench.bench!
  return {
    about: `load expected, ${kind.value.name}`,
    lines: ['Typical bond of the pair times the glued size, from a weak to a strong piece (90 %).'],
    formula: expected.value!.loads.map(({ letter, load }) => `${letter}: ${figure(load[0])} to ${figure(load[1])} N`),
    change: [
      `${gauge.name} reads up to ${figure(gauge.limitN)} N in steps of ${figure(gauge.resolutionN)} N (Shelf).`,
      ...tears.value.flatMap(({ letter, advice }) => advice.map((line) => `${letter}: ${line}`)),
    ],
    source: ['Knowledge tables, typical values; a pull of your own outranks them.'],
  }
}
function whyLimit(): Explanation {
  const { brief } = props.view.joint
  const load = requiredLoad(brief)
  const strength = requiredStrength(brief, props.arm.test)
  const area = kind.value.unit === 'MPa'
  return {
    about: 'pass limit',
    lines: [
      'What counts as a pass is set before the first pull, so that no result can bend it.',
      strength === null
        ? 'Load or size of the real joint is open, so no limit follows from the brief: set your own.'
        : 'From the brief: the required load over the real bonded size.',
    ],
    formula:
      load && strength !== null
        ? [
            area ? 'required = F / (w · L)' : 'required = F / w',
            `= ${figure(load.n)} N / ${area ? `(${brief.widthMm} × ${brief.lengthMm}) mm²` : `${brief.widthMm} mm`}`,
            `= ${figure(strength)} ${kind.value.unit}`,
          ]
        : undefined,
    source: ['Methods: required load = share of weight × g × motion factor.'],
  }
}
</script>

<template>
  <article class="arm card" :data-arm="arm.id">
    <div class="picture">
      <CouponDrawing :test="arm.test" :size="arm.size" :a="hatchOf(view.a)" :b="hatchOf(view.b)" />
      <p class="mute small">mm, seen from above</p>
    </div>
    <div class="what">
      <h3>{{ armWords(arm) }}</h3>
      <p class="mute small">{{ kind.gloss }}</p>
      <div v-if="!planned" class="sizes">
        <label v-for="key in keys" :key="key" class="field">
          <span>{{ sizeWords[key] }}, {{ unit(key) }}</span>
          <TypedInput
            class="plain"
            inputmode="decimal"
            :value="arm.size[key]"
            @set="(text, before) => setSize(key, text, before)"
          />
        </label>
      </div>
      <p v-if="expected" class="small num">
        <AskWhy :why="whyExpected"
          >{{ expected.low === expected.high ? 'about' : `${figure(expected.low)} to` }} {{ figure(expected.high) }} N
          expected</AskWhy
        >
      </p>
      <p v-for="one in tearing" :key="one.text" class="small careful">
        <b>{{ one.letters }}.</b> {{ one.text }} Its pulls will say “at least”.
      </p>
      <details class="small">
        <summary>How it is done</summary>
        <ol>
          <li v-for="line in kind.how" :key="line">{{ line }}</li>
        </ol>
      </details>
    </div>
    <div v-if="gradingOf(arm.test)" class="limit">
      <p class="mute small">
        Graded in three steps: {{ gradingOf(arm.test)!.steps.join(', ') }}. It stands beside the strengths and has no
        limit of its own.
      </p>
      <v-btn v-if="!planned && round.arms.length > 1" class="quiet" @click="emit('drop')"
        >Leave this test out<span class="visually-hidden">: {{ armWords(arm) }}</span></v-btn
      >
    </div>
    <div v-else class="limit">
      <div class="field">
        <div>
          <label :for="`limit-${arm.id}`">Counts as a pass from, {{ kind.unit }}</label
          >&nbsp;
          <AskWhy :why="whyLimit">why?</AskWhy>
        </div>
        <output v-if="locked && !late" :id="`limit-${arm.id}`" class="num locked">
          {{ arm.passLimit === null ? 'no limit was set' : `${arm.passLimit} ${kind.unit}` }}
        </output>
        <input
          v-else
          :id="`limit-${arm.id}`"
          v-model="limitText"
          @focus="begin"
          @blur="typing = false"
          class="plain"
          inputmode="decimal"
          placeholder="your own limit"
          @change="!late && keepLimit()"
        />
      </div>
      <template v-if="locked">
        <p class="mute small">
          Locked at the first pull<template v-if="arm.passSetAt">; set {{ momentName(arm.passSetAt, now) }}</template
          >.
        </p>
        <p v-for="one in arm.lateChanges" :key="one.at" class="small careful">
          Changed after the first pull, from {{ one.from ?? 'none' }} to {{ one.to ?? 'none' }}.
        </p>
        <v-btn v-if="!late" class="quiet" @click="late = true">Change it all the same</v-btn>
        <template v-else>
          <p class="small careful">A limit that moves after a pull bends to the result: the change will stand on it.</p>
          <v-btn class="alt" @click="keepLimit">Change the limit</v-btn>
        </template>
      </template>
      <p v-else class="mute small">Set it before the first pull; then it is locked.</p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <v-btn v-if="!planned && round.arms.length > 1" class="quiet" @click="emit('drop')"
        >Leave this test out<span class="visually-hidden">: {{ armWords(arm) }}</span></v-btn
      >
    </div>
  </article>
</template>

<style scoped>
.arm {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr) 220px;
  gap: 10px 24px;
  padding: 16px;
}
.what,
.limit {
  display: grid;
  gap: 6px;
  align-content: start;
}
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.sizes .field {
  flex: 0 1 110px;
}
details ol {
  list-style: decimal;
  padding-left: 20px;
}
summary {
  cursor: pointer;
  min-height: 28px;
}
.locked {
  font-size: 1.375rem;
  font-weight: 660;
}
@media (max-width: 900px) {
  .arm {
    grid-template-columns: minmax(0, 1fr);
  }
  .picture {
    max-width: 280px;
  }
}
</style>
