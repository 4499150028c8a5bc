<script setup lang="ts">
import { computed, ref } from 'vue'
import { ROOM_GIVES_C, ROOM_GIVES_RH } from '../../core/cure/range'
import type { Bench } from '../../core/records/bench'
import { stampNow } from '../bench/clock'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import { climateByBluetooth, climateBySerial, climateSimulated, hasBluetooth } from '../instruments/climateSources'
import type { ClimateSample, Source } from '../instruments/instrument'
import { leaveClimate, readClimate, roomClimate } from '../instruments/roomClimate'
import { hasSerial, whyNotOpen } from '../instruments/serialPort'

/** The room read from a sensor: it is noted at once, and again whenever it has changed so far that times change. */
const bench = useBench()
const connecting = ref(false)
const source = computed(() => roomClimate.source)
const live = computed(() => roomClimate.live)

function note(sample: ClimateSample, first: boolean) {
  const before = bench.bench!
  const from = roomClimate.source?.simulated ? 'simulated' : 'sensor'
  const room: NonNullable<Bench['room']> = { ...sample, at: stampNow(), from }
  const by = from === 'simulated' ? 'the simulated sensor' : 'its sensor'
  // A change is said on screen: advice and times follow it, and Glue offers what stands otherwise in the plan.
  void bench.edit(
    `Room: ${sample.tempC} °C, ${sample.rh} % humidity, by ${by}`,
    [editOf('bench', before, { room })],
    [],
    !first,
  )
}
async function read(make: () => Promise<Source<ClimateSample>> | Source<ClimateSample>) {
  connecting.value = true
  try {
    await readClimate(await make(), () => bench.bench?.room ?? null, note)
  } catch (error) {
    roomClimate.trouble = whyNotOpen(error)
  }
  connecting.value = false
}
const bySerial = () => read(async () => climateBySerial(await navigator.serial.requestPort()))
const byBluetooth = () => read(climateByBluetooth)
const simulated = () => read(() => climateSimulated(bench.bench?.room ?? null))
</script>

<template>
  <div class="sensor" data-sensor>
    <template v-if="source">
      <p>
        <b>{{ source.name }}</b><template v-if="live"
          >: <span class="num">{{ live.tempC }} °C, {{ live.rh }} %</span></template
        >
      </p>
      <p v-if="source.simulated" class="careful">simulated: no real room is read</p>
      <p class="small mute">
        The room is noted anew when it changes by more than {{ ROOM_GIVES_C }} °C or {{ ROOM_GIVES_RH }} % humidity.
      </p>
      <v-btn class="alt" @click="leaveClimate">Leave the sensor</v-btn>
    </template>
    <template v-else>
      <p class="small mute">Or let a sensor read it:</p>
      <div class="ways">
        <v-btn v-if="hasSerial()" class="alt" :disabled="connecting" @click="bySerial">Sensor by USB</v-btn>
        <v-btn v-if="hasBluetooth()" class="alt" :disabled="connecting" @click="byBluetooth">Sensor by Bluetooth</v-btn>
        <v-btn class="alt" :disabled="connecting" @click="simulated">Simulated sensor</v-btn>
      </div>
    </template>
    <p v-if="roomClimate.trouble" class="problem" role="alert">{{ roomClimate.trouble }}</p>
  </div>
</template>

<style scoped>
.sensor {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
