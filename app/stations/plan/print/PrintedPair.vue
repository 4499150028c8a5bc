<script setup lang="ts">
import { computed } from 'vue'
import { printedCoupon } from '../../../../core/coupons/printedCoupon'
import type { Round } from '../../../../core/records/round'
import { saveBlob } from '../../../frame/saveFile'

/** For printed plastics: a coupon pair as a model file, with what it is and how to print it. */
const props = defineProps<{ round: Round }>()
const coupon = computed(() => {
  const size = props.round.arms.map((arm) => arm.size.areaMm2).find((area) => area != null)
  return printedCoupon(Math.min(14, size ? Math.sqrt(size) : 8))
})
// The modeller is loaded when it is asked for.
async function save() {
  const { stlOfPair } = await import('../../../../core/coupons/stl')
  saveBlob(
    `coupon-pair-${coupon.value.bondMm.toFixed(1)}mm.stl`,
    new Blob([stlOfPair(coupon.value) as BlobPart], { type: 'model/stl' }),
  )
}
const mm = (n: number) => `${+n.toFixed(1)} mm`
</script>

<template>
  <div class="pair">
    <p>
      As a print: two halves with a bonded face of {{ mm(coupon.bondMm) }} × {{ mm(coupon.bondMm) }} ({{
        +(coupon.bondMm ** 2).toFixed(1)
      }}
      mm²), a neck of {{ mm(coupon.neckMm) }} that is stronger than the joint, and a hole {{ mm(coupon.armMm) }} above
      it for a hook or a bar. Print them lying on their side, layers along the pull, solid (100 % infill).
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
