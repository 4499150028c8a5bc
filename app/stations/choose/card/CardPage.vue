<script setup lang="ts">
import { computed, onScopeDispose, ref, useTemplateRef, watchEffect } from 'vue'
import { useRouter } from 'vue-router'
import { sayError } from '../../../../core/messages'
import { useJoint } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import { saveBlob } from '../../../frame/saveFile'
import ActButton from '../../../look/ActButton.vue'
import OneOf from '../../../look/OneOf.vue'
import { styleNonce } from '../../../look/served'
import CardSheet from './CardSheet.vue'
import { pictureOf } from './picture'
import { useAttempt } from '../../../look/attempt'
import ProblemLine from '../../../look/ProblemLine.vue'

/** The decided joint's card: printed as A5 or A6, or sent as a picture. */
const props = defineProps<{ joint: string }>()
const bench = useBench()
const router = useRouter()
const view = useJoint(() => props.joint)
const decision = computed(() => view.value?.decision ?? null)
const procedure = computed(() => bench.get('procedure', decision.value?.procedure ?? null))
const round = computed(() => bench.get('round', decision.value?.round ?? null))
const size = ref<'A5' | 'A6'>('A5')
const sizes = [
  { value: 'A5', words: 'A5, 148 × 210 mm' },
  { value: 'A6', words: 'A6, 105 × 148 mm' },
] as const
const address = computed(
  () => new URL(router.resolve({ name: 'card', params: { joint: props.joint } }).href, location.href).href,
)
const sheet = useTemplateRef<HTMLElement>('sheet')
const { clear, refuse } = useAttempt()

// The paper's size is the print's alone, and goes with this page.
const paper = document.createElement('style')
paper.nonce = styleNonce()
watchEffect(() => {
  const [width, height, margin] = size.value === 'A5' ? [148, 210, 9] : [105, 148, 6]
  paper.textContent = `@page { size: ${width}mm ${height}mm; margin: ${margin}mm }`
})
document.head.append(paper)
onScopeDispose(() => paper.remove())

const printIt = () => window.print()
async function picture(then: (file: File) => Promise<void> | void): Promise<boolean> {
  clear()
  try {
    const blob = await pictureOf(sheet.value!.querySelector<HTMLElement>('[data-card]')!)
    await then(new File([blob], `${view.value!.joint.code.toLowerCase()}-card.png`, { type: 'image/png' }))
    return true
  } catch (error) {
    // Who closes the list of where it may be sent has changed their mind.
    if (error instanceof DOMException && error.name === 'AbortError') return true
    refuse(`The picture could not be made: ${sayError(error)}`)
    return false
  }
}
const save = () => picture((file) => saveBlob(file.name, file))
const send = () => picture((file) => navigator.share({ files: [file], title: file.name }))
const canSend = computed(() => {
  const probe = new File([], 'card.png', { type: 'image/png' })
  return typeof navigator.canShare === 'function' && navigator.canShare({ files: [probe] })
})
</script>

<template>
  <main id="work" class="page">
    <div class="acts no-print">
      <v-btn class="alt" :to="{ name: 'choose', params: { joint } }">Back to the choice</v-btn>
      <template v-if="decision">
        <OneOf v-model="size" label="Size of the card" :options="sizes" />
        <v-btn class="go" @click="printIt">Print this card</v-btn>
        <ActButton v-if="canSend" class="alt" :act="send">Send it as a picture</ActButton>
        <ActButton class="alt" :act="save">Save it as a picture</ActButton>
        <v-btn class="alt" :to="{ name: 'glue', params: { joint } }">Glue the build’s joints</v-btn>
      </template>
    </div>
    <ProblemLine />
    <template v-if="!view || !decision || !procedure || !round">
      <h1>No card yet</h1>
      <p>
        Nothing is decided for this joint yet: the card is made from the decision. If you came by the code on a card,
        open the bench on which it was decided.
      </p>
    </template>
    <div v-else ref="sheet">
      <CardSheet v-bind="{ view, decision, procedure, round, address }" :small="size === 'A6'" />
    </div>
  </main>
</template>

<style scoped>
.page {
  display: block;
  max-width: none;
}
.acts {
  margin-bottom: 18px;
}
@media print {
  .page {
    padding: 0;
  }
}
</style>
