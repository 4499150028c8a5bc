<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue'
import type { PairGroup } from '../../core/evidence/byPair'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import { materialClassOf } from '../../core/knowledge/materials'
import { measured } from '../../core/quantities/betterUnit'
import { useBench } from '../bench/store'
import AskWhy from '../look/AskWhy.vue'
import { useDrawnInPart } from '../look/drawInPart'
import { plural } from '../look/figures'
import SeamDrawing from '../look/seam/SeamDrawing.vue'
import { familyName, glueWords, strengthWords, tableOf, testWords, whyLent, whyLine } from './evidenceWords'
import StrengthBand from './StrengthBand.vue'

/** One pair of materials: what was pulled on it, against the tables, and what other pulls lend to it. */
const props = defineProps<{ group: PairGroup }>()
const bench = useBench()
/** A year on one pair has hundreds of lines: so many are drawn before they are asked for; a print has all. */
const DRAWN = 24
const { shown, rest, whole } = useDrawnInPart(() => props.group.pulled, DRAWN)
const drawAll = () => (whole.value = true)
onMounted(() => window.addEventListener('beforeprint', drawAll))
onBeforeUnmount(() => window.removeEventListener('beforeprint', drawAll))
const names = computed(() => [props.group.a, props.group.b].map((id) => materialClassOf(id)))
const hatch = (index: number) => {
  const cls = names.value[index]!
  return cls.transparent ? ('clear' as const) : cls.group
}
/** Both ends of the scale of one unit, so that lines of one pair can be compared. */
const scales = computed(() => {
  const ends = new Map<string, [number, number]>()
  const widen = (unit: string, ...values: (number | null | undefined)[]) => {
    const [from, to] = ends.get(unit) ?? [Infinity, 0]
    const all = values.filter((one): one is number => typeof one === 'number' && one > 0)
    if (all.length) ends.set(unit, [Math.min(from, ...all), Math.max(to, ...all)])
  }
  for (const one of props.group.pulled) widen(one.unit, one.between?.low90, one.between?.high90, tableOf(one))
  for (const one of props.group.lent) widen(one.unit, one.low90, one.high90, one.table)
  return ends
})
const scaleOf = (unit: string): [number, number] => scales.value.get(unit) ?? [1, 10]
const maker = (one: PairEvidence) =>
  one.owner === null ? null : (bench.get('maker', one.owner)?.name ?? 'another maker')
</script>

<template>
  <section class="pair" :aria-label="`${names[0]!.name} to ${names[1]!.name}`">
    <div class="head">
      <SeamDrawing class="seam" section="lap" :a="hatch(0)" :b="hatch(1)" />
      <h2>{{ names[0]!.name }} to {{ names[1]!.name }}</h2>
      <p v-if="scales.size" class="mute small num scale">
        scale
        {{ [...scales].map(([unit, [from, to]]) => `${measured(from, unit)} to ${measured(to, unit)}`).join('; ') }}
      </p>
    </div>
    <p v-if="!group.pulled.length" class="mute small">Nothing was pulled on this pair yet.</p>
    <ul v-else>
      <li v-for="one in shown" :key="`${one.round} ${one.procedure} ${one.arm} ${one.owner}`" data-pulled>
        <div class="glue">
          <b>{{ glueWords(bench, one) }}</b>
          <span class="mute small">{{ testWords(one) }} · {{ plural(one.pulls, 'pull') }}</span>
          <span v-if="maker(one)" class="small other">by {{ maker(one) }}</span>
        </div>
        <StrengthBand
          v-if="one.between && one.typical !== null"
          :low="one.between.low90"
          :middle="one.typical"
          :high="one.between.high90"
          :table="tableOf(one)"
          :scale="scaleOf(one.unit)"
          :label="strengthWords(one)"
        />
        <span v-else />
        <p class="num small">
          <AskWhy :why="() => whyLine(bench, one)">{{ strengthWords(one) }}</AskWhy>
          <template v-if="one.weakJoint"> · 19 in 20 hold {{ measured(one.weakJoint.median, one.unit) }}</template>
          <template v-if="tableOf(one) !== null"> · tables {{ measured(tableOf(one)!, one.unit) }}</template>
        </p>
      </li>
    </ul>
    <v-btn v-if="rest" class="quiet no-print" @click="drawAll">Show {{ rest }} more</v-btn>
    <details v-if="group.lent.length">
      <summary class="small">
        {{ plural(group.lent.length, 'glue') }} borrowed from your other tests, not tested on this pair
      </summary>
      <ul>
        <li v-for="one in group.lent" :key="`${one.family} ${one.unit}`" data-lent>
          <div class="glue">
            <span>{{ familyName(one.family) }}</span>
            <span class="small mute">borrowed</span>
          </div>
          <StrengthBand
            :low="one.low90"
            :middle="one.median"
            :high="one.high90"
            :table="one.table"
            :scale="scaleOf(one.unit)"
            lent
            :label="`borrowed, typically ${measured(one.median, one.unit)}`"
          />
          <p class="num small">
            <AskWhy :why="() => whyLent(one)"
              >perhaps {{ measured(one.median, one.unit) }}, between {{ measured(one.low90, one.unit) }} and
              {{ measured(one.high90, one.unit) }}</AskWhy
            >
          </p>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.pair {
  border-top: 1px solid var(--line);
  padding: 14px 0;
  display: grid;
  gap: 6px;
  break-inside: avoid;
}
h2 {
  font-size: 1rem;
}
.scale {
  margin-left: auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
}
.seam {
  width: 74px;
  flex: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 18px;
  align-items: center;
  padding: 7px 0;
}
li > p {
  grid-column: 1 / -1;
}
.glue {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.other {
  border: 1px dashed var(--tick);
  border-radius: 3px;
  padding: 0 6px;
}
summary {
  cursor: pointer;
  padding: 6px 0;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
