<script setup lang="ts">
import { onClickOutside } from '@vueuse/core';
import { useTemplateRef } from 'vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** The papers of the job, behind one button. */
const job = useJob();
const preferences = usePreferences();
const sheets = useTemplateRef<HTMLDetailsElement>('sheets');
function close(): void {
  if (sheets.value) sheets.value.open = false;
}
onClickOutside(sheets, close);
</script>

<template>
  <details ref="sheets" class="sheets label">
    <summary>Sheets</summary>
    <nav class="row-flat" aria-label="Sheets of the job" @click="close">
      <router-link :to="`/jobs/${job.id}/fetch`">Fetch list</router-link>
      <a :href="`/api/jobs/${job.id}/job-sheet.pdf?units=${preferences.units}`">Job sheet</a>
      <router-link v-if="job.inLine" :to="`/jobs/${job.id}/isolation`">Isolation</router-link>
      <router-link :to="`/workings?job=${job.id ?? ''}`">Workings for it</router-link>
      <router-link :to="`/jobs/${job.id}/labels`">Labels</router-link>
      <router-link :to="`/jobs/${job.id}/certificate`">Certificate</router-link>
      <a :href="`/api/jobs/${job.id}/export.zip`" download>Export</a>
    </nav>
  </details>
</template>

<style scoped>
.sheets {
  position: relative;
  flex: none;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 14px;
  font-size: 17px;
  font-weight: 600;
  list-style: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
nav {
  position: absolute;
  right: 0;
  top: calc(100% + 4px);
  z-index: 3;
  display: grid;
  min-width: 190px;
  padding: 6px;
  box-shadow: 0 6px 18px rgb(0 0 0 / 40%);
}
a {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 12px;
  font-size: 17px;
  color: var(--ink);
  text-decoration: none;
  border-radius: var(--radius);
}
a:hover {
  background: var(--lit);
}
</style>
