<script setup lang="ts">
import { computed } from 'vue'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import { useBench } from '../bench/store'
import { useMinute } from '../bench/clock'
import { plural } from '../look/figures'
import { dayName } from '../look/times'
import { startOfDay } from '../../core/quantities/days'

/** Rules of the house with what stands behind them, and when to look again. */
const props = defineProps<{ evidence: readonly PairEvidence[] }>()
const bench = useBench()
const minute = useMinute()
const rules = computed(() =>
  bench
    .all('houseRule')
    .sort((x, y) => x.name.localeCompare(y.name))
    .map((rule) => {
      // What was pulled of the glue that the rule names, here.
      const about = props.evidence.filter(
        ({ owner, adhesive, family }) =>
          owner === null &&
          (rule.adhesive !== null ? adhesive === rule.adhesive : rule.family !== null && family === rule.family),
      )
      return {
        rule,
        pulls: about.reduce((sum, { pulls }) => sum + pulls, 0),
        due: rule.lookAgainOn !== null && startOfDay(rule.lookAgainOn) <= minute.value,
      }
    }),
)
</script>

<template>
  <section aria-labelledby="house">
    <h2 id="house">Rules of the house</h2>
    <p v-if="!rules.length" class="mute">
      None yet. <router-link :to="{ name: 'shelf', hash: '#house-rules' }">Set one on the shelf</router-link>
    </p>
    <ul>
      <li v-for="{ rule, pulls, due } in rules" :key="rule.id">
        <router-link :to="{ name: 'shelf', hash: '#house-rules' }">{{ rule.name }}</router-link>
        <p class="small">{{ rule.reason }}</p>
        <p class="mute small">
          {{ rule.grade }}<template v-if="rule.evidence">: {{ rule.evidence }}</template
          ><template v-if="pulls"> · {{ plural(pulls, 'pull') }} of its glue here</template
          ><template v-if="rule.lookAgainOn">
            ·
            <span :class="{ careful: due }"
              >{{ due ? 'look again now, it was due' : 'look again' }} {{ dayName(rule.lookAgainOn) }}</span
            ></template
          >
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
li {
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
</style>
