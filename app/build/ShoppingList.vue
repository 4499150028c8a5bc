<script setup lang="ts">
import { computed } from 'vue'
import type { Shopping, ToBuy } from '../../core/choice/build/shopping'
import { measured } from '../../core/quantities/betterUnit'
import { showMoney } from '../../core/quantities/money'
import { plural } from '../look/figures'

/** What to buy for all decided joints, and what is there. */
const props = defineProps<{ shopping: Shopping; currency: string }>()
const buy = computed(() => props.shopping.list.filter(({ packs }) => packs > 0))
const there = computed(() => props.shopping.list.filter(({ packs }) => packs === 0))
const forWhat = ({ codes }: ToBuy) => `for ${codes.join(', ')}`
</script>

<template>
  <section aria-labelledby="shopping">
    <h2 id="shopping">Shopping list</h2>
    <p v-if="!shopping.list.length" class="mute">Nothing is left to be glued.</p>
    <p v-else-if="!buy.length" class="holds">All of it is on the shelf.</p>
    <ul class="num">
      <li v-for="one in buy" :key="one.key" data-buy>
        <span class="box" aria-hidden="true" />
        <div>
          <b>{{ plural(one.packs, 'pack') }} of {{ one.name }}, {{ one.pack }}</b>
          {{ ' ' }}<span class="mute">{{ forWhat(one) }}</span>
          <details class="small">
            <summary>
              {{ measured(one.wantedG, 'g') }} wanted,
              {{ one.leftG ? `${measured(one.leftG, 'g')} on the shelf` : 'none on the shelf' }}
            </summary>
            <p v-for="line in one.sum" :key="line">{{ line }}</p>
          </details>
          <p v-if="one.expiring" class="small careful">
            {{ plural(one.expiring, 'pack') }} on the shelf will be past its date, or open for too long: not counted.
          </p>
        </div>
        <b class="price">{{ one.price === null ? 'price?' : showMoney(one.price, currency) }}</b>
      </li>
      <li v-if="buy.length > 1" class="sum">
        <span /><span>In all</span><b class="price">{{ showMoney(shopping.price, currency) }}</b>
      </li>
    </ul>
    <details v-if="there.length" class="small">
      <summary>On the shelf already: {{ there.map(({ name }) => name).join(', ') }}</summary>
      <template v-for="one in there" :key="one.key">
        <p>
          <b>{{ one.name }}</b> {{ forWhat(one) }}: {{ measured(one.wantedG, 'g') }} wanted,
          {{ measured(one.leftG, 'g') }} there.
        </p>
        <p v-for="line in one.sum" :key="line" class="mute">{{ line }}</p>
      </template>
    </details>
    <p v-if="shopping.unsized.length" class="small careful">
      Not counted, since their size is open: {{ shopping.unsized.join(', ') }}.
    </p>
    <p v-if="shopping.unknown.length" class="small careful">
      Stirred in, and on no shelf: {{ shopping.unknown.join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding: 9px 0;
  align-items: start;
}
.box {
  width: 18px;
  height: 18px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  margin-top: 3px;
}
.price {
  text-align: right;
}
summary {
  cursor: pointer;
  padding: 4px 0;
}
</style>
