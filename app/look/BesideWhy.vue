<script setup lang="ts">
import PanelGuard from './PanelGuard.vue'
import WhyPanel from './WhyPanel.vue'

/** A page's work with Why beside it: what is looked at, and what stands behind it. On a phone Why comes from below. */
</script>

<template>
  <div class="body">
    <main id="work" tabindex="-1"><slot /></main>
    <PanelGuard name="Why"><WhyPanel /></PanelGuard>
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
