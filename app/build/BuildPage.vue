<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '../bench/store'
import { dayName } from '../look/times'
import PanelGuard from '../look/PanelGuard.vue'
import BuildForm from './BuildForm.vue'
import EveningList from './EveningList.vue'
import JointSum from './JointSum.vue'
import RepairKitList from './RepairKitList.vue'
import ShoppingList from './ShoppingList.vue'
import { useBuild } from './useBuild'

/** The build as a whole: its joints in a sum, evenings, shopping, repair kit; it prints as a sheet. */
const bench = useBench()
const build = computed(() => bench.all('build')[0] ?? null)
const { rows, shopping, order, kit } = useBuild(() => build.value)
const currency = computed(() => bench.bench?.currency ?? '')
const decided = computed(() => rows.value.filter(({ procedure }) => procedure !== null))
const temporary = computed(() => rows.value.filter(({ view }) => view.decision?.redoOn))
const print = () => window.print()
</script>

<template>
  <main id="work" class="page" tabindex="-1">
    <div class="top">
      <h1>{{ build?.name ?? 'The build' }}</h1>
      <v-btn class="alt no-print" @click="print">Print this sheet</v-btn>
    </div>
    <p v-if="build?.inServiceBy" class="mute">
      Needed {{ dayName(build.inServiceBy) }}<template v-if="build.what"> · {{ build.what }}</template>
    </p>
    <BuildForm v-if="build" :build="build" />
    <p v-if="!rows.length">
      Nothing is asked of this build yet. <router-link :to="{ name: 'start' }">Start with one joint</router-link>
    </p>
    <JointSum v-else :rows="rows" :budget="build?.budget ?? null" :to-buy="shopping.price" :currency="currency" />
    <template v-if="decided.length">
      <EveningList :rows="decided" :order="order" />
      <PanelGuard name="The shopping list"><ShoppingList :shopping="shopping" :currency="currency" /></PanelGuard>
      <PanelGuard name="The repair kit"
        ><RepairKitList :kit="kit.answer.value" :fault="kit.fault.value" :again="kit.again"
      /></PanelGuard>
    </template>
    <section v-if="temporary.length" aria-labelledby="temporary">
      <h2 id="temporary">Only for a time</h2>
      <ul>
        <li v-for="{ view } in temporary" :key="view.joint.id">
          {{ view.joint.code }} {{ view.joint.name }}: make it anew {{ dayName(view.decision!.redoOn!) }}.
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.page {
  max-width: 1080px;
  gap: 22px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
section {
  display: grid;
  gap: 10px;
  break-inside: avoid;
}
</style>
