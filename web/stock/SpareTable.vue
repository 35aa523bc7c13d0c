<script setup lang="ts">
import { sparesView, type Spare } from '@dusk-wren/contract/stock';
import { formatNumber } from '@dusk-wren/core/quantity';
import { wordKey } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import '../parts/table.css';

/** How many of each part to keep, by what jobs took in three years and how long an order takes. */
const { data, error } = useQuery({
  key: () => ['spares'],
  query: () => call('/store/spares', sparesView),
  refetchOnMount: 'always',
});
const isWhole = ref(false);
const wanted = computed(() => data.value?.spares.filter(({ verdict }) => verdict !== 'not wanted') ?? []);
const shown = computed(() => (isWhole.value ? (data.value?.spares ?? []) : wanted.value));
const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;
function because({ planned, jobs, leadDays, expected }: Spare): string {
  const took = `${many(jobs, 'job', 'jobs')} in three years`;
  return planned === undefined
    ? `${took}, ${leadDays} days to get: ${formatNumber(expected, 2)} wanted meanwhile`
    : `${many(planned, 'valve', 'valves')} due in the ${leadDays} days that an order takes; ${took}`;
}
const RINGS = { order: 'renew', overstocked: 'rework', enough: 'fit', 'not wanted': 'not yet' } as const;
const WORDS = {
  order: 'order',
  overstocked: 'more than three years’ worth',
  enough: 'enough',
  'not wanted': 'no job wanted one',
} as const;
</script>

<template>
  <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
  <p v-else-if="data && data.spares.length === 0" class="muted">No part is in the store yet.</p>
  <template v-else-if="data">
    <p class="muted">
      To be there for 19 jobs of 20. What is new at every job of its type goes by the valves that fall due
      before an order would be here.
    </p>
    <table class="store-table folds label">
      <thead>
        <tr>
          <th scope="col">Say</th>
          <th scope="col">Part</th>
          <th scope="col">Fits</th>
          <th scope="col" class="right">On hand</th>
          <th scope="col" class="right">Order at</th>
          <th scope="col" class="right">Bin says</th>
          <th scope="col">Because</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="spare in shown" :key="spare.number">
          <td><ContactRing :verdict="RINGS[spare.verdict]" :size="18" /> {{ WORDS[spare.verdict] }}</td>
          <td>
            <b>{{ spare.name }}</b> <span class="muted">{{ spare.number }}</span>
          </td>
          <td class="muted wide">{{ wordKey(spare.fits) }}</td>
          <td class="right number" data-label="On hand">{{ spare.onHand }}</td>
          <td class="right number" data-label="Order at">{{ spare.orderPoint }}</td>
          <td class="right number" data-label="Bin says">{{ spare.reorderAt }}</td>
          <td class="muted wide">{{ because(spare) }}</td>
        </tr>
      </tbody>
    </table>
    <BenchButton v-if="!isWhole && wanted.length < data.spares.length" @press="isWhole = true"
      >And {{ data.spares.length - wanted.length }} that no job wanted in three years</BenchButton
    >
  </template>
  <p v-else class="muted">Counting what jobs took…</p>
</template>
