<script setup lang="ts">
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import TapeLabel from '../../look/TapeLabel.vue'
import { canDrop, drop } from './pick'

/** What was picked to be tested, with its letter on tape. */
defineProps<{ view: JointView }>()
const bench = useBench()
</script>

<template>
  <section class="picked card" aria-labelledby="picked">
    <h2 id="picked">To be tested</h2>
    <ul v-if="view.procedures.length">
      <li v-for="procedure in view.procedures" :key="procedure.id">
        <TapeLabel>{{ view.joint.code }}-{{ procedure.letter }}</TapeLabel>
        <span>{{ procedure.name }}<span v-if="procedure.anyway" class="careful"> · tested anyway</span></span>
        <v-btn v-if="canDrop(bench, procedure)" class="quiet" @click="drop(bench, view, procedure)"
          >Leave out<span class="visually-hidden"> {{ procedure.name }}</span></v-btn
        >
      </li>
    </ul>
    <p v-else class="mute">
      Pick two or more below. One of them should be a glue you already trust: it is the control.
    </p>
    <v-btn v-if="view.procedures.length > 1" class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }"
      >Plan their coupons</v-btn
    >
  </section>
</template>

<style scoped>
.picked {
  padding: 10px 18px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 22px;
}
.go {
  margin-left: auto;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
}
</style>
