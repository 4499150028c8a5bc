<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { refusalFor } from '../../../core/care/refusal'
import { useJoint } from '../../bench/jointView'
import JointStrip from './JointStrip.vue'
import StationRoute from './StationRoute.vue'
import BesideWhy from '../../look/BesideWhy.vue'
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
    <BesideWhy>
      <p v-if="refusal" class="refusal fails" role="note">{{ refusal }}</p>
      <router-view v-slot="{ Component }">
        <PanelGuard name="This station"><component :is="Component" :key="joint" :view="view" /></PanelGuard>
      </router-view>
    </BesideWhy>
  </div>
</template>
