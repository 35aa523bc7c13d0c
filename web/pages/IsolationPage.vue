<script setup lang="ts">
import IsolationSheet from '../isolation/IsolationSheet.vue';
import JobPaper from '../parts/JobPaper.vue';
import { usePreferences } from '../stores/preferences';

/** The isolation sheet on a page of its own. */
defineProps<{ id: string }>();
const preferences = usePreferences();
</script>

<template>
  <JobPaper :id="id" title="Isolation sheet">
    <template #act
      ><a class="label" :href="`/api/jobs/${id}/isolation.pdf?units=${preferences.units}`"
        >As PDF</a
      ></template
    >
    <IsolationSheet />
  </JobPaper>
</template>
