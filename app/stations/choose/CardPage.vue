<script setup lang="ts">
import { computed } from 'vue'
import { familyOf } from '../../../core/knowledge/families'
import { undoOf } from '../../../core/knowledge/undo'
import { exposuresNamed } from '../../../core/choice/margin'
import { metExposures } from '../../../core/choice/met'
import { measured } from '../../../core/quantities/betterUnit'
import { showMoney } from '../../../core/quantities/money'
import { stepTime } from '../../../core/planning/stepTime'
import { armWords } from '../../../core/planning/arms'
import { glueCautions } from '../../../core/care/steps'
import { careOf } from '../../bench/careOf'
import { glueName, hatchOf, useJoint } from '../../bench/jointView'
import { useForce } from '../../bench/force'
import { needWords } from '../../bench/jointWords'
import { useBench } from '../../bench/store'
import { figure, momentName, plural } from '../../look/figures'
import { sectionOf } from '../../look/seam/geometry'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import TapeLabel from '../../look/TapeLabel.vue'
import { costOf } from './round'

const force = useForce()
const props = defineProps<{ joint: string }>()
const bench = useBench()
const view = useJoint(() => props.joint)
const decision = computed(() => view.value?.decision ?? null)
const procedure = computed(() => bench.get('procedure', decision.value?.procedure ?? null))
const family = computed(() => (procedure.value ? familyOf(procedure.value.family) : null))
const round = computed(() => bench.get('round', decision.value?.round ?? null))
const price = computed(() => (view.value && procedure.value ? costOf(bench, view.value, procedure.value) : null))
/** what the round that decided it was pulled after */
const met = computed(() => {
  if (!round.value || !procedure.value) return []
  const coupons = bench.of('coupon', round.value.id)
  const readings = coupons.flatMap(({ id }) => bench.of('reading', id))
  return metExposures(round.value, coupons, readings, procedure.value.id)
})
const notTested = computed(() => (view.value ? exposuresNamed(view.value.joint.brief, met.value) : []))

const care = computed(() => (view.value && procedure.value ? careOf(bench, view.value, procedure.value) : null))
const undo = computed(() => undoOf(family.value?.id ?? '')[0] ?? null)
const printIt = () => window.print()
</script>

<template>
  <main id="work" class="page">
    <div class="acts no-print">
      <v-btn class="alt" :to="{ name: 'choose', params: { joint } }">Back to the choice</v-btn>
      <v-btn v-if="decision" class="go" @click="printIt">Print this card</v-btn>
    </div>
    <p v-if="!view || !decision || !procedure || !family || !round">
      Nothing is decided for this joint yet: the card is made from the decision.
    </p>
    <article v-else class="paper">
      <header>
        <div>
          <p class="mute">{{ bench.all('build')[0]?.name }}</p>
          <h1>
            <TapeLabel size="big">{{ view.joint.code }}</TapeLabel> {{ view.joint.name }}
          </h1>
          <p>{{ view.a?.name }} to {{ view.b?.name }} · {{ needWords(view, force) }}</p>
        </div>
        <div class="picture">
          <SeamDrawing
            :section="view.joint.brief.geometry ? sectionOf[view.joint.brief.geometry] : 'lap'"
            :a="hatchOf(view.a)"
            :b="hatchOf(view.b)"
            :loads="view.joint.brief.loads ?? []"
          />
        </div>
      </header>
      <h2>{{ glueName(bench, procedure) }}</h2>
      <ol class="steps">
        <li v-for="step in procedure.steps" :key="step.id">
          <span>{{ step.text }}</span>
          <b v-if="stepTime(step)" class="num">{{ stepTime(step) }}</b>
        </li>
      </ol>
      <section v-if="care && glueCautions(care).length" class="care">
        <h3>Before you start</h3>
        <p v-for="line in [...glueCautions(care), ...care.cleaning]" :key="line">{{ line }}</p>
        <p v-for="one in care.ready" :key="one.text">
          <b>{{ one.what.replace(/^./, (c) => c.toUpperCase()) }}:</b> {{ one.text }}.
        </p>
      </section>
      <dl>
        <template v-if="undo">
          <dt>To undo</dt>
          <dd>{{ undo.how }}. {{ undo.sideEffect }}.</dd>
        </template>
        <dt>Tested</dt>
        <dd>
          {{ armWords(round.arms.find(({ id }) => id === decision!.arm) ?? round.arms[0]!) }},
          {{ plural(decision.known.pulls, 'pull')
          }}<template v-if="decision.known.weakLow !== null"
            >; 19 in 20 joints hold
            <b class="num">{{ measured(decision.known.weakLow, decision.known.unit) }}</b></template
          >
        </dd>
        <template v-if="decision.known.margin !== null">
          <dt>Margin</dt>
          <dd class="num">{{ figure(decision.known.margin) }} times the required load</dd>
        </template>
        <template v-if="notTested.length">
          <dt>Not tested</dt>
          <dd>{{ notTested.join(', ') }}: the margin does not count on it</dd>
        </template>
        <template v-if="price">
          <dt>Each joint</dt>
          <dd class="num">
            {{ measured(price.glueG, 'g') }} of glue, {{ showMoney(price.perJoint, bench.bench?.currency) }};
            {{ plural(view.joint.brief.count ?? 1, 'joint') }}: {{ plural(price.packs, 'pack') }}
          </dd>
        </template>
        <dt>Chosen</dt>
        <dd>{{ momentName(decision.at, 0) }}: {{ decision.reason }}</dd>
      </dl>
      <p class="small">
        Made on a home bench. Not for joints that carry people, for climbing, pressure, mains or medical use. The
        product’s label and safety data sheet come first.
      </p>
    </article>
  </main>
</template>

<style scoped>
.page {
  padding: 20px 28px 60px;
  max-width: 860px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 18px;
}
.paper {
  background: var(--card);
  border: 1px solid var(--ink);
  padding: 26px 30px;
  display: grid;
  gap: 16px;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 210px;
  gap: 20px;
}
h1 {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin: 4px 0 8px;
}
h2 {
  font-size: 1.375rem;
}
.steps {
  list-style: decimal;
  padding-left: 26px;
}
.steps li {
  padding: 6px 0;
}
.steps b {
  margin-left: 10px;
}
.care {
  border-left: 5px solid var(--careful);
  padding-left: 14px;
}
dl {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 8px 16px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
dt {
  color: var(--mute);
}
@media (max-width: 700px) {
  .page {
    padding: 16px;
  }
  .paper {
    padding: 18px 16px;
  }
  header,
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
  dl {
    gap: 2px;
  }
  dd {
    margin-bottom: 8px;
  }
  .picture {
    max-width: 200px;
  }
}
@media print {
  .page {
    padding: 0;
    max-width: none;
  }
  .paper {
    border: 0;
    padding: 0;
  }
}
</style>
