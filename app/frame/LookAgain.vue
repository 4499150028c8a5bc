<script setup lang="ts">
import { computed } from 'vue'
import { nextLook } from '../../core/evidence/scrap'
import { familyOf, isFamily } from '../../core/knowledge/families'
import { armWords } from '../../core/planning/arms'
import { waitingArms } from '../../core/planning/lookAgain'
import { calendarText } from '../bench/calendarText'
import { lookEntries } from '../bench/lookEntries'
import { useMinute } from '../bench/clock'
import type { JointView } from '../bench/jointView'
import { reopenedOf, reopenedWords } from '../bench/reopenedWords'
import { useBench } from '../bench/store'
import { dayName, momentName } from '../look/times'
import BackupOffer from './BackupOffer.vue'
import { saveFile } from './saveFile'
import { shelfConcerns } from './shelfConcerns'
import { useAttempt } from '../look/attempt'
import ProblemLine from '../look/ProblemLine.vue'
import { startOfDay } from '../../core/quantities/days'

/** What wants to be looked at again: coupons after an exposure, rules of the house, packs on the shelf. */
const props = defineProps<{ views: readonly JointView[] }>()
const bench = useBench()
const now = useMinute()
const familyName = (id: string) => (isFamily(id) ? familyOf(id).name : id)
const concerns = computed(() => shelfConcerns(bench.all('stock'), bench.all('adhesive'), now.value))
const waiting = computed(() =>
  props.views.flatMap((view) =>
    view.round
      ? waitingArms(view.round, view.coupons, view.procedures, view.readings).map(({ arm, dueAt }) => ({
          key: `${view.joint.id} ${arm.id}`,
          code: view.joint.code,
          words: armWords(arm),
          dueAt,
          to: { name: 'break', params: { joint: view.joint.id } },
        }))
      : [],
  ),
)
const { attempt } = useAttempt()
/** The days on which exposed coupons come back, for the calendar that hangs in the hall. */
async function save() {
  await attempt(async () => {
    saveFile(
      'look-again.ics',
      await calendarText(lookEntries(props.views), `${bench.id ?? 'bench'}-look`, 'Look again'),
      'text/calendar',
    )
  })
}
const scraps = computed(() =>
  bench.all('scrap').flatMap((scrap) => {
    const next = nextLook(scrap)
    const joint = bench.get('joint', scrap.joint)
    if (!next || !joint) return []
    const glue = bench.get('adhesive', scrap.adhesive)?.name ?? familyName(scrap.family)
    return [
      {
        id: scrap.id,
        code: joint.code,
        glue,
        dueAt: next.dueAt,
        to: { name: 'shortlist', params: { joint: joint.id } },
      },
    ]
  }),
)
/** joints that were made only for a time */
const temporary = computed(() =>
  props.views.flatMap(({ joint, decision }) =>
    decision?.redoOn
      ? [{ code: joint.code, day: decision.redoOn, to: { name: 'glue', params: { joint: joint.id } } }]
      : [],
  ),
)
/** decisions that something new speaks about */
const reopened = computed(() =>
  props.views.flatMap((view) => {
    const [first] = reopenedOf(bench, view)
    if (!first) return []
    const { code, id } = view.joint
    const words = reopenedWords(first, view.decision!.known.unit)
    return [{ code, words, to: { name: 'choose', params: { joint: id } } }]
  }),
)
const due = computed(() =>
  bench.all('houseRule').filter(({ lookAgainOn }) => lookAgainOn !== null && startOfDay(lookAgainOn) <= now.value),
)
</script>

<template>
  <template v-if="due.length || waiting.length || scraps.length || temporary.length || reopened.length">
    <h2>Look again</h2>
    <p v-for="one in reopened" :key="`again ${one.code}`">
      <router-link :to="one.to">{{ one.code }}</router-link> is decided, and more is known now: {{ one.words }}
    </p>
    <p v-for="one in temporary" :key="one.code">
      <router-link :to="one.to">{{ one.code }}</router-link> is made only for a time: make it anew
      {{ dayName(one.day) }}.
    </p>
    <p v-for="one in scraps" :key="one.id">
      <router-link :to="one.to">{{ one.code }}</router-link> drop of {{ one.glue }} on scrap:
      {{ one.dueAt <= now ? 'look at it now' : momentName(one.dueAt, now) }}.
    </p>
    <p v-for="one in waiting" :key="one.key">
      <router-link :to="one.to">{{ one.code }}</router-link> {{ one.words }}:
      {{ one.dueAt <= now ? 'due now' : momentName(one.dueAt, now) }}.
    </p>
    <p v-if="waiting.length"><v-btn class="quiet" @click="save">Save these days as a calendar file</v-btn></p>
    <ProblemLine />
    <p v-for="rule in due" :key="rule.id">
      <router-link :to="{ name: 'shelf', hash: '#house-rules' }">{{ rule.name }}</router-link>: you wanted to look at
      this rule again on {{ dayName(rule.lookAgainOn!) }}.
    </p>
  </template>
  <BackupOffer />
  <template v-if="concerns.length">
    <h2>Shelf</h2>
    <p v-for="concern in concerns" :key="concern.id">
      <b class="careful">Careful:</b> {{ concern.name }}, {{ concern.why }}. Bond and break two scraps before you trust
      it.
    </p>
  </template>
</template>
