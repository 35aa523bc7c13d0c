<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** What is safe and what is waiting, and what became impossible because somebody else was faster. */
const job = useJob();
</script>

<template>
  <div v-if="job.lost" class="sign" role="alert">
    <span
      >No connection. Safe on the server: everything up to entry {{ job.confirmedVersion }}. Waiting on this
      device: {{ job.waiting }} {{ job.waiting === 1 ? 'entry' : 'entries' }}, sent by itself when the
      connection is back. Photographs, instruments and other people wait too.</span
    >
  </div>
  <div v-if="job.lapsed.length > 0" class="sign" role="alert">
    <span
      >Not stored: <template v-for="(each, i) in job.lapsed" :key="i">{{ each.text }} </template></span
    >
    <BenchButton @press="job.dismissLapsed">Understood</BenchButton>
  </div>
</template>

<style scoped>
.sign {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 6px 12px;
  border: 1px solid var(--condemn);
  border-left-width: 5px;
  border-radius: var(--radius);
  font-family: var(--label);
  font-weight: 600;
}
</style>
