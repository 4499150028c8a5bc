<script setup lang="ts">
import { computed, ref } from 'vue'
import { refusalFor } from '../../../core/care/refusal'
import { families } from '../../../core/knowledge/families'
import type { Procedure } from '../../../core/records/round'
import { helpersThatHelp, shortlist, type Candidate } from '../../../core/screening/shortlist'
import type { Verdict } from '../../../core/screening/screen'
import type { JointView } from '../../bench/jointView'
import { useSetting } from '../../bench/setting'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import CompareTable from './CompareTable.vue'
import GlueLine from './GlueLine.vue'
import NothingSuits from './NothingSuits.vue'
import PickedGlues from './PickedGlues.vue'
import { pick } from './pick'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const setting = useSetting(() => props.view)
const candidates = computed(() => shortlist(setting.value))
const refusal = computed(() => refusalFor(props.view.joint.brief.stakes))
const helpOf = computed(() => new Map(candidates.value.map((one) => [one.key, helpersThatHelp(one, setting.value)])))

const groups: { verdict: Verdict; title: string; empty: string }[] = [
  { verdict: 'fit', title: 'Suit', empty: 'None without a but.' },
  { verdict: 'caution', title: 'Careful', empty: 'None.' },
  { verdict: 'block', title: 'Ruled out', empty: 'None.' },
]
const shelfOnly = ref(false)
const wanted = ref('')
/** A glue is found by its name, its family, and the other names it goes by. */
const matches = ({ product, family }: Candidate) =>
  [product?.name ?? '', ...(product?.aliases ?? []), family.name, family.id].some((name) =>
    name.toLowerCase().includes(wanted.value.trim().toLowerCase()),
  )
const shown = computed(() => candidates.value.filter((one) => (!shelfOnly.value || one.product) && matches(one)))
const of = (verdict: Verdict) => shown.value.filter(({ screening }) => screening.verdict === verdict)
const pickedOf = ({ product, family }: Candidate): Procedure[] =>
  props.view.procedures.filter((one) =>
    product ? one.adhesive === product.id : one.adhesive === null && one.family === family.id,
  )
const open = computed(() => props.view.progress.openWords)
const suited = computed(() => candidates.value.some(({ screening }) => screening.verdict === 'fit'))
const house = computed(
  () => candidates.value.filter(({ screening }) => screening.reasons.some((reason) => reason.house)).length,
)

const MOST_COMPARED = 3
const compared = ref<string[]>([])
const side = computed(() => compared.value.flatMap((key) => candidates.value.find((one) => one.key === key) ?? []))
function toggle(key: string) {
  compared.value = compared.value.includes(key)
    ? compared.value.filter((one) => one !== key)
    : [...compared.value, key].slice(-MOST_COMPARED)
}
</script>

<template>
  <div class="shortlist">
    <header>
      <h1>Glues for {{ view.joint.name.toLowerCase() }}</h1>
      <p class="mute">
        {{ families.length }} families judged by the rules of the trade<template v-if="house"
          >, {{ plural(house, 'glue') }} also by
          <router-link :to="{ name: 'shelf', hash: '#house-rules' }">rules of the house</router-link></template
        >. A rule is a reason to test, not a verdict for ever.
        <router-link v-if="open" :to="{ name: 'ask', params: { joint: view.joint.id } }"
          >{{ plural(open, 'word is', 'words are') }} still needed.</router-link
        >
      </p>
    </header>
    <p v-if="refusal" class="refusal fails" role="status">{{ refusal }}</p>
    <PickedGlues :view="view" />
    <div class="sift">
      <label class="field"
        ><span>Find a glue</span
        ><input v-model="wanted" class="plain" type="search" placeholder="contact, cobbler’s tin…" autocomplete="off"
      /></label>
      <label class="shelf-only"><input v-model="shelfOnly" type="checkbox" /> only what is on my shelf</label>
    </div>
    <CompareTable v-if="side.length && !refusal" :candidates="side" @drop="toggle" />
    <NothingSuits v-if="!suited && !refusal" :setting="setting" :some="of('caution').length > 0" />
    <section v-for="group in refusal ? [] : groups" :key="group.verdict" :aria-labelledby="`group-${group.verdict}`">
      <h2 :id="`group-${group.verdict}`">
        {{ group.title }} <span class="mute num">{{ of(group.verdict).length }}</span>
      </h2>
      <ul>
        <GlueLine
          v-for="one in of(group.verdict)"
          :key="one.key"
          :candidate="one"
          :help="helpOf.get(one.key) ?? []"
          :picked="pickedOf(one)"
          :compared="compared.includes(one.key)"
          :refused="false"
          @pick="
            (helpers, anyway) => pick(bench, view, { family: one.family.id, product: one.product, helpers, anyway })
          "
          @compare="toggle(one.key)"
        />
      </ul>
      <p v-if="!of(group.verdict).length" class="mute">{{ group.empty }}</p>
    </section>
    <section v-if="refusal" aria-labelledby="record">
      <h2 id="record">Recording only</h2>
      <ul>
        <GlueLine
          v-for="one in shown"
          :key="one.key"
          :candidate="one"
          :help="[]"
          :picked="pickedOf(one)"
          :compared="false"
          refused
          @pick="(helpers) => pick(bench, view, { family: one.family.id, product: one.product, helpers, anyway: true })"
        />
      </ul>
    </section>
  </div>
</template>

<style scoped>
.shortlist {
  display: grid;
  gap: 18px;
}
.shortlist > * {
  min-width: 0;
}
.sift {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: end;
}
.sift .field {
  flex: 0 1 300px;
}
.shelf-only {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
section > h2 {
  padding-bottom: 8px;
}
</style>
