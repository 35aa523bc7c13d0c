<script setup lang="ts">
import type { PreviewedRow } from '@dusk-wren/contract';
import { computed } from 'vue';
import BenchButton from './BenchButton.vue';
import './table.css';

/** What a file would do, row by row, the bad ones first; nothing is written before it is taken. */
const props = defineProps<{
  name: string;
  good: number;
  rows: readonly PreviewedRow[];
}>();
defineEmits<{ take: [] }>();
const MOST_SHOWN = 200;
const bad = computed(() => props.rows.filter(({ does }) => does === 'bad').length);
const shown = computed(() =>
  [...props.rows].sort((a, b) => Number(b.does === 'bad') - Number(a.does === 'bad')).slice(0, MOST_SHOWN),
);
const counted = (count: number) => (count === 1 ? '1 row' : `${count} rows`);
</script>

<template>
  <p class="label" role="status">
    {{ name }}: {{ good }} good, <b>{{ bad }} bad</b>.
  </p>
  <table class="store-table folds label">
    <thead>
      <tr>
        <th scope="col">Row</th>
        <th scope="col">What</th>
        <th scope="col">Does</th>
        <th scope="col">Why</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in shown" :key="row.row">
        <td class="number">{{ row.row }}</td>
        <td>{{ row.key }}</td>
        <td :class="{ problem: row.does === 'bad' }">{{ row.does }}</td>
        <td>{{ row.why.join('; ') }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="rows.length > shown.length" class="muted">And {{ rows.length - shown.length }} more rows.</p>
  <BenchButton lamp :disabled="good === 0" lacking="a good row" @press="$emit('take')">{{
    bad > 0 ? `Take ${counted(good)}, leave ${bad}` : `Take ${counted(good)}`
  }}</BenchButton>
</template>

<style scoped>
@media (max-width: 700px) {
  .store-table.folds tr {
    grid-template-columns: 76px minmax(0, 1fr);
  }
}
</style>
