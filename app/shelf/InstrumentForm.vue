<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { parseQuantity } from '../../core/quantities/parse'
import { parseMoney } from '../../core/quantities/parseMoney'
import { CodedError } from '../../core/errors'
import { digitsOf } from '../../core/quantities/figure'
import { forceUnits, forceUnitWords, type ForceUnit } from '../../core/quantities/force'
import { fromInside } from '../../core/quantities/units'
import type { Bench } from '../../core/records/bench'
import { sameRecord } from '../../core/records/entry'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import FieldPart from '../look/FieldPart'
import ProblemLine from '../look/ProblemLine.vue'
import { useAttempt } from '../look/attempt'

// What force is read with, and what an hour of the maker's work counts.
const bench = useBench()
const form = ref({ name: '', limit: '', step: '', unit: 'N' as ForceUnit, rate: '', currency: '' })
const { attempt } = useAttempt()
const said = ref('')
/** as it stood when the form was filled */
const opened = shallowRef<Bench | null>(null)
/** A force of the scale as it would be typed, to six digits: what is converted back and forth stays what it was. */
function typedIn({ unit = 'N' }: Bench['gauge'], n: number): string {
  return `${digitsOf(+fromInside(n, unit, 'force').toPrecision(6))} ${unit}`
}
const asTyped = (of: Bench) => ({
  name: of.gauge.name,
  limit: typedIn(of.gauge, of.gauge.limitN),
  step: typedIn(of.gauge, of.gauge.resolutionN),
  unit: of.gauge.unit ?? 'N',
  rate: digitsOf(of.ratePerHour),
  currency: of.currency,
})
watch(
  () => bench.bench,
  (now) => {
    // What is being typed stays; what was changed elsewhere meanwhile shows when it is kept.
    const touched = opened.value && !sameRecord(form.value, asTyped(opened.value))
    if (!now || (touched && now.id === opened.value!.id)) return
    opened.value = now
    form.value = asTyped(now)
  },
  { immediate: true },
)
async function keep() {
  said.value = ''
  await attempt(async () => {
    const { unit } = form.value
    const was = opened.value!.gauge
    /** what was not typed anew stays as exact as it was */
    const read = (text: string, before: number, field: string) =>
      text === typedIn(was, before) ? before : parseQuantity(text, 'force', unit, field).inside
    const limitN = read(form.value.limit, was.limitN, 'limit')
    const resolutionN = read(form.value.step, was.resolutionN, 'smallest step')
    const gauge = { name: form.value.name.trim() || 'scale', limitN, resolutionN, unit }
    if (limitN <= resolutionN)
      throw new CodedError('out-of-order', 'limit', {
        field: 'The scale',
        low: typedIn(gauge, resolutionN),
        high: typedIn(gauge, limitN),
      })
    const ratePerHour = parseMoney(form.value.rate || '0', 'rate')
    const currency = form.value.currency.trim()
    if (currency.length > 6)
      throw new CodedError('wrong-shape', 'currency', {
        field: 'The currency',
        detail: 'at most six signs, such as € or USD',
      })
    const kept = await bench.edit(`Read with: ${gauge.name}`, [
      editOf('bench', opened.value!, { gauge, ratePerHour, currency }),
    ])
    said.value = kept ? 'Kept.' : ''
    if (kept) {
      opened.value = bench.bench
      form.value = asTyped(bench.bench!)
    }
  })
}
</script>

<template>
  <section aria-labelledby="instrument-title">
    <h2 id="instrument-title">Scale and money</h2>
    <form @submit.prevent="keep">
      <FieldPart label="Force is read with">
        <input v-model="form.name" class="plain" maxlength="60" />
      </FieldPart>
      <FieldPart label="It reads up to" name="limit">
        <input v-model="form.limit" class="plain" placeholder="50 kg" />
      </FieldPart>
      <FieldPart label="in steps of" name="smallest step">
        <input v-model="form.step" class="plain" placeholder="10 g" />
      </FieldPart>
      <FieldPart label="Loads are told in">
        <select v-model="form.unit" class="plain">
          <option v-for="unit in forceUnits" :key="unit" :value="unit">{{ forceUnitWords[unit] }}</option>
        </select>
      </FieldPart>
      <FieldPart label="An hour of my work counts" name="rate">
        <input v-model="form.rate" class="plain" inputmode="decimal" />
      </FieldPart>
      <FieldPart label="Currency" name="currency">
        <input v-model="form.currency" class="plain" maxlength="6" placeholder="€" />
      </FieldPart>
      <v-btn class="alt" type="submit">Keep these</v-btn>
    </form>
    <ProblemLine />
    <p v-if="said" class="holds" role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin-top: 10px;
}
.field {
  flex: 1 1 130px;
}
</style>
