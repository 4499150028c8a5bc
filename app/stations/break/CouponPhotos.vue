<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue'
import { closedAt } from '../../../core/planning/gluing'
import { durationWords } from '../../../core/quantities/durations'
import { update } from '../../../core/records/entry'
import type { Coupon } from '../../../core/records/coupon'
import type { Procedure } from '../../../core/records/procedure'
import { clearPhotosOnce } from '../../bench/clearPhotos'
import { useMinute } from '../../bench/clock'
import { photoFile, photoOf } from '../../bench/photos'
import { useBench } from '../../bench/store'
import { momentName } from '../../look/times'
import ActButton from '../../look/ActButton.vue'

/** All photos of a coupon side by side, each with how long after closing it was taken: minutes, a day, a week. */
const props = defineProps<{ coupon: Coupon; procedure: Procedure }>()
const bench = useBench()
const now = useMinute()
const closed = computed(() => closedAt(props.coupon, props.procedure))
const photos = computed(() => [...(props.coupon.photos ?? [])].sort((x, y) => x.at - y.at))
/** undefined while it is fetched, null where this browser has no pixels of it */
const urls = shallowRef<Record<string, string | null>>({})
/** the file to which a photo was moved */
const files = shallowRef<Record<string, string>>({})
let made: string[] = []
watch(
  () => photos.value.map(({ id }) => id).join(),
  async () => {
    for (const { id } of photos.value) {
      if (id in urls.value) continue
      const blob = await photoOf(bench.id, id)
      const url = blob && URL.createObjectURL(blob)
      if (url) made.push(url)
      urls.value = { ...urls.value, [id]: url }
      const file = blob ? null : await photoFile(bench.id, id).catch(() => null)
      if (file) files.value = { ...files.value, [id]: file }
    }
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  made.forEach((url) => URL.revokeObjectURL(url))
  made = []
})
// What nothing names any more makes room, when nobody waits for it.
void clearPhotosOnce(bench).catch(() => {})
const whenWords = (at: number): string =>
  closed.value !== null && at >= closed.value
    ? `${durationWords(Math.round((at - closed.value) / 1000))} after closing`
    : momentName(at, now.value)
const drop = (id: string) =>
  bench.write(
    `A photo of ${props.coupon.label} taken away`,
    [update('coupon', props.coupon, { photos: photos.value.filter((one) => one.id !== id) })],
    true,
  )
</script>

<template>
  <section v-if="photos.length" :aria-label="`Photos of ${coupon.label}`" data-photos>
    <h2>Photos of {{ coupon.label }}</h2>
    <ul>
      <li v-for="one in photos" :key="one.id">
        <figure>
          <img
            v-if="urls[one.id]"
            :src="urls[one.id]!"
            :width="one.width"
            :height="one.height"
            :alt="`${coupon.label}, ${whenWords(one.at)}`"
          />
          <p v-else-if="files[one.id]" class="mute none">
            Its picture lies in {{ files[one.id] }}: <router-link :to="{ name: 'files' }">bring it back</router-link>.
          </p>
          <p v-else class="mute none">
            {{ urls[one.id] === null ? 'Its picture is in the browser in which it was taken.' : '…' }}
          </p>
          <figcaption class="num">{{ whenWords(one.at) }}</figcaption>
        </figure>
        <ActButton class="quiet" :act="() => drop(one.id)"
          >Take away<span class="visually-hidden"> the photo of {{ whenWords(one.at) }}</span></ActButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 10px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 16px;
}
figure {
  margin: 0;
}
img {
  display: block;
  width: 100%;
  height: auto;
  border: 1px solid var(--line);
}
.none {
  border: 1px dashed var(--tick);
  padding: 20px 12px;
}
figcaption {
  padding-top: 4px;
}
</style>
