<script setup lang="ts">
import { computed } from 'vue'
import { tradeStarts, withStart, type TradeStart } from '../../../core/situation/tradeStarts'
import { openBrief } from '../../../core/records/openBrief'
import type { JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import ActButton from '../../look/ActButton.vue'
import { plural } from '../../look/figures'

/** Usual joints to begin from, while the brief is open; then what of it is still a proposal. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const joint = computed(() => props.view.joint)
const proposed = computed(() => joint.value.proposed ?? [])
const fresh = computed(() => {
  const { a, b, geometry, loads } = joint.value.brief
  return a.material === null && b.material === null && geometry === null && loads === null
})
const begin = (one: TradeStart) =>
  bench.edit(`${joint.value.code}: begin as ${one.word.toLowerCase()}`, [
    editOf('joint', joint.value, withStart(joint.value.brief, one)),
  ])
const confirm = () =>
  bench.edit(`${joint.value.code}: the proposed words are right`, [editOf('joint', joint.value, { proposed: [] })])
/** Takes the proposals back: each becomes an open word again. */
function withdraw() {
  const open = openBrief()
  const brief = structuredClone({ ...joint.value.brief, a: { ...joint.value.brief.a }, b: { ...joint.value.brief.b } })
  for (const key of proposed.value) {
    const [side, word] = key.split('.') as ['a' | 'b', string | undefined]
    if (word) Object.assign(brief[side], { [word]: null })
    else Object.assign(brief, { [key]: open[key as keyof typeof open] })
  }
  return bench.edit(`${joint.value.code}: the proposed words are taken back`, [
    editOf('joint', joint.value, { brief, proposed: [] }),
  ])
}
</script>

<template>
  <section v-if="proposed.length" class="proposals" aria-labelledby="proposals">
    <h2 id="proposals">{{ plural(proposed.length, 'word is a proposal', 'words are proposals') }}</h2>
    <p>They are usual for such a joint, dotted in the sentence: change those that are otherwise with yours.</p>
    <div class="acts">
      <ActButton class="alt" :act="confirm">They are right</ActButton>
      <ActButton class="quiet" :act="withdraw">Take them back</ActButton>
    </div>
  </section>
  <section v-else-if="fresh" aria-labelledby="starts">
    <h2 id="starts">Begin from a usual joint</h2>
    <p class="mute">It fills a dozen words as proposals. Or write the sentence below word by word.</p>
    <div class="acts">
      <ActButton v-for="one in tradeStarts" :key="one.id" class="alt" :act="() => begin(one)">{{ one.word }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.acts {
  margin-top: 8px;
}
.proposals {
  border-left: 3px dotted var(--go);
  padding-left: 14px;
}
</style>
