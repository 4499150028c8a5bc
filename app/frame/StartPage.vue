<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { armWords } from '../../core/planning/arms'
import { waitingArms } from '../../core/planning/lookAgain'
import { insert } from '../../core/records/entry'
import { nextJointCode, openBrief } from '../../core/records/joint'
import { showMoney } from '../../core/quantities/money'
import { useNow } from '../bench/clock'
import { newId } from '../bench/ids'
import { glueName, hatchOf, jointsInOrder, viewJoint } from '../bench/jointView'
import { needWords, nextStep, stateWords } from '../bench/jointWords'
import { useBench } from '../bench/store'
import { countdown, dayName, figure, momentName, plural } from '../look/figures'
import SeamDrawing from '../look/seam/SeamDrawing.vue'
import { sectionOf } from '../look/seam/geometry'
import TapeLabel from '../look/TapeLabel.vue'
import { shelfConcerns } from './shelfConcerns'
import { runningTimers } from './timers'

const bench = useBench()
const router = useRouter()
const now = useNow()
const build = computed(() => bench.all('build')[0] ?? null)
const views = computed(() => jointsInOrder(bench).map((joint) => viewJoint(bench, joint)))
const timers = computed(() => runningTimers(bench, now.value))
const concerns = computed(() => shelfConcerns(bench.all('stock'), bench.all('adhesive'), now.value))
const waiting = computed(() =>
  views.value.flatMap((view) =>
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
const due = computed(() =>
  bench
    .all('houseRule')
    .filter(({ lookAgainOn }) => lookAgainOn !== null && Date.parse(`${lookAgainOn}T00:00`) <= now.value),
)
const days = computed(() =>
  build.value?.inServiceBy
    ? Math.ceil((Date.parse(`${build.value.inServiceBy}T12:00`) - now.value) / 86_400_000)
    : null,
)

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
    createdAt: now.value,
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
            needed {{ dayName(build.inServiceBy) }} · {{ days! >= 0 ? plural(days!, 'day') : 'past'
            }}<template v-if="build.budget !== null">
              · money for glue {{ showMoney(build.budget, bench.bench?.currency) }}</template
            >
          </p>
        </div>
        <ol class="lines">
          <li v-for="view in views" :key="view.joint.id">
            <router-link
              class="drawing"
              :to="{ name: view.progress.at, params: { joint: view.joint.id } }"
              tabindex="-1"
              aria-hidden="true"
            >
              <SeamDrawing
                :section="view.joint.brief.geometry ? sectionOf[view.joint.brief.geometry] : 'lap'"
                :a="hatchOf(view.a)"
                :b="hatchOf(view.b)"
              />
            </router-link>
            <div class="who">
              <router-link :to="{ name: view.progress.at, params: { joint: view.joint.id } }">
                <span class="mono code">{{ view.joint.code }}</span> {{ view.joint.name }}
              </router-link>
              <p class="mute small">{{ needWords(view) }}</p>
            </div>
            <div class="state">
              <template v-if="view.decision">
                <b class="holds">{{ glueName(bench, bench.get('procedure', view.decision.procedure)!) }}</b>
                <span class="mute small">decided after {{ plural(view.decision.known.pulls, 'pull') }}</span>
              </template>
              <template v-else>
                <span>{{ stateWords(view, now) }}</span>
                <span v-if="view.progress.coupons" class="bar" aria-hidden="true">
                  <i
                    v-for="n in view.progress.coupons"
                    :key="n"
                    :class="{ pulled: n <= view.progress.pulled, closed: n <= view.progress.closed }"
                  />
                </span>
              </template>
            </div>
            <div class="margin num">
              <template v-if="view.decision?.known.margin"
                >{{ figure(view.decision.known.margin) }}<span class="times"> × the load</span></template
              >
            </div>
            <div class="next">
              <router-link :to="{ name: nextStep(view, now).station, params: { joint: view.joint.id } }">{{
                nextStep(view, now).text
              }}</router-link>
            </div>
          </li>
        </ol>
      </template>
      <div v-else class="empty">
        <h1 id="build-name">Start with one joint</h1>
        <p>
          A joint is a place in your build where two materials meet: a rib and its cloth, a sole and its shoe. Say what
          it has to do; Paste Bench says which glues cannot work and why, and helps to test those that might.
        </p>
        <div class="sketch" aria-hidden="true"><SeamDrawing section="lap" a="open" b="open" :loads="['shear']" /></div>
      </div>
      <form class="ask" @submit.prevent="askAbout">
        <label class="field">
          <span>{{ views.length ? 'Another joint: what do you call it?' : 'What do you call the joint?' }}</span>
          <input v-model="name" class="plain" placeholder="Rib to wing cloth" maxlength="80" />
        </label>
        <v-btn class="go" type="submit">Ask about this joint</v-btn>
      </form>
    </section>
    <section class="today" aria-labelledby="today">
      <h2 id="today">Running now</h2>
      <ol v-if="timers.length">
        <li v-for="timer in timers.slice(0, 7)" :key="timer.key">
          <span class="num when" :class="{ due: timer.due }">{{ timer.due ? 'now' : countdown(timer.at - now) }}</span>
          <span>{{ timer.what }}</span>
          <router-link :to="timer.to"
            ><TapeLabel>{{ timer.label }}</TapeLabel></router-link
          >
        </li>
      </ol>
      <p v-else class="mute">No clock runs. It starts when a coupon’s glue is put on.</p>
      <template v-if="due.length || waiting.length">
        <h2>Look again</h2>
        <p v-for="one in waiting" :key="one.key">
          <router-link :to="one.to">{{ one.code }}</router-link> {{ one.words }}:
          {{ one.dueAt <= now ? 'due now' : momentName(one.dueAt, now) }}.
        </p>
        <p v-for="rule in due" :key="rule.id">
          <router-link :to="{ name: 'shelf', hash: '#house-rules' }">{{ rule.name }}</router-link>: you wanted to look
          at this rule again on {{ dayName(rule.lookAgainOn!) }}.
        </p>
      </template>
      <template v-if="concerns.length">
        <h2>Shelf</h2>
        <p v-for="concern in concerns" :key="concern.id">
          <b class="careful">Careful:</b> {{ concern.name }}, {{ concern.why }}. Bond and break two scraps before you
          trust it.
        </p>
      </template>
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
.lines li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1.5fr) minmax(0, 1.1fr) 120px minmax(0, 0.9fr);
  gap: 18px;
  align-items: center;
  padding: 15px 0;
  border-top: 1px solid var(--line);
}
.lines li:last-child {
  border-bottom: 1px solid var(--line);
}
.who a {
  font-weight: 680;
  text-decoration: none;
  font-size: 1.0625rem;
}
.who a:hover {
  text-decoration: underline;
}
.code {
  margin-right: 4px;
}
.state {
  display: grid;
  gap: 4px;
}
.bar {
  display: flex;
  gap: 2px;
}
.bar i {
  flex: 1;
  max-width: 14px;
  height: 9px;
  border: 1px solid var(--tick);
}
.bar i.closed {
  background: repeating-linear-gradient(135deg, var(--tick) 0 1px, transparent 1px 4px);
}
.bar i.pulled {
  background: var(--mat);
  border-color: var(--mat);
}
:root[data-theme='dark'] .bar i.pulled {
  background: var(--holds);
}
.margin {
  font-size: 1.375rem;
  font-weight: 680;
}
.times {
  font-size: 0.875rem;
  font-weight: 400;
  color: var(--mute);
}
.next a {
  color: var(--go);
  font-weight: 680;
  text-decoration: none;
}
.next a:hover {
  text-decoration: underline;
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
.empty {
  max-width: 640px;
  display: grid;
  gap: 14px;
}
.sketch {
  width: 300px;
  margin: 10px 0;
}
.today li {
  display: grid;
  grid-template-columns: 84px 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}
.when {
  font-weight: 680;
}
.when.due {
  color: var(--go);
}
.today h2 {
  margin: 0 0 8px;
}
.today p + h2,
.today ol + h2 {
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
  .lines li {
    grid-template-columns: 76px minmax(0, 1fr);
    gap: 4px 14px;
  }
  .state,
  .margin,
  .next {
    grid-column: 2;
  }
  .margin:empty {
    display: none;
  }
  .margin {
    font-size: 1.125rem;
  }
  .today {
    grid-row: 2;
  }
}
</style>
