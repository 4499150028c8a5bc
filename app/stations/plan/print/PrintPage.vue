<script setup lang="ts">
import { inSentence } from '../../../../core/quantities/inSentence'
import { computed, ref, watch } from 'vue'
import { useJoint } from '../../../bench/jointView'
import { plural } from '../../../look/figures'
import OneOf from '../../../look/OneOf.vue'
import BenchSheet from './BenchSheet.vue'
import CutSheets from './CutSheets.vue'
import LabelPages from './LabelPages.vue'

/** What is printed for the bench: labels for the coupons, the cut list at true size, a sheet to fill in by hand. */
const props = defineProps<{ joint: string }>()
const view = useJoint(() => props.joint)
const kinds = { labels: 'Labels', cut: 'Cut list', sheet: 'Bench sheet' } as const
type Kind = keyof typeof kinds
const options = (Object.keys(kinds) as Kind[]).map((value) => ({ value, words: kinds[value] }))
const shown = ref<Kind>('labels')
const ready = computed(() => view.value?.round && view.value.coupons.length > 0)
/** Many pages take a moment to lay out: the page says so first, and then does it. */
const laidOut = ref(false)
watch(
  shown,
  () => {
    laidOut.value = false
    requestAnimationFrame(() => requestAnimationFrame(() => (laidOut.value = true)))
  },
  { immediate: true },
)
const printIt = () => window.print()
</script>

<template>
  <main id="work" class="print-page" tabindex="-1">
    <header class="no-print">
      <h1>For the bench{{ view ? `, ${inSentence(view.joint.name)}` : '' }}</h1>
      <div class="acts">
        <OneOf v-model="shown" label="What to print" :options="options" />
        <span class="gap" />
        <v-btn v-if="ready" class="go" @click="printIt">Print the {{ kinds[shown].toLowerCase() }}</v-btn>
        <v-btn class="quiet" :to="{ name: 'plan', params: { joint } }">Back to the plan</v-btn>
      </div>
    </header>
    <p v-if="!view || !ready">No coupon is planned yet: plan the round first, then its sheets can be printed.</p>
    <p v-else-if="!laidOut" class="laying" role="status">
      <progress aria-label="Laying out the pages" /> Laying out {{ plural(view.coupons.length, 'coupon') }}…
    </p>
    <template v-else>
      <LabelPages v-if="shown === 'labels'" :view="view" />
      <CutSheets v-else-if="shown === 'cut'" :view="view" />
      <BenchSheet v-else :view="view" />
      <p class="mute small no-print">
        {{ plural(view.coupons.length, 'coupon') }}. Print at 100 %, not “fit to page”: the scale bar must measure 100
        mm.
      </p>
    </template>
  </main>
</template>

<style scoped>
.print-page {
  padding: 24px 28px 60px;
  display: grid;
  gap: 18px;
  justify-items: start;
}
header {
  display: grid;
  gap: 10px;
  width: 100%;
  max-width: 900px;
}
.gap {
  flex: 1;
}
@media (max-width: 700px) {
  .print-page {
    padding: 18px 16px 40px;
  }
}
@media print {
  .print-page {
    padding: 0;
    display: block;
  }
}
</style>
<style>
/* A page on screen as it will be on paper. */
.paper-page {
  background: #fff;
  color: #000;
  border: 1px solid var(--line);
  position: relative;
  overflow: hidden;
  max-width: 100%;
}
@media print {
  @page {
    size: A4;
    margin: 0;
  }
  .paper-page {
    border: 0;
    break-after: page;
    max-width: none;
  }
}
</style>
