<script setup lang="ts">
import { materialOf } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import { useBriefEditor } from '../editBrief'
import BriefWord from '../words/BriefWord.vue'
import MaterialWord from '../words/MaterialWord.vue'
import FindOut from './FindOut.vue'
import LineEnd from './LineEnd.vue'

// What is joined: materials, faces, shape, size, how many.
const bench = useBench()
const { brief, setSide, view } = useBriefEditor()
/** An own material of one thickness brings it along. */
function pick(side: 'a' | 'b', material: string | null) {
  const own = materialOf(bench, material)
  const thicknessMm = own?.thicknessMm ?? brief.value[side].thicknessMm
  void setSide(side, { material, thicknessMm }, 'material', `material of side ${side.toUpperCase()}`)
}
</script>

<template>
  <p>
    Join
    <template v-for="side in ['a', 'b'] as const" :key="side">
      <template v-if="side === 'b'">to </template>
      <MaterialWord
        :label="`Material of side ${side.toUpperCase()}`"
        ask="what?"
        :value="brief[side].material"
        :word="`${side}.material`"
        :proposed="view.joint.proposed?.includes(`${side}.material`)"
        @pick="pick(side, $event)"
      />, <BriefWord of="thicknessMm" :side="side" />, <BriefWord of="state" :side="side"><FindOut /></BriefWord>,
    </template>
    as <BriefWord of="geometry" />, <BriefWord of="widthMm" /> by <BriefWord of="lengthMm" />,
    <BriefWord of="count" />.<LineEnd line="parts" />
  </p>
</template>
