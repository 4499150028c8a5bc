<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { parseMoney } from '../../core/quantities/parseMoney'
import type { Build } from '../../core/records/bench'
import { templateOf } from '../../core/records/template'
import { now } from '../bench/clock'
import { newId } from '../bench/ids'
import { addBench, rememberBench } from '../bench/library'
import { useBench } from '../bench/store'
import { editOf } from '../bench/edits'
import ActButton from '../look/ActButton.vue'
import FieldPart from '../look/FieldPart'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'

/** What the build is called, by when it is needed, and what it may cost; and a copy of it as a pattern for the next. */
const props = defineProps<{ build: Build }>()
const bench = useBench()
const router = useRouter()
const open = ref<'change' | 'copy' | null>(null)
const { attempt, refuse } = useAttempt()
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
  await attempt(async () => {
    if (!form.name.trim()) return refuse('Give the build a name, such as the thing you make.', 'name')
    const budget = form.money.trim() ? parseMoney(form.money, 'money') : null
    const patch = { name: form.name.trim(), inServiceBy: form.day || null, budget, what: form.what.trim() }
    if (await bench.edit(`The build: ${patch.name}`, [editOf('build', opened, patch)], [], true)) open.value = null
  })
}
async function copy() {
  await attempt(async () => {
    const name = copyName.value.trim()
    if (!name) return refuse('Give the copy a name of its own, such as “Second heron”.', 'copy')
    const id = await addBench(templateOf(bench.tables(), name.slice(0, 80), newId, now()))
    await bench.open(id)
    await rememberBench(id)
    bench.tell(`“${name}” has the joints, procedures and shelf of the other, and no readings.`)
    await router.push({ name: 'start' })
  })
}
</script>

<template>
  <div class="no-print form">
    <div v-if="open === null" class="acts">
      <v-btn class="quiet" @click="change">Change name, day or money</v-btn>
      <v-btn class="quiet" @click="open = 'copy'">Copy it as a template</v-btn>
    </div>
    <form v-else-if="open === 'change'" class="fields" @submit.prevent="keep">
      <FieldPart label="Name of the build" name="name">
        <input v-model="form.name" class="plain" maxlength="80" />
      </FieldPart>
      <FieldPart label="In service by">
        <input v-model="form.day" type="date" class="plain" />
      </FieldPart>
      <FieldPart label="Money for glue" name="money" :unit="bench.bench?.currency || 'in your money'">
        <input v-model="form.money" class="plain" inputmode="decimal" placeholder="60" />
      </FieldPart>
      <FieldPart class="wide" label="What it is">
        <input v-model="form.what" class="plain" maxlength="400" />
      </FieldPart>
      <div class="acts wide">
        <v-btn class="go" type="submit">Keep the change</v-btn>
        <v-btn class="quiet" @click="open = null">Leave it</v-btn>
      </div>
    </form>
    <form v-else class="fields" @submit.prevent="copy">
      <p class="wide mute">
        A new bench with these joints, procedures, planned tests, shelf and rules, and with no coupons and no readings.
      </p>
      <FieldPart label="Name of the new bench" name="copy">
        <input v-model="copyName" class="plain" maxlength="80" placeholder="Second heron" />
      </FieldPart>
      <div class="acts wide">
        <ActButton class="go" :act="copy">Copy it and open the copy</ActButton>
        <v-btn class="quiet" @click="open = null">Leave it</v-btn>
      </div>
    </form>
    <ProblemLine />
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
</style>
