<script setup lang="ts">
import { computed } from 'vue'
import { useBriefEditor } from '../editBrief'
import BriefWord from '../words/BriefWord.vue'

// How it is glued, and by when.
const { brief } = useBriefEditor()
const inside = computed(() => brief.value.air !== 'outdoors')
</script>

<template>
  <p>
    I glue it <BriefWord of="air" /><template v-if="inside">, in <BriefWord of="roomM3" /></template>, with
    <BriefWord of="users" /> and <BriefWord of="heatNear" />. I can <BriefWord of="reach" /> and
    <BriefWord of="canClamp" />; it is <BriefWord of="inShell" />, with <BriefWord of="repositionS" />, and
    <BriefWord of="perEvening" />. It can be handled by <BriefWord of="handledBy" />, is in service by
    <BriefWord of="inServiceBy" />, <BriefWord of="readyH" />, for no more than <BriefWord of="maxCost" /> each.
  </p>
</template>
