<script setup lang="ts">
import { computed } from 'vue'
import { modeWords } from '../../../core/knowledge/weights'
import { helperWords } from '../../../core/knowledge/vocabularyWords'
import { decidingReason } from '../../../core/screening/forecast'
import { likelyWords } from '../../../core/screening/likely'
import { doubtOf, type FirstPick, type ShortAnswer } from '../../../core/screening/shortAnswer'
import AskWhy from '../../look/AskWhy.vue'
import ChanceBar from '../../look/ChanceBar.vue'
import VerdictMark from '../../look/VerdictMark.vue'
import ActButton from '../../look/ActButton.vue'
import { tones, whyGlue } from './whyGlue'

/** The short answer: three to test first and the control, why these, and one press to take them. */
const props = defineProps<{
  answer: ShortAnswer
  /** takes what is not in the round yet; null when all of it is */
  take: (() => unknown) | null
  /** how many of them are not in the round yet */
  left: number
}>()
const whole = computed(() => props.answer.three.length + (props.answer.control ? 1 : 0))
const takeWords = computed(() => {
  if (props.left < whole.value) return `Take the other ${props.left === 1 ? 'one' : props.left} into the round`
  return props.left === 1 ? 'Take it into the round' : `Take these ${props.left} into the round`
})
const nameOf = ({ candidate, helper }: FirstPick) =>
  (candidate.product?.name ?? candidate.family.name) + (helper ? ` + ${helperWords[helper].word}` : '')
/** What speaks for it clearly, else how makers take it, else what decides. */
const CLEARLY = 3
const leading = ({ screening }: FirstPick) =>
  screening.reasons.find(({ db }) => db >= CLEARLY) ??
  screening.reasons.find(({ mode, db }) => mode === 'use' && db >= 0) ??
  decidingReason(screening)
/** Own pulls on this very pair say more than any table. */
const likelyOf = (one: FirstPick) => {
  const words = leading(one)?.rule === 'own-evidence' ? null : likelyWords(one.candidate.situation)
  return words ? ` ${words}` : ''
}
/** What each would fail by first, said once for all. */
const apart = computed(() => {
  const doubts = props.answer.three.flatMap((one) => {
    const doubt = doubtOf(one.screening)
    return doubt && doubt !== 'use' ? [`${nameOf(one)}: ${modeWords[doubt]}`] : []
  })
  const kinds = new Set(props.answer.three.map(({ candidate }) => candidate.family.mechanism))
  const differ = kinds.size > 1 ? 'They set in different ways, and so fail differently.' : ''
  return [differ, doubts.length ? `What each must prove first: ${doubts.join('; ')}.` : ''].filter(Boolean).join(' ')
})
const control = computed(() => props.answer.control)
</script>

<template>
  <section class="answer card" aria-labelledby="short-answer">
    <h2 id="short-answer">Test these first</h2>
    <ol>
      <li v-for="one in answer.three" :key="one.candidate.key">
        <span class="head">
          <AskWhy :why="() => whyGlue({ ...one.candidate, screening: one.screening })"
            ><VerdictMark v-bind="tones[one.screening.verdict]"
          /></AskWhy>
          <ChanceBar :chance="one.screening.chance" :tone="tones[one.screening.verdict].tone" />
        </span>
        <span>
          <b>{{ nameOf(one) }}.</b>{{ ' '
          }}<span class="mute">{{ leading(one)?.text ?? 'Nothing said so far speaks against it.' }}</span
          >{{ likelyOf(one) }}
        </span>
      </li>
    </ol>
    <p v-if="control">
      Control: <b>{{ control.product?.name }}</b>, from your shelf; the others are read against it.
    </p>
    <p v-else class="mute">
      Control: one glue that you already trust, of your own; put it on the Shelf or pick it below.
    </p>
    <p class="mute small">
      {{ apart }} “9 in 10” counts joints like this one that would serve, by the rules of the trade and the tables; your
      own pulls correct it.
    </p>
    <ActButton v-if="take" class="go" :act="take">{{ takeWords }}</ActButton>
    <p v-else class="holds">All of it is in the round.</p>
  </section>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 8px;
  padding: 14px 18px;
  justify-items: start;
}
ol {
  display: grid;
  gap: 6px;
  width: 100%;
}
li {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 2px 18px;
  align-items: baseline;
}
.head {
  display: flex;
  gap: 16px;
  align-items: center;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
