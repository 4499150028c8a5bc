<script setup lang="ts">
import { useMinute } from '../bench/clock'
import type { Copy } from '../bench/secondCopy'
import ActButton from '../look/ActButton.vue'
import { plural } from '../look/figures'
import { momentName } from '../look/times'
import type { Looked } from './lookInto'

/** Benches that are in this browser but on no list, and second copies of benches that are not here. */
defineProps<{
  found: { id: string; looked: Looked }[]
  copies: Copy[]
  list: (id: string, looked: Looked) => Promise<void>
  away: (id: string, title: string) => Promise<void>
  back: (copy: Copy) => Promise<void>
}>()
const now = useMinute()
/** The bench's name stands near the start of its file. */
const nameInCopy = (copy: Copy) => /"name":\s*"((?:[^"\\]|\\.)*)"/.exec(copy.text)?.[1] ?? copy.bench
</script>

<template>
  <section aria-labelledby="found">
    <h2 id="found">Found in this browser, but on no list</h2>
    <ul>
      <li v-for="{ id, looked } in found" :key="id">
        <div>
          <strong>{{ looked.bench?.name ?? `a bench marked ${id}` }}</strong>
          <div v-if="looked.why" class="fails small">{{ looked.why }}</div>
        </div>
        <div class="acts">
          <ActButton v-if="looked.bench" class="alt" :act="() => list(id, looked)">Put it on the list</ActButton>
          <ActButton v-else class="quiet" :act="() => away(id, id)">Take away what is left of it</ActButton>
        </div>
      </li>
      <li v-for="copy in copies" :key="`${copy.bench} ${copy.order?.last} ${copy.savedAt}`">
        <div>
          <strong>{{ nameInCopy(copy) }}</strong>
          <div class="mute small">
            second copy of {{ momentName(copy.savedAt, now)
            }}<template v-if="copy.order">, after {{ plural(copy.order.entries, 'change') }}</template>
          </div>
        </div>
        <div class="acts">
          <ActButton class="alt" :act="() => back(copy)">Bring it back</ActButton>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
</style>
