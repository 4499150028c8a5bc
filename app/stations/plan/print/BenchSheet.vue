<script setup lang="ts">
import { computed } from 'vue'
import { armOf, armWords } from '../../../../core/planning/arms'
import { testKinds } from '../../../../core/knowledge/testKinds'
import { stepTime } from '../../../../core/planning/stepTime'
import { stepWords } from '../../../../core/planning/stepWords'
import { limitInShort } from '../../../../core/planning/limitMeans'
import { readWords } from '../../../../core/coupons/reading'
import type { Arm } from '../../../../core/records/round'
import type { Coupon } from '../../../../core/records/coupon'
import type { JointView } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import { useDrawnInPart } from '../../../look/drawInPart'
import { capital } from '../../../look/figures'
import { lasting } from '../../../look/times'
import MorePages from './MorePages.vue'

/** For those who write by hand: every coupon with empty fields, in the order of gluing. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const ROWS = 16
const inOrder = computed(() => [...props.view.coupons].sort((x, y) => x.glueAt - y.glueAt))
const pages = computed(() =>
  Array.from({ length: Math.ceil(inOrder.value.length / ROWS) }, (_, i) =>
    inOrder.value.slice(i * ROWS, (i + 1) * ROWS),
  ),
)
/** More pages than this are drawn when they are asked for. */
const DRAWN = 20
const { shown, rest, whole } = useDrawnInPart(() => pages.value, DRAWN)
const procedureOf = (coupon: Coupon) => props.view.procedures.find(({ id }) => id === coupon.procedure)
const arm = (coupon: Coupon) => armOf(props.view.round!, coupon)
/** What is done otherwise with the coupons of an arm: edges taped shut, a lever. */
const handling = ({ taped, read }: Arm) =>
  [...(taped ? ['three edges taped shut'] : []), ...(read && read.way !== 'gauge' ? [`read ${readWords(read)}`] : [])]
    .map((text) => `, ${text}`)
    .join('')
const closing = (coupon: Coupon) => {
  const wait = procedureOf(coupon)?.steps.find(({ kind }) => kind === 'wait')
  return wait ? `wait ${lasting(wait.minS)}${wait.maxS ? `–${lasting(wait.maxS)}` : ''}` : ''
}
</script>

<template>
  <div class="sheets">
    <MorePages :rest="rest" :pages="pages.length" @whole="whole = true" />
    <article class="paper-page sheet">
      <header>
        <b>{{ view.joint.code }} {{ view.joint.name }}</b>
        <span>how each is glued</span>
      </header>
      <section v-for="procedure in view.procedures" :key="procedure.id" class="way">
        <h2>
          {{ view.joint.code }}-{{ procedure.letter }} {{ procedure.name
          }}{{ view.round!.control === procedure.id ? ', the control' : '' }}
        </h2>
        <ol>
          <li v-for="step in procedure.steps" :key="step.id">
            <b>{{ capital(stepWords[step.kind]) }}.</b> {{ step.text
            }}<template v-if="stepTime(step)">: {{ stepTime(step) }}</template
            >.
          </li>
        </ol>
      </section>
    </article>
    <article v-for="(page, i) in shown" :key="i" class="paper-page sheet">
      <header>
        <b>{{ view.joint.code }} {{ view.joint.name }}</b>
        <span>{{ bench.all('build')[0]?.name }}</span>
        <span>room ______ °C ______ %</span>
        <span>date ______________</span>
        <span>page {{ i + 1 }} of {{ pages.length }}</span>
      </header>
      <table>
        <thead>
          <tr>
            <th>coupon</th>
            <th>glue, test</th>
            <th>glue on</th>
            <th>closed</th>
            <th>pulled, and what it said</th>
            <th>let go: A torn · off A · glue · off B · B torn</th>
            <th>went differently</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="coupon in page" :key="coupon.id">
            <td class="code">{{ coupon.label }}</td>
            <td>
              {{ procedureOf(coupon)?.name }}<br /><small
                >{{ armWords(arm(coupon)) }}{{ handling(arm(coupon)) }} {{ closing(coupon) }}</small
              >
            </td>
            <td class="fill" />
            <td class="fill" />
            <td class="wide">
              <small>{{ testKinds[arm(coupon).test].unit }}</small>
            </td>
            <td class="boxes">☐ ☐ ☐ ☐ ☐</td>
            <td class="wide" />
          </tr>
        </tbody>
      </table>
      <footer>
        Pass:
        <span v-for="one in view.round!.arms" :key="one.id"
          >{{ armWords(one) }}
          {{
            one.passLimit === null ? 'no limit' : `from ${limitInShort(one.passLimit, one, bench.bench?.gauge.unit)}`
          }};
        </span>
        goggles on before the first pull.
      </footer>
    </article>
  </div>
</template>

<style scoped>
.sheets {
  display: grid;
  gap: 16px;
  max-width: 100%;
  overflow-x: auto;
}
.sheet {
  width: 210mm;
  min-height: 290mm;
  padding: 10mm;
  font-size: 9.5pt;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding-bottom: 4mm;
}
h2 {
  margin: 0 0 1mm;
  font-size: 11pt;
}
.way {
  break-inside: avoid;
  margin-bottom: 5mm;
}
.way ol {
  margin: 0;
  padding-left: 6mm;
  list-style: decimal;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border: 0.3mm solid #777;
  padding: 1.2mm 1.6mm;
  text-align: left;
  vertical-align: top;
  height: 12.5mm;
}
th {
  height: auto;
  font-weight: 600;
  font-size: 8.5pt;
}
.code {
  font: 700 11pt var(--mono);
  white-space: nowrap;
}
.fill {
  width: 17mm;
}
.wide {
  width: 32mm;
  text-align: right;
  vertical-align: bottom;
}
.boxes {
  font-size: 13pt;
  letter-spacing: 1.5mm;
  white-space: nowrap;
}
footer {
  padding-top: 4mm;
}
</style>
