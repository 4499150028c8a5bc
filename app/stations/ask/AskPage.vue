<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { families } from '../../../core/knowledge/families'
import { requiredLoad } from '../../../core/loads/requirement'
import { refusalFor } from '../../../core/care/refusal'
import { screen } from '../../../core/screening/screen'
import { situationOf } from '../../../core/situation/situation'
import { whateverTheGlue } from '../../../core/screening/whatever'
import type { JointView } from '../../bench/jointView'
import { useSetting } from '../../bench/setting'
import { useBench } from '../../bench/store'
import { editOf } from '../../bench/edits'
import { useWhy } from '../../look/why'
import { provideBriefEditor } from './editBrief'
import JointMoves from './JointMoves.vue'
import LoadPanel from './LoadPanel.vue'
import NextWord from './NextWord.vue'
import LoadSentence from './sentence/LoadSentence.vue'
import PartsSentence from './sentence/PartsSentence.vue'
import ServiceSentence from './sentence/ServiceSentence.vue'
import WorkSentence from './sentence/WorkSentence.vue'
import TradeStarts from './TradeStarts.vue'
import { useOpenWords } from './useOpenWords'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const why = useWhy()
const joint = computed(() => props.view.joint)
const setting = useSetting(() => props.view)
const openWords = useOpenWords(() => setting.value)
provideBriefEditor(
  computed(() => props.view),
  setting,
  computed(() => openWords.value.map(({ key }) => key)),
)
const findings = computed(() => {
  const { brief, a, b, room } = setting.value
  return whateverTheGlue(families.map((family) => screen(situationOf(brief, a, b, family, { room }))))
})
const ofAll = computed(() => findings.value.every((finding) => finding.families === families.length))
const refusal = computed(() => refusalFor(joint.value.brief.stakes))

const name = ref(joint.value.name)
const naming = ref(false)
/** what the joint was called when the typing began */
const nameBefore = ref(joint.value.name)
function beginNaming() {
  naming.value = true
  nameBefore.value = joint.value.name
}
watch(
  () => joint.value.name,
  (value) => !naming.value && (name.value = value),
)
function rename() {
  const wanted = name.value.trim()
  if (wanted && wanted !== joint.value.name)
    void bench.edit(`${joint.value.code} is called ${wanted}`, [
      editOf('joint', { ...joint.value, name: nameBefore.value }, { name: wanted }),
    ])
  else name.value = joint.value.name
}

const load = ref<InstanceType<typeof LoadPanel>>()
watch(
  () => [requiredLoad(joint.value.brief)?.n, joint.value.id, load.value],
  () => requiredLoad(joint.value.brief) && load.value && why.suggest(load.value.whyLoad()),
)
</script>

<template>
  <div class="ask">
    <header>
      <h1>
        <label class="visually-hidden" for="joint-name">Name of the joint</label>
        <input
          id="joint-name"
          v-model="name"
          class="name"
          maxlength="80"
          @focus="beginNaming"
          @blur="naming = false"
          @change="rename"
        />
      </h1>
      <p class="mute">Say what this joint has to do. Words left open count as unknown, never as “no”.</p>
    </header>
    <TradeStarts :view="view" />
    <div class="two">
      <div class="sentence">
        <PartsSentence />
        <LoadSentence />
        <ServiceSentence />
        <WorkSentence />
      </div>
      <LoadPanel ref="load" />
    </div>
    <p v-if="refusal" class="refusal fails" role="status">{{ refusal }}</p>
    <section v-else-if="findings.length" class="whatever" aria-labelledby="whatever">
      <h2 id="whatever">{{ ofAll ? 'Whatever the glue' : 'With most glues' }}</h2>
      <ul>
        <li v-for="finding in findings" :key="finding.text">
          {{ finding.text }}
          <span v-if="!ofAll" class="mute">{{ finding.families }} of {{ families.length }} families.</span>
        </li>
      </ul>
    </section>
    <NextWord :words="openWords" />
    <div class="acts">
      <v-btn class="go" :to="{ name: 'shortlist', params: { joint: joint.id } }">See which glues suit</v-btn>
      <JointMoves />
    </div>
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
header {
  width: 100%;
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
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 32px;
  width: 100%;
}
.sentence {
  display: grid;
  gap: 12px;
  font-size: 1.1875rem;
  line-height: 1.8;
  max-width: 38em;
}
.whatever {
  border-top: 1px solid var(--line);
  padding-top: 14px;
  width: 100%;
}
.whatever ul {
  display: grid;
  gap: 4px;
  margin-top: 6px;
}
.acts {
  gap: 8px 20px;
  align-items: start;
  width: 100%;
}
@media (max-width: 700px) {
  /* What is asked next lies over the foot of the page. */
  .ask {
    padding-bottom: 76px;
  }
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 18px;
  }
  .two > :last-child {
    order: -1;
  }
}
</style>
