<script setup lang="ts">
import { waitingOrdersView, type WaitingOrder } from '@dusk-wren/contract/machines';
import { SCOPE_WORDS } from '@dusk-wren/core/job';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call, callForNothing } from '../../api/client';
import BenchButton from '../../parts/BenchButton.vue';
import { sayDay } from '../../parts/dates';
import { useTrying } from '../../stores/trying';

/** Work that other programs have asked for, until somebody receives its valve. */
const picked = defineModel<WaitingOrder | undefined>({ required: true });
const { data, refetch } = useQuery({
  key: ['work-orders'],
  query: () => call('/work-orders', waitingOrdersView),
  staleTime: 0,
});
const orders = computed(() => data.value?.orders ?? []);
const refusing = ref('');
const why = ref('');
const { wrong, busy, done } = useTrying();
async function refuse(number: string): Promise<void> {
  const isRefused = await done(async () => {
    await callForNothing(`/work-orders/${encodeURIComponent(number)}/refuse`, {
      method: 'POST',
      body: { why: why.value.trim() },
    });
    await refetch();
  });
  if (!isRefused) return;
  if (picked.value?.number === number) picked.value = undefined;
  [refusing.value, why.value] = ['', ''];
}
const onFile = ({ valves, asked }: WaitingOrder) => {
  const [first] = valves;
  if (!first) return `${asked.tag} is not on file: its plate is taken as it is received`;
  return valves.length > 1
    ? `${valves.length} valves on file have this tag`
    : `${first.customer}, ${first.location}`;
};
</script>

<template>
  <section v-if="orders.length > 0" class="row-flat orders" aria-label="Work orders">
    <h2>{{ orders.length === 1 ? 'A work order waits' : `${orders.length} work orders wait` }}</h2>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <ul>
      <li v-for="order in orders" :key="order.number" :class="{ picked: picked?.number === order.number }">
        <div>
          <b>{{ order.asked.tag }}</b> · {{ order.asked.reported }}
          <p class="label muted">
            {{ order.number }} from {{ order.from }} · {{ SCOPE_WORDS[order.asked.scope]
            }}{{ order.asked.due ? ` · wanted by ${sayDay(order.asked.due)}` : '' }} · {{ onFile(order) }}
          </p>
        </div>
        <span v-if="refusing !== order.number" class="acts">
          <BenchButton v-if="picked?.number === order.number" aria-pressed="true" @press="picked = undefined"
            >Not this one</BenchButton
          >
          <BenchButton v-else @press="picked = order">It is here</BenchButton>
          <BenchButton @press="refusing = order.number">Refuse it</BenchButton>
        </span>
        <form v-else class="refuse" @submit.prevent="refuse(order.number)">
          <v-text-field v-model="why" label="Why, for whoever sent it" maxlength="200" autofocus />
          <span class="acts">
            <BenchButton kind="submit" lamp :disabled="why.trim() === '' || busy" lacking="why"
              >Refuse it</BenchButton
            >
            <BenchButton @press="refusing = ''">Leave it</BenchButton>
          </span>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.orders {
  display: grid;
  gap: 6px;
  padding: 12px 16px;
}
ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px 16px;
  align-items: center;
  padding: 8px;
  border-top: 1px solid var(--line);
}
.picked {
  background: var(--lit);
}
.refuse {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
