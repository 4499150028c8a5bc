<script setup lang="ts">
import { computed, ref } from 'vue'
import { families, familyOf } from '../../core/knowledge/families'
import { sayError } from '../../core/messages'
import type { Adhesive, StockItem } from '../../core/records/shelf'
import { useBench } from '../bench/store'
import { lasting } from '../look/figures'
import { glueForm, keepGlue } from './shelfWork'

const props = defineProps<{ adhesive: Adhesive | null; pack: StockItem | null }>()
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const form = ref(glueForm(props.adhesive, props.pack))
const problem = ref('')
const family = computed(() => familyOf(form.value.family))
async function keep() {
  try {
    if (await keepGlue(bench, form.value, props.adhesive, props.pack)) emit('done')
  } catch (error) {
    problem.value = sayError(error)
  }
}
</script>

<template>
  <form
    class="editor card"
    :aria-label="adhesive ? `Change ${adhesive.name}` : 'A glue for the shelf'"
    @submit.prevent="keep"
  >
    <label class="field two"
      ><span>What you call it</span
      ><input v-model="form.name" class="plain" placeholder="Tin contact, solvent" maxlength="80"
    /></label>
    <label class="field two">
      <span>Its family</span>
      <select v-model="form.family" class="plain">
        <option v-for="one in families" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <label class="field"
      ><span>Pack holds</span
      ><input v-model="form.packSize" class="plain" inputmode="decimal" :placeholder="String(family.packSize)"
    /></label>
    <label class="field"
      ><span>of</span
      ><select v-model="form.packUnit" class="plain">
        <option v-for="unit in ['g', 'ml', 'm', 'stick', 'piece']" :key="unit">{{ unit }}</option>
      </select></label
    >
    <label class="field"
      ><span>Price of a pack</span
      ><input v-model="form.packPrice" class="plain" inputmode="decimal" :placeholder="String(family.packPrice)"
    /></label>
    <label class="field"><span>Left, %</span><input v-model="form.left" class="plain" inputmode="decimal" /></label>
    <label class="field"><span>Opened on</span><input v-model="form.opened" class="plain" type="date" /></label>
    <label class="field"><span>Good until</span><input v-model="form.expires" class="plain" type="date" /></label>
    <p class="mute small whole">What the label says, where it differs from its family. Empty means as usual.</p>
    <label class="field"
      ><span>Wait before closing</span><input v-model="form.wait" class="plain" :placeholder="lasting(family.waitMinS)"
    /></label>
    <label class="field"
      ><span>Hold</span><input v-model="form.hold" class="plain" :placeholder="lasting(family.holdS)"
    /></label>
    <label class="field"
      ><span>Can be handled after</span
      ><input v-model="form.handling" class="plain" :placeholder="lasting(family.handlingS)"
    /></label>
    <label class="field"
      ><span>Full cure</span><input v-model="form.full" class="plain" :placeholder="lasting(family.fullS)"
    /></label>
    <label class="field"
      ><span>Holds to</span><input v-model="form.heat" class="plain" :placeholder="`${family.serviceMaxC} °C`"
    /></label>
    <p v-if="problem" class="problem whole" role="alert">{{ problem }}</p>
    <div class="acts whole">
      <v-btn class="go" type="submit">{{ adhesive ? 'Keep the changes' : 'Put it on the shelf' }}</v-btn>
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
.two {
  grid-column: span 2;
}
.whole {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 10px;
}
</style>
