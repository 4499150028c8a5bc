<script setup lang="ts">
import { ref } from 'vue'
import type { Reading } from '../../../core/records/reading'
import { useBench } from '../../bench/store'
import { setAside } from './pulls'
import FieldPart from '../../look/FieldPart'

/** A logged pull is set aside with a reason, never deleted. */
const props = defineProps<{ reading: Reading; label: string }>()
const emit = defineEmits<{ done: [] }>()
const bench = useBench()
const reason = ref('')
async function putAside() {
  const why = reason.value.trim()
  if (!why || !(await setAside(bench, props.label, props.reading, why))) return
  reason.value = ''
  emit('done')
}
</script>

<template>
  <form @submit.prevent="putAside">
    <FieldPart label="Or set it aside, with the reason">
      <input v-model="reason" class="plain" placeholder="wrong coupon in the grip" />
    </FieldPart>
    <v-btn class="alt" type="submit">Set aside</v-btn>
  </form>
</template>

<style scoped>
form {
  display: flex;
  gap: 10px;
  align-items: end;
  max-width: 620px;
}
.field {
  flex: 1;
}
</style>
