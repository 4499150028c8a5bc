<script setup lang="ts">
// Tape always means: this is written on the piece.
withDefaults(defineProps<{ size?: 'plain' | 'big' }>(), { size: 'plain' })
</script>

<template>
  <span class="tape" :class="size"><slot /></span>
</template>

<style scoped>
.tape {
  display: inline-block;
  background: var(--tape);
  color: var(--tape-ink);
  font: 650 0.875rem/1 var(--mono);
  padding: 5px 9px;
  white-space: nowrap;
  /* torn ends */
  clip-path: polygon(
    0 0,
    3px 12%,
    0 25%,
    3px 38%,
    0 50%,
    3px 63%,
    0 75%,
    3px 88%,
    0 100%,
    100% 100%,
    calc(100% - 3px) 88%,
    100% 75%,
    calc(100% - 3px) 63%,
    100% 50%,
    calc(100% - 3px) 38%,
    100% 25%,
    calc(100% - 3px) 12%,
    100% 0
  );
}
.tape.big {
  font-size: 1.5rem;
  padding: 9px 16px;
}
@media print {
  .tape {
    clip-path: none;
    border: 1px dashed #000;
  }
}
</style>
