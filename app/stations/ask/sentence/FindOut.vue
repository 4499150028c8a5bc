<script setup lang="ts">
// Ways to find out what a face is like, for a maker who does not know.
const ways = [
  [
    'Water drop',
    'It stays round: greasy, glazed, waxed or slippery plastic. It spreads: clean. It sinks in: raw and porous.',
  ],
  [
    'Clear tape',
    'Pressed on and pulled: dust or fluff on it means dusty; paint on it means the paint is the weak layer.',
  ],
  ['Scratch', 'A fingernail or pin: a skin that lifts is glaze, coating or paint; powder is sanded or raw.'],
  [
    'Swab',
    'A white cloth, damp: colour on it is paint or dye; with isopropanol, a dull smear is old glue or polish ' +
      '(not on clear plastic).',
  ],
  ['Light', 'Hold it flat to a lamp: a mirror-like sheen is glaze; dull is sanded or cut.'],
]
</script>

<template>
  <details class="find-out">
    <summary>Not sure? Find out</summary>
    <dl>
      <template v-for="[name, how] in ways" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ how }}</dd>
      </template>
    </dl>
  </details>
</template>

<style scoped>
.find-out {
  margin-top: 8px;
  padding: 8px;
  border-top: 1px solid var(--line);
  font-size: 0.9375rem;
}
summary {
  min-height: 32px;
  font-weight: 650;
}
dl {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 6px 10px;
}
dt {
  font-weight: 650;
}
dd {
  color: var(--mute);
}
</style>
