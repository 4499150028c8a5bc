<script setup lang="ts">
import BriefWord from '../words/BriefWord.vue'

// What it meets, and what it must be.
</script>

<template>
  <p>
    It meets <BriefWord of="heatC" />, <BriefWord of="coldC" />, <BriefWord of="water" /> and <BriefWord of="sun" />,
    for <BriefWord of="life" />. It must <BriefWord of="flex" />, <BriefWord of="look" />, <BriefWord of="undo" />, and
    take <BriefWord of="later" />; it is <BriefWord of="boxed" />, and <BriefWord of="skin" />.
  </p>
</template>
