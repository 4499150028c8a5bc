<script setup lang="ts">
import { inSentence } from '../../../core/quantities/inSentence'
import { computed, toRef } from 'vue'
import { directionRows } from '../../../core/knowledge/directions'
import { PULLING_CAUTION } from '../../../core/knowledge/hazards'
import { countsLosses } from '../../../core/knowledge/testKinds'
import { lacksExposure } from '../../../core/planning/exposing'
import { lightestOf } from '../../../core/readings/lightest'
import { hatchOf, type JointView } from '../../bench/jointView'
import { useBench } from '../../bench/store'
import { useKey } from '../../look/keys'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'
import BigFigure from './BigFigure.vue'
import CouponPhotos from './CouponPhotos.vue'
import ExposureGate from './ExposureGate.vue'
import FacePaint from './FacePaint.vue'
import FlexFirst from './FlexFirst.vue'
import HowItEnded from './HowItEnded.vue'
import NextPulls from './NextPulls.vue'
import PassOver from './PassOver.vue'
import PasteSheet from './PasteSheet.vue'
import PhotoReading from './PhotoReading.vue'
import PulledList from './PulledList.vue'
import PullHead from './PullHead.vue'
import PullSize from './PullSize.vue'
import SetAside from './SetAside.vue'
import { tapPlace } from './whereItLetGo'
import { useLikely } from './useLikely'
import { useLive } from './useLive'
import { usePulling } from './usePulling'
import WayFields from './WayFields.vue'
import FieldPart from '../../look/FieldPart'
import ProblemLine from '../../look/ProblemLine.vue'

const props = defineProps<{ view: JointView }>()
const bench = useBench()
const {
  queue,
  left,
  coupon,
  chosen,
  arm,
  procedure,
  logged,
  earlier,
  direction,
  test,
  kind,
  loads,
  makesStrength,
  spare,
  form,
  plannedSize,
  log,
  correct,
  leave,
} = usePulling(toRef(props, 'view'))

const live = useLive(form, test, coupon, direction)
const likely = useLikely(() => props.view, arm, procedure)
const lightest = computed(() => lightestOf(test.value, arm.value?.size ?? {}, bench.bench!.gauge))
/** looked at or counted: nothing let go at a place */
const seen = computed(() => form.value.way === 'grades' || form.value.way === 'losses')
const place = computed(() => {
  const { readings, coupons } = props.view
  if (logged.value) return 'logged, to be corrected'
  if (!direction.value) return `${readings.length + 1} of ${coupons.length}`
  const first = arm.value?.first ?? []
  const which = `${first.indexOf(direction.value) + 1} of ${first.length}`
  return `before it, on the same piece: ${directionRows[direction.value].name} (${which})`
})
/** A piece that was not put through what its arm asks: that is said before it is pulled. */
const gated = computed(() => coupon.value !== null && logged.value === null && lacksExposure(coupon.value, arm.value))
useKey('log', () => void (gated.value ? undefined : log()))
</script>

<template>
  <div class="break">
    <h1 class="visually-hidden">Break {{ inSentence(view.joint.name) }}</h1>
    <div v-if="!view.coupons.length" class="card none">
      <p><b>There is nothing to pull yet.</b> Plan the test, glue the coupons, let them cure.</p>
      <v-btn class="go" :to="{ name: 'plan', params: { joint: view.joint.id } }">Plan coupons</v-btn>
    </div>
    <template v-else-if="coupon && procedure && arm">
      <PullHead v-bind="{ coupon, procedure, arm, earlier, place }" :logged="logged !== null" />
      <FlexFirst
        v-if="arm.exposure?.kind === 'flex' && !logged"
        :key="`flex ${coupon.id}`"
        :coupon="coupon"
        :goal="arm.exposure.amount"
      />
      <ExposureGate v-if="gated" :coupon="coupon" :arm="arm" :round="view.round!" />
      <!-- What is counted before the wash is counted here too. -->
      <div v-if="!gated || countsLosses(arm.test)" class="two">
        <div>
          <div class="card picture">
            <SeamDrawing
              :section="kind.drawing"
              :a="hatchOf(view.a)"
              :b="hatchOf(view.b)"
              :loads="loads"
              :crack="form.end === 'broke' || form.end === 'wet' ? form.places : null"
              tappable
              label="The coupon in section; tap where it let go, or use the buttons below"
              @tap="(at) => tapPlace(form, at)"
            />
          </div>
          <p class="goggles"><b class="careful">Goggles on.</b> {{ PULLING_CAUTION }}</p>
          <p v-for="line in direction ? [] : kind.how" :key="line" class="small">{{ line }}</p>
        </div>
        <div class="reading">
          <h3 v-if="direction">{{ directionRows[direction].act }}</h3>
          <BigFigure v-if="makesStrength" :test="test" :live="live" />
          <WayFields
            v-if="direction !== 'shake'"
            :key="`${coupon.id} ${direction}`"
            v-model="form"
            v-bind="{ test, likely, coupon }"
            :bench="bench.bench!"
          />
          <PullSize
            v-if="Object.keys(form.size).length"
            v-model="form.size"
            :planned="plannedSize"
            :logged="logged !== null"
          />
        </div>
      </div>
      <template v-if="!gated">
        <HowItEnded
          v-model="form"
          v-bind="{ test, lightest, spare }"
          :gauge="bench.bench!.gauge.name"
          :corrects="logged !== null"
        />
        <FacePaint
          v-if="!seen && form.end !== 'fault' && form.end !== 'handling'"
          :key="`paint ${coupon.id}`"
          v-model="form"
          :a="hatchOf(view.a)"
          :b="hatchOf(view.b)"
          :face="likely.face"
        />
        <PhotoReading :key="`photo ${coupon.id}`" v-model="form" :coupon="coupon" :face="likely.face" />
        <CouponPhotos :key="`photos ${coupon.id}`" :coupon="coupon" :procedure="procedure" />
        <FieldPart class="note" label="Note">
          <input v-model="form.note" class="plain" placeholder="strings, voids, smell, a twist in the pull" />
        </FieldPart>
        <ProblemLine />
        <div class="acts">
          <v-btn :key="coupon.id" class="go bench-size at-thumb" @click="log"
            >{{ logged ? 'Correct this pull' : 'Log this pull' }}<kbd>L</kbd></v-btn
          >
          <v-btn v-if="chosen" class="quiet" @click="leave()">{{
            left.length ? `Back to ${left[0]!.label}` : 'Leave it as it is'
          }}</v-btn>
        </div>
      </template>
      <v-btn v-if="gated && chosen && left.length" class="quiet" @click="leave()">Back to {{ left[0]!.label }}</v-btn>
      <SetAside v-if="logged && !logged.setAside" :reading="logged" :label="coupon.label" @done="leave()" />
      <PassOver
        v-if="!logged && left.length > 1"
        :key="`pass ${coupon.id}`"
        :coupon="coupon"
        :coupons="view.coupons"
        :others="left.filter(({ id }) => id !== coupon?.id)"
        @done="leave()"
      />
    </template>
    <div v-else class="card none">
      <p>
        <b>All {{ view.coupons.length }} coupons are pulled.</b>
      </p>
      <v-btn class="go bench-size" :to="{ name: 'choose', params: { joint: view.joint.id } }">See which is best</v-btn>
    </div>
    <PasteSheet v-if="left.length" :view="view" />
    <PulledList v-if="view.readings.length || view.earlier.length" :view="view" @correct="correct" />
    <NextPulls v-if="left.length > 1" :queue="queue" :at-hand="coupon?.id ?? null" :round="view.round!" />
  </div>
</template>

<style scoped>
.break {
  display: grid;
  gap: 20px;
}
.break > * {
  min-width: 0;
}
.none {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.two {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 28px;
}
.picture {
  padding: 8px 12px;
  margin-bottom: 10px;
}
.goggles {
  margin-bottom: 8px;
  font-size: 0.9375rem;
}
.reading {
  display: grid;
  gap: 14px;
  align-content: start;
}
.acts {
  margin-top: 10px;
}
.note {
  max-width: 520px;
  margin-top: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .picture {
    max-width: 300px;
  }
}
@media (max-width: 700px) {
  .acts {
    display: contents;
  }
}
</style>
