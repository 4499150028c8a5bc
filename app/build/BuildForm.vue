<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { sayError } from '../../core/messages'
import { parseMoney } from '../../core/quantities/parseMoney'
import type { Build } from '../../core/records/bench'
import { templateOf } from '../../core/records/template'
import { now } from '../bench/clock'
import { newId } from '../bench/ids'
import { addBench, rememberBench } from '../bench/library'
import { editOf, useBench } from '../bench/store'
import ActButton from '../look/ActButton.vue'

/** What the build is called, by when it is needed, and what it may cost; and a copy of it as a pattern for the next. */
const props = defineProps<{ build: Build }>()
const bench = useBench()
const router = useRouter()
const open = ref<'change' | 'copy' | null>(null)
const problem = ref('')
let opened = props.build
const form = reactive({ name: '', day: '', money: '', what: '' })
const copyName = ref('')

function change() {
  opened = props.build
  const { name, inServiceBy, budget, what } = opened
  Object.assign(form, { name, day: inServiceBy ?? '', money: budget === null ? '' : String(budget), what })
  open.value = 'change'
}
async function keep() {
  problem.value = ''
  try {
    if (!form.name.trim()) throw new Error('Give the build a name, such as the thing you make.')
    const budget = form.money.trim() ? parseMoney(form.money, 'money') : null
    const patch = { name: form.name.trim(), inServiceBy: form.day || null, budget, what: form.what.trim() }
    if (await bench.edit(`The build: ${patch.name}`, [editOf('build', opened, patch)], [], true)) open.value = null
  } catch (error) {
    problem.value = sayError(error)
  }
}
async function copy() {
  problem.value = ''
  try {
    const name = copyName.value.trim()
    if (!name) throw new Error('Give the copy a name of its own, such as “Second heron”.')
    const id = await addBench(templateOf(bench.tables(), name.slice(0, 80), newId, now()))
    await bench.open(id)
    await rememberBench(id)
    bench.tell(`“${name}” has the joints, procedures and shelf of the other, and no readings.`)
    await router.push({ name: 'start' })
  } catch (error) {
    problem.value = sayError(error)
  }
}
</script>

<template>
  <div class="no-print form">
    <div v-if="open === null" class="acts">
      <v-btn class="quiet" @click="change">Change name, day or money</v-btn>
      <v-btn class="quiet" @click="open = 'copy'">Copy it as a template</v-btn>
    </div>
    <form v-else-if="open === 'change'" class="fields" @submit.prevent="keep">
      <label class="field"
        ><span>Name of the build</span><input v-model="form.name" class="plain" maxlength="80"
      /></label>
      <label class="field"><span>In service by</span><input v-model="form.day" type="date" class="plain" /></label>
      <label class="field"
        ><span>Money for glue, {{ bench.bench?.currency || 'in your money' }}</span
        ><input v-model="form.money" class="plain" inputmode="decimal" placeholder="60"
      /></label>
      <label class="field wide"
        ><span>What it is</span><input v-model="form.what" class="plain" maxlength="400"
      /></label>
      <div class="acts wide">
        <v-btn class="go" type="submit">Keep the change</v-btn>
        <v-btn class="quiet" @click="open = null">Leave it</v-btn>
      </div>
    </form>
    <form v-else class="fields" @submit.prevent="copy">
      <p class="wide mute">
        A new bench with these joints, procedures, planned tests, shelf and rules, and with no coupons and no readings.
      </p>
      <label class="field"
        ><span>Name of the new bench</span
        ><input v-model="copyName" class="plain" maxlength="80" placeholder="Second heron"
      /></label>
      <div class="acts wide">
        <ActButton class="go" :act="copy">Copy it and open the copy</ActButton>
        <v-btn class="quiet" @click="open = null">Leave it</v-btn>
      </div>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 12px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
