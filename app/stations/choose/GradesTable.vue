<script setup lang="ts">
import { gradingOf } from '../../../core/knowledge/testKinds'
import { computed } from 'vue'
import { worstGrades } from '../../../core/readings/grades'
import type { JointView } from '../../bench/jointView'
import TapeLabel from '../../look/TapeLabel.vue'
import VerdictMark, { type Tone } from '../../look/VerdictMark.vue'

/** Graded tests side by side: the worst grade of each thing counts, since a glue that stains once stains. */
const props = defineProps<{ view: JointView }>()
const kind = computed(() => gradingOf(props.view.arm!.test)!)
const rows = computed(() =>
  props.view.procedures.flatMap((procedure) => {
    const own = new Set(props.view.coupons.filter((coupon) => coupon.procedure === procedure.id).map(({ id }) => id))
    const readings = props.view.readings.filter(({ coupon, setAside }) => own.has(coupon) && !setAside)
    const all = readings.flatMap(({ raw }) => (raw.way === 'grades' ? [raw.grades] : []))
    return own.size ? [{ procedure, pieces: all.length, worst: worstGrades(props.view.arm!.test, all) }] : []
  }),
)
const tones: Tone[] = ['fails', 'careful', 'holds']
</script>

<template>
  <div class="scroll" tabindex="0" role="region" aria-label="Graded, side by side">
    <table class="beside">
      <thead>
        <tr>
          <th scope="col">procedure</th>
          <th v-for="one in kind.what" :key="one.id" scope="col">{{ one.word }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.procedure.id">
          <th scope="row">
            <TapeLabel>{{ view.joint.code }}-{{ row.procedure.letter }}</TapeLabel> {{ row.procedure.name }}
            <span class="mute small">{{ row.pieces }} looked at</span>
          </th>
          <td v-for="one in kind.what" :key="one.id">
            <span v-if="row.worst[one.id] === null" class="mute">–</span>
            <VerdictMark v-else :tone="tones[row.worst[one.id]!]!" :word="kind.steps[row.worst[one.id]!]" />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
