<script setup lang="ts">
import type { Carried } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import { sayDay } from '../parts/dates';
import FoldRow from '../parts/FoldRow.vue';
import { usePreferences } from '../stores/preferences';

/** What a valve brings into its next job, each thing with the job that it comes from. */
const props = defineProps<{ carried: Carried }>();
const { show } = usePreferences();
const lines = computed(() => [
  ...props.carried.words.map(({ what, words, job, at }) => ({ what, value: words, job, at })),
  ...props.carried.figures.map(({ what, value, job, at }) => ({ what, value: show(value), job, at })),
]);
</script>

<template>
  <FoldRow v-if="lines.length > 0">
    <template #line>
      <b>What it brings into its next job</b> <span class="label muted">{{ lines.length }} things</span>
    </template>
    <table>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">As it was last read</th>
          <th scope="col">By the job of</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ what, value, job, at } in lines" :key="what">
          <td>{{ capital(what) }}</td>
          <td class="number">{{ value }}</td>
          <td>
            <router-link class="way" :to="`/jobs/${job}`">{{ sayDay(at) }}</router-link>
          </td>
        </tr>
      </tbody>
    </table>
  </FoldRow>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 14px;
  text-align: left;
  border-top: 1px solid var(--line);
}
th {
  color: var(--muted);
  font-weight: 500;
}
</style>
