<script setup lang="ts">
import { computed } from 'vue'
import { testKinds } from '../../../core/knowledge/testKinds'
import { armWords } from '../../../core/planning/arms'
import { readyFrom } from '../../../core/planning/pullQueue'
import { earlierWords } from '../../../core/readings/earlier'
import type { Reading } from '../../../core/records/reading'
import type { Arm } from '../../../core/records/round'
import type { Coupon } from '../../../core/records/coupon'
import type { Procedure } from '../../../core/records/procedure'
import { useMinute } from '../../bench/clock'
import { lasting, momentName } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'
import { earlyBy } from './pulls'

/** Which coupon is pulled: its label, its glue, its test, and whether it is cured. */
const props = defineProps<{
  coupon: Coupon
  procedure: Procedure
  arm: Arm | null
  /** it was pulled already, and is looked at again */
  logged: boolean
  /** what the same piece was put through before */
  earlier: readonly Reading[]
  /** which pull of how many, in words */
  place: string
}>()
const now = useMinute()
const kind = computed(() => testKinds[props.arm?.test ?? 'lap-shear'])
const early = computed(() => (props.logged ? null : earlyBy(props.coupon, props.procedure, props.arm, now.value)))
const behind = computed(() => earlierWords(props.earlier))
const ready = computed(() => readyFrom(props.coupon, props.procedure, props.arm))
</script>

<template>
  <header class="which">
    <TapeLabel size="big">{{ coupon.label }}</TapeLabel>
    <div>
      <h2>{{ procedure.name }}</h2>
      <p class="mute">
        {{ arm ? armWords(arm) : kind.name }} ·
        {{ place }}
        <template v-if="behind"> · already {{ behind }}</template>
        <template v-if="ready && ready <= now"> · ready since {{ momentName(ready, now) }}</template>
      </p>
    </div>
  </header>
  <p v-if="early" class="warn" role="note">
    <b class="careful">Not cured yet.</b>
    {{ early.curedS ? `It had ${lasting(early.curedS)} of ${lasting(early.fullS)}.` : 'It was not stamped as closed.' }}
    Pull it now and that is kept with the reading; it may read too low.
  </p>
</template>

<style scoped>
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
</style>
