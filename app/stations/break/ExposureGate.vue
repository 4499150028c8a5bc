<script setup lang="ts">
import { computed } from 'vue'
import { exposureRows, exposureWords } from '../../../core/knowledge/exposures'
import { unexposedArm } from '../../../core/planning/exposing'
import type { Coupon } from '../../../core/records/coupon'
import type { Arm, Round } from '../../../core/records/round'
import { stampNow } from '../../bench/clock'
import { asItIs, saysExposed } from '../../bench/exposing'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'

/** A piece of an arm that goes through heat, water or the like, of which nobody noted that it did. */
const props = defineProps<{ coupon: Coupon; arm: Arm; round: Round }>()
const bench = useBench()
const exposure = computed(() => props.arm.exposure!)
const other = computed(() => unexposedArm(props.round, props.arm))
</script>

<template>
  <section class="gate card" aria-labelledby="not-exposed" data-not-exposed>
    <h3 id="not-exposed">Not put through it yet: {{ exposureWords(exposure) }}</h3>
    <p>
      {{ coupon.label }} is to be pulled {{ exposureWords(exposure) }}, and nothing is noted of it. Begin and end it on
      Glue, with a clock. What was not put through it does not count among those that were.
    </p>
    <div class="acts">
      <v-btn class="go" :to="{ name: 'glue', params: { joint: round.joint } }"
        >{{ exposureRows[exposure.kind].acts!.begin }} on Glue</v-btn
      >
      <ActButton class="alt" :act="() => saysExposed(bench, coupon, arm, stampNow())"
        >It went through it as planned</ActButton
      >
      <ActButton class="alt" :act="() => asItIs(bench, round, coupon, arm, stampNow())">{{
        other ? 'It did not: pull it as it is' : 'It did not: leave it out'
      }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.gate {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  border-left: 5px solid var(--careful);
}
</style>
