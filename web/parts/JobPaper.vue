<script setup lang="ts">
import { useOpenJob } from '../stores/open-job';
import ImportedSign from './ImportedSign.vue';
import NamePlate from './NamePlate.vue';

/** A paper of a job, on a page of its own: its nameplate, what it is, the way back, and what can be done with it. */
const props = defineProps<{ id: string; title: string }>();
const job = useOpenJob(() => props.id);
</script>

<template>
  <div class="page paper">
    <p v-if="job.failed" class="problem" role="alert">
      {{ job.failed }} <router-link to="/">Back to the floor</router-link>
    </p>
    <template v-else-if="job.planned">
      <NamePlate :valve="job.planned.valve" />
      <ImportedSign :state="job.state" />
      <div class="head">
        <h1>{{ title }}</h1>
        <router-link :to="`/jobs/${id}`" class="way label no-print">Back to the bench</router-link>
        <span class="act"><slot name="act" /></span>
      </div>
      <slot />
    </template>
    <p v-else class="muted">Opening the job…</p>
  </div>
</template>

<style scoped>
.paper {
  display: grid;
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
.act {
  margin-left: auto;
}
@media print {
  .no-print,
  .act {
    display: none;
  }
}
</style>
