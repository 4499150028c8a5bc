<script setup lang="ts">
import { ref, watch } from 'vue'
import { CodedError } from '../../../core/errors'
import { parseNumber } from '../../../core/quantities/parseNumber'
import { parseHours, sayHours } from '../../../core/schedule/hours'
import type { Shop } from '../../../core/records/shop'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import { dayName } from '../../look/times'
import FieldPart from '../../look/FieldPart'
import { useAttempt } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/** When somebody works, how many they are, and what there is to hold, light, warm and chill with. */
const props = defineProps<{ shop: Shop }>()
const bench = useBench()
const days = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
/** as makers count a week */
const order = [1, 2, 3, 4, 5, 6, 0]
const things = {
  hands: 'People at it',
  clamp: 'Clamps and weights',
  lamp: 'Lamps',
  oven: 'Places in the hot box',
  fridge: 'Places in the freezer',
} as const
type Thing = keyof typeof things
const week = ref<string[]>([])
const counts = ref<Record<Thing, string>>({ hands: '', clamp: '', lamp: '', oven: '', fridge: '' })
const exceptions = ref<Shop['exceptions']>([])
const otherDay = ref('')
const otherHours = ref('')
const { attempt } = useAttempt()
const kept = ref('')
watch(
  () => props.shop,
  (shop) => {
    week.value = days.map((_, day) => sayHours(shop.weekly.filter((one) => one.day === day).map(({ span }) => span)))
    for (const key of Object.keys(things) as Thing[]) counts.value[key] = String(shop[key])
    exceptions.value = shop.exceptions
  },
  { immediate: true },
)
const addException = () => attempt(takeException)
/** A day with hours of its own, as it is typed. @throws CodedError missing, wrong-shape, out-of-order */
function takeException() {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(otherDay.value))
    throw new CodedError('missing', 'day', { field: 'The day', purpose: 'hours of its own' })
  const spans = parseHours(otherHours.value, 'The hours of that day')
  const rest = exceptions.value.filter(({ day }) => day !== otherDay.value)
  exceptions.value = [...rest, { day: otherDay.value, spans }].sort((x, y) => x.day.localeCompare(y.day))
  otherDay.value = otherHours.value = ''
}
async function keep() {
  kept.value = ''
  await attempt(async () => {
    // What is typed and not added yet is meant too.
    if (otherDay.value || otherHours.value.trim()) takeException()
    const weekly = week.value.flatMap((text, day) => parseHours(text, days[day]!).map((span) => ({ day, span })))
    const count = (key: Thing) =>
      parseNumber(counts.value[key], {
        field: things[key],
        example: '2',
        whole: true,
        least: key === 'hands' ? 1 : 0,
        most: key === 'hands' ? 20 : 200,
      })
    const shop: Shop = {
      weekly,
      exceptions: exceptions.value,
      hands: count('hands'),
      clamp: count('clamp'),
      lamp: count('lamp'),
      oven: count('oven'),
      fridge: count('fridge'),
    }
    if (await bench.edit('When I work, and with what', [editOf('bench', bench.bench!, { shop })])) kept.value = 'Kept.'
  })
}
</script>

<template>
  <form class="shop" @submit.prevent="keep">
    <p class="mute small">Hours such as 18:00 to 21:00, several with a comma; empty: nobody is there.</p>
    <FieldPart v-for="day in order" :key="day" :label="days[day]!">
      <input v-model="week[day]" class="plain" maxlength="60" placeholder="nobody" />
    </FieldPart>
    <FieldPart v-for="(word, key) in things" :key="key" :label="word">
      <input v-model="counts[key]" class="plain" inputmode="numeric" />
    </FieldPart>
    <fieldset>
      <legend>Days that are otherwise</legend>
      <ul v-if="exceptions.length">
        <li v-for="one in exceptions" :key="one.day">
          {{ dayName(one.day) }}: {{ sayHours(one.spans) || 'nobody is there' }}
          <v-btn class="quiet" @click="exceptions = exceptions.filter(({ day }) => day !== one.day)"
            >Like every week<span class="visually-hidden">: {{ dayName(one.day) }}</span></v-btn
          >
        </li>
      </ul>
      <div class="other">
        <FieldPart label="Day" name="day">
          <input v-model="otherDay" class="plain" type="date" />
        </FieldPart>
        <FieldPart label="Hours" name="The hours of that day">
          <input v-model="otherHours" class="plain" maxlength="60" placeholder="nobody" />
        </FieldPart>
        <v-btn class="alt" @click="addException">Add this day</v-btn>
      </div>
    </fieldset>
    <v-btn class="go" type="submit">Keep these hours</v-btn>
    <ProblemLine />
    <p v-if="kept" class="holds" role="status">{{ kept }}</p>
  </form>
</template>

<style scoped>
.shop,
.other {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
  padding: 6px 0;
}
.field {
  flex: 0 1 150px;
}
fieldset,
p {
  flex-basis: 100%;
}
fieldset {
  border: 0;
  padding: 0;
}
</style>
