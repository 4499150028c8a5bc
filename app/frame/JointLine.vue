<script setup lang="ts">
import { useMinute } from '../bench/clock'
import { glueName, hatchOf, type JointView } from '../bench/jointView'
import { useForce } from '../bench/force'
import { needWords, nextStep, stateWords } from '../bench/jointWords'
import { useBench } from '../bench/store'
import { figure, plural } from '../look/figures'
import { sectionOf } from '../look/seam/geometry'
import SeamDrawing from '../look/seam/SeamDrawing.vue'

/** One joint of the build in a line: what it is, where it stands, what was decided, what comes next. */
defineProps<{ view: JointView }>()
const force = useForce()
const bench = useBench()
const now = useMinute()
/** More pieces than this are drawn as three parts of one bar. */
const PIECES = 24
const partsOf = ({ coupons, closed, pulled }: JointView['progress']) =>
  [
    { is: 'pulled', pieces: pulled },
    { is: 'closed', pieces: closed - pulled },
    { is: 'open', pieces: coupons - Math.max(closed, pulled) },
  ].filter(({ pieces }) => pieces > 0)
</script>

<template>
  <li>
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
      <p class="mute small">{{ needWords(view, force) }}</p>
    </div>
    <div class="state">
      <template v-if="view.decision">
        <b class="holds">{{ glueName(bench, bench.get('procedure', view.decision.procedure)!) }}</b>
        <span class="mute small">decided after {{ plural(view.decision.known.pulls, 'pull') }}</span>
      </template>
      <template v-else>
        <span>{{ stateWords(view, now) }}</span>
        <span v-if="view.progress.coupons" class="bar" aria-hidden="true">
          <template v-if="view.progress.coupons <= PIECES">
            <i
              v-for="n in view.progress.coupons"
              :key="n"
              :class="{ pulled: n <= view.progress.pulled, closed: n <= view.progress.closed }"
            />
          </template>
          <template v-else>
            <i
              v-for="part in partsOf(view.progress)"
              :key="part.is"
              class="many"
              :class="part.is"
              :style="{ flexGrow: part.pieces }"
            />
          </template>
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
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1.5fr) minmax(0, 1.1fr) 120px minmax(0, 0.9fr);
  gap: 18px;
  align-items: center;
  padding: 15px 0;
  border-top: 1px solid var(--line);
  /* A bench of many joints lays out those that are seen. */
  content-visibility: auto;
  contain-intrinsic-height: auto 96px;
}
li:last-child {
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
.bar i.many {
  max-width: none;
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
@media (max-width: 700px) {
  li {
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
}
</style>
