<script setup lang="ts">
import { ordersView } from '@dusk-wren/contract/stock';
import type { Phrase } from '@dusk-wren/core/quantity';
import { useQuery } from '@pinia/colada';
import { call } from '../api/client';
import { sayDay } from '../parts/dates';
import { usePreferences } from '../stores/preferences';
import '../parts/table.css';

/** What open jobs want: by the last day it can be ordered and the job still be ready. */
const { tell } = usePreferences();
/** Why it is ordered; its name stands in the row already. */
function why({ part, reason }: { part: string; reason: Phrase }): string {
  const words = tell(reason);
  return words.startsWith(`${part}: `) ? words.slice(part.length + 2) : words;
}
const { data, error } = useQuery({
  key: () => ['orders'],
  query: () => call('/store/orders', ordersView),
  refetchOnMount: 'always',
});
</script>

<template>
  <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
  <p v-else-if="data && data.orders.length === 0" class="muted">
    Nothing to order. A call of “renew” on the bench puts its part here.
  </p>
  <table v-else-if="data" class="store-table folds label">
    <thead>
      <tr>
        <th scope="col">Order by</th>
        <th scope="col">Part</th>
        <th scope="col">For</th>
        <th scope="col">Where it stands</th>
        <th scope="col">Why</th>
        <th scope="col"><span class="visually-hidden">To do</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="order in data.orders" :key="`${order.job} ${order.part}`">
        <td class="number" :class="{ problem: order.late && order.state === 'to order' }">
          {{ order.orderBy ? sayDay(order.orderBy) : 'no day set'
          }}<template v-if="order.late && order.state === 'to order'">, late</template>
        </td>
        <td>
          <b>{{ order.part }}</b>
        </td>
        <td>
          <router-link :to="`/jobs/${order.job}`">{{ order.tag }}</router-link>
        </td>
        <td :class="{ problem: order.late && order.state === 'on order' }">
          {{ order.state === 'on order' ? 'ordered' : order.state
          }}<template v-if="order.state === 'on order' && order.expected"
            >, expected {{ sayDay(order.expected) }}{{ order.late ? ', late' : '' }}</template
          ><template v-if="order.state === 'to order'">, {{ order.leadDays }} working days to get</template>
        </td>
        <td class="muted">{{ why(order) }}</td>
        <td>
          <router-link
            v-if="order.state !== 'arrived'"
            class="way"
            :to="{ path: `/jobs/${order.job}`, query: { step: order.step } }"
            >{{ order.state === 'to order' ? 'Ordered…' : 'It is in…' }}</router-link
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="muted">Looking through the open jobs…</p>
</template>
