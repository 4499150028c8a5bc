<script setup lang="ts">
import { computed, ref } from 'vue'
import { forecastsOf } from '../../../core/choice/forecasts'
import type { HunchResult } from '../../../core/choice/hunch'
import { knownOf } from '../../../core/choice/known'
import { testKinds } from '../../../core/knowledge/testKinds'
import { limitOf } from '../../../core/planning/limits'
import { inSentence } from '../../../core/quantities/inSentence'
import { insert } from '../../../core/records/entry'
import { useMinute, stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { useSetting } from '../../bench/setting'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { dayName, momentName } from '../../look/times'
import ReopenedNote from './ReopenedNote.vue'
import RestsOn from './RestsOn.vue'
import { weakestOf, type Candidate } from './round'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** What is chosen for the real joint, why, and with what was known at that time. */
const props = defineProps<{
  view: JointView
  /** the joint with all tests of its round */
  whole: JointView
  candidates: Candidate[]
  /** the procedure that the page speaks of */
  about: string | null
  /** why it is not the headline’s; null where it is */
  parts: string | null
  /** the same procedures by the joint's other tests; null until worked out: the margin would be missing */
  others: Candidate[] | null
  /** what was expected and what came out, once all is pulled */
  hunch: HunchResult | null
  nameOf: (id: string) => string
}>()
defineEmits<{ pick: [procedure: string] }>()
const bench = useBench()
const setting = useSetting(() => props.view)
const now = useMinute()
const reason = ref('')
const { clear, refuse } = useAttempt()
const service = computed(() => props.view.joint.brief.inServiceBy)
const decision = computed(() => props.view.decision)
const toDecide = computed(() => props.about)

async function decide() {
  const candidate = props.candidates.find(({ procedure }) => procedure.id === toDecide.value)
  if (!candidate) return refuse('Choose one of the procedures.')
  if (!reason.value.trim())
    return refuse('Give the reason in a few words: in a year it is what you look for.', 'Because')
  if (!props.others) return refuse('A moment: what the other tests and the exposures left is still being worked out.')
  clear()
  // What the joint holds is what its weakest test leaves it, whichever is shown.
  const weakest = weakestOf(candidate, props.others)
  const record = {
    id: newId(),
    joint: props.view.joint.id,
    round: props.view.round!.id,
    arm: weakest.arm.id,
    procedure: candidate.procedure.id,
    reason: reason.value.trim(),
    at: stampNow(),
    known: {
      ...knownOf(weakest.summary, weakest.pulls.length, testKinds[weakest.arm.test].unit, weakest.margin),
      required: limitOf(weakest.arm, props.view.joint.brief),
      ...(props.hunch && { hunch: { expected: props.hunch.expected, found: props.hunch.found } }),
      forecasts: forecastsOf(setting.value, props.view.procedures, props.view.round!.id),
    },
  }
  const label = `${props.view.joint.code}: decided for ${candidate.procedure.name}`
  if (await bench.write(label, [insert('decision', record)], true)) reason.value = ''
}
</script>

<template>
  <section class="decide" aria-labelledby="decide">
    <h2 id="decide">{{ decision ? 'Decided' : 'Decide' }}</h2>
    <p v-if="decision">
      <b>{{ nameOf(decision.procedure) }}</b>, {{ momentName(decision.at, now) }}: {{ decision.reason }}
      <span v-if="service" class="mute"> · in service by {{ dayName(service) }}</span>
    </p>
    <RestsOn v-if="decision" :decision="decision" />
    <ReopenedNote v-if="decision" :key="decision.id" :view="whole" :decision="decision" />
    <div v-if="decision" class="acts">
      <v-btn class="go" :to="{ name: 'card', params: { joint: view.joint.id } }">Print the procedure card</v-btn>
      <v-btn class="alt" :to="{ name: 'glue', params: { joint: view.joint.id } }">Glue the build’s joints</v-btn>
    </div>
    <p v-if="parts" class="careful" data-parts>{{ parts }}</p>
    <!-- What is weighed meanwhile puts no other procedure under a hand that has begun to decide. -->
    <form @submit.prevent="decide" @focusin="about && $emit('pick', about)">
      <FieldPart :label="decision ? 'Decide otherwise' : 'The procedure for the real joint'">
        <select class="plain" :value="toDecide" @change="$emit('pick', ($event.target as HTMLSelectElement).value)">
          <option v-for="one in candidates" :key="one.procedure.id" :value="one.procedure.id">
            {{ one.procedure.letter }} {{ one.procedure.name }}
          </option>
        </select>
      </FieldPart>
      <FieldPart class="grow" label="Because">
        <input v-model="reason" class="plain" placeholder="holds three times the load and is ready in a day" />
      </FieldPart>
      <v-btn :class="decision ? 'alt' : 'go'" type="submit"
        >Decide for {{ toDecide ? inSentence(nameOf(toDecide)) : 'it' }}</v-btn
      >
    </form>
    <ProblemLine />
  </section>
</template>

<style scoped>
.decide {
  display: grid;
  gap: 12px;
}
.acts,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.field {
  flex: 1 1 220px;
}
.grow {
  flex: 2 1 300px;
}
</style>
