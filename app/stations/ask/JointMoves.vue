<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { insert, update } from '../../../core/records/entry'
import type { Joint } from '../../../core/records/joint'
import { nextJointCode } from '../../../core/records/openBrief'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { useBench } from '../../bench/store'
import { useBriefEditor } from './editBrief'
import FieldPart from '../../look/FieldPart'

/** A brief is copied to a similar joint, or the joint is cut in two: other faces of one place that share its load. */
const bench = useBench()
const router = useRouter()
const { view } = useBriefEditor()
const asking = ref<'copy' | 'cut' | null>(null)
const name = ref('')

function ask(what: 'copy' | 'cut') {
  asking.value = asking.value === what ? null : what
  name.value = what === 'copy' ? `${view.value.joint.name}, another` : `${view.value.joint.name}, other face`
}
async function make() {
  const { joint } = view.value
  const { brief } = joint
  const id = newId()
  const code = nextJointCode(
    bench.all('joint').map((one) => one.code),
    joint.code[0],
  )
  const made: Joint = { ...joint, id, code, name: name.value.trim() || joint.name, createdAt: stampNow() }
  if (asking.value === 'copy') {
    if (!(await bench.write(`${code} ${made.name} asked like ${joint.code}`, [insert('joint', made)], true))) return
  } else {
    // Each half carries half; the other face is another face: its state is open.
    const share = (brief.share ?? 1) / 2
    const other = {
      ...brief,
      share,
      a: { ...brief.a, state: null, traits: null },
      b: { ...brief.b, state: null, traits: null },
    }
    const changes = [update('joint', joint, { brief: { ...brief, share } }), insert('joint', { ...made, brief: other })]
    if (!(await bench.write(`${joint.code} cut in two: ${code} ${made.name}`, changes, true))) return
  }
  asking.value = null
  await router.push({ name: 'ask', params: { joint: id } })
}
</script>

<template>
  <div class="moves">
    <v-btn class="quiet" :aria-expanded="asking === 'copy'" @click="ask('copy')">Copy to a similar joint</v-btn>
    <v-btn class="quiet" :aria-expanded="asking === 'cut'" @click="ask('cut')">Cut this joint in two</v-btn>
    <form v-if="asking" @submit.prevent="make">
      <FieldPart :label="asking === 'copy' ? 'What do you call the other joint?' : 'What do you call the other part?'">
        <input v-model="name" class="plain" maxlength="80" />
      </FieldPart>
      <v-btn class="alt" type="submit">{{ asking === 'copy' ? 'Copy the brief' : 'Cut it in two' }}</v-btn>
      <p class="mute small">
        {{
          asking === 'copy'
            ? 'Every word is copied; change what is different there.'
            : 'For two faces of one place: each carries half of the load, and the other one’s faces are asked anew.'
        }}
      </p>
    </form>
  </div>
</template>

<style scoped>
.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
form {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.field {
  flex: 0 1 320px;
}
form p {
  flex-basis: 100%;
}
</style>
