<script setup lang="ts">
import { computed } from 'vue'
import { useBriefEditor } from '../editBrief'
import BriefWord from '../words/BriefWord.vue'
import FoldedLine from './FoldedLine.vue'

// How it is glued: the place, the people, the hands, and what the two faces are like where they meet.
const { brief } = useBriefEditor()
const inside = computed(() => brief.value.air !== 'outdoors')
const edgeMatters = computed(() => brief.value.geometry !== 'point' && brief.value.geometry !== 'butt-edge')
</script>

<template>
  <FoldedLine begins="I glue it" line="glue" :sides="['a.traits', 'b.traits']">
    I glue it <BriefWord of="air" /><template v-if="inside">, in <BriefWord of="roomM3" /></template>, with
    <BriefWord of="users" /> and <BriefWord of="heatNear" />. I can <BriefWord of="reach" /> and
    <BriefWord of="canClamp" />; it is <BriefWord of="inShell" />, with <BriefWord of="repositionS" />, and
    <BriefWord of="perEvening" />. The dry faces <BriefWord of="fit" />, with <BriefWord of="gapMm" />; they are
    <BriefWord of="curveMm" /><template v-if="edgeMatters">, the middle <BriefWord of="edgeMm" /></template>. Face A:
    <BriefWord of="traits" side="a" />; face B: <BriefWord of="traits" side="b" />.
  </FoldedLine>
</template>
