<script setup lang="ts">
import { computed, ref } from 'vue'
import { helperWords, type Helper } from '../../../core/knowledge/vocabulary'
import type { Procedure } from '../../../core/records/round'
import type { Candidate, Help } from '../../../core/screening/shortlist'
import AskWhy from '../../look/AskWhy.vue'
import { lasting } from '../../look/figures'
import VerdictMark from '../../look/VerdictMark.vue'
import GlueDetails from './GlueDetails.vue'
import { tones, whyGlue } from './whyGlue'

const props = defineProps<{
  candidate: Candidate
  help: Help[]
  picked: Procedure[]
  compared: boolean
  /** no advice is given for this joint: no verdict is shown */
  refused: boolean
}>()
const emit = defineEmits<{ pick: [helpers: readonly Helper[], anyway: boolean]; compare: [] }>()

const family = computed(() => props.candidate.family)
const screening = computed(() => props.candidate.screening)
const name = computed(() => props.candidate.product?.name ?? family.value.name)
const verdict = computed(() => tones[screening.value.verdict])
const blocked = computed(() => screening.value.verdict === 'block')
const harmful = computed(() => screening.value.reasons.some((reason) => reason.harm && reason.verdict === 'block'))
const plain = computed(() => props.picked.find(({ helpers }) => helpers.length === 0))
const first = computed(() => screening.value.reasons[0])
const open = ref(false)
const heat = computed(() =>
  Number.isFinite(family.value.serviceMaxC) ? `to ${Math.round(family.value.serviceMaxC)} °C, ` : '',
)
const evidenceWords = { holds: 'own pulls: it holds', fails: 'own pulls: it fails', unclear: 'own pulls: too few yet' }
</script>

<template>
  <li class="glue" :data-family="family.id">
    <div class="head">
      <AskWhy v-if="!refused" :why="() => whyGlue(candidate)"><VerdictMark v-bind="verdict" /></AskWhy>
      <span v-else class="unknown">no advice</span>
    </div>
    <div class="what">
      <h3>{{ name }}</h3>
      <p v-if="candidate.product" class="mute small">{{ family.name }}, on your shelf</p>
      <template v-if="!refused">
        <p v-if="first">
          <b v-if="first.house" class="house">House rule.</b> {{ first.text.replace('Rule of the house: ', '') }}
        </p>
        <p v-else class="mute">Nothing said so far speaks against it.</p>
        <p v-if="screening.reasons.length > 1" class="mute small">and {{ screening.reasons.length - 1 }} more in Why</p>
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
        <p v-for="one in help" :key="one.helper" class="small help">
          <b :class="tones[one.screening.verdict].tone"
            >{{ tones[one.screening.verdict].word.replace(/^./, (c) => c.toUpperCase()) }} with
            {{ helperWords[one.helper].word }}.</b
          >
          {{ one.text }}
        </p>
      </template>
    </div>
    <p class="mute small num times">
      handled after {{ lasting(family.handlingS) }}, full cure {{ lasting(family.fullS) }}<br />{{ heat
      }}{{ family.flex }}
    </p>
    <div class="acts">
      <span v-if="plain" class="holds picked">in the round as {{ plain.letter }}</span>
      <v-btn v-else-if="!blocked && !refused" class="alt" @click="emit('pick', [], false)">
        Test this glue<span class="visually-hidden">: {{ name }}</span>
      </v-btn>
      <v-btn v-else class="quiet" @click="emit('pick', [], true)">
        {{ refused ? 'Record a test of it' : 'Test it anyway' }}<span class="visually-hidden">: {{ name }}</span>
      </v-btn>
      <template v-for="one in refused ? [] : help" :key="one.helper">
        <v-btn
          v-if="!picked.some(({ helpers }) => helpers.includes(one.helper))"
          class="quiet"
          @click="emit('pick', [one.helper], one.screening.verdict === 'block')"
          >Add {{ helperWords[one.helper].word }} and test<span class="visually-hidden">: {{ name }}</span></v-btn
        >
      </template>
      <v-btn class="quiet" :aria-expanded="open" @click="open = !open"
        >{{ open ? 'Less' : 'Care and undoing' }}<span class="visually-hidden">: {{ name }}</span></v-btn
      >
      <label class="compare"
        ><input type="checkbox" :checked="compared" @change="emit('compare')" /> compare<span class="visually-hidden">
          {{ name }}</span
        ></label
      >
      <p v-if="harmful && !refused" class="small fails">It may harm: no good result lifts that.</p>
    </div>
    <GlueDetails v-if="open" class="details" :candidate="candidate" />
  </li>
</template>

<style scoped>
.glue {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) 170px 176px;
  gap: 6px 18px;
  padding: 13px 0;
  border-top: 1px solid var(--line);
  align-items: start;
}
.acts {
  display: grid;
  gap: 4px;
  justify-items: start;
}
.acts .quiet {
  text-align: left;
  justify-content: start;
}
.picked {
  font-weight: 680;
  padding: 8px 0;
}
.house {
  color: var(--careful);
}
.help {
  margin-top: 4px;
}
.compare {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 36px;
  padding-left: 10px;
  font-size: 0.9375rem;
}
.details {
  grid-column: 2 / -1;
}
@media (max-width: 700px) {
  .glue {
    grid-template-columns: minmax(0, 1fr);
  }
  .details {
    grid-column: 1;
  }
}
</style>
