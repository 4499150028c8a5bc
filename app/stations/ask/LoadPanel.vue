<script setup lang="ts">
import { measured } from '../../../core/quantities/betterUnit'
import { computed } from 'vue'
import { demands, type Demand } from '../../../core/loads/demand'
import { requiredLoad } from '../../../core/loads/requirement'
import { loadWords } from '../../../core/knowledge/vocabulary'
import { motionWords } from '../../../core/knowledge/vocabularyWords'
import { useForce } from '../../bench/force'
import { hatchOf } from '../../bench/jointView'
import { fromInside } from '../../../core/quantities/units'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { figure } from '../../look/figures'
import { sectionOf } from '../../look/seam/geometry'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import type { Explanation } from '../../look/why'
import { useBriefEditor } from './editBrief'

/** The joint in section with its loads, and what it must carry, load by load. */
const { brief, view } = useBriefEditor()
const bench = useBench()
const force = useForce()
const unit = computed(() => bench.bench?.gauge.unit ?? 'N')
const required = computed(() => requiredLoad(brief.value))
const byMode = computed(() => demands(brief.value, unit.value))
const many = computed(() => (brief.value.count ?? 1) > 1)

const sumOfForce = () => {
  const load = required.value!
  return [
    'F = mass × share × g × motion',
    `= ${figure(load.weightKg)} kg × ${figure(load.share)} × 9.81 m/s² × ${load.factor} ` +
      `(${motionWords[brief.value.motion ?? 'still']})`,
    `= ${measured(load.n, 'N')}${unit.value === 'N' ? '' : ` = ${force(load.n)}`}`,
  ]
}
const source = ['Motion factors, rule of the trade: still 1, walked 2, danced or run 3, dropped 5.']
const weigh = 'Weigh the part on a kitchen scale; hang it from a luggage scale and shake it as it will be shaken.'

function whyLoad(): Explanation {
  return {
    about: 'required load',
    lines: [
      `What ${many.value ? 'each joint' : 'the joint'} must carry at least: its share of the weight, times ` +
        'gravity, times a factor for how it moves.',
      ...(required.value!.motionOpen
        ? [
            'How it moves is still open: hanging still is taken, the mildest case. Which glues suit is judged as if ' +
              'it were walked about.',
          ]
        : []),
    ],
    formula: sumOfForce(),
    source,
    change: [weigh],
  }
}
function whyDemand(demand: Demand): Explanation {
  const { word, gloss } = loadWords[demand.mode]
  const force = required.value && demand.mode !== 'flex' ? sumOfForce() : []
  return {
    about: `required load, ${word}`,
    lines: [`${gloss.replace(/^./, (c) => c.toUpperCase())}.`],
    formula: [...force, ...demand.sum],
    source: demand.mode === 'flex' ? ['Strain of the outer face, t ÷ (2R + t).'] : source,
    change: [demand.mode === 'flex' ? 'Bend the real part and hold a set square or a cup to it.' : weigh],
  }
}
defineExpose({ whyLoad })
</script>

<template>
  <div class="load">
    <div class="card picture">
      <SeamDrawing
        :section="brief.geometry ? sectionOf[brief.geometry] : 'lap'"
        :a="hatchOf(view.a)"
        :b="hatchOf(view.b)"
        :loads="brief.loads ?? []"
        :label="`The joint in section: ${view.a?.name ?? 'side A open'} on ${view.b?.name ?? 'side B open'}`"
      />
    </div>
    <div>
      <p class="mute">Required load, {{ many ? 'each joint' : 'the joint' }}</p>
      <p v-if="required" class="big num">
        <AskWhy :why="whyLoad"
          >{{ figure(fromInside(required.n, unit, 'force')) }} <small>{{ unit }}</small></AskWhy
        >
      </p>
      <p v-else class="mute">Open until the weight is said.</p>
      <dl v-if="byMode.length" class="modes">
        <template v-for="demand in byMode" :key="demand.mode">
          <dt>{{ loadWords[demand.mode].word }}</dt>
          <dd v-if="demand.value !== null" class="num">
            <AskWhy :why="() => whyDemand(demand)">{{
              demand.unit === 'N'
                ? force(demand.value)
                : `${figure(demand.value)}${demand.unit === '°' ? '' : ' '}${demand.unit}`
            }}</AskWhy>
          </dd>
          <dd v-else class="mute small">{{ demand.sum[0] }}</dd>
        </template>
      </dl>
    </div>
  </div>
</template>

<style scoped>
.load {
  display: grid;
  gap: 14px;
  align-content: start;
}
.picture {
  padding: 20px 24px;
}
.big {
  font-size: 2.75rem;
  font-weight: 660;
  line-height: 1.15;
}
.big small {
  font-size: 1.25rem;
}
.modes {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  margin-top: 8px;
  align-items: baseline;
}
dd.num {
  text-align: right;
  white-space: nowrap;
}
dd.small {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .load {
    grid-template-columns: 150px 1fr;
    gap: 16px;
  }
  .picture {
    padding: 12px;
    align-self: start;
  }
  .big {
    font-size: 2rem;
  }
}
</style>
