<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { digitsOf } from '../../core/quantities/figure'
import { understood } from '../../core/quantities/parseNumber'

/** Beside a field in which a number can be read in two ways: how it is read here. */
const field = shallowRef<HTMLInputElement | null>(null)
const text = ref('')
const place = ref({ left: 0, top: 0 })

const isField = (target: EventTarget | null): target is HTMLInputElement =>
  target instanceof HTMLInputElement && ['text', 'search', ''].includes(target.type)
function look(event: Event) {
  if (!isField(event.target)) return
  field.value = event.target
  text.value = event.target.value
  const { left, bottom } = event.target.getBoundingClientRect()
  place.value = { left: Math.max(8, Math.min(left, innerWidth - 240)), top: bottom + 4 }
}
const leave = () => (field.value = null)
onMounted(() => {
  for (const type of ['input', 'focusin']) document.addEventListener(type, look)
  document.addEventListener('focusout', leave)
  document.addEventListener('scroll', leave, true)
})
onBeforeUnmount(() => {
  for (const type of ['input', 'focusin']) document.removeEventListener(type, look)
  document.removeEventListener('focusout', leave)
  document.removeEventListener('scroll', leave, true)
})
const words = computed(() => {
  const read = field.value && understood(text.value)
  if (!read) return ''
  return 'as' in read
    ? `read as ${digitsOf(read.as)}`
    : `can be read in two ways: write ${read.either[0]} or ${read.either[1]}`
})
</script>

<template>
  <p
    class="understood no-print"
    role="status"
    :class="{ none: !words }"
    :style="{ left: `${place.left}px`, top: `${place.top}px` }"
  >
    {{ words }}
  </p>
</template>

<style scoped>
.understood {
  position: fixed;
  z-index: 2900;
  max-width: 232px;
  padding: 3px 8px;
  font-size: 0.875rem;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--ink);
  border-radius: var(--radius);
  pointer-events: none;
}
.none {
  border-color: transparent;
  background: none;
  padding: 0;
}
</style>
