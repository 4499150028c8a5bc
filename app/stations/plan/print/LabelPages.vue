<script setup lang="ts">
import { computed, ref } from 'vue'
import { parseNumber } from '../../../../core/quantities/parseNumber'
import { labelPages, labelPlaces, labelSheets } from '../../../../core/formats/tiles'
import { armOf, armWords } from '../../../../core/planning/arms'
import type { Coupon } from '../../../../core/records/coupon'
import type { JointView } from '../../../bench/jointView'
import { useDrawnInPart } from '../../../look/drawInPart'
import { qrPath } from '../../../look/qrPath'
import MorePages from './MorePages.vue'
import { useRead } from '../../../look/attempt'
import FieldPart from '../../../look/FieldPart'

/** A strip for each coupon with its code, also as QR, on plain sheets of any common label size. */
const props = defineProps<{ view: JointView }>()
const chosen = ref(labelSheets[0]!.id)
const sheet = computed(() => labelSheets.find(({ id }) => id === chosen.value)!)
const skipText = ref('0')
/** Places of a begun sheet that are used up; what is no such number leaves none empty, and is said. */
const { value: skipped, problem: skipProblem } = useRead(() => {
  const most = labelPlaces(sheet.value) - 1
  const field = { field: 'Places used up', example: '3', whole: true, least: 0, most }
  return skipText.value.trim() === '' ? 0 : parseNumber(skipText.value, field)
})
const inOrder = computed(() => [...props.view.coupons].sort((x, y) => x.glueAt - y.glueAt))
const pages = computed(() =>
  labelPages<Coupon | null>([...Array<null>(skipped.value ?? 0).fill(null), ...inOrder.value], sheet.value),
)
const nameOf = (coupon: Coupon) => props.view.procedures.find(({ id }) => id === coupon.procedure)?.name ?? ''
const armOfCoupon = (coupon: Coupon) => armWords(armOf(props.view.round!, coupon))

/** More pages than this are drawn when they are asked for. */
const DRAWN = 12
const { shown, rest, whole } = useDrawnInPart(() => pages.value, DRAWN)
/** Each code that is drawn is worked out once, whatever sheet it is laid on. */
const known = new Map<string, ReturnType<typeof qrPath>>()
const codeOf = (label: string) => known.get(label) ?? known.set(label, qrPath(label)).get(label)!
const tall = computed(() => sheet.value.heightMm)
</script>

<template>
  <div class="labels">
    <div class="choose no-print">
      <FieldPart label="Sheet">
        <select v-model="chosen" class="plain">
          <option v-for="one in labelSheets" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </FieldPart>
      <FieldPart label="Places used up already" :problem="skipProblem">
        <input v-model="skipText" class="plain" inputmode="numeric" />
      </FieldPart>
    </div>
    <MorePages :rest="rest" :pages="pages.length" @whole="whole = true" />
    <svg
      v-for="(page, i) in shown"
      :key="i"
      class="paper-page"
      width="210mm"
      height="297mm"
      viewBox="0 0 210 297"
      role="img"
      :aria-label="`Labels, page ${i + 1} of ${pages.length}`"
    >
      <g v-for="({ label, xMm, yMm }, k) in page" :key="k" :transform="`translate(${xMm} ${yMm})`">
        <template v-if="label">
          <rect class="cut" :width="sheet.widthMm" :height="tall" />
          <svg
            :x="1.5"
            :y="1.5"
            :width="tall - 3 > 18 ? 18 : tall - 3"
            :height="tall - 3 > 18 ? 18 : tall - 3"
            :viewBox="`0 0 ${codeOf(label.label).size} ${codeOf(label.label).size}`"
          >
            <path :d="codeOf(label.label).d" />
          </svg>
          <text class="code" :x="Math.min(tall - 3, 18) + 4" y="8" :data-label="label.label">{{ label.label }}</text>
          <text class="name" :x="Math.min(tall - 3, 18) + 4" y="12.4">{{ nameOf(label).slice(0, 30) }}</text>
          <text class="name" :x="Math.min(tall - 3, 18) + 4" y="16">{{ armOfCoupon(label).slice(0, 34) }}</text>
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.labels {
  display: grid;
  gap: 16px;
}
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.cut {
  fill: none;
  stroke: #999;
  stroke-width: 0.15;
  stroke-dasharray: 1 1;
}
.code {
  font: 700 6px var(--mono);
}
.name {
  font: 400 3px var(--sans);
}
</style>
