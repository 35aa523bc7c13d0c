<script setup lang="ts">
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** What can be done with the job as a whole. */
const job = useJob();
const preferences = usePreferences();
</script>

<template>
  <span class="tools label">
    <router-link :to="`/jobs/${job.id}/fetch`">Fetch list</router-link>
    <a :href="`/api/jobs/${job.id}/job-sheet.pdf?units=${preferences.units}`">Job sheet</a>
    <router-link v-if="job.inLine" :to="`/jobs/${job.id}/isolation`">Isolation</router-link>
    <router-link :to="`/jobs/${job.id}/labels`">Labels</router-link>
    <router-link :to="`/jobs/${job.id}/certificate`">Certificate</router-link>
    <a :href="`/api/jobs/${job.id}/export.json`" download>Export</a>
  </span>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 14px;
  margin-left: auto;
  align-items: center;
}
a {
  color: var(--muted);
}
</style>
