<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useMinute } from '../../bench/clock'
import { hatchOf, jointsInOrder, viewJoint } from '../../bench/jointView'
import { stateWords } from '../../bench/jointWords'
import { useBench } from '../../bench/store'
import { sectionOf } from '../../look/seam/geometry'
import SeamDrawing from '../../look/seam/SeamDrawing.vue'

const props = defineProps<{ current: string; station: string }>()
const bench = useBench()
const now = useMinute()
const router = useRouter()
const views = computed(() => jointsInOrder(bench).map((joint) => viewJoint(bench, joint)))
const strip = ref<HTMLElement>()
const showCurrent = () =>
  nextTick(() => strip.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' }))
onMounted(showCurrent)
watch(() => props.current, showCurrent)
const go = (event: Event) =>
  router.push({ name: props.station, params: { joint: (event.target as HTMLSelectElement).value } })
</script>

<template>
  <nav class="strip no-print" aria-label="Joints of this build">
    <ol ref="strip" tabindex="-1">
      <li v-for="view in views" :key="view.joint.id">
        <router-link
          :to="{ name: station, params: { joint: view.joint.id } }"
          :aria-current="view.joint.id === current ? 'page' : undefined"
        >
          <span class="drawing">
            <SeamDrawing
              :section="view.joint.brief.geometry ? sectionOf[view.joint.brief.geometry] : 'lap'"
              :a="hatchOf(view.a)"
              :b="hatchOf(view.b)"
            />
          </span>
          <span class="text">
            <b
              ><span class="mono">{{ view.joint.code }}</span> {{ view.joint.name }}</b
            >
            <small>{{ stateWords(view, now) }}</small>
          </span>
        </router-link>
      </li>
    </ol>
    <label class="picker">
      <span class="visually-hidden">Joint</span>
      <select class="plain" :value="current" @change="go">
        <option v-for="view in views" :key="view.joint.id" :value="view.joint.id">
          {{ view.joint.code }} {{ view.joint.name }} – {{ stateWords(view, now) }}
        </option>
      </select>
    </label>
  </nav>
</template>

<style scoped>
.strip {
  background: var(--card);
  border-bottom: 1px solid var(--line);
}
ol {
  display: flex;
  overflow-x: auto;
  padding: 0 12px;
  scrollbar-width: thin;
}
a {
  display: grid;
  grid-template-columns: 62px auto;
  gap: 10px;
  align-items: center;
  padding: 9px 14px 8px;
  border-right: 1px solid var(--line);
  border-top: 3px solid transparent;
  text-decoration: none;
  white-space: nowrap;
  height: 100%;
  font-size: 0.9375rem;
  line-height: 1.25;
}
a[aria-current] {
  background: var(--bg);
  border-top-color: var(--ink);
}
b .mono {
  margin-right: 4px;
}
small {
  display: block;
  color: var(--mute);
  font-size: 0.875rem;
}
.picker {
  display: none;
  padding: 8px 12px;
}
@media (max-width: 700px) {
  ol {
    display: none;
  }
  .picker {
    display: block;
  }
}
</style>
