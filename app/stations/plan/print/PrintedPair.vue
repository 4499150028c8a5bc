<script setup lang="ts">
import { computed } from 'vue'
import { pairFor } from '../../../../core/coupons/printedCoupon'
import { testKinds } from '../../../../core/knowledge/testKinds'
import type { Round } from '../../../../core/records/round'
import { saveBlob } from '../../../frame/saveFile'
import { piece } from '../../../look/piece'

/** For printed plastics: a coupon pair as a model file, with what it is and how to print it. */
const props = defineProps<{ round: Round }>()
const pair = computed(() => pairFor(props.round.arms))
const coupon = computed(() => pair.value.coupon)
const mm = (n: number) => `${+n.toFixed(1)} mm`
const face = (sides: readonly [number, number]) => sides.map(mm).join(' × ')
// The modeller is loaded when it is asked for.
async function save() {
  const { stlOfPair } = await piece(() => import('../../../../core/coupons/stl'))
  saveBlob(
    `coupon-pair-${coupon.value.bondMm.map((side) => +side.toFixed(1)).join('x')}mm.stl`,
    new Blob([stlOfPair(coupon.value) as BlobPart], { type: 'model/stl' }),
  )
}
</script>

<template>
  <div class="pair">
    <p>
      As a print<template v-if="pair.test">, for the {{ testKinds[pair.test].name }}</template
      >: two halves with a bonded face of {{ face(coupon.bondMm) }} ({{
        +(coupon.bondMm[0] * coupon.bondMm[1]).toFixed(1)
      }}
      mm²), a neck of {{ face(coupon.neckMm) }} that is stronger than the joint, and a hole {{ mm(coupon.armMm) }} above
      it for a hook or a bar. Print them lying on their side, layers along the pull, solid (100 % infill).
      <template v-if="!pair.test"
        >No test of this plan is pulled straight, twisted or snapped on a flat face: this is the usual size.</template
      >
    </p>
    <v-btn class="alt" @click="save">Save the coupon pair as STL</v-btn>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  gap: 8px;
  justify-items: start;
  max-width: 640px;
}
</style>
