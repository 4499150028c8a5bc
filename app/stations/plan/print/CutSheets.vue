<script setup lang="ts">
import { computed, ref } from 'vue'
import { nest, type NestedSheet, type Sheet } from '../../../../core/coupons/nest'
import { cutList } from '../../../../core/coupons/pieces'
import { tilesOf } from '../../../../core/formats/tiles'
import { parseNumber } from '../../../../core/quantities/parseNumber'
import { insert, remove } from '../../../../core/records/entry'
import type { Offcut } from '../../../../core/records/shelf'
import { newId } from '../../../bench/ids'
import type { JointView, KnownMaterial } from '../../../bench/jointView'
import { useBench } from '../../../bench/store'
import { plural } from '../../../look/figures'
import CutPage from './CutPage.vue'
import PrintedPair from './PrintedPair.vue'
import FieldPart from '../../../look/FieldPart'
import { useAttempt, useRead } from '../../../look/attempt'
import ProblemLine from '../../../look/ProblemLine.vue'

/** What to cut of each material, nested on the maker's own offcuts, at true size over as many pages as it takes. */
const props = defineProps<{ view: JointView }>()
const bench = useBench()
const each = computed(() => props.view.round!.procedures.length * props.view.round!.blocks)
const list = computed(() => cutList(props.view.round!.arms, each.value))
/** Saws take a millimetre and a half, knives and scissors nothing. */
const sawn = new Set(['wood', 'sheet', 'hard', 'thermoform', 'print'])
const kerfText = ref('1.5')
const { value: kerfMm, problem: kerfProblem } = useRead(() =>
  parseNumber(kerfText.value, { field: 'The saw cut, mm,', example: '1.5', unit: 'mm', least: 0, most: 10 }),
)
/** One page of the printer: what is bought is cut down to it. */
const usualSheet = { widthMm: 190, heightMm: 260 }
const GRAINED = new Set(['textile', 'paper', 'wood', 'leather'])

interface OfSide {
  side: 'a' | 'b'
  material: KnownMaterial | null
  grain: boolean
  offcuts: Offcut[]
}
const sides = computed((): OfSide[] =>
  (['a', 'b'] as const).map((side) => {
    const material = props.view[side]
    return {
      side,
      material,
      grain: GRAINED.has(material?.cls.group ?? ''),
      offcuts: material ? bench.of('offcut', material.id) : [],
    }
  }),
)
const nested = computed(() =>
  sides.value.map((one) => {
    const lines = list.value.filter(({ side }) => side === one.side)
    const own: Sheet[] = one.offcuts.map(({ widthMm, heightMm, count }) => ({ widthMm, heightMm, count }))
    const cut = sawn.has(one.material?.cls.group ?? '') ? (kerfMm.value ?? 0) : 0
    const tall = Math.max(usualSheet.heightMm, ...lines.map(({ lengthMm }) => lengthMm))
    return {
      ...one,
      lines,
      nesting: nest(lines, [...own, { ...usualSheet, heightMm: tall, count: null }], cut, one.grain),
    }
  }),
)

/** Pages on which nothing is to be cut are not printed. */
const tilesWithPieces = (sheet: NestedSheet) =>
  tilesOf(sheet.widthMm, sheet.heightMm).filter((tile) =>
    sheet.pieces.some(
      (p) =>
        p.xMm < tile.xMm + tile.widthMm &&
        p.xMm + p.widthMm > tile.xMm &&
        p.yMm < tile.yMm + tile.heightMm &&
        p.yMm + p.heightMm > tile.yMm,
    ),
  )

const form = ref({ side: 'a' as 'a' | 'b', width: '', height: '', count: '1' })
const { attempt, refuse } = useAttempt()
async function addOffcut() {
  const material = props.view[form.value.side]
  if (!material) return refuse('Say the material of this side first, at Ask.', 'Side')
  await attempt(async () => {
    const { width, height, count } = form.value
    const side = (text: string, field: string) =>
      parseNumber(text, { field, example: '210', unit: 'mm', least: 1, most: 100_000 })
    const sizes = { widthMm: side(width, 'The width, mm,'), heightMm: side(height, 'The height, mm,') }
    await keepOffcut(material, {
      ...sizes,
      count: parseNumber(count, { field: 'How many', whole: true, least: 1, most: 999 }),
    })
  })
}
async function keepOffcut(material: KnownMaterial, sheet: Pick<Offcut, 'widthMm' | 'heightMm' | 'count'>) {
  const { widthMm, heightMm } = sheet
  const offcut = { id: newId(), material: material.id, ...sheet, note: '' }
  if (await bench.write(`Offcut of ${material.name}, ${widthMm} × ${heightMm} mm`, [insert('offcut', offcut)], true))
    Object.assign(form.value, { width: '', height: '', count: '1' })
}
const drop = (offcut: Offcut) => bench.write('Offcut used up', [remove('offcut', offcut)], true)
const titleOf = ({ side, material }: (typeof sides.value)[number]) =>
  `${props.view.joint.code} side ${side.toUpperCase()}, ${material?.name ?? ''}`
</script>

<template>
  <div class="cut">
    <section v-for="one in nested" :key="one.side" :aria-label="`Side ${one.side.toUpperCase()}`">
      <h2 class="no-print">
        Side {{ one.side.toUpperCase() }}, {{ one.material?.name ?? 'material open'
        }}<span v-if="one.grain" class="mute"> · grain along the length</span>
      </h2>
      <ul class="no-print">
        <li v-for="line in one.lines" :key="`${line.widthMm} ${line.lengthMm}`" class="num">
          <b>{{ line.count }}</b> pieces {{ line.widthMm }} × {{ line.lengthMm }} mm
          <span class="mute">({{ line.needed }} and {{ plural(line.count - line.needed, 'spare') }})</span>
        </li>
      </ul>
      <p class="no-print">
        {{ plural(one.nesting.sheets.length, 'sheet') }}, {{ Math.round(one.nesting.waste * 100) }} % left over<template
          v-if="one.nesting.left"
          >; <b class="careful">{{ plural(one.nesting.left, 'piece') }} fit nowhere</b></template
        >. Own offcuts:
        <template v-for="offcut in one.offcuts" :key="offcut.id">
          <span class="num">{{ offcut.count }} × {{ offcut.widthMm }} × {{ offcut.heightMm }} mm</span>
          <v-btn
            class="quiet no-print"
            :aria-label="`Offcut ${offcut.widthMm} by ${offcut.heightMm} is used up`"
            @click="drop(offcut)"
            >used up</v-btn
          >
        </template>
        <span v-if="!one.offcuts.length" class="mute">none noted; plain sheets of 190 × 260 mm are taken.</span>
      </p>
      <PrintedPair v-if="one.material?.cls.group === 'print'" class="no-print" :round="view.round!" />
      <template v-for="(sheet, i) in one.nesting.sheets" :key="i">
        <CutPage
          v-for="tile in tilesWithPieces(sheet)"
          :key="`${tile.row} ${tile.column}`"
          :sheet="sheet"
          :tile="tile"
          :title="`${titleOf(one)}, sheet ${i + 1} of ${one.nesting.sheets.length}`"
          :grain="one.grain"
        />
      </template>
    </section>
    <form class="no-print" @submit.prevent="addOffcut">
      <FieldPart label="Offcut of" name="Side">
        <select v-model="form.side" class="plain">
          <option value="a">{{ view.a?.name ?? 'side A' }}</option>
          <option value="b">{{ view.b?.name ?? 'side B' }}</option>
        </select>
      </FieldPart>
      <FieldPart label="Width" name="The width, mm," unit="mm">
        <input v-model="form.width" class="plain" inputmode="decimal" />
      </FieldPart>
      <FieldPart label="Height, mm (along the grain)" name="The height, mm,">
        <input v-model="form.height" class="plain" inputmode="decimal" />
      </FieldPart>
      <FieldPart label="How many">
        <input v-model="form.count" class="plain" inputmode="numeric" />
      </FieldPart>
      <v-btn class="alt" type="submit">Note this offcut</v-btn>
      <FieldPart label="Saw cut" unit="mm" :problem="kerfProblem">
        <input v-model="kerfText" class="plain" inputmode="decimal" />
      </FieldPart>
      <ProblemLine />
    </form>
  </div>
</template>

<style scoped>
.cut,
section {
  display: grid;
  gap: 14px;
  max-width: 100%;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
}
form .field {
  flex: 0 1 160px;
}
form p {
  flex-basis: 100%;
}
</style>
