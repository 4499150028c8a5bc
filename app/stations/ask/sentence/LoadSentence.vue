<script setup lang="ts">
import { computed } from 'vue'
import { useBriefEditor } from '../editBrief'
import BriefWord from '../words/BriefWord.vue'
import LineEnd from './LineEnd.vue'

// How it is loaded, and where it is worn or stands. Lever and angle are asked only where the load makes them matter.
const { brief } = useBriefEditor()
const turned = computed(() => brief.value.loads?.some((load) => load === 'torsion' || load === 'bend'))
const flexed = computed(() => brief.value.loads?.includes('flex') || brief.value.flex === 'must-flex')
const shared = computed(() => (brief.value.count ?? 2) > 1)
</script>

<template>
  <p>
    It is <BriefWord of="loads" />, carrying <BriefWord of="weightKg" /><template v-if="shared"
      >, <BriefWord of="share" /></template
    ><template v-if="turned">, <BriefWord of="leverMm" /></template>, while <BriefWord of="motion" /><template
      v-if="flexed"
      >; each time it is bent to <BriefWord of="flexDeg" /> or <BriefWord of="bendRadiusMm" /></template
    >. It <BriefWord of="skin" />, and <BriefWord of="stakes" />.<LineEnd line="load" />
  </p>
</template>
