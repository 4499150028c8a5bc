<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { saidTested, type SaidTested } from '../../core/evidence/byPair'
import type { PairEvidence } from '../../core/evidence/pairEvidence'
import { exposureKinds, exposureRows } from '../../core/knowledge/exposures'
import { families } from '../../core/knowledge/families'
import { materialClasses } from '../../core/knowledge/materials'
import { insert, remove } from '../../core/records/entry'
import type { Said } from '../../core/records/learned'
import { adviceGrades } from '../../core/records/shelf'
import { stampNow, useMinute } from '../bench/clock'
import { newId } from '../bench/ids'
import { classOfMaterial, materialOf } from '../bench/jointView'
import { useBench } from '../bench/store'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import VerdictMark, { type Tone } from '../look/VerdictMark.vue'
import { familyName } from './evidenceWords'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** What others said: noted with its source, and whether it was tested here since. */
const props = defineProps<{ evidence: readonly PairEvidence[] }>()
const bench = useBench()
const minute = useMinute()
const list = computed(() =>
  bench
    .all('said')
    .sort((x, y) => y.at - x.at)
    .map((said) => ({ said, tested: saidTested(said, props.evidence, classOfMaterial(bench)) })),
)
const tones: Record<SaidTested['outcome'], Tone> = {
  'not tested': 'unknown',
  agrees: 'holds',
  disagrees: 'fails',
  'cannot tell': 'careful',
}
const testedWords = ({ pulls, outcome }: SaidTested) =>
  outcome === 'not tested' ? 'not tested here' : `${outcome}, ${plural(pulls, 'pull')} here`
const materialName = (id: string | null) => (id === null ? 'anything' : (materialOf(bench, id)?.name ?? id))
const about = ({ family, adhesive, a, b, exposure }: Said) =>
  [
    adhesive ? bench.get('adhesive', adhesive)?.name : family ? familyName(family) : 'any glue',
    a || b ? `${materialName(a)} to ${materialName(b)}` : '',
    exposure ? `after ${exposureRows[exposure].name}` : '',
  ]
    .filter(Boolean)
    .join(', ')

const open = ref(false)
const { clear, refuse } = useAttempt()
const blank = () => ({
  who: '',
  what: '',
  says: 'holds' as Said['says'],
  glue: '',
  a: '',
  b: '',
  exposure: '' as NonNullable<Said['exposure']> | '',
  grade: 'hearsay' as Said['grade'],
})
const form = reactive(blank())
const glues = computed(() => [
  ...bench.all('adhesive').map(({ id, name }) => ({ value: `shelf ${id}`, name })),
  ...families.map(({ id, name }) => ({ value: `family ${id}`, name })),
])
const materials = computed(() => [
  ...bench.all('material').map(({ id, name }) => ({ id, name })),
  ...materialClasses.map(({ id, name }) => ({ id, name })),
])
async function note() {
  const [who, what] = [form.who.trim(), form.what.trim()]
  if (!who || !what)
    return refuse(
      'Say who said it, and what: “the shop assistant”, “holds leather to wood”.',
      who ? 'What was said' : 'By whom, or where it stands',
    )
  clear()
  const [kind, id] = form.glue.split(' ')
  const product = kind === 'shelf' ? bench.get('adhesive', id!) : null
  const said: Said = {
    id: newId(),
    who,
    what,
    says: form.says,
    family: product?.family ?? (kind === 'family' ? id! : null),
    adhesive: product?.id ?? null,
    a: form.a || null,
    b: form.b || null,
    exposure: form.exposure || null,
    grade: form.grade,
    at: stampNow(),
    lookAgainOn: null,
  }
  if (!(await bench.write(`Note what ${who} said`, [insert('said', said)], true))) return
  Object.assign(form, blank())
  open.value = false
}
const drop = (said: Said) => bench.write(`Drop what ${said.who} said`, [remove('said', said)], true)
</script>

<template>
  <section aria-labelledby="said">
    <div class="title">
      <h2 id="said">What others said</h2>
      <v-btn v-if="!open" class="alt no-print" @click="open = true">Note what somebody said</v-btn>
    </div>
    <form v-if="open" class="note" @submit.prevent="note">
      <FieldPart class="wide" label="What was said">
        <input v-model="form.what" class="plain" maxlength="400" placeholder="Holds leather to wood when wet" />
      </FieldPart>
      <FieldPart label="By whom, or where it stands">
        <input v-model="form.who" class="plain" maxlength="120" placeholder="the shop assistant" />
      </FieldPart>
      <FieldPart label="Which way it points">
        <select v-model="form.says" class="plain">
          <option value="holds">it holds</option>
          <option value="fails">it fails</option>
          <option value="something else">something else</option>
        </select>
      </FieldPart>
      <FieldPart label="Glue">
        <select v-model="form.glue" class="plain">
          <option value="">any glue</option>
          <option v-for="one in glues" :key="one.value" :value="one.value">{{ one.name }}</option>
        </select>
      </FieldPart>
      <FieldPart v-for="side in ['a', 'b'] as const" :key="side" :label="side === 'a' ? 'One material' : 'The other'">
        <select v-model="form[side]" class="plain">
          <option value="">any</option>
          <option v-for="one in materials" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </FieldPart>
      <FieldPart label="After">
        <select v-model="form.exposure" class="plain">
          <option value="">nothing: as it is, dry</option>
          <option v-for="one in exposureKinds" :key="one" :value="one">{{ exposureRows[one].name }}</option>
        </select>
      </FieldPart>
      <FieldPart label="How good a source">
        <select v-model="form.grade" class="plain">
          <option v-for="one in adviceGrades" :key="one" :value="one">{{ one }}</option>
        </select>
      </FieldPart>
      <ProblemLine class="wide" />
      <div class="wide acts">
        <v-btn class="go" type="submit">Note it</v-btn>
        <v-btn class="quiet" @click="open = false">Leave it</v-btn>
      </div>
    </form>
    <p v-if="!list.length && !open" class="mute">
      What a shop, a label, a friend or a forum says of a glue: noted here, it is told apart from what was tested.
    </p>
    <ul>
      <li v-for="{ said, tested } in list" :key="said.id">
        <VerdictMark :tone="tones[tested.outcome]" :word="testedWords(tested)" />
        <div>
          <p>“{{ said.what }}”</p>
          <p class="mute small">
            {{ said.who }} · {{ said.grade }} · {{ about(said) }} · {{ momentName(said.at, minute) }}
          </p>
        </div>
        <v-btn class="quiet no-print" :aria-label="`Drop what ${said.who} said`" @click="drop(said)">Drop</v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 10px;
}
.note {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 12px;
  padding: 12px 0;
}
.wide {
  grid-column: 1 / -1;
}
li {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) auto;
  gap: 6px 16px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 9px 0;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
