<script setup lang="ts">
import { computed, ref } from 'vue'
import { ROOM_GIVES_C, ROOM_GIVES_RH } from '../../../core/cure/range'
import { cureStates, type CureCheck } from '../../../core/records/coupon'
import { stampNow, useMinute } from '../../bench/clock'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import { clockTime, momentName } from '../../look/times'
import TapeLabel from '../../look/TapeLabel.vue'
import { checkCure, type Curing } from './glueWork'
import FieldPart from '../../look/FieldPart'

/** A look at what cures: wet, tacky, firm, each tap kept with its time. */
const props = defineProps<{
  /** the latest closed first */
  curing: Curing[]
  /** when to look at a piece next, where that tells something, ms */
  nextLook: (one: Curing) => number | null
  /** between when and when it is cured while the room stays about as it is, ms; null where that is not known */
  range: (one: Curing) => { from: number; to: number } | null
}>()
const bench = useBench()
const now = useMinute()
const looked = ref<string | null>(null)
/** The pieces to choose from; of very many the latest closed. */
const MOST = 200
/** The piece at which a look is due soonest: said, and never put under the finger by itself. */
const soonest = computed(() => {
  const due = props.curing.flatMap((one) => {
    const at = props.nextLook(one)
    return at === null ? [] : [{ one, at }]
  })
  return due.sort((x, y) => x.at - y.at)[0] ?? null
})
const lookAt = computed(() => props.curing.find(({ coupon }) => coupon.id === looked.value) ?? props.curing[0] ?? null)
/** A look is kept, and its piece stays shown: the next tap must not fall on another one. */
function look(state: CureCheck['state']) {
  const { coupon } = lookAt.value!
  looked.value = coupon.id
  return checkCure(bench, coupon, state, stampNow())
}
const lookWhen = computed(() => lookAt.value && props.nextLook(lookAt.value))
const between = computed(() => lookAt.value && props.range(lookAt.value))
const checks = computed(() => (lookAt.value ? bench.of('cureCheck', lookAt.value.coupon.id) : []))
</script>

<template>
  <section v-if="lookAt" aria-labelledby="cure-check">
    <h2 id="cure-check">
      How is <TapeLabel>{{ lookAt.coupon.label }}</TapeLabel>?
    </h2>
    <p class="mute small">
      closed {{ momentName(lookAt.closed, now)
      }}<template v-if="lookAt.cured > now">, cured {{ momentName(lookAt.cured, now) }}</template>
    </p>
    <p v-if="between && lookAt.cured > now" class="mute small num" data-range>
      {{ momentName(between.from, now) }} to
      {{ Number.isFinite(between.to) ? momentName(between.to, now) : 'never, if it gets colder or damper' }} with the
      room within {{ ROOM_GIVES_C }} °C and {{ ROOM_GIVES_RH }} %
    </p>
    <p v-if="lookWhen !== null" class="small" data-next-look>
      {{
        lookWhen <= now
          ? 'A look now tells most: it is about as likely firm as not.'
          : `A look tells most ${momentName(lookWhen, now)}.`
      }}
    </p>
    <p v-if="soonest && soonest.one.coupon.id !== lookAt.coupon.id" class="small mute">
      Next to look at: {{ soonest.one.coupon.label }}, {{ soonest.at <= now ? 'now' : momentName(soonest.at, now) }}.
    </p>
    <FieldPart v-if="curing.length > 1" class="pick" label="Another coupon" unseen>
      <select class="plain" :value="lookAt.coupon.id" @change="looked = ($event.target as HTMLSelectElement).value">
        <option v-for="{ coupon } in curing.slice(0, MOST)" :key="coupon.id" :value="coupon.id">
          {{ coupon.label }}
        </option>
      </select>
    </FieldPart>
    <div class="taps">
      <v-btn v-for="state in cureStates" :key="state" class="alt bench-size" @click="look(state)">{{ state }}</v-btn>
    </div>
    <p v-if="checks.length" class="mute small num" data-checks>
      {{ plural(checks.length, 'check') }} kept, last: {{ checks.at(-1)!.state }} at
      {{ clockTime(checks.at(-1)!.at) }}
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
.pick {
  margin: 6px 0;
}
.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.taps .v-btn {
  font-size: 1rem;
  padding: 8px 14px;
  min-width: 72px;
}
</style>
