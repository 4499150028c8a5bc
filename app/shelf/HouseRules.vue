<script setup lang="ts">
import { computed, ref } from 'vue'
import { familyOf, isFamily } from '../../core/knowledge/families'
import { materialClasses } from '../../core/knowledge/materials'
import { remove } from '../../core/records/entry'
import type { HouseRule } from '../../core/records/shelf'
import { useNow } from '../bench/clock'
import { useBench } from '../bench/store'
import { dayName } from '../look/times'
import VerdictMark from '../look/VerdictMark.vue'
import HouseRuleEditor from './HouseRuleEditor.vue'
import { factWords, hazardWords, mechanismWords } from './houseRuleWork'
import { startOfDay } from '../../core/quantities/days'

/**
 * Rules of the house: what holds true here, why, on what evidence, and when to look again. They take part in every
 * shortlist.
 */
const bench = useBench()
const now = useNow()
const rules = computed(() => bench.all('houseRule').sort((x, y) => x.name.localeCompare(y.name)))
const editing = ref<string | null>(null)

function about(rule: HouseRule): string {
  const product = rule.adhesive && bench.get('adhesive', rule.adhesive)?.name
  const family = rule.family && (isFamily(rule.family) ? familyOf(rule.family).name : rule.family)
  const kind = rule.mechanism
    ? mechanismWords[rule.mechanism]
    : rule.hazard
      ? hazardWords(rule.hazard)
      : rule.fact
        ? factWords(rule.fact)
        : 'any glue'
  const glue = product || family || kind
  const own = rule.material && bench.get('material', rule.material)?.name
  const material = own || materialClasses.find(({ id }) => id === rule.material)?.name || rule.material
  return [glue, material && `on ${material}`, rule.where].filter(Boolean).join(', ')
}
const due = (rule: HouseRule) => rule.lookAgainOn !== null && startOfDay(rule.lookAgainOn) <= now.value
const drop = (rule: HouseRule) => bench.write(`Drop the house rule: ${rule.name}`, [remove('houseRule', rule)], true)
</script>

<template>
  <section id="house-rules" aria-labelledby="house-rules-title">
    <div class="title">
      <h2 id="house-rules-title">Rules of the house</h2>
      <v-btn v-if="editing !== 'new'" class="alt" @click="editing = 'new'">Set a house rule</v-btn>
    </div>
    <HouseRuleEditor v-if="editing === 'new'" :rule="null" @done="editing = null" />
    <p v-if="!rules.length && editing !== 'new'" class="mute">
      What you hold true in this workshop, such as “no solvent glue indoors”. It takes part in every shortlist and is
      marked as yours there.
    </p>
    <ul>
      <li v-for="rule in rules" :key="rule.id">
        <HouseRuleEditor v-if="editing === rule.id" :rule="rule" @done="editing = null" />
        <template v-else>
          <VerdictMark
            :tone="rule.verdict === 'block' ? 'fails' : 'careful'"
            :word="rule.verdict === 'block' ? 'never' : 'careful'"
          />
          <div>
            <h3>{{ rule.name }}</h3>
            <p class="mute small">{{ about(rule) }}</p>
          </div>
          <div>
            <p>{{ rule.reason }}</p>
            <p class="mute small">
              {{ rule.grade }}<template v-if="rule.evidence">: {{ rule.evidence }}</template>
            </p>
          </div>
          <p class="small" :class="{ careful: due(rule) }">
            {{
              rule.lookAgainOn
                ? `${due(rule) ? 'look again now, due' : 'look again'} ${dayName(rule.lookAgainOn)}`
                : 'no day to look again'
            }}
          </p>
          <div class="acts">
            <v-btn class="quiet" :aria-label="`Change the rule ${rule.name}`" @click="editing = rule.id">Change</v-btn>
            <v-btn class="quiet" :aria-label="`Drop the rule ${rule.name}`" @click="drop(rule)">Drop</v-btn>
          </div>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding-bottom: 10px;
}
li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1.2fr) minmax(0, 1.8fr) minmax(0, 0.8fr) auto;
  gap: 8px 18px;
  align-items: start;
  padding: 11px 0;
  border-top: 1px solid var(--line);
}
li > .editor {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
