<script setup lang="ts">
import { computed, ref } from 'vue'
import { traceFromRows } from '../../../core/formats/traceCsv'
import { sayError } from '../../../core/messages'
import { knownUnits } from '../../../core/quantities/units'
import { dimensionOfWay, ways } from '../../../core/readings/load'
import { rungs, rungWords } from '../../../core/knowledge/rungs'
import { PULLS_NEEDED } from '../../../core/readings/hands'
import { countingOf, countsLosses, gradingOf, type TestId } from '../../../core/knowledge/testKinds'
import type { Bench } from '../../../core/records/bench'
import type { Coupon } from '../../../core/records/coupon'
import { plural } from '../../look/figures'
import CountFields from './CountFields.vue'
import GradeFields from './GradeFields.vue'
import LossFields from './LossFields.vue'
import LivePull from './LivePull.vue'
import type { Likely } from './useLikely'
import { keptTrace, usualUnit, type FormWay, type PullForm } from './pullForm'
import { piece } from '../../look/piece'
import FieldPart from '../../look/FieldPart'

// The ways to give a reading: a number in any unit, steps, hands, or a file from a logger.
const props = defineProps<{ test: TestId; bench: Bench; likely: Likely; coupon: Coupon }>()
const form = defineModel<PullForm>({ required: true })
const wayWords: Record<FormWay, string> = {
  gauge: 'Scale or gauge',
  mass: 'Hung weight',
  water: 'Water in a bucket',
  lever: 'Lever',
  steps: 'Weights in steps',
  hands: 'By hand',
  trace: 'Gauge, with trace',
  count: 'Count',
  grades: 'Looking',
  losses: 'Count before and after',
}
const offered = computed<FormWay[]>(() =>
  countsLosses(props.test)
    ? ['losses']
    : gradingOf(props.test)
      ? ['grades']
      : countingOf(props.test)
        ? ['count']
        : [...ways, 'steps', 'hands', 'trace'],
)
const simple = computed(() => ways.includes(form.value.way as (typeof ways)[number]))
/** The units that may be typed, first the one that a bare number is taken for. */
const units = computed(() => {
  if (!simple.value) return []
  const way = form.value.way as (typeof ways)[number]
  const usual = usualUnit(way, props.bench)
  return [usual, ...knownUnits(dimensionOfWay(way)).filter((one) => one !== usual)]
})
const uncalibrated = computed(() => Object.values(props.bench.hands).every((pulls) => pulls.length < PULLS_NEEDED))
const fileSays = ref('')
async function readFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    const { default: Papa } = await piece(() => import('papaparse'))
    const rows = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' }).data
    const { points, bad } = traceFromRows(rows)
    form.value.trace = keptTrace(props.test, file.name, points)
    fileSays.value = `${plural(points.length, 'point')} read${
      bad.length
        ? `; left out ${plural(bad.length, 'row')}: ${bad
            .slice(0, 3)
            .map(({ line, why }) => `line ${line} (${why})`)
            .join(', ')}`
        : ''
    }.`
  } catch (error) {
    form.value.trace = null
    fileSays.value = sayError(error)
  }
}
</script>

<template>
  <div class="ways">
    <GradeFields v-if="form.way === 'grades'" v-model="form" :test="test" />
    <LossFields v-else-if="form.way === 'losses'" v-model="form" :coupon="coupon" />
    <FieldPart v-else class="which" label="Read by">
      <select v-model="form.way" class="plain">
        <option v-for="way in offered" :key="way" :value="way">{{ wayWords[way] }}</option>
      </select>
    </FieldPart>
    <template v-if="simple">
      <FieldPart
        class="wide"
        name="value"
        :label="`${
          form.way === 'gauge'
            ? 'What it said'
            : form.way === 'lever'
              ? 'Load on the lever'
              : form.way === 'water'
                ? 'Water poured in'
                : 'Weight hung on'
        } (${units.slice(0, 6).join(', ')})`"
      >
        <input
          id="reading-text"
          v-model="form.text"
          class="plain reading"
          autocomplete="off"
          :placeholder="form.way === 'water' ? '2.5 l' : form.way === 'mass' ? '3 kg' : `9.5 ${units[0]}`"
        />
      </FieldPart>
      <FieldPart v-if="form.way !== 'gauge'" name="tare" :label="form.way === 'water' ? 'Bucket' : 'Hook and tray'">
        <input v-model="form.tare" class="plain" placeholder="0.2 kg" />
      </FieldPart>
      <template v-if="form.way === 'lever'">
        <FieldPart label="Pivot to load" name="arm of the load">
          <input v-model="form.armLoad" class="plain" placeholder="300 mm" />
        </FieldPart>
        <FieldPart label="Pivot to joint" name="arm of the joint">
          <input v-model="form.armJoint" class="plain" placeholder="50 mm" />
        </FieldPart>
      </template>
    </template>
    <template v-else-if="form.way === 'steps'">
      <FieldPart label="Last weight it held" name="held">
        <input v-model="form.held" class="plain reading" placeholder="3 kg" />
      </FieldPart>
      <FieldPart label="Weight it let go at" name="broke">
        <input v-model="form.broke" class="plain reading" placeholder="4 kg, empty if it held" />
      </FieldPart>
      <FieldPart label="Hook and tray" name="tare">
        <input v-model="form.tare" class="plain" placeholder="0.2 kg" />
      </FieldPart>
    </template>
    <div v-else-if="form.way === 'hands'" class="rungs" role="radiogroup" aria-label="How hard it was pulled">
      <label v-for="rung in rungs" :key="rung" :class="{ on: form.rung === rung }"
        ><input v-model="form.rung" type="radio" name="rung" :value="rung" />{{ rungWords[rung] }}</label
      >
      <p v-if="uncalibrated" class="careful small">
        Your hands are not calibrated: this gives an order only.
        <router-link :to="{ name: 'shelf', hash: '#hands' }">Calibrate them on the scale</router-link>
      </p>
    </div>
    <CountFields v-else-if="form.way === 'count'" v-model="form" :test="test" />
    <LivePull v-else-if="form.way === 'trace'" v-model="form" :test="test" v-bind="likely" />
    <div v-if="form.way === 'trace'" class="field wide">
      <label for="trace-file">Or a CSV file with time, load, travel</label>
      <input id="trace-file" type="file" accept=".csv,.txt,text/csv" class="plain" @change="readFile" />
      <p class="small" role="status">{{ fileSays || form.trace?.file }}</p>
    </div>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.field {
  flex: 1 1 130px;
}
.which {
  flex: 0 1 180px;
}
.wide {
  flex: 2 1 220px;
}
.reading {
  font-size: 1.25rem;
  font-weight: 650;
  min-height: 56px;
}
.which select,
.ways input {
  min-height: 56px;
}
.rungs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  flex: 1 1 300px;
}
.rungs label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 56px;
  padding: 8px 14px;
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
}
.rungs label.on {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
}
</style>
