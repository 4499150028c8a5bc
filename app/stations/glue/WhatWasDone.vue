<script setup lang="ts">
import { computed } from 'vue'
import { bondedAreaOf } from '../../../core/coupons/pieces'
import { armOf } from '../../../core/planning/arms'
import { WASTE } from '../../../core/costs/cost'
import { gramsPerCm2 } from '../../../core/planning/needs'
import { measured } from '../../../core/quantities/betterUnit'
import { update } from '../../../core/records/entry'
import { offWindowRules, type OffWindowRule } from '../../../core/records/round'
import type { Coupon } from '../../../core/records/coupon'
import { familyTimes, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import FieldPart from '../../look/FieldPart'

/** What went differently, what was weighed, and what becomes of a piece that is closed too early or too late. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const round = computed(() => props.view.round!)
const ruleWords: Record<OffWindowRule, string> = {
  keep: 'is kept, with a mark',
  repeat: 'is begun again with fresh parts',
  'leave-out': 'is left out and not pulled',
}
const setRule = (event: Event) => {
  const offWindow = (event.target as HTMLSelectElement).value as OffWindowRule
  return bench.write(
    `${props.view.joint.code}: what is closed too early or too late ${ruleWords[offWindow]}`,
    [update('round', round.value, { offWindow })],
    true,
  )
}
const all = computed(() => [...props.view.coupons, ...props.view.leftOut])
const differently = computed(() => all.value.filter(({ deviations }) => deviations.length))
const takeIn = (coupon: Coupon) =>
  bench.write(`${coupon.label} counts after all`, [update('coupon', coupon, { leftOut: null })], true)

/** What was weighed of each procedure, against what the plan lays on. */
const weighed = computed(() =>
  props.view.procedures.flatMap((procedure) => {
    const of = all.value.filter((one) => one.procedure === procedure.id)
    const grams = of.map(({ stamps }) => stamps.reduce((sum, one) => sum + (one.grams ?? 0), 0))
    const some = of.filter((_, i) => grams[i]! > 0)
    if (!some.length) return []
    const perCm2 = gramsPerCm2(procedure, familyTimes(bench, procedure)) / (1 + WASTE)
    const planned = some.map((one) => {
      const { test, size } = armOf(round.value, one)
      return (bondedAreaOf(test, size) / 100) * perCm2
    })
    const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / some.length
    return [{ procedure, pieces: some.length, grams: mean(grams), planned: mean(planned) }]
  }),
)
const others = (coupon: Coupon) => {
  const said = (key: 'by' | 'tool') => [...new Set(coupon.stamps.flatMap((one) => one[key] ?? []))]
  const mixes = [...new Set(coupon.stamps.flatMap(({ mix }) => mix ?? []))]
  return [...said('by').map((one) => `by ${one}`), ...said('tool'), ...mixes.map((one) => `mix ${one}`)].join(', ')
}
const noted = computed(() => all.value.filter((coupon) => others(coupon)))
</script>

<template>
  <section aria-labelledby="differently" class="really-done">
    <h2 id="differently">What was really done</h2>
    <FieldPart class="rule" label="A piece that is closed too early or too late">
      <select class="plain" :value="round.offWindow ?? 'keep'" @change="setRule">
        <option v-for="one in offWindowRules" :key="one" :value="one">{{ ruleWords[one] }}</option>
      </select>
    </FieldPart>
    <ul v-if="differently.length" class="lines">
      <template v-for="coupon in differently" :key="coupon.id">
        <li v-for="deviation in coupon.deviations" :key="deviation.at + deviation.text">
          <TapeLabel>{{ coupon.label }}</TapeLabel> {{ deviation.text }}
        </li>
        <li v-if="coupon.leftOut">
          <TapeLabel>{{ coupon.label }}</TapeLabel>
          <span class="careful">left out: {{ coupon.leftOut }}</span>
          <v-btn class="quiet" @click="takeIn(coupon)"
            >Count it after all<span class="visually-hidden">, {{ coupon.label }}</span></v-btn
          >
        </li>
      </template>
    </ul>
    <ul v-if="weighed.length" class="lines num">
      <li v-for="one in weighed" :key="one.procedure.id">
        {{ one.procedure.letter }}: {{ measured(one.grams, 'g') }} used on a piece ({{
          plural(one.pieces, 'piece')
        }}
        weighed); the plan lays on {{ measured(one.planned, 'g') }}.
      </li>
    </ul>
    <details v-if="noted.length">
      <summary>Who, with what, out of which mix</summary>
      <ul class="lines">
        <li v-for="coupon in noted" :key="coupon.id">
          <TapeLabel>{{ coupon.label }}</TapeLabel> {{ others(coupon) }}
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.really-done {
  display: grid;
  gap: 10px;
}
.rule {
  max-width: 360px;
}
.lines li {
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
summary {
  min-height: 32px;
}
</style>
