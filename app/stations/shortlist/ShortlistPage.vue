<script setup lang="ts">
import { computed, ref } from 'vue'
import { families } from '../../../core/knowledge/families'
import { ranked, screen, type Screening, type Verdict } from '../../../core/screening/screen'
import { situationOf } from '../../../core/screening/situation'
import { timesOf } from '../../../core/planning/steps'
import type { Adhesive } from '../../../core/records/shelf'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import TapeLabel from '../../look/TapeLabel.vue'
import GlueLine from './GlueLine.vue'
import { canDrop, drop, pick } from './pick'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const productsOf = (family: string): Adhesive[] =>
  bench.all('adhesive').filter((adhesive) => adhesive.family === family)

// A family is judged by the label of the product on the shelf where there is one product, else by the table.
const screenings = computed<Screening[]>(() => {
  const { joint, a, b } = props.view
  const all = families.map((family) => {
    const products = productsOf(family.id)
    return screen(
      situationOf(
        joint.brief,
        a?.cls ?? null,
        b?.cls ?? null,
        products.length === 1 ? timesOf(family, products[0]!.label) : family,
      ),
    )
  })
  return ranked(all, (family) => productsOf(family).length > 0)
})
const groups: { verdict: Verdict; title: string; empty: string }[] = [
  { verdict: 'fit', title: 'Suit', empty: 'None without a but.' },
  { verdict: 'caution', title: 'Careful', empty: 'None.' },
  { verdict: 'block', title: 'Ruled out', empty: 'None.' },
]
const only = ref<'all' | 'shelf'>('all')
const shown = (verdict: Verdict) =>
  screenings.value.filter(
    (screening) =>
      screening.verdict === verdict && (only.value === 'all' || productsOf(screening.family.id).length > 0),
  )
const pickedOf = (family: string) => props.view.procedures.filter((procedure) => procedure.family === family)
const open = computed(() => props.view.progress.openWords)
</script>

<template>
  <div class="shortlist">
    <header>
      <h1>Glues for {{ view.joint.name.toLowerCase() }}</h1>
      <p class="mute">
        {{ families.length }} families judged by the rules of the trade. A rule is a reason to test, not a verdict for
        ever.
        <router-link v-if="open" :to="{ name: 'ask', params: { joint: view.joint.id } }"
          >{{ plural(open, 'open word') }} may still move them.</router-link
        >
      </p>
    </header>
    <section class="picked card" aria-labelledby="picked">
      <h2 id="picked">To be tested</h2>
      <ul v-if="view.procedures.length">
        <li v-for="procedure in view.procedures" :key="procedure.id">
          <TapeLabel>{{ view.joint.code }}-{{ procedure.letter }}</TapeLabel>
          <span>{{ procedure.name }}<span v-if="procedure.anyway" class="careful"> · tested anyway</span></span>
          <v-btn v-if="canDrop(bench, procedure)" class="quiet" @click="drop(bench, view, procedure)"
            >Leave out<span class="visually-hidden"> {{ procedure.name }}</span></v-btn
          >
        </li>
      </ul>
      <p v-else class="mute">
        Pick two or more below. One of them should be a glue you already trust: it is the control.
      </p>
      <v-btn v-if="view.procedures.length > 1" class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }"
        >Plan their coupons</v-btn
      >
    </section>
    <label class="shelf-only"
      ><input type="checkbox" :checked="only === 'shelf'" @change="only = only === 'all' ? 'shelf' : 'all'" /> only what
      is on my shelf</label
    >
    <section v-for="group in groups" :key="group.verdict" :aria-labelledby="`group-${group.verdict}`">
      <h2 :id="`group-${group.verdict}`">
        {{ group.title }} <span class="mute num">{{ shown(group.verdict).length }}</span>
      </h2>
      <ul>
        <GlueLine
          v-for="screening in shown(group.verdict)"
          :key="screening.family.id"
          :screening="screening"
          :products="productsOf(screening.family.id)"
          :picked="pickedOf(screening.family.id)"
          @pick="(product, anyway) => pick(bench, view, screening.family.id, product, anyway)"
        />
      </ul>
      <p v-if="!shown(group.verdict).length" class="mute">{{ group.empty }}</p>
    </section>
  </div>
</template>

<style scoped>
.shortlist {
  display: grid;
  gap: 18px;
}
.picked {
  padding: 10px 18px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 22px;
}
.picked .go {
  margin-left: auto;
}
.picked ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
}
.picked li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.shelf-only {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
section > h2 {
  padding-bottom: 8px;
}
</style>
