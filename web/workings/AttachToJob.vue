<script setup lang="ts">
import { commandView, jobListView, jobView, type JobLine } from '@dusk-wren/contract';
import type { RawCommand } from '@dusk-wren/core/command';
import { ref } from 'vue';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';
import BenchButton from '../parts/BenchButton.vue';

/** Keeps what is on the page with an open job; the server works it again. */
const props = defineProps<{ command: () => RawCommand | undefined }>();
const open = ref(false);
const jobs = ref<JobLine[]>([]);
const chosen = ref<string>();
const said = ref('');
const failed = ref('');

async function begin(): Promise<void> {
  open.value = true;
  said.value = failed.value = '';
  try {
    ({ jobs: jobs.value } = await call('/jobs?limit=100', jobListView));
    chosen.value = jobs.value[0]?.id;
  } catch (error) {
    failed.value = faultOf(error);
  }
}
async function attach(): Promise<void> {
  const job = jobs.value.find(({ id }) => id === chosen.value);
  const command = props.command();
  if (!job || !command) return;
  failed.value = '';
  try {
    const { version } = await call(`/jobs/${job.id}`, jobView);
    await call(`/jobs/${job.id}/commands`, commandView, {
      method: 'POST',
      body: { baseVersion: version, commandId: crypto.randomUUID(), command },
    });
    said.value = `Kept with ${job.tag}.`;
    open.value = false;
  } catch (error) {
    failed.value = faultOf(error);
  }
}
</script>

<template>
  <div class="attach no-print">
    <BenchButton v-if="!open" @press="begin">Keep with a job</BenchButton>
    <form v-else class="choose" @submit.prevent="attach">
      <v-autocomplete
        v-model="chosen"
        label="Job"
        :items="jobs.map((job) => ({ title: `${job.tag}, ${job.customer}`, value: job.id }))"
        no-data-text="No job is open."
      />
      <BenchButton lamp @press="attach">Keep it</BenchButton>
      <BenchButton @press="open = false">Leave it</BenchButton>
    </form>
    <p v-if="said" class="label fit" role="status">{{ said }}</p>
    <p v-if="failed" class="problem" role="alert">{{ failed }}</p>
  </div>
</template>

<style scoped>
.attach {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.choose {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.choose > :first-child {
  min-width: 260px;
}
</style>
