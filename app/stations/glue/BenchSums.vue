<script setup lang="ts">
import { computed } from 'vue'
import { packGrams } from '../../../core/costs/cost'
import { bondedAreaOf } from '../../../core/coupons/pieces'
import { benchSums } from '../../../core/planning/benchSums'
import type { Procedure } from '../../../core/records/procedure'
import { usualShop } from '../../../core/records/shop'
import { adviceRemembered } from '../../bench/advice'
import { familyTimes, type JointView } from '../../bench/jointView'
import type { Setting } from '../../../core/screening/shortlist'
import { useBench } from '../../bench/store'

/** What is worked out at the bench for the glue in hand: on the pieces, and on the build's own joints. */
const props = defineProps<{ view: JointView; procedure: Procedure; setting: Setting }>()
const bench = useBench()
const family = computed(
  () => adviceRemembered(props.procedure, props.setting)?.situation.family ?? familyTimes(bench, props.procedure),
)
const packG = computed(() => {
  const { adhesive } = props.procedure
  const product = bench.get('adhesive', adhesive)
  const pack = adhesive === null ? undefined : bench.of('stock', adhesive).find(({ left }) => left > 0)
  if (!product || product.packSize === null || !pack) return null
  const { spreadGm2, densityGml } = family.value
  const { packSize, packUnit } = product
  const full = packGrams({ family: family.value.id, packSize, packUnit, packPrice: 0, spreadGm2, densityGml })
  return full > 0 ? full * pack.left : null
})
/** The usual evening: the middle one of the weekly pattern. */
const eveningMin = computed(() => {
  const spans = (bench.bench?.shop ?? usualShop).weekly.map(({ span }) => span.to - span.from).sort((x, y) => x - y)
  return spans[Math.floor(spans.length / 2)] ?? 180
})
const heatHarms = computed(
  () =>
    adviceRemembered(props.procedure, props.setting)?.situation.faces.some(
      ({ material }) => material?.group === 'foam' || (material?.softensC ?? Infinity) < 80,
    ) ?? false,
)
const on = (areaCm2: number, pieces: number, byTray = false) =>
  benchSums({
    procedure: props.procedure,
    family: family.value,
    areaCm2,
    pieces,
    byTray,
    packG: packG.value,
    eveningMin: eveningMin.value,
    heatHarms: heatHarms.value,
  })
const sets = computed(() => {
  const round = props.view.round!
  const left = props.view.coupons.filter(({ procedure }) => procedure === props.procedure.id)
  const { test, size } = round.arms[0]!
  const { widthMm, lengthMm, count, geometry } = props.view.joint.brief
  return [
    { name: 'On the pieces', sums: on(bondedAreaOf(test, size) / 100, Math.max(1, left.length)) },
    ...(widthMm !== null && lengthMm !== null
      ? [{ name: 'On the real joints', sums: on((widthMm * lengthMm) / 100, count ?? 1, geometry === 'point') }]
      : []),
  ]
})
</script>

<template>
  <details class="sums">
    <summary>Sums for {{ procedure.letter }}, {{ procedure.name }}</summary>
    <div v-for="set in sets" :key="set.name">
      <h3>{{ set.name }}</h3>
      <ul>
        <li v-for="one in set.sums" :key="one.about">{{ one.words }}</li>
      </ul>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 40px;
}
h3 {
  font-size: 1rem;
  margin: 6px 0 2px;
}
li {
  padding: 4px 0;
  max-width: 68ch;
}
</style>
