<script setup lang="ts">
import { computed, ref } from 'vue'
import { lazyPart, piece } from '../look/piece'
import { useRouter } from 'vue-router'
import { insert } from '../../core/records/entry'
import { nextJointCode, openBrief } from '../../core/records/openBrief'
import { showMoney } from '../../core/quantities/money'
import { stampNow, useMinute } from '../bench/clock'
import { newId } from '../bench/ids'
import { jointsInOrder, viewJoint } from '../bench/jointView'
import { useBench } from '../bench/store'
import { plural } from '../look/figures'
import { dayName } from '../look/times'
import SeamDrawing from '../look/seam/SeamDrawing.vue'
import JointLine from './JointLine.vue'
import RunningNow from './RunningNow.vue'
import FieldPart from '../look/FieldPart'
import { daysUntil } from '../../core/quantities/days'

// What may want to be looked at again comes a moment after the lines.
const LookAgain = lazyPart(() => import('./LookAgain.vue'))
const bench = useBench()
const router = useRouter()
const now = useMinute()
const build = computed(() => bench.all('build')[0] ?? null)
const views = computed(() => jointsInOrder(bench).map((joint) => viewJoint(bench, joint)))
const left = computed(() => {
  const days = daysUntil(build.value!.inServiceBy!, now.value)
  return days < 0 ? 'past' : days === 0 ? 'today' : plural(days, 'day')
})

const looking = ref(false)
/** One press to a bench on which something has happened; the own one stays in the list of benches. */
async function lookAround() {
  if (looking.value) return
  looking.value = true
  try {
    const { demoOpened } = await piece(() => import('./demoOpened'))
    await demoOpened(bench)
  } catch (error) {
    bench.tell(String(error instanceof Error ? error.message : error), 'bad')
  }
  looking.value = false
}

const name = ref('')
/** A first joint brings the build with it: one entry, so one undo takes both back. */
async function askAbout() {
  const id = newId()
  const existing = build.value
  const made = existing ?? { id: newId(), name: bench.bench!.name, inServiceBy: null, budget: null, what: '' }
  const joints = bench.all('joint')
  const code = nextJointCode(joints.map((joint) => joint.code))
  const joint = {
    id,
    build: made.id,
    code,
    name: name.value.trim() || 'New joint',
    createdAt: stampNow(),
    brief: { ...openBrief(), inServiceBy: made.inServiceBy },
  }
  const changes = [...(existing ? [] : [insert('build', made)]), insert('joint', joint)]
  if (await bench.write(`Ask about ${code} ${joint.name}`, changes))
    await router.push({ name: 'ask', params: { joint: id } })
}
</script>

<template>
  <main id="work" class="start" tabindex="-1">
    <section class="build" aria-labelledby="build-name">
      <template v-if="views.length">
        <div class="top">
          <h1 id="build-name">{{ build?.name }}, {{ plural(views.length, 'joint') }} to glue</h1>
          <p v-if="build?.inServiceBy" class="mute">
            needed {{ dayName(build.inServiceBy) }} · {{ left
            }}<template v-if="build.budget !== null">
              · money for glue {{ showMoney(build.budget, bench.bench?.currency) }}</template
            >
          </p>
        </div>
        <p class="whole">
          <router-link :to="{ name: 'build' }">The build as a whole: evenings, shopping, repair kit</router-link>
        </p>
        <ol class="lines">
          <JointLine v-for="view in views" :key="view.joint.id" :view="view" />
        </ol>
      </template>
      <div v-else class="empty">
        <h1 id="build-name">Start with one joint</h1>
        <p>
          A joint is a place in your build where two materials meet: a rib and its cloth, a sole and its shoe. Say what
          it has to do; Paste Bench says which glues cannot work and why, and helps to test those that might.
        </p>
        <ol class="first">
          <li>Name the joint below and complete its sentence: two materials, how it is loaded.</li>
          <li>Take three glues of the short answer, and let Plan draft the test pieces.</li>
          <li>Glue, break, choose; then pin up the card.</li>
        </ol>
        <p v-if="bench.bench?.kind !== 'demo'">
          <v-btn class="alt" :aria-busy="looking || undefined" @click="lookAround">Look around in the demo bench</v-btn>
        </p>
        <div class="sketch" aria-hidden="true"><SeamDrawing section="lap" a="open" b="open" :loads="['shear']" /></div>
      </div>
      <form class="ask" @submit.prevent="askAbout">
        <FieldPart :label="views.length ? 'Another joint: what do you call it?' : 'What do you call the joint?'">
          <input v-model="name" class="plain" placeholder="Rib to wing cloth" maxlength="80" />
        </FieldPart>
        <v-btn class="go" type="submit">Ask about this joint</v-btn>
      </form>
    </section>
    <section class="today" aria-labelledby="today">
      <h2 id="today">Today</h2>
      <RunningNow />
      <LookAgain :views="views" />
    </section>
  </main>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 36px;
  padding: 24px 28px 60px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 20px;
  padding-bottom: 14px;
}
.whole {
  padding-bottom: 10px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
  margin-top: 24px;
}
.ask .field {
  flex: 0 1 360px;
  min-width: 220px;
}
.first {
  list-style: decimal;
  padding-left: 22px;
  display: grid;
  gap: 4px;
}
.first li {
  display: list-item;
}
.empty {
  max-width: 640px;
  display: grid;
  gap: 14px;
}
.sketch {
  width: 300px;
  margin: 10px 0;
}
.today :deep(h2) {
  margin: 0 0 8px;
}
.today :deep(p + h2),
.today :deep(ol + h2) {
  margin-top: 24px;
}
@media (max-width: 1000px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 700px) {
  .start {
    padding: 18px 16px 40px;
  }
  .today {
    grid-row: 2;
  }
}
</style>
