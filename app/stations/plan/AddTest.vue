<script setup lang="ts">
import { computed, ref } from 'vue'
import { parseQuantity, parseSeconds } from '../../../core/quantities/parse'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { capital } from '../../look/figures'
import { exposureKinds, exposureRows, exposureWords, type ExposureKind } from '../../../core/knowledge/exposures'
import { testIds, testKinds, testsFor, type TestId } from '../../../core/knowledge/testKinds'
import { copiesJoint } from '../../../core/loads/copies'
import { anotherArm, sidesOf, usualExposure } from '../../../core/planning/newArm'
import { testsOf } from '../../../core/planning/testsOf'
import type { Arm, Exposure, Round } from '../../../core/records/round'
import type { JointView } from '../../bench/jointView'
import { useRead } from '../../look/attempt'
import FieldPart from '../../look/FieldPart'

/** Another arm: another test, or one of the tests again after heat, cold, washing, soaking, sun, flexing or weeks. */
const props = defineProps<{ view: JointView; round: Round; now: number }>()
const emit = defineEmits<{ add: [arm: Arm] }>()
const brief = computed(() => props.view.joint.brief)
/** What copies the joint under its loads: the tests of a draft first, then what answers the same in another way. */
const fitting = computed(() => {
  const [a, b] = [props.view.a?.cls ?? null, props.view.b?.cls ?? null]
  const others = testsFor(brief.value.loads ?? [], sidesOf(a, b))
  return [...new Set([...testsOf(brief.value, a, b), ...others])].filter((id) => copiesJoint(brief.value.geometry, id))
})
const others = computed(() => testIds.filter((id) => !fitting.value.includes(id)))
const test = ref<TestId>(fitting.value[0]!)
const after = ref<'' | ExposureKind>('')
const amount = ref('')
function choose(kind: '' | ExposureKind) {
  after.value = kind
  amount.value = kind ? String(usualExposure(kind, brief.value).amount) : ''
}
/** In the unit of the exposure. @throws CodedError */
function exposureAmount(kind: ExposureKind, text: string): number {
  const { degrees, name, unit } = exposureRows[kind]
  return degrees
    ? parseQuantity(text, 'temperature', '°C', name).inside
    : parseNumber(text, { field: capital(unit), example: '4', least: 0.01, most: 1e6 })
}
/** What was typed: an amount, or nothing (the usual one stands). */
const { value: typedAmount, problem: amountProblem } = useRead(() =>
  after.value && amount.value.trim() ? exposureAmount(after.value, amount.value) : null,
)
const age = ref('')
/** What was typed as the age at the pull, s; nothing: at full cure. */
const { value: ageS, problem: ageProblem } = useRead(() =>
  age.value.trim() ? parseSeconds(age.value, 'The age at the pull', 'h') : null,
)
const exposure = computed((): Exposure | null => {
  if (!after.value) return null
  const usual = usualExposure(after.value, brief.value)
  const typed = typedAmount.value
  return typed === null ? usual : { ...usual, amount: typed }
})
function add() {
  if (amountProblem.value || ageProblem.value) return
  const arm = anotherArm(props.round.arms, brief.value, test.value, props.now, exposure.value)
  emit('add', { ...arm, ...(ageS.value !== null && { ageS: ageS.value }) })
  age.value = ''
}
</script>

<template>
  <form class="add" @submit.prevent="add">
    <FieldPart label="Another test">
      <select v-model="test" class="plain">
        <optgroup label="answers the brief">
          <option v-for="id in fitting" :key="id" :value="id">{{ testKinds[id].name }}</option>
        </optgroup>
        <optgroup label="other tests">
          <option v-for="id in others" :key="id" :value="id">{{ testKinds[id].name }}</option>
        </optgroup>
      </select>
    </FieldPart>
    <FieldPart label="after">
      <select
        class="plain"
        :value="after"
        @change="choose(($event.target as HTMLSelectElement).value as '' | ExposureKind)"
      >
        <option value="">nothing: dry, at room temperature</option>
        <option v-for="kind in exposureKinds" :key="kind" :value="kind">{{ exposureRows[kind].name }}</option>
      </select>
    </FieldPart>
    <FieldPart v-if="after" :label="exposureRows[after].unit" :problem="amountProblem">
      <input v-model="amount" class="plain" inputmode="decimal" />
    </FieldPart>
    <FieldPart class="age" label="Pulled how long after closing" :problem="ageProblem">
      <input v-model="age" class="plain" placeholder="at full cure" />
    </FieldPart>
    <v-btn class="alt" type="submit">Add this test</v-btn>
    <p v-if="exposure" class="mute small">{{ exposureWords(exposure) }}</p>
  </form>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
  margin-top: 12px;
}
.field {
  flex: 0 1 210px;
}
p {
  flex-basis: 100%;
}
</style>
