<script setup lang="ts">
import { computed } from 'vue'
import { exposureRows, exposureWords } from '../../../core/knowledge/exposures'
import { exposedHours, exposingOf, type Exposing } from '../../../core/planning/exposing'
import { testKinds } from '../../../core/knowledge/testKinds'
import { durationWords } from '../../../core/quantities/durations'
import { stampNow } from '../../bench/clock'
import { beginExposure, endExposure } from '../../bench/exposing'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import { capital, plural } from '../../look/figures'
import { countdown, momentName } from '../../look/times'

/** What cured pieces go through before their test, begun and ended here with a clock; how long it was stays on them. */
const props = defineProps<{ view: JointView; now: number }>()
const bench = useBench()
const exposing = computed(() => {
  const { round, procedures, coupons, readings } = props.view
  const pulled = new Set(readings.map(({ coupon }) => coupon))
  const left = coupons.filter(({ id }) => !pulled.has(id))
  return round ? exposingOf(round, procedures, left, props.now).filter(hasPieces) : []
})
const hasPieces = ({ cures, waits, runs, through }: Exposing) =>
  cures.length + waits.length + runs.length + through.length > 0
const acts = ({ exposure }: Exposing) => exposureRows[exposure.kind].acts!
/** how long those that are through it really were in it: “2 h”, “1.5 h to 2 h” */
function reallyIn({ through }: Exposing): string {
  const hours = through.map((one) => exposedHours(one)!)
  const [least, most] = [Math.min(...hours), Math.max(...hours)].map((h) => durationWords(h * 3600))
  return least === most ? least! : `${least} to ${most}`
}
</script>

<template>
  <section v-if="exposing.length" aria-labelledby="exposures" class="exposures">
    <h2 id="exposures">Before their test</h2>
    <article v-for="one in exposing" :key="one.arm.id" class="card" :data-exposing="one.arm.id">
      <h3>{{ capital(testKinds[one.arm.test].name) }} {{ exposureWords(one.exposure) }}</h3>
      <p v-if="one.cures.length" class="mute">
        {{ plural(one.cures.length, 'piece') }} not cured yet<template v-if="one.from"
          >: from {{ momentName(one.from, now) }}</template
        >.
      </p>
      <p v-if="one.waits.length && exposureRows[one.exposure.kind].caution" class="caution" role="note">
        <b class="careful">Before you start.</b> {{ exposureRows[one.exposure.kind].caution }}
      </p>
      <p v-if="one.waits.length">
        {{ plural(one.waits.length, 'piece') }}: {{ one.waits.map(({ label }) => label).join(', ') }}
      </p>
      <p v-if="one.runs.length" class="runs">
        <template v-if="one.due! > now"
          ><span class="figure num" role="timer">{{ countdown(one.due! - now) }}</span> left of
          {{ durationWords(one.exposure.hours * 3600) }}, until {{ momentName(one.due!, now) }}</template
        >
        <template v-else
          ><b class="careful">Time is up</b> since {{ momentName(one.due!, now) }}: take it out and note it</template
        >
        ({{ plural(one.runs.length, 'piece') }})
      </p>
      <p v-if="one.through.length" class="mute">
        {{ plural(one.through.length, 'piece') }} through it, {{ reallyIn(one) }} long: to be pulled.
      </p>
      <div v-if="one.waits.length || one.runs.length" class="acts">
        <ActButton v-if="one.waits.length" class="alt bench-size" :act="() => beginExposure(bench, one, stampNow())"
          >{{ acts(one).begin }}: {{ plural(one.waits.length, 'piece') }}</ActButton
        >
        <ActButton v-if="one.runs.length" class="alt bench-size" :act="() => endExposure(bench, one, stampNow())"
          >{{ acts(one).end }}: {{ plural(one.runs.length, 'piece') }}</ActButton
        >
      </div>
    </article>
  </section>
</template>

<style scoped>
.exposures {
  display: grid;
  gap: 12px;
}
article {
  padding: 14px 18px;
  display: grid;
  gap: 8px;
}
.caution {
  border-left: 5px solid var(--careful);
  padding-left: 14px;
}
.figure {
  font-size: 1.75rem;
  font-weight: 640;
}
</style>
