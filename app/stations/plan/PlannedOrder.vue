<script setup lang="ts">
import { computed } from 'vue'
import { armOf, armWords } from '../../../core/planning/arms'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import TapeLabel from '../../look/TapeLabel.vue'
import { canUnplan, planAnother, unplan } from './planDraft'
import { stampNow } from '../../bench/clock'

/** The planned coupons in the order of gluing, block by block, and what to print for them. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const blocks = computed(() => {
  const numbers = [...new Set(props.view.coupons.map(({ block }) => block))]
  return numbers.map((n) => ({ n, coupons: props.view.coupons.filter(({ block }) => block === n) }))
})
const arm = (n: number) => armWords(armOf(props.view.round!, blocks.value.find((one) => one.n === n)!.coupons[0]!))
</script>

<template>
  <section aria-labelledby="order">
    <h2 id="order">Glue in this order</h2>
    <p class="mute">
      {{
        view.round!.order === 'as-written'
          ? 'One kind after the other, as you chose.'
          : 'Each block holds one of every glue, shuffled, so that a warming room or tired hands fall on all alike.'
      }}
      Seed <span class="num">{{ view.round!.seed }}</span>.
    </p>
    <ol class="blocks">
      <li v-for="block in blocks" :key="block.n">
        <span class="mute"
          >Block {{ block.n }}<template v-if="view.round!.arms.length > 1">, {{ arm(block.n) }}</template></span
        >
        <span class="tapes acts"
          ><TapeLabel v-for="coupon in block.coupons" :key="coupon.id">{{ coupon.label }}</TapeLabel></span
        >
      </li>
    </ol>
    <div class="acts">
      <v-btn class="go" :to="{ name: 'glue', params: { joint: view.joint.id } }">Start gluing</v-btn>
      <v-btn class="alt" :to="{ name: 'print', params: { joint: view.joint.id } }"
        >Print labels, cut list and bench sheet</v-btn
      >
      <v-btn
        v-if="view.readings.length === view.coupons.length"
        class="alt"
        @click="planAnother(bench, view, stampNow())"
        >Plan another round</v-btn
      >
      <v-btn v-if="canUnplan(view)" class="quiet" @click="unplan(bench, view)">Plan it anew</v-btn>
    </div>
  </section>
</template>

<style scoped>
.blocks {
  margin: 12px 0 16px;
}
li {
  display: grid;
  grid-template-columns: minmax(80px, auto) 1fr;
  gap: 16px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
}
</style>
