<script setup lang="ts">
import { ref } from 'vue'
import { useMinute } from '../bench/clock'
import type { BenchListing } from '../bench/library'
import ActButton from '../look/ActButton.vue'
import { momentName } from '../look/times'
import FieldPart from '../look/FieldPart'

/** One bench of this browser: opened, put back as it was, or taken away after a second look. */
const props = defineProps<{
  one: BenchListing
  isOpen: boolean
  /** why it could not be opened */
  broken: string | undefined
  open: () => Promise<void>
  /** keeps another name of the open bench, without space about it; an empty one is refused */
  rename: (name: string) => Promise<void>
  reset: () => Promise<void>
  away: () => Promise<void>
}>()
const now = useMinute()
const leaving = ref(false)
const name = ref<string | null>(null)
async function keepName() {
  const typed = name.value!.trim()
  await props.rename(typed)
  if (props.one.name === typed) name.value = null
}
</script>

<template>
  <li>
    <div>
      <strong>{{ one.name }}</strong>
      <span v-if="one.kind === 'demo'" class="mute"> · demo bench</span>
      <span v-if="isOpen" class="holds"> · open</span>
      <div class="mute small">opened {{ momentName(one.openedAt, now) }}</div>
      <div v-if="broken" class="fails small">cannot be opened: {{ broken }}</div>
    </div>
    <div class="acts">
      <ActButton v-if="!isOpen" class="alt" :act="open"
        >Open<span class="visually-hidden"> {{ one.name }}</span></ActButton
      >
      <v-btn v-else class="quiet" :aria-expanded="name !== null" @click="name = name === null ? one.name : null"
        >Rename<span class="visually-hidden"> {{ one.name }}</span></v-btn
      >
      <ActButton v-if="one.kind === 'demo'" class="quiet" :act="reset">Reset the demo</ActButton>
      <v-btn class="quiet" @click="leaving = true"
        >Take away<span class="visually-hidden"> {{ one.name }}</span></v-btn
      >
    </div>
    <form v-if="name !== null" class="acts whole" @submit.prevent="keepName">
      <FieldPart label="The bench is called">
        <input v-model="name" class="plain" maxlength="80" autofocus />
      </FieldPart>
      <v-btn class="alt" type="submit">Keep this name</v-btn>
    </form>
    <div v-if="leaving" class="sure" role="alert">
      <span
        >All of “{{ one.name }}” goes out of this browser for good. Save a bench file first if you may want it
        again.</span
      >
      <ActButton class="alt" :act="away">Take it away for good</ActButton>
      <v-btn class="quiet" @click="leaving = false">Keep it</v-btn>
    </div>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.whole {
  flex-basis: 100%;
  align-items: end;
}
.sure {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  border-left: 4px solid var(--fails);
  padding-left: 12px;
}
</style>
