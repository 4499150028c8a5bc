<script setup lang="ts">
import { computed, ref } from 'vue'
import { grips, type Grip } from '../../core/knowledge/rungs'
import { PULLS_NEEDED, quantileType7 } from '../../core/readings/hands'
import { parseQuantity } from '../../core/quantities/parse'
import { update } from '../../core/records/entry'
import { useForce } from '../bench/force'
import { useBench } from '../bench/store'
import { plural } from '../look/figures'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

// A maker pulls each grip on the scale a few times, once; from then on "one hand" is a load.
const bench = useBench()
const force = useForce()
const words: Record<Grip, string> = {
  'shaken-off': 'a good shake',
  'one-finger': 'one finger',
  'one-hand': 'one hand',
  'two-hands': 'two hands',
}
const typed = ref<Record<string, string>>({})
const { attempt, refuse } = useAttempt()
const hands = computed(() => bench.bench!.hands)
async function add(grip: Grip) {
  await attempt(async () => {
    const { inside } = parseQuantity(typed.value[grip] ?? '', 'force', 'kg', grip)
    if (inside <= 0) return refuse('A pull must be more than zero.', grip)
    const pulls = [...hands.value[grip], Number(inside.toPrecision(4))]
    if (
      await bench.write(`Hand calibration: ${words[grip]}, pull ${pulls.length}`, [
        update('bench', bench.bench!, { hands: { ...hands.value, [grip]: pulls } }),
      ])
    )
      typed.value[grip] = ''
  })
}
/** what nine of ten pulls lie between */
const rangeOf = (pulls: readonly number[]) =>
  `${force(quantileType7(pulls, 0.1))} to ${force(quantileType7(pulls, 0.9))}, ${pulls.length} pulls`
</script>

<template>
  <section id="hands" aria-labelledby="hands-title">
    <h2 id="hands-title">Hand calibration</h2>
    <p class="mute">
      Hook the scale to a table leg and pull each grip {{ PULLS_NEEDED }} times or more, as you would pull a coupon. The
      10th and 90th percentile bound what it stands for.
    </p>
    <ul>
      <li v-for="grip in grips" :key="grip">
        <b>{{ words[grip] }}</b>
        <span class="num" :class="hands[grip].length < PULLS_NEEDED ? 'mute' : ''">
          {{
            hands[grip].length < PULLS_NEEDED
              ? `${plural(hands[grip].length, 'pull')} of ${PULLS_NEEDED}`
              : rangeOf(hands[grip])
          }}
        </span>
        <form @submit.prevent="add(grip)">
          <FieldPart :name="grip" :label="`Pull with ${words[grip]}`" unseen>
            <input v-model="typed[grip]" class="plain" placeholder="4.2 kg" />
          </FieldPart>
          <v-btn class="alt" type="submit"
            >Add this pull<span class="visually-hidden"> of {{ words[grip] }}</span></v-btn
          >
        </form>
      </li>
    </ul>
    <ProblemLine />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) 290px;
  gap: 14px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
ul {
  margin-top: 10px;
}
form {
  display: flex;
  gap: 8px;
}
.field {
  flex: 1;
}
.v-btn {
  flex: none;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
  form {
    grid-column: 1 / -1;
  }
}
</style>
