<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { requiredLoad, requiredStrength } from '../../../core/choice/requirement'
import { chanceToRank, SCATTER_UNTIL_KNOWN } from '../../../core/planning/replicates'
import { parseNumber, parseQuantity } from '../../../core/quantities/parse'
import { sayError } from '../../../core/messages'
import { testIds, testKinds, testsFor, type SizeKey, type TestId } from '../../../core/readings/tests'
import { useNow } from '../../bench/clock'
import { hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { figure, momentName, percent, plural } from '../../look/figures'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import TapeLabel from '../../look/TapeLabel.vue'
import type { Explanation } from '../../look/why'
import { canUnplan, firstDraft, limitLocked, makeRound, setLimit, unplan, usualSize } from './planRound'
import StepList from './StepList.vue'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const now = useNow()
const draft = ref(firstDraft(props.view))
const planned = computed(() => props.view.coupons.length > 0)
const test = computed<TestId>(() => (planned.value ? props.view.round!.test : draft.value.test))
const kind = computed(() => testKinds[test.value])
const fitting = computed(() => testsFor(props.view.joint.brief.loads ?? []))
const others = computed(() => testIds.filter((id) => !fitting.value.includes(id)))
const sizeWords: Record<SizeKey, string> = {
  widthMm: 'Width', overlapMm: 'Overlap', areaMm2: 'Bonded area', thicknessMm: 'Thickness', diameterMm: 'Diameter', innerDiameterMm: 'Inner diameter',
  armMm: 'Arm', spanMm: 'Span',
} // prettier-ignore
const sizeKeys = computed(() => Object.keys(kind.value.sizes) as SizeKey[])
const sizeText = ref<Partial<Record<SizeKey, string>>>({})
const limitText = ref('')
const problem = ref('')

function fillIn() {
  sizeText.value = Object.fromEntries(sizeKeys.value.map((key) => [key, String(draft.value.size[key] ?? '')]))
  limitText.value = String((planned.value ? props.view.round!.passLimit : draft.value.passLimit) ?? '')
}
watch(
  () => draft.value.test,
  (chosen) => {
    const limit = requiredStrength(props.view.joint.brief, chosen)
    draft.value = {
      ...draft.value,
      size: usualSize(props.view, chosen),
      passLimit: limit === null ? null : Number(limit.toPrecision(3)),
    }
    fillIn()
  },
)
watch(planned, fillIn)
fillIn()

const RATIO = 1.3
const chance = (n: number) => chanceToRank(n, RATIO)
function whyChance(n: number): Explanation {
  return {
    about: `${n} coupons of each`,
    lines: [
      `If one glue is really ${RATIO} times stronger than another, ${n} of each rank the two rightly in ${percent(chance(n))} of such rounds.`,
    ],
    formula: [
      'P = Φ(ln r / (σ · √(2/n)))',
      `= Φ(ln ${RATIO} / (${SCATTER_UNTIL_KNOWN} · √(2/${n})))`,
      `= ${chance(n).toFixed(3)}`,
    ],
    source: [`σ = ${SCATTER_UNTIL_KNOWN} is the usual scatter of home bond tests, taken until this round has its own.`],
    change: ['More coupons of each, or less scatter: the same amount, pressure, age and pull.'],
  }
}
function whyLimit(): Explanation {
  const load = requiredLoad(props.view.joint.brief)
  const { brief } = props.view.joint
  const strength = requiredStrength(brief, test.value)
  return {
    about: 'pass limit',
    lines: [
      'What counts as a pass is set before the first pull, so that no result can bend it.',
      strength === null
        ? 'Load or size of the real joint is open, so no limit follows from the brief: set your own.'
        : 'From the brief: the required load over the real bonded size.',
    ],
    formula:
      load && strength !== null
        ? [
            kind.value.unit === 'MPa' ? 'required = F / (w · L)' : 'required = F / w',
            `= ${figure(load.n)} N / ${kind.value.unit === 'MPa' ? `(${brief.widthMm} × ${brief.lengthMm}) mm²` : `${brief.widthMm} mm`}`,
            `= ${figure(strength)} ${kind.value.unit}`,
          ]
        : undefined,
    source: ['Methods: required load = share of weight × g × motion factor.'],
  }
}

/** Reads the typed sizes and limit into the draft. @throws CodedError */
function readDraft() {
  for (const key of sizeKeys.value) {
    const text = sizeText.value[key] ?? ''
    draft.value.size[key] = parseQuantity(
      text,
      key === 'areaMm2' ? 'area' : 'length',
      key === 'areaMm2' ? 'mm²' : 'mm',
      sizeWords[key],
    ).inside
  }
  draft.value.passLimit = limitText.value.trim() === '' ? null : parseNumber(limitText.value, 'pass limit').value
}
async function plan() {
  problem.value = ''
  try {
    readDraft()
    await makeRound(bench, props.view, draft.value, now.value)
  } catch (error) {
    problem.value = sayError(error)
  }
}
async function changeLimit() {
  problem.value = ''
  try {
    await setLimit(
      bench,
      props.view,
      limitText.value.trim() === '' ? null : parseNumber(limitText.value).value,
      now.value,
    )
  } catch (error) {
    problem.value = sayError(error)
  }
}
const blocks = computed(() =>
  Array.from({ length: props.view.round?.blocks ?? 0 }, (_, i) =>
    props.view.coupons.filter((coupon) => coupon.block === i + 1),
  ),
)
const enough = computed(() => props.view.procedures.length >= 1)
</script>

<template>
  <div class="plan">
    <header>
      <h1>
        {{ planned ? `${plural(view.coupons.length, 'coupon')}, ${kind.name}` : 'A fair test, before anything is cut' }}
      </h1>
      <p class="mute">{{ kind.gloss }}</p>
    </header>

    <div v-if="!enough" class="card none">
      <p>No glue is picked yet. Pick two or more; one of them a glue you already trust.</p>
      <v-btn class="go" :to="{ name: 'shortlist', params: { joint: view.joint.id } }">Pick glues</v-btn>
    </div>

    <template v-else>
      <section class="test" aria-labelledby="the-test">
        <h2 id="the-test" class="visually-hidden">The test</h2>
        <div class="picture card">
          <SeamDrawing
            :section="kind.drawing"
            :a="hatchOf(view.a)"
            :b="hatchOf(view.b)"
            :loads="[kind.loads[0]!]"
            :label="`Coupon for ${kind.name}`"
          />
        </div>
        <div v-if="!planned" class="fields">
          <label class="field">
            <span>Test, from the loads of the brief</span>
            <select v-model="draft.test" class="plain">
              <optgroup label="answers the brief">
                <option v-for="id in fitting" :key="id" :value="id">{{ testKinds[id].name }}</option>
              </optgroup>
              <optgroup label="other tests">
                <option v-for="id in others" :key="id" :value="id">{{ testKinds[id].name }}</option>
              </optgroup>
            </select>
          </label>
          <label v-for="key in sizeKeys" :key="key" class="field">
            <span>{{ sizeWords[key] }}, {{ key === 'areaMm2' ? 'mm²' : 'mm' }}</span>
            <input v-model="sizeText[key]" class="plain" inputmode="decimal" />
          </label>
          <label class="field">
            <span>Order of pulling</span>
            <select v-model="draft.order" class="plain">
              <option value="shuffled">shuffled afresh</option>
              <option value="least-trusted-first">by hand: least trusted first</option>
            </select>
          </label>
        </div>
        <ol v-else class="how">
          <li v-for="line in kind.how" :key="line">{{ line }}</li>
        </ol>
        <div class="limit">
          <div class="field">
            <div>
              <label for="pass-limit">Counts as a pass from, {{ kind.unit }}</label>
              <AskWhy :why="whyLimit">why?</AskWhy>
            </div>
            <output v-if="planned && limitLocked(view)" id="pass-limit" class="num locked">
              {{ view.round!.passLimit === null ? 'no limit was set' : `${view.round!.passLimit} ${kind.unit}` }}
            </output>
            <input
              v-else
              id="pass-limit"
              v-model="limitText"
              class="plain"
              inputmode="decimal"
              placeholder="your own limit"
              @change="planned && changeLimit()"
            />
          </div>
          <p v-if="planned && limitLocked(view)" class="mute small">
            Locked at the first pull<template v-if="view.round!.passSetAt"
              >; set {{ momentName(view.round!.passSetAt, now) }}</template
            >.
          </p>
          <p v-else class="mute small">Set it before the first pull; then it is locked.</p>
        </div>
      </section>

      <section v-if="!planned" aria-labelledby="how-many">
        <h2 id="how-many">How many of each?</h2>
        <p class="mute">The chance to rank two glues rightly when one is {{ RATIO }} times stronger.</p>
        <div class="count" role="radiogroup" aria-labelledby="how-many">
          <label v-for="n in [2, 3, 4, 5, 6, 8]" :key="n" :class="{ on: draft.blocks === n }">
            <input
              v-model="draft.blocks"
              type="radio"
              name="blocks"
              :value="n"
              :aria-label="`${n} of each, ${percent(chance(n))}`"
            />
            <b class="num">{{ n }}</b>
            <span class="num">{{ percent(chance(n)) }}</span>
          </label>
        </div>
        <p class="total">
          {{ plural(view.procedures.length, 'glue') }} × {{ draft.blocks }} =
          <AskWhy :why="() => whyChance(draft.blocks)"
            ><b class="num">{{ view.procedures.length * draft.blocks }} coupons</b></AskWhy
          >, in {{ draft.blocks }} blocks of one each, shuffled.
          <span v-if="draft.blocks < 3" class="careful">With two of each, one odd piece decides.</span>
        </p>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <v-btn class="go" @click="plan">Plan {{ view.procedures.length * draft.blocks }} coupons</v-btn>
      </section>

      <section v-else aria-labelledby="order">
        <h2 id="order">Glue in this order</h2>
        <p class="mute">
          Each block holds one of every glue, shuffled, so that a warming room or tired hands fall on all alike. Seed
          <span class="num">{{ view.round!.seed }}</span>.
        </p>
        <ol class="blocks">
          <li v-for="(coupons, i) in blocks" :key="i">
            <span class="mute">Block {{ i + 1 }}</span>
            <span class="tapes"
              ><TapeLabel v-for="coupon in coupons" :key="coupon.id">{{ coupon.label }}</TapeLabel></span
            >
          </li>
        </ol>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <div class="acts">
          <v-btn class="go" :to="{ name: 'glue', params: { joint: view.joint.id } }">Start gluing</v-btn>
          <v-btn v-if="canUnplan(view)" class="quiet" @click="unplan(bench, view)">Plan it anew</v-btn>
        </div>
      </section>

      <section aria-labelledby="procedures">
        <h2 id="procedures">Procedures</h2>
        <div class="procedures">
          <article v-for="procedure in view.procedures" :key="procedure.id" class="card">
            <h3>
              <TapeLabel>{{ view.joint.code }}-{{ procedure.letter }}</TapeLabel> {{ procedure.name }}
            </h3>
            <StepList :procedure="procedure" :locked="planned && !canUnplan(view)" />
          </article>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 24px;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.test {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) 230px;
  gap: 24px;
  align-items: start;
}
.picture {
  padding: 22px 20px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 12px;
}
.how {
  display: grid;
  gap: 8px;
  list-style: decimal;
  padding-left: 20px;
}
.limit {
  display: grid;
  gap: 6px;
}
.locked {
  font-size: 1.375rem;
  font-weight: 660;
}
.count {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 10px 0;
}
.count label {
  display: grid;
  justify-items: center;
  min-width: 92px;
  padding: 8px 14px;
  border: 1px solid var(--tick);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
.count label.on {
  border: 2px solid var(--ink);
  padding: 7px 13px;
}
.count input {
  position: absolute;
  opacity: 0;
}
.count label:focus-within {
  outline: 3px solid var(--go);
  outline-offset: 2px;
}
.count b {
  font-size: 1.375rem;
}
.total {
  margin: 6px 0 14px;
}
.blocks {
  margin: 12px 0 16px;
}
.blocks li {
  display: grid;
  grid-template-columns: 80px 1fr;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.tapes {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.acts {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.procedures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 16px;
  margin-top: 10px;
}
.procedures article {
  padding: 14px 16px;
}
.procedures h3 {
  margin-bottom: 10px;
  display: flex;
  gap: 10px;
  align-items: center;
}
@media (max-width: 900px) {
  .test {
    grid-template-columns: minmax(0, 1fr);
  }
  .picture {
    max-width: 220px;
  }
}
</style>
