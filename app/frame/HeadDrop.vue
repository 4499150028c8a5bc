<script setup lang="ts">
/** What opens below a button of the head; loaded when it is first pressed. */
defineProps<{ button: HTMLElement | null }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-menu v-model="open" :activator="button ?? undefined" :open-on-click="false"><slot /></v-menu>
</template>
