<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue';
import { useGaugeLines } from '../stores/gauge-lines';
import { useJob } from '../stores/job';

/** What became of the last reading that a gauge typed or sent. */
const job = useJob();
const lines = useGaugeLines();
watch(
  () => job.instruments,
  (now) => (lines.instruments = now),
  { immediate: true },
);
onBeforeUnmount(() => (lines.instruments = []));
</script>

<template>
  <p class="number said" role="status">{{ lines.said }}</p>
</template>

<style scoped>
.said:empty {
  display: none;
}
</style>
