<script setup lang="ts">
import BriefWord from '../words/BriefWord.vue'
import FoldedLine from './FoldedLine.vue'

// What it meets, and what it must be.
</script>

<template>
  <FoldedLine begins="It meets" line="meets">
    It meets <BriefWord of="heatC" />, <BriefWord of="coldC" />, <BriefWord of="water" /> and <BriefWord of="sun" />, is
    <BriefWord of="boxed" />, and lasts <BriefWord of="life" />.
  </FoldedLine>
  <FoldedLine begins="It must" line="must">
    It must <BriefWord of="flex" />, <BriefWord of="look" />, <BriefWord of="undo" />, and take
    <BriefWord of="later" />. It <BriefWord of="handledH" /> and <BriefWord of="readyH" />; by the calendar it can be
    handled by <BriefWord of="handledBy" /> and is in service by <BriefWord of="inServiceBy" />. It may cost
    <BriefWord of="maxCost" /> each.
  </FoldedLine>
</template>
