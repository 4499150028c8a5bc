<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { formulaOf, sizeNames, testKinds, type SizeKey } from '../../../core/knowledge/testKinds'
import { jointSize, requiredLoad, requiredStrength } from '../../../core/loads/requirement'
import { assumedWords, limitFor } from '../../../core/planning/limitFor'
import { limitWords } from '../../../core/planning/limitMeans'
import { inBetterUnit, measured } from '../../../core/quantities/betterUnit'
import { digitsOf } from '../../../core/quantities/figure'
import { parseResult } from '../../../core/readings/parseResult'
import type { Brief } from '../../../core/records/joint'
import type { Arm, Round } from '../../../core/records/round'
import { stampNow, useMinute } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { figure } from '../../look/figures'
import { momentName } from '../../look/times'
import type { Explanation } from '../../look/why'
import { isLocked, setLimit } from './planDraft'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** What counts as a pass, set before the first pull; afterwards a change is kept as a late one. */
const props = defineProps<{ view: JointView; round: Round; arm: Arm }>()
const bench = useBench()
const now = useMinute()
const kind = computed(() => testKinds[props.arm.test])
const { attempt } = useAttempt()
const limitText = ref('')
const typing = ref(false)
const limitBefore = ref(props.arm.passLimit)
/** A limit as it may be typed: in the test’s unit, or with the one in which it reads better. */
function typedAs(limit: number | null): string {
  if (limit === null) return ''
  const better = inBetterUnit(limit, kind.value.unit)
  return better.unit === kind.value.unit ? digitsOf(limit) : `${+better.value.toPrecision(6)} ${better.unit}`
}
function begin() {
  typing.value = true
  limitBefore.value = props.arm.passLimit
}
watch(
  () => props.arm.passLimit,
  // What is being typed stays; what was changed elsewhere meanwhile is shown when it is kept.
  (limit) => !typing.value && (limitText.value = typedAs(limit)),
  { immediate: true },
)
/** What the limit is on the scale, and on the real joint. */
const means = computed(() =>
  props.arm.passLimit === null
    ? null
    : limitWords(props.arm.passLimit, props.arm, props.view.joint.brief, bench.bench?.gauge.unit),
)
const locked = computed(() => isLocked(props.view, props.arm))
const late = ref(false)

async function keepLimit() {
  await attempt(async () => {
    const limit = limitText.value.trim() === '' ? null : parseResult(limitText.value, props.arm.test)
    if (await setLimit(bench, props.view, props.round, props.arm, limit, stampNow(), limitBefore.value))
      late.value = false
    limitBefore.value = props.arm.passLimit
  })
}

/** The sizes of the real joint that the test's formula takes. */
function sizesOf(brief: Brief): string[] {
  const real = jointSize(brief, props.arm.test)
  const taken = (Object.keys(kind.value.sizes) as SizeKey[]).map((key) => (key === 'spanMm' ? 'armMm' : key))
  return taken.flatMap((key) =>
    real[key] == null ? [] : [`${sizeNames[key].symbol} = ${figure(real[key])} ${sizeNames[key].unit}`],
  )
}
/** What the limit stands on, where that is no word of the brief; null where it does, or where it is the maker's own. */
const assumed = computed(() => {
  const found = limitFor(props.view.joint.brief, props.arm.test, props.arm.size)
  return found?.limit === props.arm.passLimit ? found.assumed : null
})
function whyLimit(): Explanation {
  const { brief } = props.view.joint
  const load = requiredLoad(brief)
  const strength = requiredStrength(brief, props.arm.test)
  return {
    about: 'pass limit',
    lines: [
      'What counts as a pass is set before the first pull, so that no result can bend it.',
      strength === null
        ? 'Load or size of the real joint is open, so what stands here is taken, not the brief’s: set your own.'
        : 'From the brief: the required load over the real bonded size.',
    ],
    formula:
      load && strength !== null
        ? [
            formulaOf(props.arm.test)!.words,
            [`F = ${measured(load.n, 'N')}`, ...sizesOf(brief)].join(', '),
            `= ${measured(strength, kind.value.unit)}`,
          ]
        : undefined,
    source: ['Methods: required load = share of weight × g × motion factor.'],
  }
}
</script>

<template>
  <div class="limit">
    <div class="field">
      <div>
        <label :for="`limit-${arm.id}`"
          >Counts as a pass from, {{ kind.unit === 'MPa' ? 'kPa or MPa' : kind.unit }}</label
        >&nbsp;
        <AskWhy :why="whyLimit">how it is set</AskWhy>
      </div>
      <output v-if="locked && !late" :id="`limit-${arm.id}`" class="num locked">
        {{ arm.passLimit === null ? 'no limit was set' : measured(arm.passLimit, kind.unit) }}
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
    <p v-if="means" class="small num">{{ means }}</p>
    <p v-if="assumed" class="small careful">{{ assumedWords(assumed, bench.bench?.gauge.unit ?? 'N') }}</p>
    <template v-if="locked">
      <p class="mute small">
        Locked at the first pull<template v-if="arm.passSetAt">; set {{ momentName(arm.passSetAt, now) }}</template
        >.
      </p>
      <p v-for="one in arm.lateChanges" :key="one.at" class="small careful">
        Changed after the first pull, from {{ one.from === null ? 'none' : measured(one.from, kind.unit) }} to
        {{ one.to === null ? 'none' : measured(one.to, kind.unit) }}.
      </p>
      <v-btn v-if="!late" class="quiet" @click="late = true">Change it all the same</v-btn>
      <template v-else>
        <p class="small careful">A limit that moves after a pull bends to the result: the change will stand on it.</p>
        <v-btn class="alt" @click="keepLimit">Change the limit</v-btn>
      </template>
    </template>
    <p v-else class="mute small">Set it before the first pull; then it is locked.</p>
    <ProblemLine />
    <slot />
  </div>
</template>

<style scoped>
.limit {
  display: grid;
  gap: 6px;
  align-content: start;
}
.limit > .v-btn,
:slotted(.v-btn) {
  justify-self: start;
}
.locked {
  font-size: 1.375rem;
  font-weight: 660;
}
</style>
