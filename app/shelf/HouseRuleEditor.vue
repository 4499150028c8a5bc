<script setup lang="ts">
import { ref } from 'vue'
import { families } from '../../core/knowledge/families'
import { hazardCodes } from '../../core/knowledge/hazardCodes'
import { materialClasses } from '../../core/knowledge/materials'
import { materialGroups } from '../../core/knowledge/materialSchema'
import { adviceGrades, type HouseRule } from '../../core/records/shelf'
import { useBench } from '../bench/store'
import {
  factChoices,
  factWords,
  hazardWords,
  keepRule,
  mechanismChoices,
  mechanismWords,
  ruleForm,
} from './houseRuleWork'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

const props = defineProps<{ rule: HouseRule | null }>()
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
// As it stood when the form was opened.
const { rule: opened } = props
const form = ref(ruleForm(opened))
const { attempt } = useAttempt()
async function keep() {
  await attempt(async () => {
    if (await keepRule(bench, form.value, opened)) emit('done')
  })
}
</script>

<template>
  <form
    class="editor card"
    :aria-label="rule ? `Change the rule ${rule.name}` : 'A rule of the house'"
    @submit.prevent="keep"
  >
    <FieldPart class="wide" label="The rule in your words" name="name">
      <input v-model="form.name" class="plain" placeholder="No solvent glue indoors" maxlength="120" />
    </FieldPart>
    <FieldPart label="It says">
      <select v-model="form.verdict" class="plain">
        <option value="block">never</option>
        <option value="caution">be careful</option>
      </select>
    </FieldPart>
    <FieldPart label="with" name="about">
      <select v-model="form.glue" class="plain">
        <option value="">any glue</option>
        <optgroup label="Kinds">
          <option v-for="one in mechanismChoices" :key="one" :value="`mechanism:${one}`">
            {{ mechanismWords[one] }}
          </option>
        </optgroup>
        <optgroup label="By what the label says">
          <option v-for="one in factChoices" :key="one" :value="`fact:${one}`">{{ factWords(one) }}</option>
        </optgroup>
        <optgroup label="By hazard">
          <option v-for="one in hazardCodes" :key="one" :value="`hazard:${one}`">{{ hazardWords(one) }}</option>
        </optgroup>
        <optgroup v-if="bench.all('adhesive').length" label="On the shelf">
          <option v-for="one in bench.all('adhesive')" :key="one.id" :value="`product:${one.id}`">
            {{ one.name }}
          </option>
        </optgroup>
        <optgroup label="Families">
          <option v-for="one in families" :key="one.id" :value="`family:${one.id}`">{{ one.name }}</option>
        </optgroup>
      </select>
    </FieldPart>
    <FieldPart label="on">
      <select v-model="form.material" class="plain">
        <option value="">anything</option>
        <optgroup label="Groups">
          <option v-for="one in materialGroups" :key="one" :value="one">any {{ one }}</option>
        </optgroup>
        <optgroup v-if="bench.all('material').length" label="Own materials">
          <option v-for="one in bench.all('material')" :key="one.id" :value="one.id">{{ one.name }}</option>
        </optgroup>
        <optgroup label="Materials">
          <option v-for="one in materialClasses" :key="one.id" :value="one.id">{{ one.name }}</option>
        </optgroup>
      </select>
    </FieldPart>
    <FieldPart label="glued">
      <select v-model="form.where" class="plain">
        <option value="">anywhere</option>
        <option value="indoors">indoors</option>
        <option value="outdoors">outdoors</option>
      </select>
    </FieldPart>
    <FieldPart class="wide" label="because" name="reason">
      <input v-model="form.reason" class="plain" maxlength="400" placeholder="Headaches in the shed last winter." />
    </FieldPart>
    <FieldPart label="It rests on">
      <select v-model="form.grade" class="plain">
        <option v-for="one in adviceGrades" :key="one">{{ one }}</option>
      </select>
    </FieldPart>
    <FieldPart class="wide" label="Evidence">
      <input v-model="form.evidence" class="plain" maxlength="400" placeholder="H2-C1 to C3, peeled after a week" />
    </FieldPart>
    <FieldPart label="Look again on">
      <input v-model="form.lookAgain" class="plain" type="date" />
    </FieldPart>
    <ProblemLine class="whole" />
    <div class="acts whole">
      <v-btn class="go" type="submit">{{ rule ? 'Keep the change' : 'Set this rule' }}</v-btn>
      <v-btn class="quiet" @click="emit('done')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
  padding: 16px;
}
.wide {
  grid-column: span 2;
}
.whole {
  grid-column: 1 / -1;
}
@media (max-width: 500px) {
  .wide {
    grid-column: 1 / -1;
  }
}
</style>
