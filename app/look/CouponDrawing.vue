<script setup lang="ts">
import { computed } from 'vue'
import { piecesOf } from '../../core/coupons/pieces'
import { type CouponSize, type TestId, testKinds } from '../../core/knowledge/testKinds'
import type { Hatch } from './seam/geometry'

/** A coupon seen from above, to scale, with its dimensions and a scale bar. */
const props = defineProps<{ test: TestId; size: CouponSize; a: Hatch; b: Hatch }>()

const round = (n: number) => +n.toFixed(1)
const plan = computed(() => {
  const [a, b] = piecesOf(props.test, props.size)
  const { bondLengthMm, spot = false } = testKinds[props.test]
  const bond = Math.min(bondLengthMm(props.size), a.lengthMm)
  const total = spot ? a.lengthMm : a.lengthMm + b.lengthMm - bond
  const wide = Math.max(a.widthMm, b.widthMm)
  const margin = Math.max(9, total * 0.09)
  return { a, b, bond, total, wide, margin, from: spot ? 0 : a.lengthMm - bond, spot }
})
const text = computed(() => plan.value.total / 17)
const box = computed(() => {
  const { total, wide, margin } = plan.value
  return `${-margin * 1.6} ${-margin} ${total + margin * 2.2} ${wide + margin * 2.6}`
})
const label = computed(() => {
  const { a, bond } = plan.value
  return (
    `Coupon for ${testKinds[props.test].name}, to scale: pieces ${round(a.widthMm)} by ${round(a.lengthMm)} mm, ` +
    `glued over ${round(bond)} mm`
  )
})
</script>

<template>
  <svg class="coupon" :viewBox="box" role="img" :aria-label="label">
    <rect
      class="piece"
      :x="plan.from"
      :y="0"
      :width="plan.b.lengthMm"
      :height="plan.b.widthMm"
      :fill="`url(#hatch-${b})`"
    />
    <rect class="piece" x="0" y="0" :width="plan.a.lengthMm" :height="plan.a.widthMm" :fill="`url(#hatch-${a})`" />
    <rect
      class="bond"
      :x="plan.spot ? (plan.a.lengthMm - plan.bond) / 2 : plan.from"
      :y="plan.spot ? (plan.wide - plan.bond) / 2 : 0"
      :width="Math.max(plan.bond, plan.total / 120)"
      :height="plan.spot ? plan.bond : plan.wide"
    />
    <g class="dims" :style="{ fontSize: `${text}px`, strokeWidth: plan.total / 260 }">
      <path :d="`M${-plan.margin * 0.5} 0V${plan.wide}`" />
      <text :x="-plan.margin * 0.65" :y="plan.wide / 2" text-anchor="end" dominant-baseline="central">
        {{ round(plan.wide) }}
      </text>
      <path :d="`M0 ${plan.wide + plan.margin * 0.35}H${plan.a.lengthMm}`" />
      <text :x="plan.a.lengthMm / 2" :y="plan.wide + plan.margin * 0.5 + text" text-anchor="middle">
        {{ round(plan.a.lengthMm) }}
      </text>
      <template v-if="plan.bond > 0">
        <path
          :d="`M${plan.spot ? (plan.a.lengthMm - plan.bond) / 2 : plan.from} ${-plan.margin * 0.25}h${plan.bond}`"
        />
        <text
          :x="plan.spot ? plan.a.lengthMm / 2 : plan.from + plan.bond / 2"
          :y="-plan.margin * 0.4"
          text-anchor="middle"
        >
          {{ round(plan.bond) }}
        </text>
      </template>
      <path class="scale" :d="`M${plan.total - 10} ${plan.wide + plan.margin * 1.25}h10`" />
      <text :x="plan.total - 11" :y="plan.wide + plan.margin * 1.25" text-anchor="end" dominant-baseline="central">
        10 mm
      </text>
    </g>
  </svg>
</template>

<style scoped>
.coupon {
  display: block;
  width: 100%;
  max-height: 190px;
}
.piece {
  stroke: var(--ink);
  vector-effect: non-scaling-stroke;
  stroke-width: 1.2px;
}
.bond {
  fill: var(--glue);
  opacity: 0.75;
}
.dims path {
  stroke: var(--mute);
  fill: none;
}
.dims .scale {
  stroke: var(--ink);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.dims text {
  fill: var(--mute);
  font-family: var(--sans);
}
</style>
