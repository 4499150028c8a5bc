<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { sayError } from '../../core/messages'
import { gaugeError } from '../../core/readings/gaugeCheck'
import { separators, type Instrument } from '../../core/records/instrument'
import { stampNow } from '../bench/clock'
import { useForce } from '../bench/force'
import { editOf, useBench } from '../bench/store'
import { plural } from '../look/figures'
import { checkFrom, emptyInstrument, instrumentFrom } from './instrumentWork'

/** Gauges and scales that are read over a line: range, step, how their lines are written, checks by a known weight. */
const bench = useBench()
const force = useForce()
const all = computed<Instrument[]>(() => bench.bench?.instruments ?? [])
const usual = computed(() => bench.bench?.gauge.unit ?? 'N')
const typed = reactive(emptyInstrument())
const checking = ref<string | null>(null)
const check = reactive({ weight: '', litres: '', bottle: '', read: '' })
const problem = ref('')
const keep = (label: string, instruments: Instrument[]) =>
  bench.edit(label, [editOf('bench', bench.bench!, { instruments })], [], true)

async function add() {
  problem.value = ''
  try {
    const one = instrumentFrom(typed, usual.value)
    if (await keep(`Gauge: ${one.name}`, [...all.value, one])) Object.assign(typed, emptyInstrument())
  } catch (error) {
    problem.value = sayError(error)
  }
}
async function noteCheck(one: Instrument) {
  problem.value = ''
  try {
    const made = checkFrom(check, usual.value, stampNow())
    const changed = all.value.map((other) =>
      other.id === one.id ? { ...other, checks: [...other.checks, made] } : other,
    )
    if (!(await keep(`${one.name} checked against ${made.how}`, changed))) return
    Object.assign(check, { weight: '', litres: '', bottle: '', read: '' })
    checking.value = null
  } catch (error) {
    problem.value = sayError(error)
  }
}
const errorOf = (one: Instrument) => {
  const error = gaugeError(one)
  if (!error) return 'not checked yet'
  const percent = `${Math.abs(100 * error.share).toFixed(1)} % too ${error.share > 0 ? 'high' : 'low'}`
  return `${percent} by ${plural(error.checks, 'check')}${error.off ? ': mind it, or have it set' : ''}`
}
const separatorWords = { comma: 'commas', semicolon: 'semicolons', tab: 'tabs', space: 'spaces' }
</script>

<template>
  <section aria-labelledby="gauges">
    <h2 id="gauges">Gauges that are read over a line</h2>
    <ul v-if="all.length">
      <li v-for="one in all" :key="one.id">
        <p>
          <b>{{ one.name }}</b> <span class="num">to {{ force(one.limitN) }} in {{ force(one.resolutionN) }}</span> ·
          {{ errorOf(one) }}
          <v-btn
            class="quiet"
            :aria-expanded="checking === one.id"
            @click="checking = checking === one.id ? null : one.id"
            >Check {{ one.name }}</v-btn
          >
          <v-btn
            class="quiet"
            @click="
              keep(
                `${one.name} taken off the shelf`,
                all.filter(({ id }) => id !== one.id),
              )
            "
            >Take {{ one.name }} off</v-btn
          >
        </p>
        <form v-if="checking === one.id" @submit.prevent="noteCheck(one)">
          <label class="field"
            ><span>Known weight</span><input v-model="check.weight" class="plain" placeholder="2 kg"
          /></label>
          <label class="field"
            ><span>or water</span><input v-model="check.litres" class="plain" placeholder="1.5 l"
          /></label>
          <label class="field"
            ><span>in a bottle of</span><input v-model="check.bottle" class="plain" placeholder="40 g"
          /></label>
          <label class="field"
            ><span>It read</span><input v-model="check.read" class="plain" :placeholder="`15.1 ${usual}`"
          /></label>
          <v-btn class="alt" type="submit">Note the check</v-btn>
        </form>
      </li>
    </ul>
    <details>
      <summary>Add a gauge or scale with a USB or serial line</summary>
      <form @submit.prevent="add">
        <label class="field"><span>Its name</span><input v-model="typed.name" class="plain" maxlength="60" /></label>
        <label class="field"
          ><span>It reads up to</span><input v-model="typed.limit" class="plain" placeholder="500 N"
        /></label>
        <label class="field"
          ><span>in steps of</span><input v-model="typed.step" class="plain" placeholder="0.1 N"
        /></label>
        <label class="field"
          ><span>Speed of its line, baud</span><input v-model="typed.baud" class="plain" inputmode="numeric"
        /></label>
        <label class="field"
          ><span>Cells kept apart by</span>
          <select v-model="typed.separator" class="plain">
            <option v-for="one in separators" :key="one" :value="one">{{ separatorWords[one] }}</option>
          </select>
        </label>
        <label class="field"
          ><span>Figures with a decimal</span>
          <select v-model="typed.decimal" class="plain">
            <option value="point">point</option>
            <option value="comma">comma</option>
          </select>
        </label>
        <label class="field"
          ><span>Load in cell</span><input v-model="typed.column" class="plain" inputmode="numeric"
        /></label>
        <label class="field"
          ><span>Travel in cell, mm</span
          ><input v-model="typed.travelColumn" class="plain" inputmode="numeric" placeholder="none"
        /></label>
        <label class="field"
          ><span>Unit where a line names none</span><input v-model="typed.unit" class="plain" maxlength="8"
        /></label>
        <label class="tick"><input v-model="typed.turned" type="checkbox" /> A pull is written below zero</label>
        <v-btn class="alt" type="submit">Put it on the shelf</v-btn>
      </form>
    </details>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin: 8px 0;
}
.field {
  flex: 1 1 140px;
}
li {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
summary {
  min-height: 44px;
}
.tick {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
</style>
