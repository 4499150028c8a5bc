<script setup lang="ts">
import { MOST_COUPONS } from '../../../core/planning/coupons'
import { figure, plural } from '../../look/figures'

/** What the plan comes to, always in sight: coupons, money, hands, when all can be pulled; and the press. */
defineProps<{ coupons: number; money: string; hours: number; ready: string }>()
const emit = defineEmits<{ plan: [] }>()
</script>

<template>
  <aside class="bar" aria-label="What the plan comes to">
    <dl>
      <div>
        <dt>coupons</dt>
        <dd class="num">{{ coupons }}</dd>
      </div>
      <div>
        <dt>glue</dt>
        <dd class="num">{{ money }}</dd>
      </div>
      <div>
        <dt>hands</dt>
        <dd class="num">{{ figure(hours) }} h</dd>
      </div>
      <div>
        <dt>if begun now, pulled from</dt>
        <dd class="num">{{ ready }}</dd>
      </div>
    </dl>
    <p v-if="coupons > MOST_COUPONS" class="problem" role="alert">
      {{ coupons }} coupons are more than anyone glues for one joint; at most {{ MOST_COUPONS }} can be planned. Take
      fewer of each, fewer tests, or a second round.
    </p>
    <v-btn v-else class="go" @click="emit('plan')">Plan {{ plural(coupons, 'coupon') }}</v-btn>
  </aside>
</template>

<style scoped>
.bar {
  position: sticky;
  bottom: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding: 10px 14px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
dt {
  color: var(--mute);
  font-size: 0.875rem;
}
dd {
  font-weight: 650;
}
@media (max-width: 700px) {
  .bar {
    bottom: var(--route-height, 64px);
    padding: 8px 10px;
  }
  dl {
    width: 100%;
    justify-content: space-between;
    gap: 2px 10px;
  }
  dt {
    font-size: 0.8125rem;
  }
  dd {
    font-size: 0.9375rem;
  }
  .go {
    width: 100%;
  }
}
</style>
