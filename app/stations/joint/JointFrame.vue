<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { refusalFor } from '../../../core/care/refusal'
import { useJoint } from '../../bench/jointView'
import JointStrip from './JointStrip.vue'
import StationRoute from './StationRoute.vue'
import WhyPanel from '../../look/WhyPanel.vue'
import LostPage from '../../frame/LostPage.vue'
import PanelGuard from '../../look/PanelGuard.vue'
import { useWhy } from '../../look/why'

const props = defineProps<{ joint: string }>()
const route = useRoute()
const view = useJoint(() => props.joint)
const why = useWhy()
watch(
  () => props.joint,
  () => why.reset(),
)
const station = computed(() => String(route.name))
// Ask and Shortlist say it themselves, beside what it is about.
const refusal = computed(() =>
  ['ask', 'shortlist'].includes(station.value) ? null : refusalFor(view.value?.joint.brief.stakes ?? null),
)
</script>

<template>
  <LostPage v-if="!view" />
  <div v-else class="joint-frame">
    <PanelGuard name="The joint strip"><JointStrip :current="joint" :station="station" /></PanelGuard>
    <PanelGuard name="The route"><StationRoute :view="view" :station="station" /></PanelGuard>
    <div class="body">
      <main id="work" tabindex="-1">
        <p v-if="refusal" class="refusal fails" role="note">{{ refusal }}</p>
        <router-view v-slot="{ Component }">
          <PanelGuard name="This station"><component :is="Component" :key="joint" :view="view" /></PanelGuard>
        </router-view>
      </main>
      <PanelGuard name="Why"><WhyPanel /></PanelGuard>
    </div>
  </div>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  min-height: calc(100vh - 190px);
  /* Why goes along with what is looked at; its side of the page reaches down all the same. */
  background: linear-gradient(to right, transparent calc(100% - 340px), var(--card) 0);
}
main {
  border-right: 1px solid var(--line);
}
main {
  padding: 20px 24px 40px;
  min-width: 0;
}
@media (max-width: 1060px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    background: none;
  }
  main {
    border-right: 0;
  }
}
@media (max-width: 700px) {
  main {
    padding: 16px 16px 110px;
  }
}
@media print {
  .body {
    display: block;
  }
}
</style>
