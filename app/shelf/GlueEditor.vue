<script setup lang="ts">
import { computed, ref } from 'vue'
import { families, familyOf, unknownFamily } from '../../core/knowledge/families'
import { labelFactIds } from '../../core/knowledge/labelFactIds'
import { labelFactWords } from '../../core/knowledge/labelFactWords'
import { hazardCodes } from '../../core/knowledge/hazards'
import type { Adhesive, StockItem } from '../../core/records/shelf'
import { useBench } from '../bench/store'
import { capital } from '../look/figures'
import { lasting } from '../look/times'
import { glueForm, keepGlue } from './shelfWork'
import { sameGlues } from './sameGlue'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

const props = defineProps<{ adhesive: Adhesive | null; pack: StockItem | null }>()
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
// As they stood when the form was opened: what is changed elsewhere meanwhile shows when it is kept.
const { adhesive: opened, pack: openedPack } = props
const form = ref(glueForm(opened, openedPack))
const newPack = ref(false)
const { attempt } = useAttempt()
const family = computed(() => familyOf(form.value.family))
const known = computed(() => family.value.id !== unknownFamily.id)
const usual = (seconds: number) => (known.value ? `usually ${lasting(seconds)}` : 'see its label')
const alike = computed(() => sameGlues(form.value, bench.all('adhesive'), props.adhesive?.id ?? null))
const ownHazards = computed({
  get: () => form.value.hazards !== null,
  set: (own) => (form.value.hazards = own ? [...family.value.hazards] : null),
})
/** A fresh pack beside the old one: the old one stays as it was. */
function startPack() {
  newPack.value = true
  Object.assign(form.value, { batch: '', bought: '', opened: '', expires: '', left: '100' })
}
async function keep() {
  await attempt(async () => {
    if (await keepGlue(bench, form.value, opened, newPack.value ? null : openedPack)) emit('done')
  })
}
</script>

<template>
  <form
    class="editor card"
    :aria-label="adhesive ? `Change ${adhesive.name}` : 'A glue for the shelf'"
    @submit.prevent="keep"
  >
    <FieldPart class="two" label="What you call it" name="name">
      <input v-model="form.name" class="plain" placeholder="Tin contact, solvent" maxlength="80" />
    </FieldPart>
    <FieldPart class="two" label="Its family">
      <select v-model="form.family" class="plain">
        <option v-for="one in families" :key="one.id" :value="one.id">{{ one.name }}</option>
        <option :value="unknownFamily.id">not known</option>
      </select>
    </FieldPart>
    <FieldPart class="two" label="Other names it goes by, between commas">
      <input v-model="form.aliases" class="plain" placeholder="Cobbler’s tin, the yellow one" maxlength="200" />
    </FieldPart>
    <p v-if="alike.length" class="careful whole" role="status">
      May be the same as {{ alike.map(({ name }) => name).join(', ') }}, which already stands on the shelf.
    </p>
    <FieldPart label="Pack holds" name="pack size">
      <input v-model="form.packSize" class="plain" inputmode="decimal" placeholder="not known" />
    </FieldPart>
    <FieldPart label="of">
      <select v-model="form.packUnit" class="plain">
        <option v-for="unit in ['g', 'ml', 'm', 'stick', 'piece']" :key="unit">{{ unit }}</option>
      </select>
    </FieldPart>
    <FieldPart label="Price of a pack" name="price">
      <input v-model="form.packPrice" class="plain" inputmode="decimal" placeholder="not known" />
    </FieldPart>
    <fieldset class="whole">
      <legend>
        {{ newPack ? 'The new pack' : 'The pack in use' }}
        <v-btn v-if="pack && !newPack" class="quiet" @click="startPack">Start a new pack</v-btn>
      </legend>
      <FieldPart label="Batch">
        <input v-model="form.batch" class="plain" maxlength="60" />
      </FieldPart>
      <FieldPart label="Bought on">
        <input v-model="form.bought" class="plain" type="date" />
      </FieldPart>
      <FieldPart label="Opened on">
        <input v-model="form.opened" class="plain" type="date" />
      </FieldPart>
      <FieldPart label="Good until">
        <input v-model="form.expires" class="plain" type="date" />
      </FieldPart>
      <FieldPart label="Left" name="What is left, in percent," unit="%">
        <input v-model="form.left" class="plain" inputmode="decimal" />
      </FieldPart>
    </fieldset>
    <fieldset class="whole">
      <legend>What the label says, where it differs from its family. Empty means as usual.</legend>
      <FieldPart label="Wait before closing" name="wait">
        <input v-model="form.wait" class="plain" :placeholder="usual(family.waitMinS)" />
      </FieldPart>
      <FieldPart label="Hold" name="hold">
        <input v-model="form.hold" class="plain" :placeholder="usual(family.holdS)" />
      </FieldPart>
      <FieldPart label="Can be handled after" name="handling">
        <input v-model="form.handling" class="plain" :placeholder="usual(family.handlingS)" />
      </FieldPart>
      <FieldPart label="Full cure" name="full cure">
        <input v-model="form.full" class="plain" :placeholder="usual(family.fullS)" />
      </FieldPart>
      <FieldPart label="Holds to" name="heat">
        <input
          v-model="form.heat"
          class="plain"
          :placeholder="known ? `usually ${family.serviceMaxC} °C` : 'see its label'"
        />
      </FieldPart>
      <FieldPart label="Down to" name="cold">
        <input
          v-model="form.cold"
          class="plain"
          :placeholder="known ? `usually ${family.serviceMinC} °C` : 'see its label'"
        />
      </FieldPart>
      <FieldPart label="Bridges" name="gap">
        <input
          v-model="form.gap"
          class="plain"
          :placeholder="known ? `usually ${family.gapMaxMm} mm` : 'see its label'"
        />
      </FieldPart>
      <FieldPart label="Stands">
        <select v-model="form.water" class="plain">
          <option value="">as its family</option>
          <option value="no">no water</option>
          <option value="splash">splashes</option>
          <option value="wash">rain or washing</option>
          <option value="soak">soaking</option>
        </select>
      </FieldPart>
      <FieldPart label="Evaporates, % by weight" name="What evaporates, in percent,">
        <input
          v-model="form.volatile"
          class="plain"
          inputmode="decimal"
          :placeholder="`usually ${Math.round(family.volatileShare * 100)}`"
        />
      </FieldPart>
      <FieldPart label="Limit in its data sheet, mg/m³" name="limit">
        <input v-model="form.limit" class="plain" inputmode="decimal" placeholder="none typed" />
      </FieldPart>
    </fieldset>
    <fieldset class="whole">
      <legend>What else its label declares. Each takes part in every shortlist.</legend>
      <FieldPart v-for="fact in labelFactIds" :key="fact" :label="capital(labelFactWords[fact].yes)">
        <select v-model="form.facts[fact]" class="plain">
          <option value="">it does not say</option>
          <option value="yes">yes</option>
          <option value="no">no</option>
        </select>
      </FieldPart>
    </fieldset>
    <fieldset class="whole">
      <legend>
        <label
          ><input v-model="ownHazards" type="checkbox" /> Its label names other hazards than its family usually
          has</label
        >
      </legend>
      <template v-if="form.hazards">
        <label v-for="code in hazardCodes" :key="code" class="tick"
          ><input v-model="form.hazards" type="checkbox" :value="code" /> {{ code.replace(/-/g, ' ') }}</label
        >
      </template>
    </fieldset>
    <ProblemLine class="whole" />
    <div class="acts whole">
      <v-btn class="go" type="submit">{{ adhesive ? 'Keep the changes' : 'Put it on the shelf' }}</v-btn>
      <v-btn class="quiet" @click="emit('done')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.editor,
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
.editor {
  padding: 16px;
}
legend {
  font-size: 0.9375rem;
  color: var(--mute);
  padding-bottom: 8px;
}
.two {
  grid-column: span 2;
}
.whole {
  grid-column: 1 / -1;
}
.tick {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  font-size: 0.9375rem;
}
@media (max-width: 500px) {
  .two {
    grid-column: 1 / -1;
  }
}
</style>
