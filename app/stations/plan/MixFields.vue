<script setup lang="ts">
import { computed, ref } from 'vue'
import { recipe } from '../../../core/planning/mix'
import { parseQuantity } from '../../../core/quantities/parse'
import { parseNumber } from '../../../core/quantities/parseNumber'
import type { Procedure } from '../../../core/records/procedure'
import { CodedError } from '../../../core/errors'
import { figure } from '../../look/figures'
import FieldPart from '../../look/FieldPart'
import { useAttempt, useRead } from '../../look/attempt'
import ProblemLine from '../../look/ProblemLine.vue'

/**
 * Dilution with water, x to y, or a blend by weight: written as a recipe for the batch that is needed, with the batch
 * noted.
 */
const props = defineProps<{ procedure: Procedure; waterBorne: boolean }>()
const emit = defineEmits<{ put: [patch: Partial<Procedure>, what: string, opened?: Partial<Procedure>] }>()
/** the mix as it stood when the form was opened */
let opened: Pick<Procedure, 'dilution' | 'blend'> = { dilution: null, blend: null }
const open = ref<'dilution' | 'blend' | null>(null)
const glue = ref('3')
const water = ref('1')
const blend = ref('')
const batch = ref('')
const grams = ref('20')
const { attempt, clear } = useAttempt()
const mixed = computed(() => props.procedure.dilution !== null || props.procedure.blend !== null)
const { value: batchG, problem: batchProblem } = useRead(
  () => parseQuantity(grams.value, 'mass', 'g', 'batch').inside * 1000,
)
const lines = computed(() => (batchG.value === null ? [] : recipe(props.procedure, batchG.value)))

const partsIn = (text: string, field: string, path = field) =>
  parseNumber(text, { path, field, example: '3', least: 0.001, most: 1e6 })
const keepDilution = () =>
  attempt(() => {
    const parts = { glue: partsIn(glue.value, 'Parts of glue'), water: partsIn(water.value, 'Parts of water') }
    emit('put', { dilution: parts, blend: null }, `diluted ${parts.glue}:${parts.water}`, opened)
    open.value = null
  })
/** “3 Milky contact; 2 School textile glue” */
const keepBlend = () =>
  attempt(() => {
    const parts = blend.value.split(';').map((one) => {
      const [, number = '', name = ''] = /^\s*([\d.,]+)\s+(.+?)\s*$/.exec(one) ?? []
      if (!name)
        throw new CodedError('wrong-shape', 'blend', {
          field: 'The blend',
          detail: 'parts and name of each, such as “3 Milky contact; 2 Textile glue”, were expected',
        })
      return { name, parts: partsIn(number, `Parts of ${name}`, 'blend') }
    })
    if (parts.length < 2)
      throw new CodedError('wrong-shape', 'blend', {
        field: 'The blend',
        detail: 'two glues or more were expected, with a semicolon between them',
      })
    emit('put', { blend: { parts, batch: batch.value.trim() }, dilution: null }, 'blended by weight', opened)
    open.value = null
  })
function start(what: 'dilution' | 'blend') {
  const { dilution, blend: mixedOf } = props.procedure
  opened = { dilution, blend: mixedOf }
  clear()
  open.value = open.value === what ? null : what
  blend.value =
    props.procedure.blend?.parts.map(({ name, parts }) => `${parts} ${name}`).join('; ') ??
    `1 ${props.procedure.name}; 1 `
  batch.value = props.procedure.blend?.batch ?? ''
}
</script>

<template>
  <div class="mix">
    <div v-if="mixed" class="recipe">
      <FieldPart label="Batch of" unit="g" :problem="batchProblem">
        <input v-model="grams" class="plain" inputmode="decimal" />
      </FieldPart>
      <ul class="num">
        <li v-for="line in lines" :key="line.name">
          <b>{{ figure(line.grams) }} g</b> {{ line.name }}
        </li>
      </ul>
      <p v-if="procedure.blend?.batch" class="mute small">batch {{ procedure.blend.batch }}</p>
      <v-btn class="quiet" @click="emit('put', { dilution: null, blend: null }, 'neat')">Use it neat</v-btn>
    </div>
    <div v-else class="acts">
      <v-btn v-if="waterBorne" class="quiet" :aria-expanded="open === 'dilution'" @click="start('dilution')"
        >Dilute with water</v-btn
      >
      <v-btn class="quiet" :aria-expanded="open === 'blend'" @click="start('blend')">Blend by weight</v-btn>
    </div>
    <form v-if="open === 'dilution'" @submit.prevent="keepDilution">
      <FieldPart label="Parts of glue">
        <input v-model="glue" class="plain" inputmode="decimal" />
      </FieldPart>
      <FieldPart label="to parts of water" name="Parts of water">
        <input v-model="water" class="plain" inputmode="decimal" />
      </FieldPart>
      <v-btn class="alt" type="submit">Dilute it</v-btn>
    </form>
    <form v-else-if="open === 'blend'" @submit.prevent="keepBlend">
      <FieldPart class="wide" label="Parts by weight, with semicolons between" name="blend">
        <input v-model="blend" class="plain" placeholder="3 Milky contact; 2 Textile glue" />
      </FieldPart>
      <FieldPart label="Batch">
        <input v-model="batch" class="plain" placeholder="24 Nov, first" maxlength="60" />
      </FieldPart>
      <v-btn class="alt" type="submit">Blend it</v-btn>
    </form>
    <ProblemLine />
  </div>
</template>

<style scoped>
.mix,
.recipe,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
}
.recipe .field,
form .field {
  flex: 0 0 110px;
}
form .wide {
  flex: 1 1 240px;
}
p {
  flex-basis: 100%;
}
</style>
