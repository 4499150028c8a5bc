<script setup lang="ts">
import { inSentence } from '../../../core/quantities/inSentence'
import { computed, ref, watch } from 'vue'
import { refusalFor } from '../../../core/care/refusal'
import { families } from '../../../core/knowledge/families'
import { find, namesOf } from '../../../core/knowledge/names'
import type { Helper } from '../../../core/knowledge/vocabulary'
import type { Procedure } from '../../../core/records/procedure'
import { helpersThatHelp, onlyWith, shortlist, type Candidate } from '../../../core/screening/shortlist'
import type { School } from '../../../core/screening/schools'
import type { Verdict } from '../../../core/screening/screen'
import type { JointView } from '../../bench/jointView'
import { useSetting } from '../../bench/setting'
import { useBench } from '../../bench/store'
import { plural } from '../../look/figures'
import AfterPaint from '../../look/AfterPaint.vue'
import CompareTable from './CompareTable.vue'
import GlueGroup from './GlueGroup.vue'
import NothingSuits from './NothingSuits.vue'
import PickedGlues from './PickedGlues.vue'
import { pick } from './pick'
import ShortAnswer from './ShortAnswer.vue'
import { useSchools } from './useSchools'
import { useShortAnswer } from './useShortAnswer'
import FieldPart from '../../look/FieldPart'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const setting = useSetting(() => props.view)
const candidates = computed(() => shortlist(setting.value))
const refusal = computed(() => refusalFor(props.view.joint.brief.stakes))
const helpOf = computed(() => new Map(candidates.value.map((one) => [one.key, helpersThatHelp(one, setting.value)])))

/** Lines shown at first, so that the page stays at two screens: those that suit, then some that want care. */
const LINES = 7
const LEAST_CAREFUL = 2
const pickedOf = ({ product, family }: Candidate): Procedure[] =>
  props.view.procedures.filter((one) =>
    product ? one.adhesive === product.id : one.adhesive === null && one.family === family.id,
  )
const { answer, left, take } = useShortAnswer(bench, () => props.view, candidates, helpOf, pickedOf)
const { schoolsOf, bothWays } = useSchools(bench, () => props.view, candidates)
const shelfOnly = ref(false)
const wanted = ref('')
/** A glue is found by its name, the other names it goes by, and everyday names of its family. */
const found = computed(() => {
  const own = candidates.value.map(({ key, product, family }) => ({
    id: key,
    names: [...(product ? [product.name, ...product.aliases] : []), ...namesOfFamily(family.id)],
  }))
  return wanted.value.trim() ? new Set(find(wanted.value, own, own.length)) : null
})
const namesOfFamily = (id: string) => namesOf.glue.find((one) => one.id === id)?.names ?? []
const matches = ({ key }: Candidate) => !found.value || found.value.has(key)
const shown = computed(() => candidates.value.filter((one) => (!shelfOnly.value || one.product) && matches(one)))
/** What one helper alone makes usable wants that care; it is not ruled out beside its own "9 in 10". */
const shownAs = (one: Candidate): Verdict =>
  onlyWith(one, helpOf.value.get(one.key) ?? []) ? 'caution' : one.screening.verdict
const of = (verdict: Verdict) => shown.value.filter((one) => shownAs(one) === verdict)
const lineOf = (one: Candidate) => ({
  joint: props.view.joint,
  help: refusal.value ? [] : (helpOf.value.get(one.key) ?? []),
  picked: pickedOf(one),
  compared: compared.value.includes(one.key),
  refused: refusal.value !== null,
  schools: schoolsOf(one),
  bothWays: (school: School) => bothWays(one, school),
})
const open = computed(() => props.view.progress.openWords)
/** Alone, or with the helper that the short answer takes. */
const suited = computed(
  () =>
    candidates.value.some(({ screening }) => screening.verdict === 'fit') ||
    answer.value.three.some(({ screening }) => screening.verdict === 'fit'),
)
const atFirst = computed(() => {
  if (wanted.value) return { fit: Infinity, careful: Infinity }
  const lines = LINES - (props.view.procedures.length ? 1 : 0)
  const fit = lines - LEAST_CAREFUL
  return { fit, careful: lines - Math.min(fit, of('fit').length) }
})
/** What is searched for is shown wherever it stands. */
const outOpen = ref(false)
watch(wanted, (words) => (outOpen.value = words.trim() !== '' && of('block').length > 0))
const picked = (one: Candidate, helpers: readonly Helper[], anyway: boolean) =>
  pick(bench, props.view, { family: one.family.id, product: one.product, helpers, anyway })
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
      <h1>Glues for {{ inSentence(view.joint.name) }}</h1>
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
    <PickedGlues v-if="view.procedures.length || refusal" :view="view" />
    <ShortAnswer v-if="!refusal && answer.three.length" :answer="answer" :take="take" :left="left.length" />
    <NothingSuits v-if="!suited && !refusal" :setting="setting" :some="of('caution').length > 0" />
    <div class="sift">
      <FieldPart label="Find a glue">
        <input v-model="wanted" class="plain" type="search" placeholder="contact, cobbler’s tin…" autocomplete="off" />
      </FieldPart>
      <label class="shelf-only"><input v-model="shelfOnly" type="checkbox" /> only what is on my shelf</label>
    </div>
    <CompareTable v-if="side.length && !refusal" :candidates="side" @drop="toggle" />
    <AfterPaint v-if="!refusal">
      <section aria-labelledby="group-fit">
        <h2 id="group-fit">
          Suit <span class="mute num">{{ of('fit').length }}</span>
        </h2>
        <GlueGroup
          :candidates="of('fit')"
          :shown-at-first="atFirst.fit"
          others="that suit"
          :line="lineOf"
          @pick="picked"
          @compare="({ key }) => toggle(key)"
        />
        <p v-if="!of('fit').length" class="mute">None without a but.</p>
      </section>
      <section aria-labelledby="group-caution">
        <h2 id="group-caution">
          Careful <span class="mute num">{{ of('caution').length }}</span>
        </h2>
        <GlueGroup
          :candidates="of('caution')"
          :shown-at-first="atFirst.careful"
          others="that want care"
          :line="lineOf"
          @pick="picked"
          @compare="({ key }) => toggle(key)"
        />
        <p v-if="!of('caution').length" class="mute">None.</p>
      </section>
      <details
        v-if="of('block').length"
        class="out"
        :open="outOpen"
        @toggle="outOpen = ($event.target as HTMLDetailsElement).open"
      >
        <summary>
          <h2 id="group-block">
            Ruled out <span class="mute num">{{ of('block').length }}</span>
          </h2>
        </summary>
        <AfterPaint>
          <GlueGroup
            :candidates="of('block')"
            :shown-at-first="Infinity"
            others="that are ruled out"
            :line="lineOf"
            @pick="picked"
            @compare="({ key }) => toggle(key)"
          />
        </AfterPaint>
      </details>
    </AfterPaint>
    <section v-if="refusal" aria-labelledby="record">
      <h2 id="record">Recording only</h2>
      <GlueGroup
        :candidates="shown"
        :shown-at-first="Infinity"
        others="to record"
        :line="lineOf"
        @pick="(one, helpers) => picked(one, helpers, true)"
      />
    </section>
  </div>
</template>

<style scoped>
.shortlist {
  display: grid;
  gap: 10px;
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
  padding-bottom: 4px;
}
.out summary {
  min-height: 44px;
  cursor: pointer;
  display: flex;
  align-items: center;
  gap: 10px;
}
.out summary::before {
  content: '▸';
}
.out[open] summary::before {
  content: '▾';
}
</style>
