<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue'
import { refusalFor } from '../../../core/care/refusal'
import { doubtful } from '../../../core/choice/doubtful'
import { headline } from '../../../core/choice/headline'
import { keptPairs } from '../../../core/choice/shareKept'
import { guessRecord, openedHunch } from '../../../core/choice/hunch'
import { countingOf, countsLosses, gradingOf, testKinds } from '../../../core/knowledge/testKinds'
import { limitInShort } from '../../../core/planning/limitMeans'
import { inSentence } from '../../../core/quantities/inSentence'
import { measured } from '../../../core/quantities/betterUnit'
import { armWords } from '../../../core/planning/arms'
import { ratiosFrom } from '../../../core/statistics/ratioFrom'
import { useMinute } from '../../bench/clock'
import { narrowed, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { capital, plural } from '../../look/figures'
import { momentName } from '../../look/times'
import OneOf from '../../look/OneOf.vue'
import AfterPaint from '../../look/AfterPaint.vue'
import { useWhy } from '../../look/why'
import CandidateTable from './CandidateTable.vue'
import DecideForm from './DecideForm.vue'
import EarlierPulls from './EarlierPulls.vue'
import GradesTable from './GradesTable.vue'
import HowSure from './HowSure.vue'
import LossesTable from './LossesTable.vue'
import RealJoint from './RealJoint.vue'
import RanksTable from './RanksTable.vue'
import ShareKept from './ShareKept.vue'
import WeighedChoice from './WeighedChoice.vue'
import { latestDecisions, limitHere, useAnalysis, useCandidates, useOtherTests } from './round'
import { useKept } from './useKept'
import { titleWords } from './titleWords'
import { whyMargin } from './whyChoice'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const now = useMinute()
const armId = ref<string | null>(null)
const arms = computed(() => props.view.round?.arms ?? [])
const view = computed(() => narrowed(props.view, armId.value))
const { analysis, progress, problem, again, cancel } = useAnalysis(view)
const keptShares = useKept(bench)
const candidates = useCandidates(bench, view, toRef(props, 'view'), analysis, keptShares)
const otherTests = useOtherTests(bench, view, toRef(props, 'view'), keptShares)
const test = computed(() => view.value.arm?.test ?? 'lap-shear')
const kind = computed(() => testKinds[test.value])
const graded = computed(() => view.value.arm !== null && gradingOf(test.value) !== null)
const losses = computed(() => view.value.arm !== null && countsLosses(test.value))
/** looked at or counted: no strength */
const beside = computed(() => graded.value || losses.value)
const limit = computed(() => limitHere(view.value))
const currency = computed(() => bench.bench?.currency ?? '')
const told = computed(() => (analysis.value ? headline(analysis.value) : null))
const nameOf = (id: string) => candidates.value.find(({ procedure }) => procedure.id === id)?.procedure.name ?? '?'
/** some pull has an order and no figure */
const byOrder = computed(() => view.value.readings.some(({ raw }) => raw.way === 'hands' && raw.lowN === null))
/** what is said of the first where it is no strength that is read */
const more = computed(() => countingOf(test.value)?.more)
const title = computed(() => {
  if (!view.value.readings.length) return 'Nothing is pulled yet'
  if (beside.value) return capital(kind.value.name)
  if (!analysis.value) return problem.value ? 'Not worked out yet' : 'Working it out…'
  if (told.value) return titleWords(told.value, nameOf, more.value?.furthest)
  return byOrder.value ? 'An order, no strengths' : 'Nothing to say yet'
})
const scatter = computed(() => analysis.value?.scatter?.median ?? 0.25)
const pairs = computed(() => (told.value ? ratiosFrom(told.value.leader, analysis.value!.ratios) : []))
const doubts = computed(() => doubtful(view.value.coupons, view.value.readings))
// Joints that carry people, pressure and the like: what was pulled is shown, but no margin and nothing to decide.
const refused = computed(() => refusalFor(props.view.joint.brief.stakes) !== null)
const kept = computed(() => (props.view.round ? keptPairs(props.view.round) : []))
const hunch = computed(() => {
  const { round, coupons, readings } = view.value
  return round && openedHunch(round, readings.length >= coupons.length, analysis.value?.procedures ?? [])
})
const guesses = computed(() => guessRecord(latestDecisions(bench)))

/** Where all three ways of judging come to the same procedure; null where they part, or are not worked out yet. */
const agreed = ref<string | null>(null)
const picked = ref<string | null>(null)
/** What the real joint, Why and the decision all speak of: picked, decided, agreed on, or the strongest. */
const about = computed(() => {
  const known = (id: string | null | undefined) => candidates.value.some(({ procedure }) => procedure.id === id)
  return [picked.value, props.view.decision?.procedure, agreed.value, told.value?.leader].find(known) ?? null
})
/** Why that one is not the headline’s; null where it is. */
const parts = computed(() =>
  about.value && about.value === agreed.value && told.value && told.value.leader !== agreed.value
    ? `By strength alone it is ${inSentence(nameOf(told.value.leader))}; on all that counts, all three ways come to ` +
      `${inSentence(nameOf(agreed.value))}.`
    : null,
)

watch(
  () => candidates.value.find(({ procedure }) => procedure.id === about.value),
  (one) => one?.margin && !refused.value && why.suggest(whyMargin(one, test.value)),
)
</script>

<template>
  <div class="choose">
    <header>
      <h1>{{ title }}</h1>
      <p v-if="view.round" class="mute">
        {{ view.arm ? armWords(view.arm) : kind.name }}<template v-if="!beside">, {{ kind.unit }}</template> ·
        {{ beside ? `${view.readings.length} looked at` : plural(view.readings.length, 'pull') }} of
        {{ view.coupons.length }}
        <template v-if="analysis?.scatter && !more">
          · scatter about ±{{ Math.round(100 * (Math.exp(scatter) - 1)) }} %</template
        >
        <template v-if="limit">
          · pass from
          {{ view.arm ? limitInShort(limit, view.arm, bench.bench?.gauge.unit) : measured(limit, kind.unit) }}</template
        >
      </p>
      <p v-if="doubts.early.length" class="careful">
        Pulled before the full cure: {{ doubts.early.join(', ') }}. They may read too low.
      </p>
      <p v-if="doubts.wet.length" class="careful">
        Still wet when pulled: {{ doubts.wet.join(', ') }}. That is no strength but “not yet”: they are left out.
      </p>
    </header>
    <OneOf
      v-if="arms.length > 1"
      label="Test shown"
      :options="arms.map((arm) => ({ value: arm.id, words: armWords(arm) }))"
      :model-value="view.arm?.id ?? null"
      @update:model-value="armId = $event"
    />
    <p v-if="view.round?.weights?.changedLate" class="careful" role="note">
      What counts was changed after the first pull, {{ momentName(view.round.weights.changedLate, now) }}.
    </p>
    <p v-for="change in view.arm?.lateChanges ?? []" :key="change.at" class="careful" role="note">
      The pass limit was changed after the first pull, {{ momentName(change.at, now) }}: from
      {{ change.from === null ? 'none' : measured(change.from, kind.unit) }} to
      {{ change.to === null ? 'none' : measured(change.to, kind.unit) }}.
    </p>
    <p v-if="progress !== null" class="progress" role="status">
      <progress :value="progress" max="1" aria-label="Working out the strengths" />
      <v-btn class="quiet" @click="cancel">Stop</v-btn>
    </p>
    <p v-if="problem" class="problem" role="alert">
      {{ problem }} <v-btn class="quiet" @click="again">Try again</v-btn>
    </p>
    <div v-if="!view.readings.length" class="card none">
      <p>
        When the coupons are pulled, their strengths stand here on one scale, with the load the joint must carry, and
        how sure one can be.
      </p>
      <v-btn
        class="go"
        :to="{ name: view.progress.at === 'choose' ? 'plan' : view.progress.at, params: { joint: view.joint.id } }"
        >Go on with this joint</v-btn
      >
    </div>

    <LossesTable v-else-if="losses" :view="view" />
    <GradesTable v-else-if="graded" :view="view" />

    <template v-else-if="analysis">
      <CandidateTable
        :code="view.joint.code"
        :leader="told && told.state !== 'open' ? told.leader : null"
        v-bind="{ candidates, analysis, test, limit, scatter, currency, refused }"
      />
      <HowSure :pairs="pairs" :hunch="hunch" :record="guesses" :name-of="nameOf" :further="more?.further" />
      <EarlierPulls v-if="view.earlier.length" :view="view" />
    </template>
    <RanksTable v-if="byOrder" :view="view" />
    <ShareKept v-for="pair in kept" :key="pair.exposed.id" :view="props.view" :pair="pair" />
    <!-- Below the first screen, a part a frame. -->
    <AfterPaint v-if="!refused && view.readings.length && (beside || analysis)">
      <WeighedChoice :view="props.view" @agreed="agreed = $event" />
      <AfterPaint>
        <RealJoint
          v-if="!beside"
          :view="view"
          :candidates="candidates"
          :about="about"
          :test="test"
          :others="otherTests ?? []"
          @pick="picked = $event"
          @test="armId = $event"
        />
        <DecideForm
          :view="view"
          :whole="props.view"
          :candidates="candidates"
          :about="about"
          :parts="parts"
          :hunch="hunch"
          :others="otherTests"
          :name-of="nameOf"
          @pick="picked = $event"
        />
      </AfterPaint>
    </AfterPaint>
  </div>
</template>

<style scoped>
.choose {
  display: grid;
  gap: 22px;
}
.choose > :deep(*) {
  min-width: 0;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
