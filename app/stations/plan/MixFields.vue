<script setup lang="ts">
import { computed, ref } from 'vue'
import { sayError } from '../../../core/messages'
import { recipe } from '../../../core/planning/mix'
import { parseNumber, parseQuantity } from '../../../core/quantities/parse'
import type { Procedure } from '../../../core/records/round'
import { CodedError } from '../../../core/errors'
import { figure } from '../../look/figures'

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
const problem = ref('')
const mixed = computed(() => props.procedure.dilution !== null || props.procedure.blend !== null)
const batchG = computed((): number | CodedError => {
  try {
    return parseQuantity(grams.value, 'mass', 'g', 'batch').inside * 1000
  } catch (error) {
    return error as CodedError
  }
})
const lines = computed(() => (typeof batchG.value === 'number' ? recipe(props.procedure, batchG.value) : []))

const partsIn = (text: string, field: string) => parseNumber(text, { field, example: '3', least: 0.001, most: 1e6 })
function keepDilution() {
  try {
    const parts = { glue: partsIn(glue.value, 'Parts of glue'), water: partsIn(water.value, 'Parts of water') }
    emit('put', { dilution: parts, blend: null }, `diluted ${parts.glue}:${parts.water}`, opened)
    open.value = null
  } catch (error) {
    problem.value = sayError(error)
  }
}
/** “3 Milky contact; 2 School textile glue” */
function keepBlend() {
  try {
    const parts = blend.value.split(';').map((one) => {
      const [, number = '', name = ''] = /^\s*([\d.,]+)\s+(.+?)\s*$/.exec(one) ?? []
      if (!name)
        throw new CodedError('wrong-shape', 'blend', {
          field: 'The blend',
          detail: 'parts and name of each, such as “3 Milky contact; 2 Textile glue”, were expected',
        })
      return { name, parts: partsIn(number, `Parts of ${name}`) }
    })
    if (parts.length < 2)
      throw new CodedError('wrong-shape', 'blend', {
        field: 'The blend',
        detail: 'two glues or more were expected, with a semicolon between them',
      })
    emit('put', { blend: { parts, batch: batch.value.trim() }, dilution: null }, 'blended by weight', opened)
    open.value = null
  } catch (error) {
    problem.value = sayError(error)
  }
}
function start(what: 'dilution' | 'blend') {
  const { dilution, blend: mixedOf } = props.procedure
  opened = { dilution, blend: mixedOf }
  problem.value = ''
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
      <label class="field"><span>Batch of, g</span><input v-model="grams" class="plain" inputmode="decimal" /></label>
      <p v-if="typeof batchG !== 'number'" class="problem" role="alert">{{ sayError(batchG) }}</p>
      <ul class="num">
        <li v-for="line in lines" :key="line.name">
          <b>{{ figure(line.grams) }} g</b> {{ line.name }}
        </li>
      </ul>
      <p v-if="procedure.blend?.batch" class="mute small">batch {{ procedure.blend.batch }}</p>
      <v-btn class="quiet" @click="emit('put', { dilution: null, blend: null }, 'neat')">Use it neat</v-btn>
    </div>
    <template v-else>
      <v-btn v-if="waterBorne" class="quiet" :aria-expanded="open === 'dilution'" @click="start('dilution')"
        >Dilute with water</v-btn
      >
      <v-btn class="quiet" :aria-expanded="open === 'blend'" @click="start('blend')">Blend by weight</v-btn>
    </template>
    <form v-if="open === 'dilution'" @submit.prevent="keepDilution">
      <label class="field"><span>Parts of glue</span><input v-model="glue" class="plain" inputmode="decimal" /></label>
      <label class="field"
        ><span>to parts of water</span><input v-model="water" class="plain" inputmode="decimal"
      /></label>
      <v-btn class="alt" type="submit">Dilute it</v-btn>
    </form>
    <form v-else-if="open === 'blend'" @submit.prevent="keepBlend">
      <label class="field wide"
        ><span>Parts by weight, with semicolons between</span
        ><input v-model="blend" class="plain" placeholder="3 Milky contact; 2 Textile glue"
      /></label>
      <label class="field"
        ><span>Batch</span><input v-model="batch" class="plain" placeholder="24 Nov, first" maxlength="60"
      /></label>
      <v-btn class="alt" type="submit">Blend it</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
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
