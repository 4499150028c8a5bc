<script setup lang="ts">
import { computed, ref } from 'vue'
import { sayError } from '../../../core/messages'
import { armOf } from '../../../core/planning/arms'
import { digitsOf } from '../../../core/quantities/figure'
import { directionRows } from '../../../core/knowledge/directions'
import { isOwn } from '../../../core/readings/counting'
import { earlierWords } from '../../../core/readings/earlier'
import type { Reading } from '../../../core/records/reading'
import type { JointView } from '../../bench/jointView'
import { placeOf, readReading, toneOf, valueWords } from '../../bench/settled'
import { useBench } from '../../bench/store'
import ActButton from '../../look/ActButton.vue'
import AskWhy from '../../look/AskWhy.vue'
import TapeLabel from '../../look/TapeLabel.vue'
import { whyReading } from './pullWhy'
import { setAside } from './pulls'

/**
 * What was pulled so far, the latest first. A reading that cannot be worked out, and a second one of the same coupon,
 * stand in their place with what can be done about them.
 */
const props = defineProps<{ view: JointView }>()
const emit = defineEmits<{ correct: [reading: Reading] }>()
const bench = useBench()

const lines = computed(() => {
  const coupons = new Map(props.view.coupons.map((coupon) => [coupon.id, coupon]))
  const counting = new Set<string>()
  const behind = new Map<string, Reading[]>()
  return [...props.view.readings, ...props.view.earlier]
    .sort((x, y) => x.at - y.at)
    .flatMap((reading) => {
      const coupon = coupons.get(reading.coupon)
      if (!coupon) return []
      const { test } = armOf(props.view.round!, coupon)
      const own = isOwn(reading)
      const second = own && reading.setAside === null && counting.has(coupon.id)
      if (own && reading.setAside === null) counting.add(coupon.id)
      const before = earlierWords(behind.get(coupon.id) ?? [])
      if (reading.direction && reading.setAside === null)
        behind.set(coupon.id, [...(behind.get(coupon.id) ?? []), reading])
      return [{ reading, label: coupon.label, test, read: readReading(reading, test), second, before }]
    })
    .reverse()
})
type Line = (typeof lines.value)[number]
const troubled = ({ read, second }: Line) =>
  second || (read.fault !== null && read.datum.kind === 'leftOut' && read.datum.why === 'unusable')
const troubleOf = ({ read, second }: Line): string =>
  second ? 'A second reading of the same coupon' : read.fault ? sayError(read.fault).replace(/\.$/, '') : ''
/** The latest pulls, and all that something is to be done about; the rest when it is asked for. */
const LATEST = 60
const whole = ref(false)
const shown = computed(() => lines.value.filter((line, i) => whole.value || i < LATEST || troubled(line)))
/** voids, and what was measured on a photo */
const alsoOf = ({ outcome, measured }: Reading): string =>
  [
    ...('voids' in outcome && outcome.voids ? [`${outcome.voids} % voids`] : []),
    ...(measured ?? []).map(({ what, value, unit }) => `${what} ${digitsOf(value)} ${unit}`.trim()),
  ].join(', ')
const putAside = (line: Line) => setAside(bench, line.label, line.reading, troubleOf(line))
</script>

<template>
  <section aria-labelledby="so-far">
    <h2 id="so-far">So far</h2>
    <ul class="far">
      <li v-for="line in shown" :key="line.reading.id" :class="{ aside: line.reading.setAside }">
        <TapeLabel>{{ line.label }}</TapeLabel>
        <AskWhy :why="() => whyReading(line.label, line.reading, line.read, line.test)"
          ><span class="num">{{ line.reading.direction === 'shake' ? 'shaken' : valueWords(line.read.datum) }}</span>
          <small v-if="line.read.datum.kind !== 'leftOut'">&nbsp;{{ line.read.unit }}</small></AskWhy
        >
        <span v-if="troubled(line)" class="fails">{{ troubleOf(line) }}.</span>
        <span v-else :class="toneOf(line.reading)"
          ><template v-if="line.reading.direction">{{ directionRows[line.reading.direction].name }}: </template
          >{{ placeOf(line.reading, line.test) }}<template v-if="line.reading.again">, then pulled again</template
          ><template v-if="line.before">, already {{ line.before }}</template
          ><template v-if="line.reading.early">, pulled early</template
          ><template v-if="line.reading.corrected.length">, corrected</template
          ><template v-if="line.reading.raw.way === 'trace' && line.reading.raw.simulated">, simulated</template
          ><template v-if="alsoOf(line.reading)">, {{ alsoOf(line.reading) }}</template></span
        >
        <span class="acts">
          <ActButton v-if="troubled(line)" class="quiet" :act="() => putAside(line)"
            >Set aside<span class="visually-hidden"> this reading of {{ line.label }}</span></ActButton
          >
          <v-btn class="quiet" :aria-label="`Correct ${line.label}`" @click="emit('correct', line.reading)"
            >Correct</v-btn
          >
        </span>
      </li>
    </ul>
    <v-btn v-if="shown.length < lines.length" class="quiet" @click="whole = true"> Show all {{ lines.length }} </v-btn>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 10px;
}
.far li {
  display: grid;
  grid-template-columns: 96px 120px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.far li.aside {
  opacity: 0.75;
}
.acts {
  justify-content: end;
}
@media (max-width: 900px) {
  .far li {
    grid-template-columns: 84px minmax(0, 1fr) auto;
  }
  .far li > :nth-child(3) {
    grid-column: 2;
    grid-row: 2;
    padding-bottom: 6px;
  }
}
</style>
