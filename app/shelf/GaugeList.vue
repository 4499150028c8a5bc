<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { gaugeError } from '../../core/readings/gaugeCheck'
import { separators, type Instrument } from '../../core/records/instrument'
import { stampNow } from '../bench/clock'
import { useForce } from '../bench/force'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import { plural } from '../look/figures'
import { checkFrom, emptyInstrument, instrumentFrom } from './instrumentWork'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** Gauges and scales that are read over a line: range, step, how their lines are written, checks by a known weight. */
const bench = useBench()
const force = useForce()
const all = computed<Instrument[]>(() => bench.bench?.instruments ?? [])
const usual = computed(() => bench.bench?.gauge.unit ?? 'N')
const typed = reactive(emptyInstrument())
const checking = ref<string | null>(null)
const check = reactive({ weight: '', litres: '', bottle: '', read: '' })
const { attempt } = useAttempt()
const keep = (label: string, instruments: Instrument[]) =>
  bench.edit(label, [editOf('bench', bench.bench!, { instruments })], [], true)

async function add() {
  await attempt(async () => {
    const one = instrumentFrom(typed, usual.value)
    if (await keep(`Gauge: ${one.name}`, [...all.value, one])) Object.assign(typed, emptyInstrument())
  })
}
async function noteCheck(one: Instrument) {
  await attempt(async () => {
    const made = checkFrom(check, usual.value, stampNow())
    const changed = all.value.map((other) =>
      other.id === one.id ? { ...other, checks: [...other.checks, made] } : other,
    )
    if (!(await keep(`${one.name} checked against ${made.how}`, changed))) return
    Object.assign(check, { weight: '', litres: '', bottle: '', read: '' })
    checking.value = null
  })
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
          <FieldPart label="Known weight" name="known weight">
            <input v-model="check.weight" class="plain" placeholder="2 kg" />
          </FieldPart>
          <FieldPart label="or water" name="water">
            <input v-model="check.litres" class="plain" placeholder="1.5 l" />
          </FieldPart>
          <FieldPart label="in a bottle of" name="empty bottle">
            <input v-model="check.bottle" class="plain" placeholder="40 g" />
          </FieldPart>
          <FieldPart label="It read" name="what it read">
            <input v-model="check.read" class="plain" :placeholder="`15.1 ${usual}`" />
          </FieldPart>
          <v-btn class="alt" type="submit">Note the check</v-btn>
        </form>
      </li>
    </ul>
    <details>
      <summary>Add a gauge or scale with a USB or serial line</summary>
      <form @submit.prevent="add">
        <FieldPart label="Its name" name="name">
          <input v-model="typed.name" class="plain" maxlength="60" />
        </FieldPart>
        <FieldPart label="It reads up to" name="its limit">
          <input v-model="typed.limit" class="plain" placeholder="500 N" />
        </FieldPart>
        <FieldPart label="in steps of" name="its step">
          <input v-model="typed.step" class="plain" placeholder="0.1 N" />
        </FieldPart>
        <FieldPart label="Speed of its line, baud" name="The speed of its line">
          <input v-model="typed.baud" class="plain" inputmode="numeric" />
        </FieldPart>
        <FieldPart label="Cells kept apart by">
          <select v-model="typed.separator" class="plain">
            <option v-for="one in separators" :key="one" :value="one">{{ separatorWords[one] }}</option>
          </select>
        </FieldPart>
        <FieldPart label="Figures with a decimal">
          <select v-model="typed.decimal" class="plain">
            <option value="point">point</option>
            <option value="comma">comma</option>
          </select>
        </FieldPart>
        <FieldPart label="Load in cell" name="The column of the load">
          <input v-model="typed.column" class="plain" inputmode="numeric" />
        </FieldPart>
        <FieldPart label="Travel in cell" name="The column of the travel" unit="mm">
          <input v-model="typed.travelColumn" class="plain" inputmode="numeric" placeholder="none" />
        </FieldPart>
        <FieldPart label="Unit where a line names none" name="unit">
          <input v-model="typed.unit" class="plain" maxlength="8" />
        </FieldPart>
        <label class="tick"><input v-model="typed.turned" type="checkbox" /> A pull is written below zero</label>
        <v-btn class="alt" type="submit">Put it on the shelf</v-btn>
      </form>
    </details>
    <ProblemLine />
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
