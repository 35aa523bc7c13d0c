<script setup lang="ts">
import { importOf } from '@dusk-wren/core/certificate';
import type { JobState } from '@dusk-wren/core/job';
import { computed } from 'vue';

/** On every page of a job that came out of a file: who brought it in, and what of it was doubtful. */
const props = defineProps<{ state: JobState | undefined }>();
const words = computed(() => props.state && importOf(props.state));
const refused = computed(() => props.state?.records['job-imported'].at(-1)?.body.refused ?? []);
</script>

<template>
  <div v-if="words" class="imported label" role="note">
    <b>{{ words }}</b>
    <details v-if="refused.length > 0">
      <summary>What would have been refused</summary>
      <p v-for="each in refused" :key="each.seq">Entry {{ each.seq }}: {{ each.why }}</p>
    </details>
  </div>
</template>

<style scoped>
.imported {
  padding: 6px 12px;
  border: 1px solid var(--ask);
  border-left-width: 5px;
  border-radius: var(--radius);
}
summary {
  min-height: var(--touch);
  cursor: pointer;
}
</style>
