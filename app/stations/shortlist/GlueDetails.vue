<script setup lang="ts">
import { computed } from 'vue'
import { careFor } from '../../../core/care/care'
import { airChangesPerHour, vapourEstimate } from '../../../core/care/vapour'
import { cureAdvice } from '../../../core/cure/advice'
import { harmOfUndoing, waysToUndo } from '../../../core/screening/undoing'
import type { Candidate } from '../../../core/screening/shortlist'
import { glueGrams } from '../../../core/situation/situation'
import { figure } from '../../look/figures'
import { dateName } from '../../look/times'

/** What to have ready, what evaporates, and how to take it apart again. */
const props = defineProps<{ candidate: Candidate }>()
/** What stands in the way of its cure here, and what helps. */
const cure = computed(() => cureAdvice(props.candidate.situation.cure))
const care = computed(() => careFor(props.candidate.situation))
const undo = computed(() =>
  waysToUndo(props.candidate.situation).map((way) => ({ ...way, harm: harmOfUndoing(way, props.candidate.situation) })),
)
const wayWords = {
  cold: 'Cold',
  heat: 'Heat',
  water: 'Water',
  solvent: 'Solvent or debonder',
  peel: 'Peel',
  cut: 'Cut',
  none: 'None',
}
const stock = computed(() => {
  const { pack } = props.candidate
  if (!pack) return null
  const left = `${Math.round(pack.left * 100)} % left`
  return [
    pack.batch && `batch ${pack.batch}`,
    pack.openedOn && `opened ${dateName(pack.openedOn)}`,
    pack.expiresOn && `good until ${dateName(pack.expiresOn)}`,
    left,
  ]
    .filter(Boolean)
    .join(', ')
})

/** Vapour of one evening's gluing; the lines say what is missing where nothing can be said. */
const vapour = computed((): string[] => {
  const { situation: s, product, family } = props.candidate
  const share = product?.label.volatileShare ?? family.volatileShare
  if (share === 0) return ['Nothing that may harm is known to evaporate from its kind; the data sheet says better.']
  const { roomM3 } = s
  if (s.areaCm2 === null) return ['Say the size of the glued face to see how much evaporates.']
  const joints = s.perEvening ?? s.count ?? 1
  const grams = glueGrams(family, s.areaCm2, s.gapMm) * joints
  const forAll = joints > 1 ? ` (${joints} joints)` : ''
  const evaporates = `About ${figure(grams * share)} g of ${figure(grams)} g evaporate${forAll}.`
  const changes = s.air === null ? null : airChangesPerHour[s.air]
  if (s.air === 'outdoors') return [evaporates, 'Outdoors the wind decides: stay upwind.']
  if (roomM3 === null || changes === null)
    return [
      evaporates,
      `Say ${roomM3 === null ? 'the size of the room' : 'where it is glued'} to see how dense it gets.`,
    ]
  const { peakMgM3, ofLimit } = vapourEstimate({
    grams,
    volatileShare: share,
    roomM3,
    changesPerHour: changes,
    limitMgM3: product?.label.limitMgM3,
  })
  const partOf = (limit: number) =>
    limit >= 1 ? `${figure(limit)} times the limit` : `${Math.round(limit * 100)} % of the limit`
  return [
    evaporates,
    `In ${roomM3} m³ with ${changes} air changes an hour that comes to about ${figure(peakMgM3)} mg/m³, ` +
      'several times more near the work.',
    ofLimit === null
      ? 'Its data sheet names a limit: type it on the Shelf and it stands beside this. Without it there is no verdict.'
      : `That is ${partOf(ofLimit)} of ${figure(product!.label.limitMgM3!)} mg/m³ typed from its data sheet. ` +
        'An estimate, no measurement.',
  ]
})
</script>

<template>
  <div class="details">
    <section v-if="cure.length">
      <h4>Cure in this room and joint</h4>
      <p v-for="line in cure" :key="line">{{ line }}</p>
    </section>
    <section>
      <h4>Before you start</h4>
      <p v-if="!care.hazards.length" class="mute">
        No usual warning for its kind. It may still hold preservatives: see the label.
      </p>
      <ul>
        <li v-for="hazard in care.hazards" :key="hazard.id">
          {{ hazard.show }} <span v-if="hazard.from.length > 1" class="mute">({{ hazard.from.join(', ') }})</span>
        </li>
        <li v-for="text in [...care.combined, ...care.cleaning]" :key="text" class="careful">{{ text }}</li>
      </ul>
    </section>
    <section v-if="care.ready.length">
      <h4>Have ready</h4>
      <dl>
        <template v-for="(one, i) in care.ready" :key="i">
          <dt>{{ one.what }}</dt>
          <dd>{{ one.text }}</dd>
        </template>
      </dl>
    </section>
    <section>
      <h4>Vapour</h4>
      <p v-for="line in vapour" :key="line">{{ line }}</p>
    </section>
    <section>
      <h4>To take it apart again</h4>
      <p v-if="!undo.length">As its label says.</p>
      <dl>
        <template v-for="way in undo" :key="way.how">
          <dt>{{ wayWords[way.by] }}</dt>
          <dd>
            {{ way.how }}. <span class="mute">{{ way.sideEffect }}.</span>
            <b v-if="way.harm" class="careful"> Not here: {{ way.harm }}.</b>
          </dd>
        </template>
      </dl>
    </section>
    <p v-if="stock" class="mute">On the shelf: {{ stock }}.</p>
  </div>
</template>

<style scoped>
.details {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 14px 28px;
  padding: 10px 0 4px;
  font-size: 0.9375rem;
}
h4 {
  margin: 0 0 4px;
  font-size: 0.9375rem;
}
ul,
section {
  display: grid;
  gap: 4px;
  align-content: start;
}
dl {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  gap: 4px 10px;
}
dt {
  color: var(--mute);
}
</style>
