<script setup lang="ts">
import { computed } from 'vue'
import { basisWords, marginInWords } from '../../../../core/choice/real/marginWords'
import { exposuresNamed } from '../../../../core/choice/real/surroundings'
import { metExposures } from '../../../../core/choice/met'
import { otherGeometry } from '../../../../core/loads/copies'
import { glueCautions } from '../../../../core/care/steps'
import { undoing, undoWords } from '../../../../core/screening/undoing'
import { armWords } from '../../../../core/planning/arms'
import { realJoint, realJointWords } from '../../../../core/planning/realJoint'
import { stepTime } from '../../../../core/planning/stepTime'
import { measured } from '../../../../core/quantities/betterUnit'
import { showMoney } from '../../../../core/quantities/money'
import type { Round } from '../../../../core/records/round'
import type { Decision } from '../../../../core/records/decision'
import type { Procedure } from '../../../../core/records/procedure'
import { adviceRemembered } from '../../../bench/advice'
import { costOf } from '../../../bench/buildJoints'
import { careOf, situationOfProcedure } from '../../../bench/careOf'
import { useForce } from '../../../bench/force'
import { familyTimes, glueName, hatchOf, type JointView } from '../../../bench/jointView'
import { needWords } from '../../../bench/jointWords'
import { useSetting } from '../../../bench/setting'
import { useBench } from '../../../bench/store'
import { capital, figure, plural } from '../../../look/figures'
import { momentName } from '../../../look/times'
import { qrPath } from '../../../look/qrPath'
import { sectionOf } from '../../../look/seam/geometry'
import SeamDrawing from '../../../look/seam/SeamDrawing.vue'
import TapeLabel from '../../../look/TapeLabel.vue'
import TestsBehind from './TestsBehind.vue'

/** The card of a decided joint, to pin up above the bench: what to do at the real size, and what it rests on. */
const props = defineProps<{
  view: JointView
  decision: Decision
  procedure: Procedure
  round: Round
  /** the smaller card leaves out what is read at the desk: tests one by one, the reason */
  small: boolean
  /** where the card opens again */
  address: string
}>()
const bench = useBench()
const force = useForce()
const setting = useSetting(() => props.view)
const brief = computed(() => props.view.joint.brief)
/** with its times in this room, as the day and the timetable count them */
const family = computed(
  () => adviceRemembered(props.procedure, setting.value)?.situation.family ?? familyTimes(bench, props.procedure),
)
const price = computed(() => costOf(bench, props.view, props.procedure))
const real = computed(() => realJoint(props.procedure, family.value, brief.value))
const amounts = computed(() => (real.value ? realJointWords(real.value) : []))
const coupons = computed(() =>
  bench.of('coupon', props.round.id).filter(({ procedure }) => procedure === props.procedure.id),
)
const notTested = computed(() => {
  const readings = coupons.value.flatMap(({ id }) => bench.of('reading', id))
  const met = metExposures(props.round, coupons.value, readings, props.procedure.id)
  return exposuresNamed(brief.value, met)
})
const arm = computed(() => props.round.arms.find(({ id }) => id === props.decision.arm) ?? props.round.arms[0]!)
const known = computed(() => props.decision.known)
const factors = computed(() => known.value.factors ?? [])
const care = computed(() => careOf(bench, props.view, props.procedure))
const undo = computed(() => undoWords(undoing([situationOfProcedure(bench, props.view, props.procedure)])))
/** what is laid on at a step, on one joint */
const laidAt = (kind: string) =>
  real.value?.eachG && (kind === 'apply' || kind === 'coat')
    ? `${measured(real.value.eachG / Math.max(1, props.procedure.coats), 'g')} a joint`
    : ''
const code = computed(() => qrPath(props.address))
</script>

<template>
  <article class="paper" :class="{ small }" data-card>
    <header>
      <div>
        <p class="mute">{{ bench.all('build')[0]?.name }}</p>
        <h1>
          <TapeLabel size="big">{{ view.joint.code }}</TapeLabel> {{ view.joint.name }}
        </h1>
        <p>{{ view.a?.name }} to {{ view.b?.name }} · {{ needWords(view, force) }}</p>
      </div>
      <div v-if="!small" class="picture">
        <SeamDrawing
          :section="brief.geometry ? sectionOf[brief.geometry] : 'lap'"
          :a="hatchOf(view.a)"
          :b="hatchOf(view.b)"
          :loads="brief.loads ?? []"
        />
      </div>
    </header>
    <h2>{{ glueName(bench, procedure) }}</h2>
    <section v-if="glueCautions(care).length" class="care">
      <h3>Before you start</h3>
      <p v-for="line in [...glueCautions(care), ...care.cleaning]" :key="line">{{ line }}</p>
      <p v-for="one in care.ready" :key="one.text">
        <b>{{ capital(one.what) }}:</b> {{ one.text }}.
      </p>
    </section>
    <ul v-if="amounts.length" class="amounts num">
      <li v-for="line in amounts" :key="line">{{ line }}</li>
    </ul>
    <p v-else class="mute">Say in Ask how large the joint is: then the amounts stand here.</p>
    <ol class="steps">
      <li v-for="step in procedure.steps" :key="step.id">
        <span>{{ step.text }}</span>
        <b v-if="stepTime(step)" class="num">{{ stepTime(step) }}</b>
        <b v-if="laidAt(step.kind)" class="num">{{ laidAt(step.kind) }}</b>
      </li>
    </ol>
    <dl>
      <dt>To undo</dt>
      <dd>{{ undo }}</dd>
      <template v-if="known.margin !== null">
        <dt>Margin</dt>
        <dd>
          <b class="num">{{ figure(known.margin) }} times the required load.</b>
          <template v-if="known.holdsN"
            >{{ ' ' }}{{ marginInWords({ holdsN: known.holdsN, requiredN: known.requiredN ?? null }, brief) }}</template
          >
          <template v-if="otherGeometry(brief.geometry, arm.test)"
            >{{ ' ' }}{{ otherGeometry(brief.geometry, arm.test) }}</template
          >
          <span v-for="one in factors" :key="one.words" class="factor num">
            {{ capital(one.words) }}: {{ Math.round(100 * one.share) }} % left, {{ basisWords[one.basis] }}.
          </span>
        </dd>
      </template>
      <template v-if="notTested.length && !(small && factors.length)">
        <dt>Not tested</dt>
        <dd>
          {{ capital(notTested.join(', ')) }}<template v-if="factors.length">: an estimate was taken.</template
          ><template v-else>: the margin does not count on it.</template>
        </dd>
      </template>
      <dt>Tested</dt>
      <dd>
        {{ armWords(arm) }}, {{ plural(known.pulls, 'pull')
        }}<template v-if="known.weakLow !== null"
          >; 19 in 20 joints hold <b class="num">{{ measured(known.weakLow, known.unit) }}</b></template
        >.
        <TestsBehind v-if="!small" :round="round" :coupons="coupons" />
      </dd>
      <template v-if="price">
        <dt>Cost</dt>
        <dd v-if="price.packs === 0 && price.perJoint === 0">no glue to buy</dd>
        <dd v-else class="num">
          {{ showMoney(price.perJoint, bench.bench?.currency) }} each,
          {{ showMoney(price.total, bench.bench?.currency) }} for {{ plural(brief.count ?? 1, 'joint') }};
          {{ plural(price.packs, 'pack') }} to open
        </dd>
      </template>
      <template v-if="!small">
        <dt>Chosen</dt>
        <dd>{{ momentName(decision.at, 0) }}: {{ decision.reason }}</dd>
      </template>
    </dl>
    <footer>
      <svg
        class="code"
        :viewBox="`-2 -2 ${code.size + 4} ${code.size + 4}`"
        role="img"
        :aria-label="`Code that opens this card again: ${address}`"
      >
        <rect x="-2" y="-2" :width="code.size + 4" :height="code.size + 4" fill="#fff" />
        <path :d="code.d" fill="#000" />
      </svg>
      <p>
        Scan it to open this card again, where the bench is kept. Decided {{ momentName(decision.at, 0) }}, round
        {{ round.number }}.<br />
        Made on a home bench. Not for joints that carry people, for climbing, pressure, mains or medical use. The
        product’s label and safety data sheet come first.
      </p>
    </footer>
  </article>
</template>

<style scoped src="./card.css"></style>
