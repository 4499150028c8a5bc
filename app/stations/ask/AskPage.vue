<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { requiredLoad } from '../../../core/choice/requirement'
import { families } from '../../../core/knowledge/families'
import { motionWords } from '../../../core/knowledge/vocabulary'
import { update } from '../../../core/records/entry'
import type { Brief, Side } from '../../../core/records/joint'
import { openWordsByEffect } from '../../../core/screening/openWords'
import { showMoney } from '../../../core/quantities/money'
import { hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import AskWhy from '../../look/AskWhy.vue'
import { figure, plural } from '../../look/figures'
import { sectionOf } from '../../look/seam/geometry'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import { useWhy, type Explanation } from '../../look/why'
import * as choices from './choices'
import DayWord from './words/DayWord.vue'
import MaterialWord from './words/MaterialWord.vue'
import PickWord from './words/PickWord.vue'
import PickWords from './words/PickWords.vue'
import TypeWord from './words/TypeWord.vue'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const joint = computed(() => props.view.joint)
const brief = computed(() => joint.value.brief)

const set = (patch: Partial<Brief>, what: string) =>
  bench.write(`${joint.value.code}: ${what}`, [update('joint', joint.value, { brief: { ...brief.value, ...patch } })])
const setSide = (side: 'a' | 'b', patch: Partial<Side>, what: string) =>
  set({ [side]: { ...brief.value[side], ...patch } } as Partial<Brief>, `side ${side.toUpperCase()}, ${what}`)
function pickMaterial(side: 'a' | 'b', material: string | null) {
  void setSide(side, { material, thicknessMm: brief.value[side].thicknessMm }, 'material')
}

const name = ref(joint.value.name)
watch(
  () => joint.value.name,
  (value) => (name.value = value),
)
function rename() {
  const wanted = name.value.trim()
  if (wanted && wanted !== joint.value.name)
    void bench.write(`${joint.value.code} is called ${wanted}`, [update('joint', joint.value, { name: wanted })])
  else name.value = joint.value.name
}

const required = computed(() => requiredLoad(brief.value))
const openWords = computed(() =>
  openWordsByEffect(brief.value, props.view.a?.cls ?? null, props.view.b?.cls ?? null).slice(0, 3),
)
const many = computed(() => (brief.value.count ?? 1) > 1)

function whyLoad(): Explanation {
  const load = required.value!
  return {
    about: 'required load',
    lines: [
      `What ${many.value ? 'each joint' : 'the joint'} must carry at least: its share of the weight, times gravity, times a factor for how it moves.`,
      ...(load.motionOpen ? ['How it moves is still open: hanging still is taken, the mildest case.'] : []),
    ],
    formula: [
      'F = mass × share × g × motion',
      `= ${figure(load.weightKg)} kg × ${figure(load.share)} × 9.81 m/s² × ${load.factor} (${motionWords[brief.value.motion ?? 'still']})`,
      `= ${figure(load.n)} N`,
    ],
    source: ['Motion factors, rule of the trade: still 1, walked 2, danced or run 3, dropped 5.'],
    change: ['Weigh the part on a kitchen scale; hang it from a luggage scale and shake it as it will be shaken.'],
  }
}

watch(
  () => [required.value?.n, joint.value.id],
  () => why.suggest(required.value ? whyLoad() : null),
  { immediate: true },
)
</script>

<template>
  <div class="ask">
    <header>
      <h1>
        <label class="visually-hidden" for="joint-name">Name of the joint</label>
        <input id="joint-name" v-model="name" class="name" maxlength="80" @change="rename" />
      </h1>
      <p class="mute">Say what this joint has to do. Words left open count as unknown, never as “no”.</p>
    </header>
    <div class="two">
      <div class="sentence">
        Join
        <MaterialWord
          label="Material of side A"
          ask="what?"
          :value="brief.a.material"
          @pick="pickMaterial('a', $event)"
        />,
        <TypeWord
          label="Thickness of side A"
          ask="how thick?"
          dimension="length"
          unit="mm"
          :least="0.01"
          :value="brief.a.thicknessMm"
          @set="setSide('a', { thicknessMm: $event }, 'thickness')"
        />,
        <PickWord
          label="Face of side A"
          ask="which face?"
          :value="brief.a.state"
          :choices="choices.stateChoices"
          @pick="setSide('a', { state: $event as Side['state'] }, 'face')"
        >
          <p class="mute small hint">
            Not sure? A water drop that stays round means greasy, glazed or slippery; a clear tape that comes off dusty
            means dust.
          </p> </PickWord
        >, to
        <MaterialWord
          label="Material of side B"
          ask="what?"
          :value="brief.b.material"
          @pick="pickMaterial('b', $event)"
        />,
        <TypeWord
          label="Thickness of side B"
          ask="how thick?"
          dimension="length"
          unit="mm"
          :least="0.01"
          :value="brief.b.thicknessMm"
          @set="setSide('b', { thicknessMm: $event }, 'thickness')"
        />,
        <PickWord
          label="Face of side B"
          ask="which face?"
          :value="brief.b.state"
          :choices="choices.stateChoices"
          @pick="setSide('b', { state: $event as Side['state'] }, 'face')"
        />, as
        <PickWord
          label="Shape of the joint"
          ask="what shape?"
          :value="brief.geometry"
          :choices="choices.geometryChoices"
          @pick="set({ geometry: $event as Brief['geometry'] }, 'shape')"
        />,
        <TypeWord
          label="Width of the glued face"
          ask="how wide?"
          dimension="length"
          unit="mm"
          :least="0.1"
          :value="brief.widthMm"
          @set="set({ widthMm: $event }, 'width')"
        />
        by
        <TypeWord
          label="Length of the glued face, along the pull"
          ask="how long?"
          dimension="length"
          unit="mm"
          :least="0.1"
          :value="brief.lengthMm"
          @set="set({ lengthMm: $event }, 'length')"
        />,
        <TypeWord
          label="How many such joints"
          ask="how many?"
          :dimension="null"
          unit=""
          :least="1"
          whole
          :value="brief.count"
          :show="(n) => `${n} of them`"
          @set="set({ count: $event }, 'number of joints')"
        />. It is
        <PickWords
          label="How it is loaded"
          ask="loaded how?"
          none="not loaded"
          :value="brief.loads"
          :choices="choices.loadChoices"
          @pick="set({ loads: $event as Brief['loads'] }, 'loads')"
        />, carrying
        <TypeWord
          label="Weight it carries"
          ask="what weight?"
          dimension="mass"
          unit="kg"
          :least="0"
          :value="brief.weightKg"
          hint="All that hangs on it."
          @set="set({ weightKg: $event }, 'weight')"
        />
        while
        <PickWord
          label="How it moves"
          ask="moving how?"
          :value="brief.motion"
          :choices="choices.motionChoices"
          @pick="set({ motion: $event as Brief['motion'] }, 'motion')"
        />; the fit leaves
        <TypeWord
          label="Gap"
          ask="some gap?"
          dimension="length"
          unit="mm"
          :least="0"
          :value="brief.gapMm"
          :presets="choices.gapPresets"
          :show="(v) => (v === 0 ? 'no gap' : `${v} mm of gap`)"
          @set="set({ gapMm: $event }, 'gap')"
        />. It meets
        <TypeWord
          label="Highest temperature"
          ask="what heat?"
          dimension="temperature"
          unit="°C"
          :value="brief.heatC"
          :presets="choices.heatPresets"
          @set="set({ heatC: $event }, 'heat')"
        />,
        <TypeWord
          label="Lowest temperature"
          ask="what cold?"
          dimension="temperature"
          unit="°C"
          :value="brief.coldC"
          :presets="choices.coldPresets"
          @set="set({ coldC: $event }, 'cold')"
        />
        and
        <PickWord
          label="Water"
          ask="rain?"
          :value="brief.water"
          :choices="choices.waterChoices"
          @pick="set({ water: $event as Brief['water'] }, 'water')"
        />; it must
        <PickWord
          label="Flexibility"
          ask="bend or not?"
          :value="brief.flex"
          :choices="choices.flexChoices"
          @pick="set({ flex: $event as Brief['flex'] }, 'flexibility')"
        />,
        <PickWord
          label="Looks"
          ask="look how?"
          :value="brief.look"
          :choices="choices.lookChoices"
          @pick="set({ look: $event as Brief['look'] }, 'looks')"
        />
        and take
        <PickWords
          label="Later work"
          ask="what later work?"
          none="no later work"
          :value="brief.later"
          :choices="choices.laterChoices"
          @pick="set({ later: $event as Brief['later'] }, 'later work')"
        />, for
        <PickWord
          label="How long it must last"
          ask="how long?"
          :value="brief.life"
          :choices="choices.lifeChoices"
          @pick="set({ life: $event as Brief['life'] }, 'life')"
        />. I glue it
        <PickWord
          label="Where it is glued"
          ask="where?"
          :value="brief.air"
          :choices="choices.airChoices"
          @pick="set({ air: $event as Brief['air'] }, 'place')"
        />, with
        <PickWords
          label="Who is there"
          ask="who there?"
          none="nobody to take special care of"
          :value="brief.users"
          :choices="choices.userChoices"
          @pick="set({ users: $event as Brief['users'] }, 'people')"
        />; it
        <PickWord
          label="Skin"
          ask="touches skin?"
          :value="brief.skin === null ? null : brief.skin ? 'yes' : 'no'"
          :choices="choices.skinChoices"
          @pick="set({ skin: $event === null ? null : $event === 'yes' }, 'skin')"
        />. I need it in service by
        <DayWord
          label="In service by"
          ask="when?"
          :value="brief.inServiceBy"
          @set="set({ inServiceBy: $event }, 'in service by')"
        />, for no more than
        <TypeWord
          label="Money for one joint"
          ask="what money?"
          :dimension="null"
          unit=""
          :least="0"
          :value="brief.maxCost"
          :show="(v) => showMoney(v, bench.bench?.currency)"
          @set="set({ maxCost: $event }, 'money')"
        />
        each.
      </div>
      <div class="side">
        <div class="card picture">
          <SeamDrawing
            :section="brief.geometry ? sectionOf[brief.geometry] : 'lap'"
            :a="hatchOf(view.a)"
            :b="hatchOf(view.b)"
            :loads="brief.loads ?? []"
            :label="`The joint in section: ${view.a?.name ?? 'side A open'} on ${view.b?.name ?? 'side B open'}`"
          />
        </div>
        <p class="mute">Required load, {{ many ? 'each joint' : 'the joint' }}</p>
        <p v-if="required" class="big num">
          <AskWhy :why="whyLoad">{{ figure(required.n) }} <small>N</small></AskWhy>
        </p>
        <p v-else class="mute">Open until the weight is said.</p>
      </div>
    </div>
    <section v-if="openWords.length" class="open" aria-labelledby="open-words">
      <h2 id="open-words">
        {{ openWords.length === 1 ? 'One open word' : `${['', '', 'Two', 'Three'][openWords.length]} open words` }}
        would change the shortlist most
      </h2>
      <ul>
        <li v-for="word in openWords" :key="word.key">
          <b>{{ choices.openQuestions[word.key]?.word ?? word.key }}.</b>
          {{ plural(word.families, 'glue') }} of {{ families.length }} {{ word.families === 1 ? 'moves' : 'move' }} with
          it. {{ choices.openQuestions[word.key]?.find }}
        </li>
      </ul>
    </section>
    <v-btn class="go" :to="{ name: 'shortlist', params: { joint: joint.id } }">See which glues suit</v-btn>
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 18px;
  justify-items: start;
}
.ask > * {
  max-width: 100%;
}
.name {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  padding: 4px 0;
  min-width: 0;
  width: min(560px, 100%);
}
.name:hover,
.name:focus {
  border-bottom-color: var(--tick);
}
header {
  width: 100%;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 32px;
  width: 100%;
}
.sentence {
  font-size: 1.3125rem;
  line-height: 1.9;
  max-width: 34em;
}
.picture {
  padding: 20px 24px;
  margin-bottom: 14px;
}
.big {
  font-size: 2.75rem;
  font-weight: 660;
  line-height: 1.15;
}
.big small {
  font-size: 1.25rem;
}
.open {
  border-top: 1px solid var(--line);
  padding-top: 14px;
  width: 100%;
}
.open ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 22px;
  margin-top: 8px;
}
.hint {
  padding: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    order: -1;
    display: grid;
    grid-template-columns: 150px 1fr;
    column-gap: 16px;
    align-items: center;
  }
  .picture {
    grid-row: span 2;
    padding: 12px;
    margin: 0;
  }
  .big {
    font-size: 2rem;
  }
}
</style>
