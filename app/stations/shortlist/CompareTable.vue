<script setup lang="ts">
import { computed } from 'vue'
import { showMoney } from '../../../core/quantities/money'
import { compare } from '../../../core/screening/compare'
import type { Candidate } from '../../../core/screening/shortlist'
import { useBench } from '../../bench/store'

/** Two or three glues side by side for this brief; the lines in which they differ come first. */
const props = defineProps<{ candidates: Candidate[] }>()
const emit = defineEmits<{ drop: [key: string] }>()
const bench = useBench()
const lines = computed(() => compare(props.candidates, (money) => showMoney(money, bench.bench?.currency)))
const same = computed(() => lines.value.filter(({ differs }) => !differs))
</script>

<template>
  <section class="compare" aria-labelledby="compare-title">
    <h2 id="compare-title">Side by side</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="The glues, line by line">
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">What</span></th>
            <th v-for="one in candidates" :key="one.key" scope="col">
              {{ one.product?.name ?? one.family.name }}
              <v-btn class="quiet" @click="emit('drop', one.key)"
                >Put back<span class="visually-hidden"> {{ one.product?.name ?? one.family.name }}</span></v-btn
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines.filter(({ differs }) => differs)" :key="line.what">
            <th scope="row">{{ line.what }}</th>
            <td v-for="(value, i) in line.values" :key="i">{{ value }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="same.length && candidates.length > 1" class="mute small">
      The same in all: {{ same.map(({ what, values }) => `${what.toLowerCase()} ${values[0]}`).join('; ') }}.
    </p>
    <p v-if="candidates.length < 2" class="mute">Tick “compare” at one or two more.</p>
  </section>
</template>

<style scoped>
.compare {
  border: 1px solid var(--ink);
  border-radius: var(--radius);
  background: var(--card);
  padding: 14px 18px;
  display: grid;
  gap: 8px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  min-width: 480px;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 7px 18px 7px 0;
  border-top: 1px solid var(--line);
  font-size: 0.9375rem;
}
thead th {
  border-top: 0;
  font-size: 1rem;
  vertical-align: bottom;
}
thead .quiet {
  display: block;
  padding-left: 0;
  min-height: 36px;
}
tbody th {
  font-weight: 400;
  color: var(--mute);
  white-space: nowrap;
}
</style>
