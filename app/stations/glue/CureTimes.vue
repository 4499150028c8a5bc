<script setup lang="ts">
import { computed } from 'vue'
import { update } from '../../../core/records/entry'
import type { Setting } from '../../../core/screening/shortlist'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { lasting } from '../../look/times'
import { otherTimes, type OtherTime } from './cureTimes'

/** Times of the plan that own looks or the room contradict, each taken over by one press: then it holds everywhere. */
const props = defineProps<{ view: JointView; setting: Setting }>()
const bench = useBench()
const found = computed(() => otherTimes(bench, props.view, props.setting))
const room = computed(() => {
  const { room: now } = bench.bench ?? {}
  return now ? `${now.tempC} °C and ${now.rh} %` : '20 °C and 50 %, taken since no room was said'
})
const take = ({ procedure, steps, shouldS, own }: OtherTime) =>
  bench.write(
    `${props.view.joint.code}: ${procedure.letter} cures for ${lasting(shouldS)}, by ${own ? 'own looks' : 'the room'}`,
    [update('procedure', procedure, { steps })],
    true,
  )
</script>

<template>
  <section v-if="found.length" class="times" aria-labelledby="cure-times">
    <h2 id="cure-times">Another time than planned</h2>
    <div v-for="one in found" :key="one.procedure.id" class="one" :data-times="one.procedure.letter">
      <p v-if="one.own">
        <b>{{ one.procedure.letter }}, {{ one.procedure.name }}</b
        >: firm after about {{ lasting(one.own.firmS.median) }} by your own looks ({{ lasting(one.own.firmS.low90) }} to
        {{ lasting(one.own.firmS.high90) }}, {{ one.own.pieces }} {{ one.own.pieces === 1 ? 'piece' : 'pieces' }}); the
        tables say {{ lasting(one.handlingS) }} here. Its full cure then comes to {{ lasting(one.shouldS) }}, and
        {{ lasting(one.plannedS) }} stand in the plan.
      </p>
      <p v-else>
        <b>{{ one.procedure.letter }}, {{ one.procedure.name }}</b
        >: in the room as it is now, {{ room }}, it cures in {{ lasting(one.shouldS) }}, and
        {{ lasting(one.plannedS) }} stand in the plan.
      </p>
      <v-btn class="alt" @click="take(one)">Let {{ one.procedure.letter }} cure for {{ lasting(one.shouldS) }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.times {
  display: grid;
  gap: 10px;
}
.one {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
</style>
