<script setup lang="ts">
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/coupon'
import { stampNow } from '../../bench/clock'
import { newId } from '../../bench/ids'
import { keepPhoto } from '../../bench/photos'
import { useBench } from '../../bench/store'
import { colourParts, partWords } from './photoShares'
import type { PullForm } from './pullForm'
import { SWATCHES, tasks, usePhotoReading } from './usePhotoReading'
import FieldPart from '../../look/FieldPart'

/** A photo of the broken face: outlined, its colours grouped and named, and so where it let go; or a measure on it. */
const props = defineProps<{ coupon: Coupon; face: { widthMm: number; heightMm: number } | null }>()
const form = defineModel<PullForm>({ required: true })
const bench = useBench()
/** It stays with its coupon from then on, so that it stands beside the later ones. */
async function keep(blob: Blob, width: number, height: number) {
  const id = newId()
  await keepPhoto(bench.id, id, blob, stampNow())
  const { label } = props.coupon
  const now = bench.get('coupon', props.coupon.id) ?? props.coupon
  const photos = [...(now.photos ?? []), { id, at: stampNow(), width, height }]
  await bench.write(`Photo kept with ${label}`, [update('coupon', now, { photos })], true)
}
const {
  task,
  picture,
  points,
  k,
  found,
  named,
  known,
  trouble,
  done,
  setCanvas,
  scale,
  shares,
  figure,
  take,
  begin,
  tap,
  findColours,
  takeShares,
  measure,
  stop,
  press,
  drag,
  release,
} = usePhotoReading(form, () => props.face, keep)
</script>

<template>
  <details class="photo">
    <summary>From a photo of the broken face, or to keep one</summary>
    <div class="body">
      <FieldPart label="Photo of the face, seen from straight above and evenly lit">
        <input type="file" accept="image/*" class="plain" @change="take" />
      </FieldPart>
      <template v-if="picture">
        <FieldPart label="What it is to tell">
          <select v-model="task" class="plain">
            <option v-for="(one, id) in tasks" :key="id" :value="id">{{ one.word }}</option>
          </select>
        </FieldPart>
        <p v-if="!found" class="mute small">{{ tasks[task].asks }}</p>
        <div class="frame">
          <canvas
            :ref="setCanvas"
            :class="{ drawn: task === 'shares' && !found }"
            aria-label="The photo; tap points on it"
            role="img"
            @click="tap"
            @pointerdown="press"
            @pointermove="drag"
            @pointerup="release"
            @pointercancel="release"
          ></canvas>
          <svg
            v-if="!found"
            :viewBox="`0 0 ${picture.width} ${picture.height}`"
            aria-hidden="true"
            class="taps"
            focusable="false"
          >
            <path
              v-if="task === 'shares' && points.length > 1"
              :d="`M${points.map(([x, y]) => `${x} ${y}`).join('L')}Z`"
              class="outline"
              :stroke-width="scale / 2"
            />
            <circle
              v-for="([x, y], i) in points.length > 12 ? [] : points"
              :key="i"
              :cx="x"
              :cy="y"
              :r="scale"
              class="dot"
            />
          </svg>
        </div>
        <div class="acts">
          <v-btn v-if="points.length && !found" class="quiet" @click="points = points.slice(0, -1)"
            >Take back the last point</v-btn
          >
          <v-btn v-if="found" class="quiet" @click="begin">Outline it anew</v-btn>
          <FieldPart v-if="task === 'line'" label="Known length">
            <input v-model="known" class="plain" placeholder="25 mm" />
          </FieldPart>
          <v-btn v-if="task !== 'shares'" class="alt" :disabled="points.length < tasks[task].points" @click="measure"
            >Measure it</v-btn
          >
          <template v-else-if="!found">
            <FieldPart label="Colours to tell apart">
              <select v-model.number="k" class="plain">
                <option v-for="n in [2, 3, 4, 5]" :key="n" :value="n">{{ n }}</option>
              </select>
            </FieldPart>
            <v-btn class="alt" :disabled="points.length < 3 || done !== null" @click="findColours"
              >Find the colours</v-btn
            >
          </template>
        </div>
        <div v-if="done !== null" class="acts">
          <progress :value="done" aria-label="Finding the colours" />
          <v-btn class="quiet" @click="stop">Stop</v-btn>
        </div>
        <template v-if="found">
          <p class="mute small">Say what each colour is; shares are of what you outlined.</p>
          <ul>
            <li v-for="(group, i) in found.groups" :key="i">
              <span class="swatch num" :style="{ background: `rgb(${SWATCHES[i]!.join(' ')})` }" aria-hidden="true" />
              <b class="num">{{ Math.round(100 * group.share) }} %</b>
              <FieldPart :label="`Colour ${i + 1} is`" unseen>
                <select v-model="named[i]" class="plain">
                  <option :value="null">what is it?</option>
                  <option v-for="part in colourParts" :key="part" :value="part">{{ partWords[part] }}</option>
                </select>
              </FieldPart>
            </li>
          </ul>
          <p v-if="shares?.voids" class="small">{{ shares.voids }} % was never wetted or is a void: kept beside.</p>
          <v-btn class="alt" :disabled="!shares" @click="takeShares">Take these shares</v-btn>
        </template>
      </template>
      <p v-if="figure" class="holds num" role="status">{{ figure }}</p>
      <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
}
.body {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.frame {
  position: relative;
  max-width: min(100%, 560px);
}
canvas {
  max-width: 100%;
  max-height: 70vh;
  display: block;
  border: 1px solid var(--line);
  cursor: crosshair;
  touch-action: manipulation;
}
.drawn {
  touch-action: none;
}
.taps {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.outline {
  fill: none;
  stroke: var(--go);
}
.dot {
  fill: var(--go);
  stroke: #fff;
  stroke-width: 2;
}
.acts {
  align-items: end;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
}
.swatch {
  width: 28px;
  height: 28px;
  border: 1px solid var(--ink);
  border-radius: 3px;
}
</style>
