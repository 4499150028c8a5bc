<script setup lang="ts">
import { computed } from 'vue'
import type { JointView } from '../../bench/jointView'
import { momentName } from '../../look/times'

/** Nothing is left to be glued: when what is closed is cured, and where it goes on. */
const props = defineProps<{ view: JointView; allCured: number | null; now: number }>()
const pulled = computed(() => props.view.progress.pulled >= props.view.coupons.length)
</script>

<template>
  <section class="task all-glued card" aria-labelledby="all-glued">
    <h2 id="all-glued">All {{ view.coupons.length }} coupons are glued{{ pulled ? ' and pulled' : '' }}</h2>
    <template v-if="!pulled">
      <p v-if="allCured && allCured > now">
        All are fully cured {{ momentName(allCured, now) }}. Pull them in one session then.
      </p>
      <p v-else>All are cured: pull them in one session.</p>
    </template>
    <div>
      <v-btn v-if="!pulled" class="go bench-size" :to="{ name: 'break', params: { joint: view.joint.id } }"
        >Go to the pulls</v-btn
      >
      <v-btn v-else class="alt" :to="{ name: 'choose', params: { joint: view.joint.id } }">Look at the result</v-btn>
    </div>
  </section>
</template>

<style scoped>
.all-glued {
  border: 1.5px solid var(--ink);
  padding: 20px 22px;
  display: grid;
  gap: 16px;
}
h2 {
  font-size: 1.4375rem;
  line-height: 1.25;
}
</style>
