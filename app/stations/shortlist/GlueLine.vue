<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Helper } from '../../../core/knowledge/vocabulary'
import { helperWords } from '../../../core/knowledge/vocabularyWords'
import type { Joint } from '../../../core/records/joint'
import type { Procedure } from '../../../core/records/procedure'
import type { School } from '../../../core/screening/schools'
import { onlyWith, type Candidate, type Help } from '../../../core/screening/shortlist'
import { showMoney } from '../../../core/quantities/money'
import { decidingReason } from '../../../core/screening/forecast'
import { chanceWords } from '../../../core/screening/chanceWords'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { lasting } from '../../look/times'
import VerdictMark from '../../look/VerdictMark.vue'
import ChanceBar from '../../look/ChanceBar.vue'
import GlueDetails from './GlueDetails.vue'
import ReasonList from './ReasonList.vue'
import SchoolList from './SchoolList.vue'
import ScrapLook from './ScrapLook.vue'
import { tones, whyGlue } from './whyGlue'

const props = defineProps<{
  joint: Joint
  candidate: Candidate
  help: Help[]
  picked: Procedure[]
  compared: boolean
  /** no advice is given for this joint: no verdict is shown */
  refused: boolean
  /** where makers disagree about it here, and the press that tests both ways */
  schools: readonly School[]
  bothWays: (school: School) => (() => unknown) | null
}>()
const emit = defineEmits<{ pick: [helpers: readonly Helper[], anyway: boolean]; compare: [] }>()

const bench = useBench()
const family = computed(() => props.candidate.family)
const screening = computed(() => props.candidate.screening)
const name = computed(() => props.candidate.product?.name ?? family.value.name)
/** the helper without which it is ruled out here */
const only = computed(() => onlyWith(props.candidate, props.help))
const verdict = computed(() =>
  only.value
    ? { ...tones.caution, word: `only with ${helperWords[only.value.helper].word}` }
    : tones[screening.value.verdict],
)
const chance = computed(() => (only.value ?? props.candidate).screening.chance)
const blocked = computed(() => screening.value.verdict === 'block')
const harmful = computed(() => screening.value.reasons.some((reason) => reason.harm && reason.verdict === 'block'))
const plain = computed(() => props.picked.find(({ helpers }) => helpers.length === 0))
const first = computed(() => decidingReason(screening.value))
const open = ref(false)
const cost = computed(() => {
  const { glueCost } = props.candidate.situation
  return glueCost === null ? '' : glueCost === 0 ? 'no glue' : `${showMoney(glueCost, bench.bench?.currency)} each`
})
const evidenceWords = { holds: 'own pulls: it holds', fails: 'own pulls: it fails', unclear: 'own pulls: too few yet' }
</script>

<template>
  <li class="glue" :data-family="family.id">
    <div class="head">
      <template v-if="!refused">
        <AskWhy :why="() => whyGlue(candidate)"><VerdictMark v-bind="verdict" /></AskWhy>
        <ChanceBar :chance="chance" :tone="verdict.tone" />
      </template>
      <span v-else class="unknown">no advice</span>
    </div>
    <div class="what">
      <h3>
        {{ name }}
        <span v-if="candidate.product" class="mute small kind">{{ family.name }}, on your shelf</span>
      </h3>
      <template v-if="!refused">
        <p v-if="first" class="small decides">
          <b v-if="first.house" class="house">House rule.</b> {{ first.text.replace('Rule of the house: ', '') }}
        </p>
        <p v-else class="small mute">Nothing said so far speaks against it.</p>
        <p
          v-if="candidate.evidence"
          class="small"
          :class="{
            holds: candidate.evidence === 'holds',
            fails: candidate.evidence === 'fails',
            mute: candidate.evidence === 'unclear',
          }"
        >
          {{ evidenceWords[candidate.evidence] }}
        </p>
      </template>
    </div>
    <p class="mute small num times">
      <template v-if="candidate.situation.cure.cures"
        >handled after {{ lasting(family.handlingS) }}<br />cured after {{ lasting(family.fullS) }}</template
      ><span v-else class="fails">will not cure here</span><template v-if="cost"><br />{{ cost }}</template>
    </p>
    <div class="acts">
      <span v-if="plain" class="holds picked">in as {{ plain.letter }}</span>
      <v-btn v-else-if="only && !refused" class="alt" @click="emit('pick', [only.helper], false)">
        Test with {{ helperWords[only.helper].word }}<span class="visually-hidden">: {{ name }}</span>
      </v-btn>
      <v-btn v-else-if="!blocked && !refused" class="alt" @click="emit('pick', [], false)">
        Test<span class="visually-hidden"> this glue: {{ name }}</span>
      </v-btn>
      <v-btn v-else class="quiet" @click="emit('pick', [], true)">
        {{ refused ? 'Record a test of it' : 'Test it anyway' }}<span class="visually-hidden">: {{ name }}</span>
      </v-btn>
      <v-btn class="quiet" :aria-expanded="open" @click="open = !open"
        >{{ open ? 'Less' : 'All of it' }}<span class="visually-hidden">: {{ name }}</span></v-btn
      >
    </div>
    <div v-if="open" class="opened">
      <template v-if="!refused">
        <ReasonList :reasons="screening.reasons">
          <template #scrap="{ rule }"><ScrapLook :joint="joint" :candidate="candidate" :rule="rule" /></template>
        </ReasonList>
        <SchoolList v-if="schools.length" :schools="schools" :both-ways="bothWays" :name="name" />
        <p v-if="harmful" class="small fails">It may harm: no good result lifts that.</p>
        <div v-for="one in help" :key="one.helper" class="small help">
          <span>
            <b :class="tones[one.screening.verdict].tone"
              >{{ tones[one.screening.verdict].word.replace(/^./, (c) => c.toUpperCase()) }} with
              {{ helperWords[one.helper].word }}, {{ chanceWords(one.screening.chance) }}.</b
            >
            {{ one.text }}
          </span>
          <v-btn
            v-if="!picked.some(({ helpers }) => helpers.includes(one.helper))"
            class="quiet"
            @click="emit('pick', [one.helper], one.screening.verdict === 'block')"
            >Add {{ helperWords[one.helper].word }} and test<span class="visually-hidden">: {{ name }}</span></v-btn
          >
        </div>
        <label class="compare"
          ><input type="checkbox" :checked="compared" @change="emit('compare')" /> Set it side by side with others<span
            class="visually-hidden"
          >
            {{ name }}</span
          ></label
        >
      </template>
      <GlueDetails :candidate="candidate" />
    </div>
  </li>
</template>

<style scoped>
.glue {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr) 132px 190px;
  gap: 4px 16px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
  align-items: start;
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 12px;
  min-height: 28px;
}
.what h3 {
  font-size: 1rem;
}
.kind {
  font-weight: 400;
}
.decides {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
}
.times {
  line-height: 1.3;
}
.acts {
  gap: 4px 14px;
  flex-wrap: nowrap;
  justify-content: end;
}
.picked {
  font-weight: 680;
  padding: 8px 0;
}
.house {
  color: var(--careful);
}
.opened {
  grid-column: 1 / -1;
  display: grid;
  gap: 12px;
  padding: 8px 0 14px;
}
.help {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 16px;
}
.compare {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 36px;
  font-size: 0.9375rem;
}
@media (max-width: 700px) {
  .glue {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 10px;
  }
  .what {
    grid-column: 1;
    grid-row: 2;
  }
  .head {
    grid-column: 1;
    grid-row: 1;
  }
  .acts {
    grid-column: 2;
    grid-row: 1 / span 2;
    flex-direction: column;
  }
  .decides {
    -webkit-line-clamp: 1;
    line-clamp: 1;
  }
  .times {
    display: none;
  }
}
</style>
