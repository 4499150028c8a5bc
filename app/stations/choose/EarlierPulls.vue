<script setup lang="ts">
import { computed } from 'vue'
import { earlierPulls } from '../../../core/choice/earlierPulls'
import { directionRows } from '../../../core/knowledge/directions'
import { useForce } from '../../bench/force'
import type { JointView } from '../../bench/jointView'

/** What the same pieces were put through before the test that is shown. */
const props = defineProps<{ view: JointView }>()
const force = useForce()
const rows = computed(() => {
  const procedureOf = new Map(props.view.coupons.map(({ id, procedure }) => [id, procedure]))
  const all = earlierPulls(props.view.earlier, procedureOf, props.view.arm!.test)
  return props.view.procedures.flatMap(({ id, letter, name }) => {
    const ways = all.filter(({ procedure }) => procedure === id)
    return ways.length ? [{ id, letter, name, ways }] : []
  })
})
const loads = (n: readonly number[]): string =>
  !n.length ? '' : n.length === 1 ? ` at ${force(n[0]!)}` : ` at ${force(n[0]!)} to ${force(n.at(-1)!)}`
const letGo = computed(() =>
  rows.value.flatMap(({ ways }) => ways).reduce((sum, { pieces, held }) => sum + pieces - held, 0),
)
</script>

<template>
  <section v-if="rows.length" aria-labelledby="earlier" data-earlier>
    <h2 id="earlier">Before this test, on the same pieces</h2>
    <ul>
      <li v-for="row in rows" :key="row.id" class="num">
        {{ row.letter }}, {{ row.name }}:
        <template v-for="(way, i) in row.ways" :key="way.direction"
          >{{ i ? '; ' : '' }}{{ directionRows[way.direction].done }}, <b>{{ way.held }} of {{ way.pieces }} held</b
          ><template v-if="way.held < way.pieces">, {{ way.pieces - way.held }} let go{{ loads(way.letGoN) }}</template>
        </template>
      </li>
    </ul>
    <p class="mute small">
      These are the coupons above, not further ones: none of it is counted twice, and all of them were loaded before
      their own test.
      <template v-if="letGo">
        What let go before never came to the test above, which shows those that lived; what was shaken off counts there
        as “at most”.
      </template>
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
</style>
