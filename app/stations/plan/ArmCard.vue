<script setup lang="ts">
import { computed, ref } from 'vue'
import { couponDepthMm } from '../../../core/coupons/depth'
import { givesWayN, tornBy } from '../../../core/coupons/draft'
import { expectedN } from '../../../core/coupons/expected'
import { JOINT_ARM_MM, readWords } from '../../../core/coupons/reading'
import { CodedError } from '../../../core/errors'
import { digitsOf } from '../../../core/quantities/figure'
import { sayError } from '../../../core/messages'
import { armWords } from '../../../core/planning/arms'
import { couponSides } from '../../../core/planning/sides'
import { parseQuantity } from '../../../core/quantities/parse'
import { countsLosses, gradingOf, testKinds, type SizeKey, sizeNames } from '../../../core/knowledge/testKinds'
import type { Direction } from '../../../core/knowledge/directions'
import type { Arm, Round } from '../../../core/records/round'
import { useForce } from '../../bench/force'
import { familyTimes, hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import CouponDrawing from '../../look/CouponDrawing.vue'
import LeverDrawing from '../../look/LeverDrawing.vue'
import { capital, figure } from '../../look/figures'
import TypedInput from '../../look/TypedInput.vue'
import type { Explanation } from '../../look/why'
import ArmLimit from './ArmLimit.vue'
import FirstPulls from './FirstPulls.vue'
import FieldPart from '../../look/FieldPart'

/** One test of the round: its coupon to scale, the load expected of it, and what counts as a pass. */
const props = defineProps<{ view: JointView; round: Round; arm: Arm; planned: boolean }>()
const emit = defineEmits<{
  resize: [size: Arm['size'], what: string, before: Arm['size']]
  drop: []
  read: []
  first: [one: Direction, on: boolean]
}>()
const bench = useBench()
const force = useForce()
const kind = computed(() => testKinds[props.arm.test])
const keys = computed(() => Object.keys(kind.value.sizes) as SizeKey[])
const sizeWord = (key: SizeKey) => capital(sizeNames[key].word)
const unit = (key: SizeKey) => sizeNames[key].unit
const problem = ref<{ key: SizeKey; words: string } | null>(null)
/** The largest test piece that a bench takes: beyond it lies a slip of the keyboard. */
const MOST: Record<string, number> = { mm: 1000, 'mm²': 1_000_000 }

function setSize(key: SizeKey, text: string, before: unknown) {
  problem.value = null
  try {
    const value = parseQuantity(text, key === 'areaMm2' ? 'area' : 'length', unit(key), sizeWord(key)).inside
    if (value > MOST[unit(key)]!)
      throw new CodedError('out-of-range', key, {
        field: sizeWord(key),
        low: 0.001,
        high: `${MOST[unit(key)]} ${unit(key)}`,
        got: `${digitsOf(value)} ${unit(key)}`,
      })
    if (value < 0.001) throw new CodedError('not-positive', key, { field: sizeWord(key), got: value })
    const opened = { [key]: typeof before === 'number' ? before : null }
    emit('resize', { [key]: value }, `${sizeNames[key].word} ${digitsOf(value)} ${unit(key)}`, opened)
  } catch (error) {
    problem.value = { key, words: sayError(error) }
  }
}
const sides = computed(() =>
  couponSides(props.view.joint.brief, props.view.a?.cls.id ?? null, props.view.b?.cls.id ?? null),
)
/** What is no strength and has no limit, in words; empty for what has one. */
const beside = computed(() => {
  const grading = gradingOf(props.arm.test)
  if (grading) return `Graded in three steps: ${grading.steps.join(', ')}.`
  return countsLosses(props.arm.test) ? 'Counted before and after: so many of so many lost.' : ''
})
/** The load expected on this coupon, glue by glue, from the tables. */
const expected = computed(() => {
  const pair = sides.value
  if (!pair) return null
  const loads = props.view.procedures.flatMap((one) => {
    const load = expectedN(props.arm.test, { ...kind.value.sizes, ...props.arm.size }, pair, familyTimes(bench, one).id)
    return load ? [{ letter: one.letter, load }] : []
  })
  return loads.length
    ? { loads, low: Math.min(...loads.map(({ load }) => load[0])), high: Math.max(...loads.map(({ load }) => load[1])) }
    : null
})
/** The part that gives way before its glue, for the glues of which that is expected. */
const tears = computed(() => {
  const pair = sides.value
  if (!pair) return []
  const size = { ...kind.value.sizes, ...props.arm.size }
  return props.view.procedures.flatMap((one) => {
    const family = familyTimes(bench, one).id
    const side = tornBy(props.arm.test, size, pair, family)
    if (!side) return []
    const load = force(givesWayN(props.arm.test, size, pair, family, side))
    const text =
      `Side ${side.name.toUpperCase()}, ${side.material.name} ${figure(side.thicknessMm)} mm thick, may tear first: ` +
      `it carries about ${load} here.`
    return [{ letter: one.letter, text }]
  })
})
/** The same words for several glues are said once. */
const tearing = computed(() => {
  const by = new Map<string, string[]>()
  for (const { letter, text } of tears.value) by.set(text, [...(by.get(text) ?? []), letter])
  return [...by].map(([text, letters]) => ({ text, letters: letters.join(', ').replace(/, ([^,]*)$/, ' and $1') }))
})
function whyExpected(): Explanation {
  const { gauge } = bench.bench!
  return {
    about: `load expected, ${kind.value.name}`,
    lines: ['Typical bond of the pair times the glued size, from a weak to a strong piece (90 %).'],
    formula: expected.value!.loads.map(({ letter, load }) => `${letter}: ${force(load[0])} to ${force(load[1])}`),
    change: [
      `${gauge.name} reads up to ${force(gauge.limitN)} in steps of ${force(gauge.resolutionN)} (Shelf).`,
      ...tears.value.map(({ letter, text }) => `${letter}: ${text}`),
    ],
    source: ['Knowledge tables, typical values; a pull of your own outranks them.'],
  }
}
</script>

<template>
  <article class="arm card" :data-arm="arm.id">
    <div class="picture">
      <CouponDrawing :test="arm.test" :size="arm.size" :a="hatchOf(view.a)" :b="hatchOf(view.b)" />
      <p class="mute small">mm, seen from above</p>
      <LeverDrawing v-if="arm.read?.way === 'lever'" :ratio="arm.read.ratio" :joint-arm-mm="JOINT_ARM_MM" />
    </div>
    <div class="what">
      <h3>{{ armWords(arm) }}</h3>
      <p class="mute small">{{ kind.gloss }}</p>
      <div v-if="!planned" class="sizes">
        <FieldPart
          v-for="key in keys"
          :key="key"
          :label="sizeWord(key)"
          :unit="unit(key)"
          :problem="problem?.key === key ? problem.words : ''"
        >
          <TypedInput
            class="plain"
            inputmode="decimal"
            :value="arm.size[key]"
            @set="(text, before) => setSize(key, text, before)"
          />
        </FieldPart>
      </div>
      <p v-if="expected" class="small num">
        <AskWhy :why="whyExpected"
          >{{ expected.low === expected.high ? 'about' : `${force(expected.low)} to` }}
          {{ force(expected.high) }} expected</AskWhy
        >, read {{ readWords(arm.read ?? { way: 'gauge' }) }}
        <v-btn v-if="arm.read && arm.read.way !== 'gauge' && !planned" class="quiet" @click="emit('read')"
          >Read it by the gauge<span class="visually-hidden">: {{ armWords(arm) }}</span></v-btn
        >
      </p>
      <p v-if="arm.taped" class="small">
        Three edges taped shut while it cures: {{ figure(couponDepthMm(arm.test, arm.size, true)) }} mm to the air, as
        in the joint.
      </p>
      <p v-for="one in tearing" :key="one.text" class="small careful">
        <b>{{ one.letters }}.</b> {{ one.text }} Such pulls say “at least”.
      </p>
      <FirstPulls :arm="arm" :planned="planned" @toggle="(one, on) => emit('first', one, on)" />
      <details class="small">
        <summary>How it is done</summary>
        <ol>
          <li v-for="line in kind.how" :key="line">{{ line }}</li>
        </ol>
      </details>
    </div>
    <div v-if="beside" class="limit">
      <p class="mute small">{{ beside }} It stands beside the strengths and has no limit of its own.</p>
      <v-btn v-if="!planned && round.arms.length > 1" class="quiet" @click="emit('drop')"
        >Leave this test out<span class="visually-hidden">: {{ armWords(arm) }}</span></v-btn
      >
    </div>
    <ArmLimit v-else :view="view" :round="round" :arm="arm">
      <v-btn v-if="!planned && round.arms.length > 1" class="quiet" @click="emit('drop')"
        >Leave this test out<span class="visually-hidden">: {{ armWords(arm) }}</span></v-btn
      >
    </ArmLimit>
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
.limit > .v-btn {
  justify-self: start;
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
  min-height: 28px;
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
