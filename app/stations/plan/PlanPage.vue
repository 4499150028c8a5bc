<script setup lang="ts">
import { computed } from 'vue'
import { fairness, type Fault } from '../../../core/planning/fairness'
import { MOST_COUPONS } from '../../../core/planning/coupons'
import { needsOf, type NeedOf } from '../../../core/planning/needs'
import { showMoney } from '../../../core/quantities/money'
import type { Arm, Round } from '../../../core/records/round'
import { packInUse } from '../../../core/situation/packs'
import { stampNow } from '../../bench/clock'
import { familyTimes, type JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import { otherGlues } from '../../bench/otherGlues'
import { useBench } from '../../bench/store'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'
import { plural } from '../../look/figures'
import AddTest from './AddTest.vue'
import ArmCard from './ArmCard.vue'
import FairnessList from './FairnessList.vue'
import HowMany from './HowMany.vue'
import HunchCard from './HunchCard.vue'
import NeedsTable from './NeedsTable.vue'
import WeightsCard from './WeightsCard.vue'
import PlannedOrder from './PlannedOrder.vue'
import ProcedureCard from './ProcedureCard.vue'
import {
  asPlan,
  canUnplan,
  draftRound,
  dryReadings,
  editDraft,
  ENOUGH_FOR_SCATTER,
  fairnessSetting,
  isPlanned,
  mendDraft,
  planCoupons,
} from './planDraft'
import { toolsFor } from '../../../core/planning/tools'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const planned = computed(() => isPlanned(props.view))
// The first draft bears the time at which the page was opened, so that it does not change every second.
const opened = stampNow()
const round = computed(() => (planned.value ? props.view.round! : draftRound(props.view, opened)))
const partsOf = (readings: readonly object[]) => readings.flatMap((one) => Object.values(one) as unknown[])
/** Once pulls of an earlier round are in, its own scatter counts. */
const dry = steady(() => (planned.value ? [] : dryReadings(props.view)), partsOf)
const { answer: earlier } = useAsked(
  () => (dry.value.length < ENOUGH_FOR_SCATTER ? null : dry.value),
  (readings, options) => benchWorker().analyse({ required: null, readings }, options),
)
const scatter = computed(() => earlier.value?.scatter?.median ?? null)
const plan = computed(() => asPlan(round.value, props.view.procedures))
const today = Math.floor(opened / 3_600_000) * 3_600_000
const faults = computed(() => (planned.value ? [] : fairness(plan.value, fairnessSetting(bench, props.view, today))))

const list = computed(() =>
  props.view.procedures.map((procedure): NeedOf => {
    const pack = procedure.adhesive === null ? null : packInUse(bench.of('stock', procedure.adhesive), today)
    return {
      procedure,
      family: familyTimes(bench, procedure),
      product: bench.get('adhesive', procedure.adhesive),
      left: pack?.left ?? null,
      others: otherGlues(bench, procedure, today),
    }
  }),
)
const needs = computed(() => needsOf(list.value, round.value.arms, round.value.blocks))
const costOf = (n: number) => {
  const { cost, handsOnMinutes } = needsOf(list.value, round.value.arms, n)
  return { money: showMoney(cost, bench.bench?.currency), minutes: handsOnMinutes }
}
const coupons = computed(() => props.view.procedures.length * round.value.blocks * round.value.arms.length)

type Make = (round: Round) => Partial<Round>
const edit = (make: Make | Partial<Round>, what: string, before?: Make) =>
  editDraft(bench, props.view, round.value, typeof make === 'function' ? make : () => make, what, before)
function resize(arm: Arm, size: Arm['size'], what: string, before: Arm['size']) {
  const sized = (put: Arm['size']) => (of: Round) => ({
    arms: of.arms.map((one) => (one.id === arm.id ? { ...one, size: { ...one.size, ...put } } : one)),
  })
  return edit(sized(size), what, sized(before))
}
const dropArm = (arm: Arm) => edit(({ arms }) => ({ arms: arms.filter(({ id }) => id !== arm.id) }), 'a test left out')
const addArm = (arm: Arm) => edit(({ arms }) => ({ arms: [...arms, arm] }), 'another test')
const mend = (fault: Fault) =>
  mendDraft(bench, props.view, round.value, fault.mend!.apply(plan.value), fault.mend!.words)
const locked = computed(() => planned.value && !canUnplan(props.view))
</script>

<template>
  <div class="plan">
    <header>
      <h1>
        {{ planned ? `${plural(view.coupons.length, 'coupon')} planned` : 'A fair test, before anything is cut' }}
      </h1>
      <p class="mute">
        {{
          planned
            ? 'What counts as a pass stands before the first pull.'
            : 'Every change is kept; nothing is cut before you press Plan.'
        }}
      </p>
    </header>

    <div v-if="!view.procedures.length" class="card none">
      <p>No glue is picked yet. Pick two or more; one of them a glue you already trust.</p>
      <v-btn class="go" :to="{ name: 'shortlist', params: { joint: view.joint.id } }">Pick glues</v-btn>
    </div>

    <template v-else>
      <PlannedOrder v-if="planned" :view="view" />

      <section aria-labelledby="tests">
        <h2 id="tests">{{ round.arms.length === 1 ? 'The test' : 'The tests' }}</h2>
        <div class="arms">
          <ArmCard
            v-for="arm in round.arms"
            :key="arm.id"
            :view="view"
            :round="round"
            :arm="arm"
            :planned="planned"
            @resize="(size, what, before) => resize(arm, size, what, before)"
            @drop="dropArm(arm)"
          />
        </div>
        <AddTest v-if="!planned" :view="view" :round="round" :now="opened" @add="addArm" />
      </section>

      <template v-if="!planned">
        <HowMany :scatter="scatter" :round="round" :glues="view.procedures.length" :cost-of="costOf" @change="edit" />
        <FairnessList :faults="faults" @mend="mend" />
        <NeedsTable :needs="needs" :tools="toolsFor(round.arms, list)" />
      </template>
      <HunchCard
        :round="round"
        :procedures="view.procedures"
        :code="view.joint.code"
        :open="!planned || view.readings.length === 0"
        @seal="(order) => edit({ hunch: { order, at: stampNow() } }, 'hunch sealed')"
        @unseal="edit({ hunch: null }, 'hunch taken back')"
      />
      <WeightsCard
        :round="round"
        :locked="planned && view.readings.length > 0"
        @change="(weights) => edit({ weights }, 'what will count')"
      />
      <div v-if="!planned">
        <p v-if="coupons > MOST_COUPONS" class="problem" role="alert">
          {{ coupons }} coupons are more than anyone glues for one joint; at most {{ MOST_COUPONS }} can be planned.
          Take fewer of each, fewer tests, or a second round.
        </p>
        <v-btn v-else class="go" @click="planCoupons(bench, view, round, stampNow())">Plan {{ coupons }} coupons</v-btn>
      </div>

      <section aria-labelledby="procedures">
        <h2 id="procedures">Procedures</h2>
        <div class="procedures">
          <ProcedureCard
            v-for="procedure in view.procedures"
            :key="procedure.id"
            :view="view"
            :procedure="procedure"
            :locked="locked"
            :control="round.control === procedure.id"
            @control="edit({ control: procedure.id }, `${procedure.letter} is the control`)"
          />
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 26px;
}
.plan > * {
  min-width: 0;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.arms {
  display: grid;
  gap: 12px;
  margin-top: 10px;
}
.procedures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 16px;
  margin-top: 10px;
}
</style>
