<script setup lang="ts">
import { computed, ref } from 'vue'
import { byPair } from '../../core/evidence/byPair'
import { materialClassOf } from '../../core/knowledge/materials'
import { sayError } from '../../core/messages'
import { now } from '../bench/clock'
import { useEvidence } from '../bench/evidence'
import { classOfMaterial } from '../bench/jointView'
import { useBench } from '../bench/store'
import AfterPaint from '../look/AfterPaint.vue'
import { useGradual } from '../look/gradually'
import { plural } from '../look/figures'
import BesideWhy from '../look/BesideWhy.vue'
import OneOf from '../look/OneOf.vue'
import PanelGuard from '../look/PanelGuard.vue'
import { glueWords, familyName } from './evidenceWords'
import HowGood from './HowGood.vue'
import PairLines from './PairLines.vue'
import RulesTested from './RulesTested.vue'
import SaidList from './SaidList.vue'
import TrendList from './TrendList.vue'
import { dayWithYear } from '../look/times'
import FieldPart from '../look/FieldPart'

/** All that was learned at this bench: pair by pair, and how good the forecasts were. It prints as a sheet. */
const bench = useBench()
const { evidence, counting, progress, fault, again } = useEvidence()
type Whose = 'all' | 'own' | 'others'
const whose = ref<Whose>('all')
const options = [
  { value: 'all', words: 'all' },
  { value: 'own', words: 'own pulls' },
  { value: 'others', words: 'other makers’' },
] as const
const wanted = ref('')
const hasOthers = computed(() => evidence.value.some(({ owner }) => owner !== null))

const asked = computed(() => {
  const classOf = classOfMaterial(bench)
  return bench.all('joint').flatMap(({ brief }) => {
    const [a, b] = [brief.a.material, brief.b.material].map((id) => (id === null ? null : classOf(id)))
    return a && b ? [{ a, b, loads: brief.loads }] : []
  })
})
const families = computed(() => [
  ...evidence.value.map(({ family }) => family),
  ...bench.all('adhesive').map(({ family }) => family),
])
const groups = computed(() => byPair(evidence.value, asked.value, families.value))
const shown = computed(() => {
  const text = wanted.value.trim().toLowerCase()
  const has = (...names: string[]) => names.some((name) => name.toLowerCase().includes(text))
  return groups.value.flatMap((group) => {
    const pairHas = has(materialClassOf(group.a).name, materialClassOf(group.b).name)
    const pulled = group.pulled.filter(
      (one) =>
        (whose.value === 'all' || (one.owner === null) === (whose.value === 'own')) &&
        (pairHas || has(glueWords(bench, one), familyName(one.family))),
    )
    const lent = whose.value === 'others' ? [] : group.lent.filter(({ family }) => pairHas || has(familyName(family)))
    const empty = !pulled.length && !lent.length
    return empty && (text || whose.value !== 'all') ? [] : [{ ...group, pulled, lent }]
  })
})
/** Pairs that one frame can take. */
const A_FRAME = 3
const drawn = useGradual(() => shown.value.length, A_FRAME)
const pulls = computed(() => evidence.value.reduce((sum, one) => sum + one.pulls, 0))
const printed = computed(() => dayWithYear(now()))
const print = () => window.print()
</script>

<template>
  <BesideWhy>
    <div class="book">
      <div class="top">
        <h1>Evidence</h1>
        <v-btn class="alt no-print" @click="print">Print this sheet</v-btn>
      </div>
      <p class="mute">
        <template v-if="pulls"
          >{{ plural(pulls, 'pull') }} on {{ plural(groups.filter(({ pulled }) => pulled.length).length, 'pair') }} of
          materials.
        </template>
        The bar is where nine in ten of what the typical strength may be lie; the dashed mark is what the tables say.
      </p>
      <p class="print-only small">{{ bench.bench?.name }}, {{ printed }}</p>
      <p v-if="fault" class="problem" role="alert">
        {{ sayError(fault) }} <v-btn class="quiet" @click="again">Count again</v-btn>
      </p>
      <p v-else-if="counting" role="status" class="mute">
        Counting the pulls…<template v-if="progress"> {{ Math.round(100 * progress) }} %</template>
      </p>
      <div v-if="evidence.length" class="filter no-print">
        <FieldPart label="Only what has">
          <input v-model="wanted" class="plain" type="search" placeholder="foam, contact…" maxlength="60" />
        </FieldPart>
        <OneOf v-if="hasOthers" v-model="whose" label="Whose pulls" :options="options" />
      </div>
      <p v-if="!evidence.length && !counting">
        Nothing was pulled yet. Each pull you log on Break stays here, with its pair, glue, batch and test, corrects the
        tables, and lends to pairs that you have not tested.
      </p>
      <p v-else-if="!shown.length && evidence.length" class="mute">Nothing here has “{{ wanted }}”.</p>
      <PairLines v-for="group in shown.slice(0, drawn)" :key="`${group.a} ${group.b}`" :group="group" />
      <AfterPaint :key="evidence.length">
        <PanelGuard name="How good are we"><HowGood :evidence="evidence" /></PanelGuard>
        <AfterPaint>
          <PanelGuard name="What changes with time"><TrendList :evidence="evidence" /></PanelGuard>
        </AfterPaint>
      </AfterPaint>
      <RulesTested :evidence="evidence" />
      <SaidList :evidence="evidence" />
      <p class="no-print">
        <router-link :to="{ name: 'merge' }">Put another maker’s bench to this one</router-link> ·
        <router-link :to="{ name: 'past' }">Read in past tests from a spreadsheet</router-link> ·
        <router-link :to="{ name: 'files' }">Files of this bench</router-link>
      </p>
    </div>
  </BesideWhy>
</template>

<style scoped>
.book {
  display: grid;
  gap: 18px;
}
.book > * {
  min-width: 0;
}
.top,
.filter {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 12px;
}
.filter {
  justify-content: start;
}
.print-only {
  display: none;
}
@media print {
  .print-only {
    display: block;
  }
}
</style>
