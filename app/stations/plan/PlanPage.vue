<script setup lang="ts">
import { computed, ref } from 'vue'
import { toolsFor } from '../../../core/planning/tools'
import { stampNow, useMinute } from '../../bench/clock'
import type { JointView } from '../../bench/jointView'
import { steady } from '../../bench/steady'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import { momentName } from '../../look/times'
import { useNarrow } from '../../look/narrow'
import { benchWorker } from '../../workers/client'
import { useAsked } from '../../workers/useAsked'
import AddTest from './AddTest.vue'
import ArmCard from './ArmCard.vue'
import FairnessList from './FairnessList.vue'
import HowMany from './HowMany.vue'
import HunchCard from './HunchCard.vue'
import NeedsTable from './NeedsTable.vue'
import PlanBar from './PlanBar.vue'
import PlannedOrder from './PlannedOrder.vue'
import ProcedureCard from './ProcedureCard.vue'
import WeightsCard from './WeightsCard.vue'
import { dryReadings, ENOUGH_FOR_SCATTER, planCoupons } from './planDraft'
import { usePlan } from './usePlan'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const plan = usePlan(() => props.view)
const { planned, round, needs, faults, coupons, locked, opened } = plan
const now = useMinute()

const partsOf = (readings: readonly object[]) => readings.flatMap((one) => Object.values(one) as unknown[])
/** Once pulls of an earlier round are in, its own scatter counts. */
const dry = steady(() => (planned.value ? [] : dryReadings(props.view)), partsOf)
const { answer: earlier } = useAsked(
  () => (dry.value.length < ENOUGH_FOR_SCATTER ? null : dry.value),
  (readings, options) => benchWorker().analyse({ required: null, readings }, options),
)
const scatter = computed(() => earlier.value?.scatter?.median ?? null)

/** In the order of thought; on a phone one at a time. */
const parts = computed(() =>
  [
    { id: 'compared', word: 'compared' },
    { id: 'tested', word: 'tested' },
    { id: 'many', word: 'how many', draft: true },
    { id: 'fair', word: 'fair', draft: true },
    { id: 'needed', word: 'needed', draft: true },
    { id: 'hunch', word: 'hunch' },
  ].filter(({ draft }) => !draft || !planned.value),
)
const part = ref('compared')
const narrow = useNarrow()
const shown = (id: string) => !narrow.value || part.value === id
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
            : 'Drafted whole from the brief and your picks. Change what you know better; every change is kept.'
        }}
      </p>
    </header>

    <div v-if="!view.procedures.length" class="card none">
      <p>No glue is picked yet. Pick two or more; one of them a glue you already trust.</p>
      <v-btn class="go" :to="{ name: 'shortlist', params: { joint: view.joint.id } }">Pick glues</v-btn>
    </div>

    <template v-else>
      <PlannedOrder v-if="planned" :view="view" />
      <nav v-if="narrow" class="parts" aria-label="Parts of the plan">
        <button
          v-for="one in parts"
          :key="one.id"
          type="button"
          :aria-current="part === one.id ? 'step' : undefined"
          @click="part = one.id"
        >
          {{ one.word }}
        </button>
      </nav>

      <section v-if="shown('compared')" aria-labelledby="compared">
        <h2 id="compared">What is compared</h2>
        <div class="procedures">
          <ProcedureCard
            v-for="procedure in view.procedures"
            :key="procedure.id"
            :view="view"
            :procedure="procedure"
            :locked="locked"
            :control="round.control === procedure.id"
            :advice="plan.adviceOn(procedure)"
            @control="plan.edit({ control: procedure.id }, `${procedure.letter} is the control`)"
          />
        </div>
      </section>

      <section v-if="shown('tested')" aria-labelledby="tests">
        <h2 id="tests">How it is tested</h2>
        <div class="arms">
          <ArmCard
            v-for="arm in round.arms"
            :key="arm.id"
            :view="view"
            :round="round"
            :arm="arm"
            :planned="planned"
            @resize="(size, what, before) => plan.resize(arm, size, what, before)"
            @read="plan.byGauge(arm)"
            @drop="plan.dropArm(arm)"
            @first="(one, on) => plan.putFirst(arm, one, on)"
          />
        </div>
        <p v-if="plan.wantsUntreated.value" class="small">
          What glue did to a piece shows beside one that it never touched.
          <v-btn class="alt" @click="plan.addUntreated">Add an untreated piece</v-btn>
        </p>
        <AddTest v-if="!planned" :view="view" :round="round" :now="opened" @add="plan.addArm" />
      </section>

      <template v-if="!planned">
        <HowMany
          v-if="shown('many')"
          :scatter="scatter"
          :round="round"
          :glues="view.procedures.length"
          :cost-of="plan.costOf"
          @change="plan.edit"
        />
        <FairnessList v-if="shown('fair')" :faults="faults" @mend="plan.mend" />
        <NeedsTable v-if="shown('needed')" :needs="needs" :tools="toolsFor(round.arms, plan.list.value)" />
      </template>
      <template v-if="shown('hunch')">
        <HunchCard
          :round="round"
          :procedures="view.procedures"
          :code="view.joint.code"
          :open="!planned || view.readings.length === 0"
          @seal="(order) => plan.edit({ hunch: { order, at: stampNow() } }, 'hunch sealed')"
          @unseal="plan.edit({ hunch: null }, 'hunch taken back')"
        />
        <WeightsCard
          :round="round"
          :locked="planned && view.readings.length > 0"
          @change="(weights) => plan.edit({ weights }, 'what will count')"
        />
      </template>
      <PlanBar
        v-if="!planned"
        :coupons="coupons"
        :money="plan.money(needs.cost)"
        :hours="needs.handsOnMinutes / 60"
        :ready="momentName(plan.pulledFrom.value, now)"
        @plan="planCoupons(bench, view, round, stampNow())"
      />
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
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 16px;
  margin-top: 10px;
  align-items: start;
}
.procedures > :has(details.all[open]) {
  grid-column: 1 / -1;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.parts button {
  flex: 1 0 30%;
  min-height: 48px;
  padding: 4px 8px;
  font: inherit;
  color: inherit;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.parts button[aria-current] {
  outline: 2px solid var(--ink);
}
</style>
