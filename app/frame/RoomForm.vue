<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { parseQuantity } from '../../core/quantities/parse'
import { parseNumber } from '../../core/quantities/parseNumber'
import type { Bench } from '../../core/records/bench'
import { stampNow } from '../bench/clock'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import RoomSensor from './RoomSensor.vue'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** The room's climate, read off a thermometer: times in the tables hold for 20 °C and 50 % humidity. */
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const temp = ref('')
const humidity = ref('')
const { attempt } = useAttempt()
/** as it stood when the form was opened */
const opened = shallowRef<Bench | null>(null)
onMounted(() => {
  opened.value = bench.bench
  temp.value = bench.bench?.room ? `${bench.bench.room.tempC} °C` : ''
  humidity.value = bench.bench?.room ? String(bench.bench.room.rh) : ''
})
async function setRoom() {
  await attempt(async () => {
    const tempC = Math.round(parseQuantity(temp.value, 'temperature', '°C', 'Warmth').inside * 10) / 10
    const rh = parseNumber(humidity.value, { field: 'Humidity', example: '55 %', unit: '%', least: 0, most: 100 })
    const before = opened.value?.id === bench.bench!.id ? opened.value : bench.bench!
    const room = { tempC, rh, at: stampNow() }
    if (await bench.edit(`Room: ${tempC} °C, ${rh} % humidity`, [editOf('bench', before, { room })])) emit('done')
  })
}
</script>

<template>
  <form class="sheet room" aria-label="Room climate" @submit.prevent="setRoom">
    <p class="small mute">Read it off a room thermometer. Times in the tables hold for 20 °C and 50 % humidity.</p>
    <FieldPart label="Warmth">
      <input v-model="temp" class="plain" placeholder="17 °C" />
    </FieldPart>
    <FieldPart label="Humidity" unit="%">
      <input v-model="humidity" class="plain" placeholder="58" inputmode="decimal" />
    </FieldPart>
    <ProblemLine />
    <v-btn class="go" type="submit">Note the room</v-btn>
    <RoomSensor />
  </form>
</template>

<style scoped>
.room {
  display: grid;
  gap: 10px;
  width: min(300px, calc(100vw - 32px));
}
</style>
