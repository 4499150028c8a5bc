<script setup lang="ts">
import { computed } from 'vue'
import { hazardsOf } from '../../../core/knowledge/hazards'
import type { Screening } from '../../../core/screening/screen'
import type { Procedure } from '../../../core/records/round'
import type { Adhesive } from '../../../core/records/shelf'
import AskWhy from '../../look/AskWhy.vue'
import { lasting } from '../../look/figures'
import VerdictMark, { type Tone } from '../../look/VerdictMark.vue'
import type { Explanation } from '../../look/why'

const props = defineProps<{ screening: Screening; products: Adhesive[]; picked: Procedure[] }>()
const emit = defineEmits<{ pick: [product: Adhesive | null, anyway: boolean] }>()

const tones: Record<Screening['verdict'], { tone: Tone; word: string }> = {
  fit: { tone: 'holds', word: 'suits' },
  caution: { tone: 'careful', word: 'careful' },
  block: { tone: 'fails', word: 'ruled out' },
}
const verdict = computed(() => tones[props.screening.verdict])
const family = computed(() => props.screening.family)
const harmful = computed(() => props.screening.reasons.some((reason) => reason.harm && reason.verdict === 'block'))
const isPicked = (product: Adhesive | null) =>
  props.picked.find((procedure) => procedure.adhesive === (product?.id ?? null))

function why(): Explanation {
  const { reasons } = props.screening
  return {
    about: family.value.name,
    ...verdict.value,
    lines: reasons.length
      ? reasons.map((reason) => reason.text)
      : ['No rule of the trade speaks against it for what was said so far. Words still open may change that.'],
    cautions: hazardsOf(family.value.hazards).map((hazard) => hazard.show),
    change: [...new Set(reasons.map((reason) => reason.settleBy))],
    source: reasons.map(
      (reason) =>
        `Rule of the trade “${reason.rule}”: ${reason.basis}. A bond test of your own outranks it${reason.harm ? ', except that it is about harm, which no test lifts' : ''}.`,
    ),
  }
}
const choices = computed(() => (props.products.length ? props.products : [null]))
</script>

<template>
  <li class="glue" :data-family="family.id">
    <div class="head">
      <AskWhy :why="why"><VerdictMark v-bind="verdict" /></AskWhy>
    </div>
    <div class="what">
      <h3>{{ family.name }}</h3>
      <p v-if="screening.reasons[0]">{{ screening.reasons[0].text }}</p>
      <p v-else class="mute">Nothing said so far speaks against it.</p>
      <p v-if="screening.reasons.length > 1" class="mute small">and {{ screening.reasons.length - 1 }} more in Why</p>
    </div>
    <p class="mute small num times">
      handled after {{ lasting(family.handlingS) }}, full cure {{ lasting(family.fullS) }}<br />to
      {{ family.serviceMaxC }} °C, {{ family.flex }}
    </p>
    <div class="acts">
      <template v-for="product in choices" :key="product?.id ?? 'family'">
        <span v-if="isPicked(product)" class="holds picked">in the round as {{ isPicked(product)!.letter }}</span>
        <v-btn v-else-if="screening.verdict !== 'block'" class="alt" @click="emit('pick', product, false)">
          {{ product ? `Test ${product.name}` : 'Test this glue'
          }}<span v-if="!product" class="visually-hidden">: {{ family.name }}</span>
        </v-btn>
        <v-btn v-else class="quiet" @click="emit('pick', product, true)">
          Test {{ product ? product.name : 'it' }} anyway<span v-if="!product" class="visually-hidden"
            >: {{ family.name }}</span
          >
        </v-btn>
      </template>
      <p v-if="products.length" class="small mute">on the shelf</p>
      <p v-if="harmful" class="small fails">It may harm: no good result lifts that.</p>
    </div>
  </li>
</template>

<style scoped>
.glue {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) 170px 170px;
  gap: 6px 18px;
  padding: 13px 0;
  border-top: 1px solid var(--line);
  align-items: start;
}
.acts {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.picked {
  font-weight: 680;
  padding: 8px 0;
}
@media (max-width: 700px) {
  .glue {
    grid-template-columns: minmax(0, 1fr);
  }
  .times {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
