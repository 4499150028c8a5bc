<script setup lang="ts">
import type { KitGlue, RepairKit } from '../../core/choice/build/kit'
import { sayError } from '../../core/messages'
import { chanceWords } from '../../core/screening/chanceWords'
import { plural } from '../look/figures'
import { lasting } from '../look/times'

/** What goes along on the day: what mends which joint within minutes, what to wear, how to undo it. */
defineProps<{ kit: RepairKit | null; fault: unknown; again: () => void }>()
const packWords = ({ packs, product, pack }: KitGlue) =>
  `${plural(packs, 'sealed small pack')}${product ? '' : `, or one of ${pack} where no smaller one is sold`}`
</script>

<template>
  <section aria-labelledby="kit">
    <h2 id="kit">Repair kit for the day</h2>
    <p class="mute">
      For mends on the spot: by hand, outdoors, within a quarter of an hour. A mend for the day is no joint: glue it
      anew at home.
    </p>
    <p v-if="fault" class="problem" role="alert">
      {{ sayError(fault) }} <v-btn class="quiet" @click="again">Work it out again</v-btn>
    </p>
    <p v-else-if="!kit" class="mute" role="status">Working out what mends what…</p>
    <template v-else>
      <section v-if="kit.ready.length && kit.glues.length" class="care" aria-label="Before you start">
        <h3 class="careful">Before you mend</h3>
        <p v-for="line in kit.ready" :key="line" class="small">
          {{ line.replace(/^./, (first) => first.toUpperCase()) }}.
        </p>
      </section>
      <ul>
        <li v-for="one in kit.glues" :key="one.key" data-kit>
          <p>
            <b>{{ one.name }}</b> mends <b class="mono">{{ one.mends.join(', ') }}</b>: {{ packWords(one) }}.
          </p>
          <p class="small num">
            Can be handled after {{ lasting(one.handlingS) }}; may serve for the day in about
            {{ chanceWords(one.chance) }} such mends<template v-if="one.product === null"> · not on the shelf</template
            >.
          </p>
          <p class="small mute">To undo: {{ one.undo }}</p>
          <p v-for="line in one.cleaning" :key="line" class="small mute">{{ line }}</p>
        </li>
      </ul>
      <p v-if="kit.nothing.length" class="careful">
        Nothing of the tables mends {{ kit.nothing.join(', ') }} within minutes: take a spare part, or something to tie
        it with.
      </p>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
.care {
  border-left: 3px solid var(--careful);
  padding-left: 12px;
  gap: 3px;
}
li {
  border-top: 1px solid var(--line);
  padding: 9px 0;
  display: grid;
  gap: 3px;
}
</style>
